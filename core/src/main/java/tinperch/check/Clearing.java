package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** Numbers that draw a face of a piece back from what it comes too near to. */
final class Clearing {
    private static final double FACES_COS = 0.7;
    private static final int MOST = 4;

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
}
