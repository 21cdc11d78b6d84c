package tinperch.machine.space;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.query.TriangleTree;
import tinperch.solid.shape.Coarser;
import tinperch.solid.view.FeatureEdges;

/** A neighbour's shape with all axes at zero, made ready to be drawn and measured against. What is not asked for is not made. */
public final class Shape {
    /** No more triangles than this are drawn while a machine is moved. */
    private static final int MOST_DRAWN = 6000;

    private final Mesh mesh;
    private final boolean box;
    private Mesh drawn;
    private List<FeatureEdges.Edge> edges;
    private TriangleTree tree;
    private final Map<Vec3, List<double[]>> outlines = new HashMap<>();

    private Shape(Mesh mesh, boolean box) {
        this.mesh = mesh;
        this.box = box;
    }

    /** The shape of a neighbour. */
    public static Shape of(Neighbour n, NeighbourMesh meshes) {
        return new Shape(meshes.of(n), n.form() == Neighbour.Form.BOX);
    }

    /** The shape of any mesh that stands where it is with all axes at zero. */
    public static Shape of(Mesh mesh) {
        return new Shape(mesh, false);
    }

    /** Makes everything now, on the calling thread. */
    public Shape ready() {
        edges();
        tree();
        for (Vec3[] view : new Vec3[][] {{Vec3.X, Vec3.Y}, {Vec3.X, Vec3.Z}, {Vec3.Y, Vec3.Z}}) {
            outline(view[0], view[1]);
        }
        return this;
    }

    /** Whether it is its box, so that gaps between boxes are exact. */
    public boolean isBox() {
        return box;
    }

    /** The smallest box around it with all axes at zero. */
    public Bounds bounds() {
        return mesh.bounds();
    }

    /** What is drawn: the shape itself, or a coarser one. */
    public synchronized Mesh drawn() {
        if (drawn == null) {
            Mesh coarse = Coarser.of(mesh, MOST_DRAWN);
            drawn = coarse.faces().isEmpty() ? coarse.facetted("") : coarse;
        }
        return drawn;
    }

    /** Edges of what is drawn. */
    public synchronized List<FeatureEdges.Edge> edges() {
        if (edges == null) {
            edges = FeatureEdges.of(drawn());
        }
        return edges;
    }

    /** What gaps are measured to: the shape itself. */
    public synchronized TriangleTree tree() {
        if (tree == null) {
            tree = TriangleTree.of(mesh);
        }
        return tree;
    }

    /** Lines of its outline and sharp edges seen along {@code right × up}: x1, y1, x2, y2 along right and up, mm. */
    public synchronized List<double[]> outline(Vec3 right, Vec3 up) {
        return outlines.computeIfAbsent(right.cross(up), toEye -> {
            Mesh m = drawn();
            List<double[]> lines = new ArrayList<>();
            for (FeatureEdges.Edge e : edges()) {
                if (e.isOutline(toEye) || e.sharp()) {
                    Vec3 a = m.point(e.a());
                    Vec3 b = m.point(e.b());
                    lines.add(new double[] {a.dot(right), a.dot(up), b.dot(right), b.dot(up)});
                }
            }
            return lines;
        });
    }
}
