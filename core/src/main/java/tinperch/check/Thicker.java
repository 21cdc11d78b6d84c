package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.strength.SectionWalk.Station;
import tinperch.upgrade.Case;

/** Numbers that make a section of a piece larger. */
final class Thicker {
    private static final int MOST = 4;

    private Thicker() {}

    /**
     * Remedies that pull them.
     *
     * @param byMm how far each
     */
    static List<Remedy> of(Piece piece, Station s, double byMm, Case c) {
        List<Remedy> all = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (Reach r : piece.reaches()) {
            if (Math.abs(r.outward().dot(s.normal())) < 0.5 && !keys.contains(r.lever().param().key()) && all.size() < MOST) {
                keys.add(r.lever().param().key());
                all.add(Remedy.pull(r.lever(), c.recipe().values(), byMm));
            }
        }
        return all;
    }
}
