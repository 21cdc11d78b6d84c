package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;
import tinperch.machine.space.Neighbour;
import tinperch.part.form.AirPath;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Does air that is led past a bare heated block cool it? Air spreads by about 12° a side as it leaves (free jet, handbook value); a block without a sock in its way loses so much heat that its heater swings or
 * cannot hold (common practice).
 */
public final class DraughtCheck implements Check {
    private static final double SPREAD = Math.tan(Math.toRadians(12));
    /** Farther off it is slow and warm. */
    private static final double FAR_MM = 60;
    private static final double HOT_C = 150;
    private static final int STEPS = 24;

    @Override
    public String about() {
        return "draughts";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        RestFact.inMachine(c, facts).ifPresent(place -> facts.get(FormFact.FORM).form().orElseThrow().air().forEach(a -> {
            Placement out = place.times(a.outlet());
            HotRiders.of(c).stream().filter(n -> n.tempC() >= HOT_C).forEach(n -> {
                double beside = besideMm(out, Math.sqrt(a.outletMm2()) / 2, n.bounds(Vec3.ZERO));
                if (beside <= 0) {
                    all.add(finding("draught." + all.size(), a, n, beside));
                }
            });
        }));
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    /** How far beside the widening jet a box is, mm along an axis; below 0 the jet touches it. */
    private static double besideMm(Placement out, double half, Bounds box) {
        double least = Double.MAX_VALUE;
        for (int i = 1; i <= STEPS; i++) {
            double along = FAR_MM * i / STEPS;
            Vec3 from = box.min().minus(out.point(0, 0, along));
            Vec3 to = out.point(0, 0, along).minus(box.max());
            double apart = Math.max(Math.max(Math.max(from.x(), to.x()), Math.max(from.y(), to.y())), Math.max(from.z(), to.z()));
            least = Math.min(least, apart - half - SPREAD * along);
        }
        return least;
    }

    private static Finding finding(String id, AirPath a, Neighbour n, double besideMm) {
        String temp = Quantity.show(n.tempC(), Unit.CELSIUS);
        return n.sock() ? Finding.of(id, Severity.FINE, n.name() + " wears a sock in the " + a.label(), "Its heater has to be tuned anew with the new air all the same; the sock keeps its " + temp + ".")
                : Finding.of(id, Severity.LOOK, "The " + a.label() + " cools " + n.name() + ", which is bare", "The jet, widening by 12° a side, touches the block at " + temp
                        + ": its heater swings or cannot hold. Put a sock on it, aim below it, and tune the heater anew with the fan on.").measured(new Margin(Math.round(10 * besideMm) / 10.0, 0, Unit.MM, true)).with(List.of(Remedy.of("put a sock on " + n.name(), new Change.PutNeighbour(n.socked(true)))));
    }
}
