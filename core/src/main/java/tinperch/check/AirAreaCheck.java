package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.part.form.AirPath;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Is an outlet wide enough for its fan? At least 0.6 of the fan's opening, or the fan stalls (common practice). */
public final class AirAreaCheck implements Check {
    private static final double LEAST_PERCENT = 60;

    @Override
    public String about() {
        return "air";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.air().forEach(a -> all.add(finding(a, "air." + all.size(), c))));
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    private static Finding finding(AirPath a, String id, Case c) {
        Margin m = new Margin(100 * a.outletMm2() / a.inletMm2(), LEAST_PERCENT, Unit.PERCENT, true);
        String why = "Its outlet has " + Math.round(a.outletMm2()) + " mm², the fan's opening " + Math.round(a.inletMm2()) + " mm²; 60 % is enough (common practice).";
        if (m.spare() >= 0) {
            return Finding.of(id, Severity.FINE, "The " + a.label() + " has room to leave", why).measured(m);
        }
        double missing = a.inletMm2() * LEAST_PERCENT / 100 - a.outletMm2();
        return Finding.of(id, Severity.LOOK, "The " + a.label() + " is held back", why).measured(m)
                .with(a.wider().stream().map(l -> Remedy.pull(l, c.recipe().values(), missing)).toList());
    }
}
