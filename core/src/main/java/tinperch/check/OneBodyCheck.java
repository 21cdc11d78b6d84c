package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.part.bind.MeshRef;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.query.Shells;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Does each piece hold together, or did something cut it apart? A downloaded model may be several bodies on purpose, so there it is only said. */
public final class OneBodyCheck implements Check {
    @Override
    public String about() {
        return "in one piece";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        boolean model = c.recipe().refs().byRole().values().stream().anyMatch(MeshRef.class::isInstance);
        List<Finding> all = new ArrayList<>();
        for (MeshesFact.Made m : facts.get(MeshesFact.BARE).pieces()) {
            List<Double> bodies = Shells.bodiesMm3(m.mesh());
            if (bodies.size() != 1) {
                String what = bodies.isEmpty() ? "Nothing is left of the " + m.piece().name() : "The " + m.piece().name() + " falls into " + bodies.size() + " loose bodies";
                String why = bodies.isEmpty() ? "What was cut out of it took all of it." : "The second largest is " + Quantity.show(bodies.get(1) / 1000, Unit.MILLILITRE)
                        + ". Something cut it apart, or something added does not touch it.";
                all.add(Finding.of("bodies." + m.piece().id(), model ? Severity.LOOK : Severity.STOP, what, why).measured(new Margin(bodies.size(), 1, Unit.COUNT, false))
                        .at(m.piece().id(), "").with(c.part().features().stream().filter(f -> !f.off())
                                .map(f -> Remedy.of("switch off “" + f.name() + "”", new Change.PutFeature(f.switchedOff(true)))).toList()));
            }
        }
        return all;
    }
}
