package tinperch.check;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import tinperch.fact.Facts;
import tinperch.fact.LiesFact;
import tinperch.part.form.Lie;
import tinperch.part.form.Piece;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Other sides a piece can lie on when it is printed. */
final class OtherLies {
    private OtherLies() {}

    /** Remedies that lay it on another side it stands on, where least hangs and most lies on the bed first. */
    static List<Remedy> of(Case c, Facts facts, Piece piece, Predicate<Lie> wanted, int most) {
        Map<String, Map<Lie, LiesFact.Lying>> lies = facts.get(LiesFact.LIES);
        Map<Lie, LiesFact.Lying> all = lies.getOrDefault(piece.id(), Map.of());
        String it = lies.size() > 1 ? "the " + piece.name() : "it";
        return Arrays.stream(Lie.values()).filter(l -> l != c.lie(piece.id()) && all.containsKey(l) && LiesFact.stands(all.get(l).footing()) && wanted.test(l))
                .sorted(Comparator.comparingDouble((Lie l) -> Math.rint(all.get(l).hangsMm2())).thenComparing(l -> -all.get(l).footing().areaMm2())).limit(most)
                .map(l -> Remedy.of("lay " + it + " " + l.where(), new Change.Lay(piece.id(), l))).toList();
    }
}
