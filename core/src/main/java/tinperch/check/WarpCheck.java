package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.LiesFact;
import tinperch.fact.MeshesFact;
import tinperch.machine.Machine;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.query.Footing;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Does a long flat piece stay on the bed? What cools shrinks, length × linear shrinkage, and the bed holds it flat; the more is held back the harder its ends pull up. How much a bed holds, cold, warm, or warm in an
 * enclosure, is a value from memory.
 */
public final class WarpCheck implements Check {
    private static final double COLD_MM = 0.35;
    private static final double WARM_MM = 0.8;
    private static final double ENCLOSED_MM = 1.6;

    @Override
    public String about() {
        return "warping";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Optional<Machine> host = c.host().filter(Machine::prints);
        Optional<Material> material = Material.find(c.part().material());
        List<Finding> all = new ArrayList<>();
        for (MeshesFact.Made m : host.isEmpty() || material.isEmpty() ? List.<MeshesFact.Made>of() : facts.get(MeshesFact.BARE).pieces()) {
            facts.stop().check();
            double longMm = Footing.of(m.mesh(), c.lie(m.piece().id()).up()).lengthMm();
            if (shrinksMm(longMm, material.get()) > holdsMm(host.get())) {
                all.add(finding(m, longMm, host.get(), material.get(), c, facts));
            }
        }
        return all;
    }

    private static double shrinksMm(double longMm, Material m) {
        return longMm * m.shrinkPercent() / 100;
    }

    private static double holdsMm(Machine m) {
        return !m.heatedBed() ? COLD_MM : m.enclosed() ? ENCLOSED_MM : WARM_MM;
    }

    private static Finding finding(MeshesFact.Made m, double longMm, Machine host, Material material, Case c, Facts facts) {
        double limit = holdsMm(host);
        List<Remedy> all = new ArrayList<>();
        c.printers().stream().filter(o -> o.prints() && !o.id().equals(host.id()) && shrinksMm(longMm, material) <= holdsMm(o)).limit(2).forEach(o -> all.add(Remedy.of("print on " + o.name(), new Change.Host(o.id()))));
        Map<?, LiesFact.Lying> lies = facts.get(LiesFact.LIES).get(m.piece().id());
        all.addAll(OtherLies.of(c, facts, m.piece(), l -> shrinksMm(lies.get(l).footing().lengthMm(), material) <= limit, 1));
        all.addAll(OtherMaterials.of(c, o -> shrinksMm(longMm, o) <= limit, Comparator.comparingDouble(Material::shrinkPercent), 1));
        return Finding.of("warp." + m.piece().id(), Severity.LOOK, "The " + m.piece().name() + "'s ends may pull up from the bed", Quantity.mm(Math.round(longMm)) + " of it lie on the bed, and " + material.name() + " shrinks by " + Quantity.show(material.shrinkPercent(), Unit.PERCENT)
                + ": " + Quantity.mm(Math.round(shrinksMm(longMm, material) * 100) / 100.0) + " to hold back. " + (host.heatedBed() ? host.enclosed() ? "A warm bed in an enclosure" : "A warm bed in the open" : "A cold bed") + " holds about " + Quantity.mm(limit)
                + " (values from memory). A brim and round corners help; two pieces pull half as far.").measured(new Margin(shrinksMm(longMm, material), limit, Unit.MM, false)).at(m.piece().id(), "").about(Subject.PRINTING).with(all);
    }
}
