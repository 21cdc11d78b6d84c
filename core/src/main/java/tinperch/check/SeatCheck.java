package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.fact.Facts;
import tinperch.fact.SeatsFact.Seat;
import tinperch.fact.SeatsFact;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * Does every head, washer, nut and insert get to its place, and does it lie flat there? Nothing may stand where it goes; at least 90 %
 * of its seat must bear (common practice).
 */
public final class SeatCheck implements Check {
    private static final double BEARS_PERCENT = 90;
    private static final double FREE_MM = 0.1;

    @Override
    public String about() {
        return "seats";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Map<String, Seat> worst = new LinkedHashMap<>();
        for (Seat s : facts.get(SeatsFact.SEATS)) {
            worst.merge(s.screw().row(), s, (a, b) -> badness(b) > badness(a) ? b : a);
        }
        List<Finding> all = new ArrayList<>();
        worst.forEach((row, s) -> all.add(finding(row, s)));
        return all;
    }

    private static double badness(Seat s) {
        return s.inTheWayMm() > FREE_MM ? 10 + s.inTheWayMm() : 1 - s.bearing();
    }

    private static Finding finding(String row, Seat s) {
        String id = "seat." + row;
        String which = s.screw().rowLabel().replaceAll("s$", "") + " " + s.screw().id().substring(row.length() + 1);
        if (s.inTheWayMm() > FREE_MM) {
            return Finding.of(id, Severity.STOP, "The " + s.wayOf() + " of the " + which + " has no place: " + s.obstacle() + " stands " + Quantity.mm(s.inTheWayMm()) + " in its way",
                    "It cannot lie flat, and a driver or the iron does not get there straight. Move or turn a pattern, let it in deeper, or put the heads on the other side.")
                    .measured(new Margin(Math.round(100 * s.inTheWayMm()) / 100.0, FREE_MM, Unit.MM, false))
                    .at(s.screw().pieceId(), s.obstacle()).about(Subject.LAYOUT);
        }
        Margin m = new Margin(Math.rint(100 * s.bearing()), BEARS_PERCENT, Unit.PERCENT, true);
        if (m.spare() < 0) {
            return Finding.of(id, m.value() < 60 ? Severity.STOP : Severity.LOOK, "Only " + Quantity.show(m.value(), Unit.PERCENT) + " of the seat of the " + which + " bears",
                    "The rest hangs over an edge or a hole: it tilts when tightened. 90 % should bear (common practice).").measured(m)
                    .at(s.screw().pieceId(), "").about(Subject.LAYOUT);
        }
        return Finding.of(id, Severity.FINE, "The " + s.screw().rowLabel() + " lie flat and can be reached", "Measured on the part along each screw, in three rings.")
                .measured(m).at(s.screw().pieceId(), "");
    }
}
