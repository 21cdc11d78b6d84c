package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.material.Material;
import tinperch.part.form.Joint;
import tinperch.part.param.Lever;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.strength.RingSnap;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Does a snap live through being put together a few times? Strain at the root of an arm is 1.5·t·y/L² (rectangular section), in a closed ring
 * interference / diameter (the classical design-guide formulas), in a slit one that of its bending; what plastics stand when used repeatedly: values from memory. An arm is pushed on with P·(μ + tan α)/(1 − μ·tan α), where P = w·t²·E·ε/(6·L) bends
 * it (the same guides).
 */
public final class SnapCheck implements Check {
    /** Of plastic on plastic (value from memory: 0.2 to 0.5). */
    private static final double FRICTION = 0.3;
    /** What a thumb pushes without being hurt, N (value from memory). */
    private static final double THUMB_N = 60;
    /** What both hands press together, N (value from memory). */
    private static final double HANDS_N = 300;
    /** What a bead or a hook that bites nothing is made to bite, mm (value from memory). */
    private static final double WANTED_MM = 0.4;
    private static final double SLIT_MM = 2;
    private static final double MPA_PER_GPA = 1000;

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
            perMm = 100 * ring(a).strainPerMm();
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
            return Finding.of(id, Severity.STOP, "The snap of the " + j.label() + " holds nothing", "The play is as large as the bead: nothing snaps.").measured(new Margin(mm, 0, Unit.MM, true))
                    .with(soften.stream().map(l -> Remedy.pull(l, c.recipe().values(), WANTED_MM - mm)).toList());
        }
        String why = "Strain when it is put together " + Quantity.show(m.value(), Unit.PERCENT) + "; " + material + " stands about " + Quantity.show(limit, Unit.PERCENT)
                + " again and again (value from memory).";
        double modulusMPa = Material.named(material).modulusGPa() * MPA_PER_GPA;
        Optional<Double> push = j instanceof Joint.AnnularSnap a ? Optional.of(ring(a).squeezeN(modulusMPa) * slope(RingSnap.LEAD_DEG))
                : j instanceof Joint.CantileverSnap s && s.widthMm() > 0 ? Optional.of(pushN(s, modulusMPa)) : Optional.empty();
        double hand = j instanceof Joint.AnnularSnap ? HANDS_N : THUMB_N;
        why += push.map(n -> " It takes about " + Quantity.show((double) Math.round(n), Unit.NEWTON) + " to push on" + (j instanceof Joint.AnnularSnap ? " squarely, ring and tube giving as handbooks say." : ".")).orElse("");
        if (m.spare() >= 0 && push.filter(n -> n > hand).isPresent()) {
            List<Remedy> easier = new ArrayList<>(j instanceof Joint.AnnularSnap a && !a.slit() ? List.of(Remedy.of("slit the ring", new Change.Set<>(a.slitBy(), SLIT_MM))) : List.of());
            easier.addAll(soften.stream().map(l -> Remedy.pull(l, c.recipe().values(), mm * (hand / push.get() - 1))).toList());
            return Finding.of(id, Severity.LOOK, "The snap of the " + j.label() + " is hard to push on", why + (hand == THUMB_N ? " A thumb gives " : " Two hands give ") + Quantity.show(hand, Unit.NEWTON) + " (value from memory); what is forced breaks beside the snap.")
                    .measured(new Margin(push.get(), hand, Unit.NEWTON, false)).with(easier);
        }
        if (m.spare() >= 0) {
            return Finding.of(id, Severity.FINE, "The snap of the " + j.label() + " does not break", why).measured(m);
        }
        return Finding.of(id, m.value() > 2 * limit ? Severity.STOP : Severity.LOOK, "The snap of the " + j.label() + " breaks after a few times", why).measured(m)
                .with(soften.stream().map(l -> Remedy.pull(l, c.recipe().values(), m.spare() / perMm)).toList());
    }

    private static RingSnap ring(Joint.AnnularSnap a) {
        return new RingSnap(a.interferenceMm(), a.diameterMm(), a.ringMm(), a.highMm(), a.wallMm(), a.slit());
    }

    /** What pushes an arm on, N. */
    static double pushN(Joint.CantileverSnap s, double modulusMPa) {
        double strain = 1.5 * s.thicknessMm() * s.undercutMm() / (s.lengthMm() * s.lengthMm());
        double bends = s.widthMm() * s.thicknessMm() * s.thicknessMm() * modulusMPa * strain / (6 * s.lengthMm());
        return bends * slope(s.leadDeg());
    }

    /** What pushes along for what presses across, up a flank. */
    private static double slope(double leadDeg) {
        double lean = Math.tan(Math.toRadians(leadDeg));
        return (FRICTION + lean) / (1 - FRICTION * lean);
    }
}
