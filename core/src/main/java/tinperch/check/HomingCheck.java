package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.HomingFact;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Does the part run into something while the machine homes in its order? Slow moves by hand do not help there: homing goes the same way every time. */
public final class HomingCheck implements Check {
    @Override
    public String about() {
        return "way home";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (c.site().isEmpty()) {
            return List.of();
        }
        List<Finding> all = new ArrayList<>();
        for (HomingFact.Leg leg : facts.get(HomingFact.HOMING)) {
            String homing = String.join(" and ", leg.homing());
            String before = String.join(" and ", leg.before());
            all.add(Finding.of("homing." + leg.way().neighbour().id() + "." + leg.way().of(), Severity.STOP, "While " + homing + " homes, with " + before + " at home, the " + leg.way().feature() + " runs into "
                    + leg.way().neighbour().name(), "In the order of homing " + before + " has gone home before. " + (c.machine().surroundings().axes().size() > HomingFact.MOST_AXES ? "Other orders were not tried, there are too many; the part, or what stands there, may give way."
                            : leg.orders().isEmpty() ? "No other order helps: the part, or what stands there, has to give way."
                            : "Home in the order " + String.join(", ", leg.orders().get(0)) + " instead, on the machine too, or let the part give way.")
                            + (leg.way().depthMm() > 0 ? " The depth is the greatest on all its ways." : "")).measured(new Margin(Math.round(100 * (leg.way().depthMm() > 0 ? -leg.way().depthMm() : leg.way().surelyMm())) / 100.0, 0, Unit.MM, true)).at(leg.way().piece().id(), leg.way().feature())
                    .about(Subject.LAYOUT).posed(leg.pose()).with(leg.orders().stream().limit(2).map(o -> Remedy.of("home " + String.join(", ", o), new Change.HomingOrder(o))).toList()));
        }
        return all;
    }
}
