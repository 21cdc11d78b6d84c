package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.part.feature.Spot;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.HiddenLines;
import tinperch.upgrade.Case;

/** Everything needed to show a part put together: one mesh of all pieces, its edges, three drawn views, what is held. */
public final class DrawingFact implements Fact<DrawingFact.Drawing> {
    public static final DrawingFact DRAWING = new DrawingFact();
    /** Stands between a piece's id and the feature's name in the assembled mesh. */
    public static final String OF = " : ";
    private static final Vec3[][] VIEWS = {{Vec3.X, Vec3.Y}, {Vec3.X, Vec3.Z}, {Vec3.Y, Vec3.Z}};

    private DrawingFact() {}

    /**
     * The pictures of a part.
     *
     * @param pieces each as it lies on the bed, with its mark
     * @param placed the same in their places
     * @param mesh all of them as one; features are called "piece : feature" where there are several
     * @param top drawn lines seen from above, {@code front} along +y, {@code side} from +x
     * @param held meshes of what is mounted
     * @param spots where features stand on their faces, by their ids
     */
    public record Drawing(PartForm form, List<MeshesFact.Made> pieces, List<Mesh> placed, Mesh mesh, List<FeatureEdges.Edge> edges,
            List<HiddenLines.Piece> top, List<HiddenLines.Piece> front, List<HiddenLines.Piece> side, List<Mesh> held, Map<String, Spot> spots) {
        /** The piece a feature of its mesh is of; the only one where there are not several. */
        public Optional<Piece> pieceOf(String feature) {
            int of = feature.indexOf(OF);
            return of < 0 ? form.pieces().stream().findFirst() : form.piece(feature.substring(0, of));
        }

        /** Volume of one of each piece times its count, mm³. */
        public double volumeMm3() {
            return pieces.stream().mapToDouble(p -> p.mesh().volumeMm3() * p.piece().count()).sum();
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return c.recipe();
    }

    /** The drawing; null when there is no part to draw. */
    @Override
    public Drawing compute(Case c, Facts facts) {
        MeshesFact.Answer meshes = facts.get(MeshesFact.MESHES);
        if (meshes.pieces().isEmpty()) {
            return null;
        }
        PartForm form = facts.get(FormFact.FORM).form().orElseThrow();
        List<Mesh> placed = meshes.pieces().stream().map(m -> m.piece().place().equals(tinperch.solid.Placement.HERE) ? m.mesh()
                : m.mesh().placed(m.piece().place())).toList();
        Mesh mesh = placed.size() == 1 ? placed.get(0) : Mesh.gathered(placed, placed.stream().map(p -> Vec3.ZERO).toList(),
                (i, feature) -> meshes.pieces().get(i).piece().id() + OF + feature);
        List<FeatureEdges.Edge> edges = FeatureEdges.of(mesh);
        List<List<HiddenLines.Piece>> views = new ArrayList<>(java.util.Collections.nCopies(VIEWS.length, null));
        facts.hands().each(VIEWS.length, i -> views.set(i, HiddenLines.of(mesh, edges, VIEWS[i][0], VIEWS[i][1], facts.stop())));
        facts.stop().check();
        return new Drawing(form, meshes.pieces(), placed, mesh, edges, views.get(0), views.get(1), views.get(2), form.held().stream().flatMap(h ->
                mesh(h).stream()).toList(), facts.get(FormFact.FORM).spots());
    }

    private static java.util.Optional<Mesh> mesh(Held h) {
        try {
            return java.util.Optional.of(SolidKernel.evaluate(h.solid(), Tolerances.USUAL));
        } catch (SolidException e) {
            return java.util.Optional.empty();
        }
    }
}
