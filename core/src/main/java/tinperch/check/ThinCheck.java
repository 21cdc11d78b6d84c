package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.ThinFact;
import tinperch.machine.Machine;
import tinperch.part.form.Reach;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Is there room for a line everywhere in a layer? What is thinner than the nozzle's line is left out of the print (common practice: a line is as wide as the nozzle or a little more). */
public final class ThinCheck implements Check {
    @Override
    public String about() {
        return "thin features";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (ThinFact.Thin t : facts.get(ThinFact.THIN)) {
            if (t.widthMm().isPresent()) {
                all.add(finding(t, c));
            }
        }
        return all;
    }

    private static Finding finding(ThinFact.Thin t, Case c) {
        double width = t.widthMm().orElseThrow();
        String host = c.host().map(Machine::name).orElse("");
        List<Remedy> remedies = new ArrayList<>();
        for (Reach r : t.piece().reaches()) {
            if (t.feature().startsWith(r.feature()) && (r.outward().length() == 0 || Math.abs(r.outward().dot(t.outward())) > 0.7) && remedies.size() < 2) {
                remedies.add(Remedy.pull(r.lever(), c.recipe().values(), t.lineMm() - width + 0.05));
            }
        }
        c.printers().stream().filter(m -> m.prints() && m.nozzleMm() <= width + 0.02 && m.state() == Machine.State.FIT && m.materials().contains(c.part().material()))
                .max(Comparator.comparingDouble(Machine::nozzleMm)).ifPresent(m -> remedies.add(Remedy.of("print on " + m.name() + " with " + Quantity.mm(m.nozzleMm()), new Change.Host(m.id()))));
        return Finding.of("thin." + t.piece().id(), Severity.STOP, "The " + t.feature() + (t.feature().equals(t.piece().name()) ? "" : " of the " + t.piece().name()) + " vanishes in the print: about " + Quantity.mm(Math.round(width * 100) / 100.0) + " thin",
                host + " carries a nozzle of " + Quantity.mm(t.lineMm()) + " and lays no line thinner than that; at " + Quantity.mm(Math.round(t.at().z() * 10) / 10.0) + " above the bed there is no room for one.")
                .measured(new Margin(width, t.lineMm(), Unit.MM, true)).at(t.piece().id(), t.feature()).with(remedies);
    }
}
