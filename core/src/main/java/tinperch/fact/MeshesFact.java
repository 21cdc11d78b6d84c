package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.mark.Marking;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;
import tinperch.upgrade.Case;

/** The closed meshes of all pieces, marked, each as it lies on the bed. */
public final class MeshesFact implements Fact<MeshesFact.Answer> {
    public static final MeshesFact MESHES = new MeshesFact();
    /** Before anything is engraved: what walls and seats are measured on. */
    public static final Fact<Answer> BARE = new Bare();

    private MeshesFact() {}

    /** A piece's mesh and where its mark went. */
    public record Made(Piece piece, Mesh mesh, Optional<Marking.Mark> mark) {}

    /**
     * All pieces in the order of the form, or none.
     *
     * @param problem why there are none, in a sentence
     */
    public record Answer(List<Made> pieces, String problem) {
        public Answer {
            pieces = List.copyOf(pieces);
        }

        /** The mesh of a piece, if it was made. */
        public Optional<Mesh> mesh(String pieceId) {
            return pieces.stream().filter(m -> m.piece().id().equals(pieceId)).map(Made::mesh).findFirst();
        }
    }

    private static final class Bare implements Fact<Answer> {
        @Override
        public Object inputs(Case c, Facts facts) {
            return FormFact.solids(c, facts);
        }

        @Override
        public Answer compute(Case c, Facts facts) {
            FormFact.Answer form = facts.get(FormFact.FORM);
            if (form.form().isEmpty()) {
                return new Answer(List.of(), form.problem());
            }
            return all(form.form().get(), facts);
        }

        private static Answer all(PartForm form, Facts facts) {
            List<Made> all = new ArrayList<>();
            for (Piece p : form.pieces()) {
                facts.stop().check();
                try {
                    all.add(new Made(p, SolidKernel.evaluate(p.solid(), Tolerances.USUAL, facts.hands(), facts.memory(p.id())), Optional.empty()));
                } catch (SolidException e) {
                    return new Answer(List.of(), e.getMessage());
                }
            }
            return new Answer(all, "");
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), c.recipe().mark(), Marking.HEIGHT.of(c.recipe().values()));
    }

    @Override
    public Answer compute(Case c, Facts facts) {
        Answer bare = facts.get(BARE);
        String text = c.recipe().mark();
        if (text.isEmpty()) {
            return bare;
        }
        double height = Marking.HEIGHT.of(c.recipe().values());
        List<Made> all = new ArrayList<>();
        for (Made m : bare.pieces()) {
            facts.stop().check();
            all.add(Marking.on(m.mesh(), m.piece().marked(text), height).map(mark -> engraved(m, mark)).orElse(m));
        }
        return new Answer(all, bare.problem());
    }

    /** A mark that cannot be cut is left out: a part without its mark is better than none. */
    private static Made engraved(Made m, Marking.Mark mark) {
        return mark.in(m.mesh()).map(mesh -> new Made(m.piece(), mesh, Optional.of(mark))).orElse(m);
    }
}
