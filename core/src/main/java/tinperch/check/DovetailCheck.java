package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.part.form.Joint;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * Does a tapered dovetail slide in and sit without play? Clearance when home 0 to 0.1 mm a flank, taper 1 to 3° (common practice); what a mm of
 * the way takes away is the taper's tangent.
 */
public final class DovetailCheck implements Check {
    private static final double MOST_MM = 0.1;
    private static final double MIDDLE_MM = 0.05;
    /** With less play than this at the start it has to be driven in all the way. */
    private static final double FREE_MM = 0.2;

    @Override
    public String about() {
        return "dovetails";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.joints().forEach(j -> {
            if (j instanceof Joint.Dovetail d) {
                all.add(finding(d, "dovetail." + all.size(), c));
            }
        }));
        return all;
    }

    private static Finding finding(Joint.Dovetail d, String id, Case c) {
        double start = d.clearanceMm() + d.wayMm() * d.closesPerMm();
        String why = "It begins with " + Quantity.mm(start) + " of play a flank, loses " + Quantity.show(d.closesPerMm(), Unit.MM) + " with each millimetre it is pushed and has "
                + Quantity.mm(d.clearanceMm()) + " when home; 0 to " + Quantity.mm(MOST_MM) + " sits (common practice).";
        if (d.clearanceMm() < 0) {
            return Finding.of(id, Severity.LOOK, "The " + d.label() + " sticks before it is home", why).measured(new Margin(d.clearanceMm(), 0, Unit.MM, true))
                    .with(pull(d, c));
        }
        if (d.clearanceMm() > MOST_MM) {
            return Finding.of(id, Severity.LOOK, "The " + d.label() + " rattles", why).measured(new Margin(d.clearanceMm(), MOST_MM, Unit.MM, false)).with(pull(d, c));
        }
        if (start < FREE_MM) {
            return Finding.of(id, Severity.LOOK, "The " + d.label() + " has to be driven in all the way", why + " More taper lets it slide in first.")
                    .measured(new Margin(start, FREE_MM, Unit.MM, true));
        }
        return Finding.of(id, Severity.FINE, "The " + d.label() + " slides in and sits", why).measured(new Margin(d.clearanceMm(), MOST_MM, Unit.MM, false));
    }

    private static List<Remedy> pull(Joint.Dovetail d, Case c) {
        return d.levers().stream().map(l -> Remedy.pull(l, c.recipe().values(), MIDDLE_MM - d.clearanceMm())).toList();
    }
}
