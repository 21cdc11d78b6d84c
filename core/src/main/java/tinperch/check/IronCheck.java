package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.IronFact;
import tinperch.fact.IronFact.Blocked;
import tinperch.part.form.SeatKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Can every heat-set insert be melted in straight, without the iron touching the part beside it? What it touches melts, and an insert that goes in askew holds its screw askew. */
public final class IronCheck implements Check {
    @Override
    public String about() {
        return "inserts' way in";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (facts.get(FormFact.FORM).form().map(f -> f.screws().stream().noneMatch(s -> s.end() == SeatKind.INSERT)).orElse(true)) {
            return List.of();
        }
        Map<String, Blocked> worst = new LinkedHashMap<>();
        facts.get(IronFact.IRON).forEach(b -> worst.merge(b.screw().row(), b, (x, y) -> y.freeMm() < x.freeMm() ? y : x));
        List<Finding> all = new ArrayList<>();
        worst.forEach((row, b) -> all.add(Finding.of("iron." + row, Severity.LOOK, "The iron touches " + b.feature() + " while it melts the inserts of the " + b.screw().rowLabel() + " in",
                "It can go straight for the last " + Quantity.mm(Math.round(b.freeMm() * 10) / 10.0) + " only; an iron's tip is thin for about " + Quantity.mm(IronFact.TIP_MM)
                        + ", and stands 1.5 mm out round an insert (common practice). Move the insert away from it, make it lower, or take a captive nut. Hot brass burns: hold the part, not the insert.")
                .measured(new Margin(b.freeMm(), IronFact.TIP_MM, Unit.MM, true)).at(b.piece().id(), b.screw().row()).about(Subject.LAYOUT).with(remedies(b, c))));
        return all.isEmpty() ? List.of(Finding.of("iron", Severity.FINE, "An iron gets straight to every insert", "Nothing of the part stands in the way of its tip for " + Quantity.mm(IronFact.TIP_MM) + ".")) : all;
    }

    /** Nuts need no iron; and what stands beside the mouth may be made lower, or stand farther off. */
    private static List<Remedy> remedies(Blocked b, Case c) {
        List<Remedy> all = new ArrayList<>(OtherSeats.of(b.screw(), SeatKind.CAPTIVE_NUT, SeatKind.LOOSE_NUT));
        all.addAll(Clearing.of(b.piece(), b.feature(), b.screw().axis().w().times(-1), IronFact.TIP_MM - b.freeMm(), c));
        return all;
    }
}
