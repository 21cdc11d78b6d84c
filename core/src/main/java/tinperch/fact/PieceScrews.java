package tinperch.fact;

import java.util.List;
import java.util.function.Predicate;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** The screws of a part, each with the piece it is in as it was made. */
final class PieceScrews {
    private PieceScrews() {}

    interface Asked {
        void of(Screw s, Piece piece, TriangleTree tree);
    }

    /** What follows from them follows from this. */
    static Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), facts.get(FormFact.FORM).form().map(PartForm::screws).orElse(List.of()));
    }

    static void each(Facts facts, Predicate<Screw> which, Asked asked) {
        List<MeshesFact.Made> made = facts.get(MeshesFact.BARE).pieces();
        for (int i = 0; i < made.size(); i++) {
            Piece piece = made.get(i).piece();
            for (Screw s : facts.get(FormFact.FORM).form().orElseThrow().screws()) {
                facts.stop().check();
                if (which.test(s) && s.pieceId().equals(piece.id())) {
                    asked.of(s, piece, facts.get(TreesFact.TREES).get(i));
                }
            }
        }
    }
}
