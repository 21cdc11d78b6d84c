package tinperch.check;

import java.util.List;
import java.util.stream.Stream;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** What else a screw could go into, with a length of screw for that. */
final class OtherSeats {
    private static final double TURNS = 2;

    private OtherSeats() {}

    /** Instead of a thread it cuts itself. */
    static List<Remedy> of(Screw k, Case c) {
        return k.end() == SeatKind.CUT ? of(k, SeatKind.INSERT, SeatKind.CAPTIVE_NUT) : List.of();
    }

    /** Those of some that its parameter offers. */
    static List<Remedy> of(Screw k, SeatKind... wanted) {
        return Stream.of(wanted).filter(s -> k.seatParam().map(p -> p.options().stream().anyMatch(o -> o.value() == s)).orElse(false)).flatMap(s -> {
            // Through a nut it has to be longer: by about what the nut is high and two turns.
            double least = s == SeatKind.INSERT ? k.lengthMm() : k.lengthMm() + s.nutMm(k.thread()) + TURNS * k.thread().pitchMm();
            return k.thread().soldLengthsMm().stream().filter(l -> l >= least - 1e-9).findFirst()
                    .map(l -> Remedy.of(s.label() + (l == k.lengthMm() ? "" : ", " + k.name(l)), new Change.Set<>(k.seatParam().get(), s), new Change.Set<>(k.lengthParam(), l))).stream();
        }).toList();
    }
}
