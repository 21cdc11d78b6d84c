package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.HeatSetInsert;
import tinperch.part.Seat;
import tinperch.part.SeatKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/**
 * Is there enough plastic around and behind every insert, nut and hole?
 *
 * <p>Limits are common practice: 1.6 mm around an insert and its boss at least twice the insert's outside; 1.6 mm around a
 * nut or hole; 2 mm for a nut or head to pull against; 1 mm of ledge behind an insert's hole.
 */
public final class SeatWallCheck implements Check {
    static final double AROUND_MM = 1.6;
    static final double UNDER_NUT_MM = 2;
    static final double LEDGE_MM = 1;

    @Override
    public List<Finding> judge(Situation s) {
        List<Finding> all = new ArrayList<>();
        for (Seat seat : s.form().seats()) {
            all.add(around(seat, s));
            all.add(under(seat, s));
            boss(seat).ifPresent(all::add);
        }
        return all;
    }

    private static Finding around(Seat seat, Situation s) {
        Margin m = new Margin(seat.aroundMm(), AROUND_MM, Unit.MM, true);
        String id = "wall." + seat.site() + ".around";
        String where = "between the " + seat.label() + " and " + seat.beside();
        if (m.spare() >= -1e-9) {
            return new Finding(id, Word.FINE, "Wall " + where + " is " + Quantity.mm(m.value()),
                    "1.6 mm keeps it from bulging or tearing out (common practice).", Optional.of(m), List.of(),
                    seat.feature());
        }
        List<Remedy> remedies = new ArrayList<>();
        if (!seat.aroundKey().isEmpty()) {
            double from = s.values().number(seat.aroundKey());
            double by = -m.spare() / seat.aroundGain();
            double to = by > 0 ? Math.ceil((from + by) * 5 - 1e-6) / 5 : Math.floor((from + by) * 5 + 1e-6) / 5;
            if (to > 0) {
                remedies.add(Remedy.of(word(seat.aroundKey()) + " " + Quantity.plain(from, Unit.MM) + " → "
                        + Quantity.mm(to), new Change.Number(seat.aroundKey(), to)));
            }
        }
        return new Finding(id, Word.STOP, "Wall " + where + " is only " + Quantity.mm(Math.max(0, m.value())),
                "Under 1.6 mm it bulges when the insert goes in or tears out when the screw is tightened (common practice).",
                Optional.of(m), remedies, seat.feature());
    }

    private static Finding under(Seat seat, Situation s) {
        boolean insert = seat.kind() == SeatKind.INSERT;
        Margin m = new Margin(seat.underMm(), insert ? LEDGE_MM : UNDER_NUT_MM, Unit.MM, true);
        String id = "wall." + seat.site() + ".under";
        String place = insert ? "Ledge behind the " : seat.kind() == SeatKind.CAPTIVE_NUT ? "Wall under the "
                : "Wall under the head at the ";
        String why = insert ? "Without a ledge the insert can be pushed through (common practice)."
                : "2 mm carry the pull of the screw (common practice).";
        if (m.spare() >= -1e-9) {
            return new Finding(id, Word.FINE, place + seat.label() + " is " + Quantity.mm(m.value()), why, Optional.of(m),
                    List.of(), seat.feature());
        }
        List<Remedy> remedies = new ArrayList<>();
        double from = s.values().number(seat.underKey());
        double to = Math.ceil((from - m.spare()) * 10 - 1e-6) / 10;
        remedies.add(Remedy.of(word(seat.underKey()) + " " + Quantity.plain(from, Unit.MM) + " → " + Quantity.mm(to),
                new Change.Number(seat.underKey(), to)));
        seat.insert().flatMap(i -> shorter(i, m, s)).ifPresent(i -> remedies.add(
                Remedy.of("insert " + i.name(), new Change.Number(seat.insertKey(), i.lengthMm()))));
        return new Finding(id, Word.STOP, place + seat.label() + " is "
                + (m.value() <= 0 ? "gone" : "only " + Quantity.mm(m.value())), why, Optional.of(m), remedies,
                seat.feature());
    }

    private static Optional<HeatSetInsert> shorter(HeatSetInsert insert, Margin m, Situation s) {
        return s.hardware().insertsFor(insert.thread()).stream()
                .filter(i -> i.lengthMm() <= insert.lengthMm() + m.spare() + 1e-9)
                .reduce((a, b) -> b);
    }

    private static Optional<Finding> boss(Seat seat) {
        if (seat.insert().isEmpty() || seat.bossMm() <= 0) {
            return Optional.empty();
        }
        double limit = 2 * seat.insert().get().outerMm();
        Margin m = new Margin(seat.bossMm(), limit, Unit.MM, true);
        String id = "boss." + seat.site();
        String why = "A boss twice as wide as its insert (" + Quantity.mm(seat.insert().get().outerMm())
                + ") does not split when the insert is melted in (common practice).";
        if (m.spare() >= -1e-9) {
            return Optional.of(new Finding(id, Word.FINE, "Boss Ø " + Quantity.mm(m.value()) + " carries the insert", why,
                    Optional.of(m), List.of(), seat.feature()));
        }
        return Optional.of(new Finding(id, Word.LOOK, "Boss Ø " + Quantity.mm(m.value()) + " is slim for its insert", why,
                Optional.of(m), List.of(Remedy.of("boss Ø " + Quantity.plain(m.value(), Unit.MM) + " → "
                        + Quantity.mm(limit), new Change.Number(seat.bossKey(), limit))), seat.feature()));
    }

    private static String word(String key) {
        return switch (key) {
            case "plate.width" -> "plate width";
            case "plate.height" -> "plate height";
            case "plate.thickness" -> "wall";
            case "opening.diameter" -> "opening Ø";
            default -> key.endsWith("boss") ? "boss Ø" : key.endsWith("standoff") ? "standoff" : key;
        };
    }
}
