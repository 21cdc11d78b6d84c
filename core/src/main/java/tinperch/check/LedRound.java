package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.fact.CableWayFact;
import tinperch.machine.space.Run;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Change;

/**
 * Where a cable that comes too near to something may be tied to it, on the outside of it: one more point of the cable, out by what is to be free. The least
 * way off comes first; whether it then is free, and long enough, is told by whoever tries it.
 */
final class LedRound {
    /** A tie holds the cable off by so much more than it has to be, mm. */
    private static final double TIE_MM = 1;
    private static final int MOST = 4;
    private static final Map<Vec3, String> SIDES = new LinkedHashMap<>();

    static {
        SIDES.put(Vec3.Z, "above it");
        SIDES.put(Vec3.Z.times(-1), "below it");
        SIDES.put(Vec3.X, "on its right");
        SIDES.put(Vec3.X.times(-1), "on its left");
        SIDES.put(Vec3.Y, "behind it");
        SIDES.put(Vec3.Y.times(-1), "before it");
    }

    private LedRound() {}

    private record Tie(Run.Hold hold, double offMm, String label) {}

    static List<Remedy> of(CableWayFact.Near n) {
        // Nobody ties a cable to what would melt it.
        if (n.hot() || n.run().isFull()) {
            return List.of();
        }
        double out = CableWayFact.NEED_MM + n.run().acrossMm() / 2 + TIE_MM;
        List<Tie> ties = new ArrayList<>();
        SIDES.forEach((side, word) -> {
            double off = reach(n.around(), side) + out - n.at().dot(side);
            if (off > 0) {
                ties.add(new Tie(new Run.Hold(n.group(), n.at().plus(side.times(off))), off, "tie it to " + n.to() + ", " + word));
            }
        });
        return ties.stream().sorted(Comparator.comparingDouble(Tie::offMm)).limit(MOST).map(t -> Remedy.of(t.label, new Change.PutRun(n.run().with(n.after() + 1, t.hold)))).toList();
    }

    private static double reach(Bounds b, Vec3 side) {
        return Math.max(b.min().dot(side), b.max().dot(side));
    }
}
