package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.part.form.Joint;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Does a channel lead what runs in it, without binding? Printed walls are off by 0.1 mm and what was measured by half of its half width; with more than 0.5 mm a side nothing is led any more (common practice). */
public final class GuideCheck implements Check {
    private static final double PRINTED_MM = 0.1;
    private static final double LOOSE_MM = 0.5;

    @Override
    public String about() {
        return "guides";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.joints().forEach(j -> {
            if (j instanceof Joint.Guide g) {
                all.add(finding(g, "guide." + all.size(), c));
            }
        }));
        return all;
    }

    private static Finding finding(Joint.Guide g, String id, Case c) {
        double wanted = PRINTED_MM + g.halfWidthMm() / 2;
        double play = g.eachSideMm();
        String side = Quantity.mm(Math.round(play * 100) / 100.0) + " each side";
        String why = "Drawn, it has " + side + ". Walls come out " + Quantity.mm(PRINTED_MM) + " off" + (g.halfWidthMm() > 0 ? ", its width was read to ± " + Quantity.mm(Math.round(g.halfWidthMm() * 100) / 100.0) : "")
                + ": below " + Quantity.mm(Math.round(wanted * 100) / 100.0) + " it may bind, above " + Quantity.mm(LOOSE_MM) + " it is not led (common practice). Over its length it can tilt by "
                + Quantity.fixed(Math.toDegrees(Math.atan2(2 * Math.max(0, play), g.lengthMm())), 2) + "°.";
        if (play > LOOSE_MM) {
            return Finding.of(id, Severity.LOOK, "The channel does not guide the " + g.label() + ": " + side, why).measured(new Margin(play, LOOSE_MM, Unit.MM, false)).with(pulls(g, c, LOOSE_MM / 2 - play));
        }
        Margin m = new Margin(play, wanted, Unit.MM, true);
        if (play >= wanted) {
            return Finding.of(id, Severity.FINE, "The " + g.label() + " runs freely in the channel", why).measured(m);
        }
        return Finding.of(id, play <= 0 ? Severity.STOP : Severity.LOOK, play <= 0 ? "The " + g.label() + " does not go into the channel" : "The " + g.label() + " binds in the channel: " + side, why).measured(m).with(pulls(g, c, wanted - play));
    }

    private static List<Remedy> pulls(Joint.Guide g, Case c, double byMm) {
        return g.levers().stream().map(l -> Remedy.pull(l, c.recipe().values(), byMm)).toList();
    }
}
