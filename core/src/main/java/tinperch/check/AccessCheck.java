package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.fact.AccessFact;
import tinperch.fact.AccessFact.Blocked;
import tinperch.fact.Facts;
import tinperch.hardware.HexKey;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Can every screw still be driven once the part is where it belongs? A driver wants 70 mm (common practice), a key its short arm and room to turn from one flat to the next; with less room than the screw is long it cannot even be put in. */
public final class AccessCheck implements Check {
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
        facts.get(AccessFact.ACCESS).forEach(b -> worst.merge(b.screw().row(), b, (x, y) -> y.turnDeg() < x.turnDeg() || y.turnDeg() == x.turnDeg() && y.freeMm() < x.freeMm() ? y : x));
        List<Finding> all = new ArrayList<>();
        worst.forEach((row, b) -> {
            double needs = Math.max(b.key().shortMm(), b.screw().lengthMm());
            boolean none = b.freeMm() < needs;
            if (!none && b.turnDeg() < HexKey.FLATS_DEG) {
                all.add(Finding.of("access." + row, Severity.STOP, "A key on the heads of the " + b.screw().rowLabel() + " turns " + Math.round(b.turnDeg()) + "° only", Quantity.mm(Math.round(b.freeMm() * 10) / 10.0) + " are free before the head up to " + b.by()
                        + ", too little for a driver; a key of " + Quantity.mm(b.key().acrossMm()) + " (arms of " + Quantity.mm(b.key().shortMm()) + " and " + Quantity.mm(b.key().longMm()) + ", ISO 2936) has to turn by " + Math.round(HexKey.FLATS_DEG)
                        + "°, from one flat to the next.").measured(new Margin(b.turnDeg(), HexKey.FLATS_DEG, Unit.DEG, true)).at(b.piece().id(), b.screw().row()).about(Subject.LAYOUT));
                return;
            }
            all.add(Finding.of("access." + row, none ? Severity.STOP : Severity.LOOK, none ? "No way to the heads of the " + b.screw().rowLabel() + ": " + b.by() + " stands before them"
                    : "Only a short key gets to the heads of the " + b.screw().rowLabel(), Quantity.mm(Math.round(b.freeMm() * 10) / 10.0) + " are free before the head up to " + b.by() + ", wherever the axes stand at home and at their ends; "
                            + (none ? Quantity.mm(needs) + " are needed to put the screw in and turn it with a key." : "a driver wants " + Quantity.mm(AccessFact.DRIVER_MM) + "."))
                    .measured(new Margin(b.freeMm(), none ? needs : AccessFact.DRIVER_MM, Unit.MM, true)).at(b.piece().id(), b.screw().row()).about(Subject.LAYOUT));
        });
        return all;
    }
}
