package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.part.form.Joint;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Is foam between two faces pressed enough to seal and not so far that it is crushed? 25 to 50 % of its thickness (common practice). */
public final class SealCheck implements Check {
    private static final double LEAST_PERCENT = 25;
    private static final double MOST_PERCENT = 50;

    @Override
    public String about() {
        return "seals";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.joints().forEach(j -> {
            if (j instanceof Joint.Seal s) {
                all.add(finding(s, "seal." + all.size(), c));
            }
        }));
        return all;
    }

    private static Finding finding(Joint.Seal s, String id, Case c) {
        if (!(s.foamMm() > 0)) {
            return Finding.of(id, Severity.CANT_TELL, "Whether the " + s.label() + " seals cannot be told", "How thick its foam is as it comes was not read; "
                    + "read it on the Measure station.").settledBy(Settle.By.MEASURE, s.roleId(), "read the foam");
        }
        double pressed = 100 * (1 - s.gapMm() / s.foamMm());
        boolean loose = pressed < (LEAST_PERCENT + MOST_PERCENT) / 2;
        Margin m = new Margin(pressed, loose ? LEAST_PERCENT : MOST_PERCENT, Unit.PERCENT, loose);
        String why = "Foam of " + Quantity.mm(s.foamMm()) + " pressed to " + Quantity.mm(s.gapMm()) + " is pressed by " + Quantity.show(pressed, Unit.PERCENT)
                + "; 25 to 50 % seals (common practice).";
        if (m.spare() >= 0) {
            return Finding.of(id, Severity.FINE, "The " + s.label() + " seals", why).measured(m);
        }
        // A third of its thickness is in the middle of what seals.
        double byMm = s.foamMm() * 0.65 - s.gapMm();
        String what = !loose ? "The " + s.label() + " is crushed" : pressed <= 0 ? "The " + s.label() + " touches nothing" : "The " + s.label() + " leaks";
        return Finding.of(id, pressed <= 0 ? Severity.STOP : Severity.LOOK, what, why).measured(m)
                .with(s.levers().stream().map(l -> Remedy.pull(l, c.recipe().values(), byMm)).toList());
    }
}
