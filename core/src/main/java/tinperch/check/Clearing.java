package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** Numbers that draw a face of a piece back from what it comes too near to. */
final class Clearing {
    private static final double FACES_COS = 0.7;
    private static final int MOST = 4;
    private static final int MOST_TOWARDS = 2;

    private Clearing() {}

    /**
     * Remedies that pull them.
     *
     * @param feature whose face comes too near
     * @param outward the way from it to what is near, in the piece's coordinates; zero where that is not known
     * @param missingMm how much farther it must be
     */
    static List<Remedy> of(Piece piece, String feature, Vec3 outward, double missingMm, Case c) {
        List<Remedy> all = new ArrayList<>();
        for (Reach r : piece.reaches()) {
            double along = outward.length() < 0.5 || r.outward().length() < 0.5 ? 1 : r.outward().dot(outward);
            if (feature.startsWith(r.feature()) && along > FACES_COS && all.size() < MOST) {
                all.add(Remedy.pull(r.lever(), c.recipe().values(), -missingMm / along));
            }
        }
        return all;
    }

    /**
     * Remedies that draw back whatever of a piece looks one way: numbers of the faces that do, then of those behind, on which it may stand. Whether they help must be tried.
     *
     * @param look the way, in the piece's coordinates
     * @param byMm how far
     */
    static List<Remedy> towards(Piece piece, Vec3 look, double byMm, Case c) {
        Set<String> pulled = new HashSet<>();
        return piece.reaches().stream().filter(r -> Math.abs(r.outward().dot(look)) > FACES_COS).sorted(Comparator.comparing(r -> r.outward().dot(look) < 0)).filter(r -> pulled.add(r.lever().param().key())).limit(MOST_TOWARDS)
                .map(r -> Remedy.pull(r.lever(), c.recipe().values(), -byMm / Math.abs(r.outward().dot(look)))).toList();
    }
}
