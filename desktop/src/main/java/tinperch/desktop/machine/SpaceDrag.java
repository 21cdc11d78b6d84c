package tinperch.desktop.machine;

import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Along;
import tinperch.machine.space.Facing;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Snap;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/** A thing under way with the mouse: how far it has come, what caught it, and how far it is from what stands before it; that can be typed. */
final class SpaceDrag {
    private static final double CATCHES_PX = 6;
    /** Seen from afar a few pixels are a long way. */
    private static final double CATCHES_MM = 4;
    private static final double MOVED_MM = 0.005;

    private final Neighbour thing;
    private final ThreeViews.View view;
    private final Surroundings space;
    private final Map<String, Double> pose;
    private Vec3 by = Vec3.ZERO;
    private String caught = "";
    private String typed = "";
    private Optional<Facing> facing = Optional.empty();
    private Along along = Along.X;

    SpaceDrag(Neighbour thing, ThreeViews.View view, Surroundings space, Map<String, Double> pose) {
        this.thing = thing;
        this.view = view;
        this.space = space;
        this.pose = pose;
    }

    /** Takes it so far over the canvas; faces and middles of others catch it, else it goes by tenths of a millimetre. A number typed holds it. */
    void to(double dx, double dy, double pxPerMm) {
        if (!typed.isEmpty()) {
            return;
        }
        Vec3 way = view.way(dx, dy);
        Vec3 sum = Vec3.ZERO;
        caught = "";
        along = null;
        for (Along a : Along.values()) {
            if (a.of(view.right) != 0 || a.of(view.up) != 0) {
                Optional<Snap> snap = Snap.nearest(space, thing, a.of(way), a, pose, Math.min(CATCHES_MM, CATCHES_PX / pxPerMm));
                double mm = snap.map(Snap::byMm).orElse(Math.rint(a.of(way) * 10) / 10);
                sum = sum.plus(a.direction().times(mm));
                caught += snap.map(s -> "  " + a.word(s.mine()) + " at " + space.neighbour(s.toId()).map(Neighbour::name).orElse("") + ", " + a.word(s.theirs())).orElse("");
                along = along == null || Math.abs(a.of(way)) > Math.abs(along.of(way)) ? a : along;
            }
        }
        by = sum;
        facing = Facing.nearest(space, thing, by, along, pose);
    }

    /** Takes a key: a number is the distance from what stands before it, or the way it goes where nothing does. Answers whether it was one. */
    boolean type(String key) {
        String next = key.equals("\b") ? typed.isEmpty() ? "" : typed.substring(0, typed.length() - 1) : typed + key;
        if (!next.matches("-?[0-9]{0,4}([.,][0-9]{0,3})?")) {
            return false;
        }
        typed = next;
        try {
            double mm = Quantity.parse(typed, Unit.MM);
            double more = facing.map(f -> f.toReach(mm)).orElse(mm - along.of(by));
            by = by.plus(along.direction().times(more));
            facing = Facing.nearest(space, thing, by, along, pose);
            caught = "";
        } catch (QuantityException e) {
            // Not a number yet: more keys follow.
        }
        return true;
    }

    Neighbour thing() {
        return thing;
    }

    /** Whether it is dragged in a view. */
    boolean isIn(ThreeViews.View v) {
        return v == view;
    }

    /** How far it has come. */
    Vec3 by() {
        return by;
    }

    boolean isMoved() {
        return by.length() > MOVED_MM;
    }

    /** The distance from what stands before it, the way it has come, and what caught it. */
    String words() {
        StringBuilder s = new StringBuilder();
        for (Along a : Along.values()) {
            if (Math.abs(a.of(by)) > MOVED_MM) {
                s.append(a.name().toLowerCase(java.util.Locale.ROOT)).append(' ').append(Quantity.fixed(a.of(by), 1)).append("  ");
            }
        }
        facing.ifPresent(f -> s.append(typed.isEmpty() ? Quantity.fixed(f.gapMm(), 1) : typed).append(" from ").append(space.neighbour(f.toId()).map(Neighbour::name).orElse("")));
        return (typed.isEmpty() || facing.isPresent() ? s : s.append(typed)).toString().strip() + caught;
    }
}
