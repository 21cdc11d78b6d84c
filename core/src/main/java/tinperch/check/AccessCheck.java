package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.fact.AccessFact;
import tinperch.fact.AccessFact.Blocked;
import tinperch.fact.Facts;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Can every screw still be driven once the part is where it belongs? A key is short, a driver wants 70 mm (common practice); with less room than the screw is long it cannot even be put in. */
public final class AccessCheck implements Check {
    private static final double KEY_MM = 18;

    @Override
    public String about() {
        return "tool access";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (c.site().isEmpty()) {
            return List.of();
        }
        Map<String, Blocked> worst = new LinkedHashMap<>();
        facts.get(AccessFact.ACCESS).forEach(b -> worst.merge(b.screw().row(), b, (x, y) -> y.freeMm() < x.freeMm() ? y : x));
        List<Finding> all = new ArrayList<>();
        worst.forEach((row, b) -> {
            double needs = Math.max(KEY_MM, b.screw().lengthMm());
            boolean none = b.freeMm() < needs;
            all.add(Finding.of("access." + row, none ? Severity.STOP : Severity.LOOK, none ? "No way to the heads of the " + b.screw().rowLabel() + ": " + b.by() + " stands before them"
                    : "Only a short key gets to the heads of the " + b.screw().rowLabel(), Quantity.mm(Math.round(b.freeMm() * 10) / 10.0) + " are free before the head up to " + b.by() + ", wherever the axes stand at home and at their ends; "
                            + (none ? Quantity.mm(needs) + " are needed to put the screw in and turn it with a key." : "a driver wants " + Quantity.mm(AccessFact.DRIVER_MM) + "."))
                    .measured(new Margin(b.freeMm(), none ? needs : AccessFact.DRIVER_MM, Unit.MM, true)).at(b.piece().id(), b.screw().row()).about(Subject.LAYOUT));
        });
        return all;
    }
}
