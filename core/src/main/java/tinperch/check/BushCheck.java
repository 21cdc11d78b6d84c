package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.part.form.Joint;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Whether bushes bring their holes to where they are wanted: what is left of the misfit against what the screw can move in its hole (ISO 273). */
public final class BushCheck implements Check {
    @Override
    public String about() {
        return "bushes";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.joints().forEach(j -> {
            if (j instanceof Joint.Bush b) {
                all.add(finding(b, "bush." + all.size(), c));
            }
        }));
        return all;
    }

    private static Finding finding(Joint.Bush b, String id, Case c) {
        String how = b.offMm() == 0 ? "centred" : "off by " + Quantity.mm(b.offMm()) + " and turned to " + Quantity.show(b.turnDeg(), Unit.DEG);
        String why = "Of a misfit of " + Quantity.mm(b.misfitMm()) + " " + Quantity.mm(b.missedMm()) + " is left with bushes " + how + ", the best of six positions of each; the screws can move "
                + Quantity.mm(b.playMm()) + " in their holes.";
        Margin margin = new Margin(b.missedMm(), b.playMm(), Unit.MM, false);
        if (b.missedMm() <= b.playMm()) {
            return Finding.of(id, Severity.FINE, "The " + b.label() + ", " + how + ", meet their holes", why).measured(margin);
        }
        // The nearest position, with the hole just as far off as the misfit goes that way; a bush twice as far off has it at half the step.
        double along = Math.sqrt(Math.max(0, b.misfitMm() * b.misfitMm() - Math.pow(b.misfitMm() * Math.sin(Math.toRadians(30)), 2)));
        List<Remedy> remedies = b.levers().stream().map(l -> Remedy.pull(l, c.recipe().values(), along / 2 - l.param().of(c.recipe().values()))).toList();
        return Finding.of(id, Severity.LOOK, "The " + b.label() + " leave the holes " + Quantity.mm(b.missedMm()) + " off", why).measured(margin).with(remedies);
    }
}
