package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.material.Material;
import tinperch.part.form.Joint;
import tinperch.part.param.Lever;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * Does a snap live through being put together a few times? Strain at the root of an arm is 1.5·t·y/L² (rectangular section), in a ring
 * interference / diameter (the classical design-guide formulas); what plastics stand when used repeatedly: values from memory.
 */
public final class SnapCheck implements Check {
    @Override
    public String about() {
        return "snaps";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Joint> joints = facts.get(FormFact.FORM).form().map(f -> f.joints()).orElse(List.of());
        List<Finding> all = new ArrayList<>();
        for (Joint.Snap j : joints.stream().filter(Joint.Snap.class::isInstance).map(Joint.Snap.class::cast).distinct().toList()) {
            all.add(finding(j, "snap." + all.size(), c));
        }
        return all;
    }

    private static Finding finding(Joint.Snap j, String id, Case c) {
        double perMm;
        double mm;
        List<Lever> soften;
        if (j instanceof Joint.AnnularSnap a) {
            perMm = 100 / a.diameterMm();
            mm = a.interferenceMm();
            soften = a.soften();
        } else {
            Joint.CantileverSnap s = (Joint.CantileverSnap) j;
            perMm = 100 * 1.5 * s.thicknessMm() / (s.lengthMm() * s.lengthMm());
            mm = s.undercutMm();
            soften = s.soften();
        }
        String material = c.part().material();
        if (Material.find(material).isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "Whether the snap of the " + j.label() + " lives cannot be told", "The strain is " + Quantity.show(mm * perMm, Unit.PERCENT)
                    + "; what “" + material + "” stands is not known. Choose a material of the table.").settledBy(Settle.By.MATERIAL, "", "choose a material");
        }
        double limit = Material.find(material).get().snapStrainPercent();
        Margin m = new Margin(mm * perMm, limit, Unit.PERCENT, false);
        if (mm <= 0) {
            return Finding.of(id, Severity.STOP, "The snap of the " + j.label() + " holds nothing", "The play is as large as the bead: nothing snaps.")
                    .with(soften.stream().map(l -> Remedy.pull(l, c.recipe().values(), 0.4 - mm)).toList());
        }
        String why = "Strain when it is put together " + Quantity.show(m.value(), Unit.PERCENT) + "; " + material + " stands about " + Quantity.show(limit, Unit.PERCENT)
                + " again and again (value from memory).";
        if (m.spare() >= 0) {
            return Finding.of(id, Severity.FINE, "The snap of the " + j.label() + " does not break", why).measured(m);
        }
        return Finding.of(id, m.value() > 2 * limit ? Severity.STOP : Severity.LOOK, "The snap of the " + j.label() + " breaks after a few times", why).measured(m)
                .with(soften.stream().map(l -> Remedy.pull(l, c.recipe().values(), m.spare() / perMm)).toList());
    }
}
