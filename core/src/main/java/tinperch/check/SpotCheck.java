package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.Run;
import tinperch.upgrade.Case;

/** Spots of the part whose temperature was recorded, against what its material stands loaded. */
public final class SpotCheck implements Check {
    /** Parts near heat want so much to spare, K (common practice). */
    private static final double SPARE_K = 10;

    @Override
    public String about() {
        return "recorded temperatures";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        Optional<Material> material = Material.find(c.part().material());
        String me = c.upgrade().id() + "/" + c.part().id();
        for (Run r : c.machine().runs()) {
            for (Channel k : r.channels()) {
                if (k.kind() == Channel.Kind.SPOT && k.of().equals(me) && k.kept().isPresent() && material.isPresent()) {
                    all.add(finding("spot." + all.size(), k, r, material.get(), others(c, k.kept().get().peakC())));
                }
            }
        }
        return all;
    }

    /** Materials its printer may print that stand it, those that stand least first. */
    private static List<Remedy> others(Case c, double hotC) {
        return OtherMaterials.of(c, o -> o.useLimitC() - SPARE_K >= hotC, Comparator.comparingDouble(Material::useLimitC), 2);
    }

    private static Finding finding(String id, Channel spot, Run run, Material m, List<Remedy> remedies) {
        double hot = spot.kept().map(Kept::peakC).orElseThrow();
        String where = "“" + spot.name() + "” reached " + Quantity.show(Math.round(hot * 10) / 10.0, Unit.CELSIUS) + " in “" + run.name() + "”" + (spot.revision().isEmpty() ? "" : ", measured on " + spot.revision())
                + (run.simulated() ? " (simulated)" : "") + ". ";
        String stands = m.name() + " stands " + Quantity.show(m.useLimitC(), Unit.CELSIUS) + " loaded (value from memory)";
        Margin margin = new Margin(hot, m.useLimitC(), Unit.CELSIUS, false);
        if (hot <= m.useLimitC() - SPARE_K) {
            return Finding.of(id, Severity.FINE, "The part stays cool enough where it was logged", where + stands + ".").measured(margin);
        }
        boolean over = hot > m.useLimitC();
        return Finding.of(id, over && spot.revision().isEmpty() ? Severity.STOP : Severity.LOOK, over ? "The part gets hotter than its material stands" : "The part comes near to what its material stands",
                where + stands + (over ? "; it creeps and sags. More standoff or gap, a sock on the block, air, or a material that stands more." : "; " + Math.round(SPARE_K) + " K to spare are wanted (common practice)."))
                .measured(margin).with(remedies);
    }
}
