package tinperch.solid.view;

import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * What stands on the turntable.
 *
 * @param mesh the part, {@code edges} its feature edges
 * @param lit features whose name begins with this are lit up; empty for none
 * @param ghosts neighbours, seen through
 * @param cut where the part is cut open
 * @param tint colour of a face by its number, 0xRRGGBB; negative for the body's
 */
public record Scene(Mesh mesh, List<FeatureEdges.Edge> edges, String lit, List<Mesh> ghosts, Optional<Cut> cut, IntUnaryOperator tint) {
    /** Every face in the body's colour. */
    public static final IntUnaryOperator PLAIN = face -> -1;

    /** One in the body's colour. */
    public Scene(Mesh mesh, List<FeatureEdges.Edge> edges, String lit, List<Mesh> ghosts, Optional<Cut> cut) {
        this(mesh, edges, lit, ghosts, cut, PLAIN);
    }

    /**
     * A section plane {@code normal · p = offset}; what lies beyond it is taken away.
     *
     * @param normal unit
     */
    public record Cut(Vec3 normal, double offset) {}

    public static Scene of(Mesh mesh, List<FeatureEdges.Edge> edges) {
        return new Scene(mesh, edges, "", List.of(), Optional.empty());
    }

    public Scene lit(String feature) {
        return new Scene(mesh, edges, feature, ghosts, cut, tint);
    }
}
