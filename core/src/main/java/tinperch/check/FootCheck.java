package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.LiesFact;
import tinperch.fact.MeshesFact;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.query.Footing;
import tinperch.upgrade.Case;

/**
 * Does every piece stand while it is printed? What is more than six times as high as its foot is wide is knocked over, and less than a thumbnail of it lying on the bed comes loose (values from memory; common
 * practice is a brim).
 */
public final class FootCheck implements Check {
    @Override
    public String about() {
        return "foot";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (MeshesFact.Made m : facts.get(MeshesFact.BARE).pieces()) {
            facts.stop().check();
            Footing f = Footing.of(m.mesh(), c.lie(m.piece().id()).up());
            if (!LiesFact.stands(f)) {
                all.add(finding(m, f).with(OtherLies.of(c, facts, m.piece(), l -> true, 2)));
            }
        }
        return all;
    }

    private static Finding finding(MeshesFact.Made m, Footing f) {
        String id = "foot." + m.piece().id();
        if (f.areaMm2() < LiesFact.LEAST_MM2) {
            return Finding.of(id, Severity.LOOK, "Only " + Quantity.fixed(f.areaMm2(), 0) + " mm² of the " + m.piece().name() + " lie on the bed", "Less than " + Quantity.fixed(LiesFact.LEAST_MM2, 0)
                    + " mm² comes loose while it is printed (value from memory). Lay it on another side, or print it with a brim.")
                    .measured(new Margin(f.areaMm2(), LiesFact.LEAST_MM2, Unit.MM2, true)).at(m.piece().id(), "").about(Subject.PRINTING);
        }
        return Finding.of(id, Severity.LOOK, "The " + m.piece().name() + " stands " + Quantity.fixed(f.heightMm() / f.widthMm(), 0) + " times as high as its foot is wide", Quantity.mm(Math.round(f.heightMm())) + " high on a foot of "
                + Quantity.mm(Math.round(f.widthMm() * 10) / 10.0) + "; above " + Quantity.fixed(LiesFact.SLENDER, 0) + " times the nozzle knocks it over (value from memory). Lay it on another side, or print it with a brim.")
                .measured(new Margin(f.heightMm(), LiesFact.SLENDER * f.widthMm(), Unit.MM, false)).at(m.piece().id(), "").about(Subject.PRINTING);
    }
}
