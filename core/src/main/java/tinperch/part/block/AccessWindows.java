package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.bind.AccessRef;
import tinperch.part.bind.BodyRef;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.SwitchParam;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;

/**
 * Windows in a base that lies on a site, where a hand or a tool must get to what is under it: each as large as its access zone and some room, right through.
 */
public final class AccessWindows {
    public final SwitchParam on;
    public final NumberParam room;
    private static final double BEYOND_MM = 1;

    public AccessWindows(Card card) {
        on = new SwitchParam("windows.on", card, "Windows for access", true, "Cut where an access zone of the machine lies on the base");
        room = NumberParam.length("windows.room", card, "Room in a window", 0, 40, 2, "Round the zone, each side");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(on, room);
    }

    /**
     * A window, seen on the base.
     *
     * @param name of the zone
     */
    public record Window(String name, double x0, double x1, double y0, double y1) {
        /** Whether it reaches into a rectangle about the middle. */
        public boolean meets(double halfX, double halfY) {
            return x0 < halfX && x1 > -halfX && y0 < halfY && y1 > -halfY;
        }

        /** Right through from below z = 0 to a height. */
        public Leaf cut(double highMm) {
            return Leaf.extrusion("window for the " + name, Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0), Placement.HERE, -BEYOND_MM, highMm + BEYOND_MM);
        }
    }

    /**
     * Those over a base.
     *
     * @param mount where the site is, seen from the part
     * @param halfX half of the base, {@code halfY} the other way; a zone beside it needs no window
     * @param thickMm of the base; a zone that begins farther out is not under it
     */
    public List<Window> over(PartInputs in, Optional<AccessRef> access, Placement mount, double halfX, double halfY, double thickMm) {
        List<Window> all = new ArrayList<>();
        if (access.isEmpty() || !in.get(on)) {
            return all;
        }
        for (BodyRef zone : access.get().zones()) {
            Bounds b = zone.seenFrom(mount);
            Window w = new Window(zone.name(), b.min().x() - in.get(room), b.max().x() + in.get(room), b.min().y() - in.get(room), b.max().y() + in.get(room));
            // What ends behind the face it stands on, or begins well before it, is not in its way.
            if (b.max().z() > 0 && b.min().z() < thickMm + in.get(room) && w.meets(halfX, halfY)) {
                all.add(w);
            }
        }
        return all;
    }
}
