package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;
import tinperch.machine.space.Neighbour;
import tinperch.part.form.AirPath;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/**
 * Does air that is meant for the nozzle's tip meet it? The middle line of an outlet that passes near the tip of something hot that rides with the part must pass it within 2 mm (common practice). The
 * tip is the middle of the hot one's lower side.
 */
public final class AimCheck implements Check {
    private static final double NEAR_MM = 2;
    /** One that passes farther off is meant for something else. */
    private static final double MEANT_MM = 12;
    private static final double FAR_MM = 80;

    @Override
    public String about() {
        return "aim";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        RestFact.inMachine(c, facts).ifPresent(place -> {
            List<AirPath> air = facts.get(FormFact.FORM).form().orElseThrow().air();
            for (int i = 0; i < air.size(); i++) {
                aimed("aim." + i, air.get(i), place.times(air.get(i).outlet()), c).ifPresent(all::add);
            }
        });
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    /** What is said of the tip an outlet comes nearest to. */
    private static Optional<Finding> aimed(String id, AirPath air, Placement out, Case c) {
        Finding best = null;
        for (Neighbour n : HotRiders.of(c)) {
            Vec3 way = HotRiders.tip(n).minus(out.origin());
            double along = way.dot(out.w());
            double off = way.minus(out.w().times(along)).length();
            if (along > 0 && along < FAR_MM && off < MEANT_MM && (best == null || off < best.margin().orElseThrow().value())) {
                best = finding(id, air, n, off, along);
            }
        }
        return Optional.ofNullable(best);
    }

    private static Finding finding(String id, AirPath a, Neighbour n, double off, double along) {
        boolean good = off <= NEAR_MM;
        return Finding.of(id, good ? Severity.FINE : Severity.LOOK, good ? "The " + a.label() + " meets the tip of " + n.name() : "The " + a.label() + " misses the tip of " + n.name() + " by " + Quantity.mm(Math.round(off * 10) / 10.0),
                "The middle line of its outlet passes the tip " + Quantity.mm(Math.round(along)) + " from the outlet; within " + Quantity.mm(NEAR_MM) + " is wanted (common practice). "
                        + (good ? "" : "Move the outlet by that much, or turn it by " + Quantity.fixed(Math.toDegrees(Math.atan2(off, along)), 1) + "°.")).measured(new Margin(off, NEAR_MM, Unit.MM, false));
    }
}
