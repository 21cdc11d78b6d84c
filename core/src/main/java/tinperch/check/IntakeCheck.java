package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.IntakeFact;
import tinperch.fact.MeshesFact;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Whether a fan gets air: a wall nearer before its intake than half the intake's diameter starves it (common practice). */
public final class IntakeCheck implements Check {
    @Override
    public String about() {
        return "intakes";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        // Asked only where there is a fan: what was judged before stays remembered.
        boolean fan = facts.get(FormFact.FORM).form().stream().flatMap(f -> f.air().stream()).anyMatch(a -> a.intake().isPresent());
        List<Finding> all = new ArrayList<>();
        if (fan && !facts.get(MeshesFact.BARE).pieces().isEmpty()) {
            facts.get(IntakeFact.INTAKES).forEach(i -> finding(i, "intake." + all.size()).ifPresent(all::add));
        }
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    private static Optional<Finding> finding(IntakeFact.Free i, String id) {
        double wanted = i.intake().diameterMm() / 2;
        String fan = i.air().mover();
        String why = "Straight before its intake of Ø " + Quantity.mm(i.intake().diameterMm()) + (i.of().isEmpty() ? " there is nothing" : " " + i.of() + " is " + Quantity.mm(i.mm()) + " away")
                + ", at rest, axes at home; nearer than half of that starves it (common practice).";
        if (i.mm() < wanted) {
            return Optional.of(Finding.of(id, Severity.LOOK, "Of air for " + fan + " there is little: " + i.of() + " is " + Quantity.mm(i.mm()) + " before it", why).measured(new Margin(i.mm(), wanted, Unit.MM, true)));
        }
        // Never fine over what nobody looked at.
        return i.seen() ? Optional.of(Finding.of(id, Severity.FINE, "There is room before the intake of " + fan, why).measured(new Margin(Math.min(i.mm(), 10 * wanted), wanted, Unit.MM, true))) : Optional.empty();
    }
}
