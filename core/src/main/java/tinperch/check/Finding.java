package tinperch.check;

import java.util.List;
import java.util.Optional;

/**
 * One judgement about the part.
 *
 * @param id stable name, so that the same finding can be followed from edit to edit
 * @param what short: "M3×16 is 1.4 mm short"
 * @param why what follows and where the limit comes from
 * @param margin absent where there is nothing to measure
 * @param feature feature of the solid it points at; empty for the whole part
 */
public record Finding(String id, Word word, String what, String why, Optional<Margin> margin, List<Remedy> remedies,
        String feature) {
    public Finding {
        remedies = List.copyOf(remedies);
    }

    /** Order of the tray: Stop before Look before Fine, then the least spare against its limit first. */
    public static int tightestFirst(Finding a, Finding b) {
        int byWord = a.word.compareTo(b.word);
        return byWord != 0 ? byWord : Double.compare(a.tightness(), b.tightness());
    }

    private double tightness() {
        return margin.map(m -> m.spare() / Math.max(1, Math.abs(m.limit()))).orElse(Double.MAX_VALUE);
    }
}
