package tinperch.desktop.machine;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tinperch.machine.space.Along;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Snap;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;

/** A thing under way with the mouse: how far it has come, and what caught it. */
final class SpaceDrag {
    private static final double CATCHES_PX = 6;
    /** Seen from afar a few pixels are a long way. */
    private static final double CATCHES_MM = 4;
    private static final double MOVED_MM = 0.005;

    private final Neighbour thing;
    private final ThreeViews.View view;
    private Vec3 by = Vec3.ZERO;
    private String caught = "";

    SpaceDrag(Neighbour thing, ThreeViews.View view) {
        this.thing = thing;
        this.view = view;
    }

    /** Takes it so far over the canvas; faces and middles of others catch it, else it goes by tenths of a millimetre. */
    void to(double dx, double dy, double pxPerMm, Surroundings space, Map<String, Double> pose) {
        Vec3 way = view.way(dx, dy);
        Vec3 sum = Vec3.ZERO;
        caught = "";
        for (Along a : Along.values()) {
            if (a.of(view.right) != 0 || a.of(view.up) != 0) {
                Optional<Snap> snap = Snap.nearest(space, thing, a.of(way), a, pose, Math.min(CATCHES_MM, CATCHES_PX / pxPerMm));
                sum = sum.plus(a.direction().times(snap.map(Snap::byMm).orElse(Math.rint(a.of(way) * 10) / 10)));
                caught += snap.map(s -> "  " + a.word(s.mine()) + " at " + space.neighbour(s.toId()).map(Neighbour::name).orElse("") + ", " + a.word(s.theirs())).orElse("");
            }
        }
        by = sum;
    }

    Neighbour thing() {
        return thing;
    }

    /** How far it has come. */
    Vec3 by() {
        return by;
    }

    boolean isMoved() {
        return by.length() > MOVED_MM;
    }

    /** The way in numbers, and what caught it. */
    String words() {
        return Stream.of(Along.values()).filter(a -> Math.abs(a.of(by)) > MOVED_MM).map(a -> a.name().toLowerCase(Locale.ROOT) + " " + Quantity.fixed(a.of(by), 1))
                .collect(Collectors.joining("  ")) + caught;
    }
}
