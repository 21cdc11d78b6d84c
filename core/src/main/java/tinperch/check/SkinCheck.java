package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.SkinsFact;
import tinperch.machine.Machine;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Is the skin of a duct two lines thick everywhere? One line leaks and splits (common practice). A line is as wide as the nozzle of the machine it is printed on. */
public final class SkinCheck implements Check {
    private static final int LINES = 2;
    /** Where nobody knows what prints it. */
    private static final double USUAL_NOZZLE_MM = 0.4;
    /** Pulled beyond what is missing: faces of inside and outside are divided differently, and its thinnest place moves. */
    private static final double OVER = 1.3;

    @Override
    public String about() {
        return "skins";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        // Parts that lead no air leave nothing to be remembered.
        if (facts.get(FormFact.FORM).form().map(f -> f.air().stream().allMatch(a -> a.inside().isEmpty())).orElse(true)) {
            return List.of();
        }
        List<Finding> all = new ArrayList<>();
        for (SkinsFact.Skin s : facts.get(SkinsFact.SKINS)) {
            s.thinnestMm().ifPresent(mm -> all.add(finding(s, mm, "skin." + all.size(), c)));
        }
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    private static Finding finding(SkinsFact.Skin s, double mm, String id, Case c) {
        double nozzle = c.printers().stream().filter(m -> m.id().equals(c.upgrade().hostMachineId())).mapToDouble(Machine::nozzleMm).filter(n -> n > 0).findFirst().orElse(USUAL_NOZZLE_MM);
        double least = LINES * nozzle;
        Margin m = new Margin(mm, least, Unit.MM, true);
        String why = "Measured all over its inside; a slanted wall is thinner than what is typed. Two lines of a " + Quantity.mm(nozzle) + " nozzle are " + Quantity.mm(least) + "; one line leaks (common practice).";
        String what = "The skin round the " + s.air().label() + " is " + Quantity.mm(Math.round(mm * 100) / 100.0) + " at its thinnest";
        if (m.spare() >= -1e-6) {
            return Finding.of(id, Severity.FINE, what, why).measured(m).at(s.pieceId(), s.air().inside());
        }
        // Its thinnest place grows by less than what is typed, in the same share.
        return Finding.of(id, Severity.STOP, what, why).measured(m).at(s.pieceId(), s.air().inside()).with(s.air().thicker().stream()
                .map(l -> Remedy.pull(l, c.recipe().values(), (least - mm) * OVER * Math.max(1, l.param().of(c.recipe().values()) / mm))).toList());
    }
}
