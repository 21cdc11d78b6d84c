package tinperch.solid.query;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.solid.Vec3;

/** Rays through a mesh, and whether a point is inside (crossings counted along a ray that runs near no edge). */
public final class Rays {
    /**
     * Where a ray goes through the surface.
     *
     * @param distanceMm from its start
     * @param triangle gone through
     * @param entering whether it goes in there
     */
    public record Hit(double distanceMm, int triangle, boolean entering) {}

    /** Directions tried for "inside": none lies in a plane a part is likely to have. */
    private static final Vec3[] ODD = {
        new Vec3(0.5477226, 0.2886751, 0.7852421).unit(), new Vec3(-0.3141593, 0.8660987, 0.3888889).unit(),
        new Vec3(0.1234567, -0.5656854, 0.8153846).unit(), new Vec3(-0.7071234, -0.2345678, -0.6666123).unit(),
        new Vec3(0.9238795, -0.3826123, 0.0123457).unit()};
    private static final double NEAR_EDGE = 1e-9;

    private final TriangleTree tree;

    public Rays(TriangleTree tree) {
        this.tree = tree;
    }

    /** All hits in order of distance; a ray along an edge may report it twice or not at all. */
    public List<Hit> hits(Vec3 from, Vec3 direction) {
        List<Hit> hits = new ArrayList<>();
        walk(0, from, direction.unit(), hits);
        hits.sort(Comparator.comparingDouble(Hit::distanceMm));
        return hits;
    }

    /** The first hit farther away than {@code beyondMm}. */
    public Optional<Hit> first(Vec3 from, Vec3 direction, double beyondMm) {
        return hits(from, direction).stream().filter(h -> h.distanceMm() > beyondMm).findFirst();
    }

    /** Whether a point is inside the solid; points on the surface may count as either. */
    public boolean inside(Vec3 p) {
        if (tree.mesh().triangleCount() == 0 || tree.boxDistanceSq(0, p.x(), p.y(), p.z()) > 0) {
            return false;
        }
        int votes = 0;
        for (Vec3 d : ODD) {
            List<Hit> hits = new ArrayList<>();
            boolean clear = walk(0, p, d, hits);
            long winding = hits.stream().filter(Hit::entering).count() * 2 - hits.size();
            if (clear) {
                return winding < 0;
            }
            votes += winding < 0 ? 1 : -1;
        }
        return votes > 0;
    }

    /** Gathers hits; false when the ray ran too near to an edge to be sure. */
    private boolean walk(int node, Vec3 from, Vec3 d, List<Hit> hits) {
        if (!tree.meets(node, from.x(), from.y(), from.z(), d.x(), d.y(), d.z(), Double.POSITIVE_INFINITY)) {
            return true;
        }
        boolean clear = true;
        if (tree.isLeaf(node)) {
            for (int i = 0; i < tree.count(node); i++) {
                clear &= hit(tree.order[tree.first(node) + i], from, d, hits);
            }
            return clear;
        }
        clear = walk(tree.child(node), from, d, hits);
        return clear & walk(tree.child(node) + 1, from, d, hits);
    }

    /** Möller and Trumbore 1997. */
    private boolean hit(int t, Vec3 p, Vec3 d, List<Hit> hits) {
        Vec3 a = tree.point(t, 0);
        Vec3 e1 = tree.point(t, 1).minus(a);
        Vec3 e2 = tree.point(t, 2).minus(a);
        Vec3 q = d.cross(e2);
        double det = e1.dot(q);
        double scale = e1.length() * e2.length();
        if (Math.abs(det) < 1e-14 * scale) {
            return true;
        }
        Vec3 s = p.minus(a);
        double u = s.dot(q) / det;
        Vec3 r = s.cross(e1);
        double v = d.dot(r) / det;
        if (u < -NEAR_EDGE || v < -NEAR_EDGE || u + v > 1 + NEAR_EDGE) {
            return true;
        }
        double dist = e2.dot(r) / det;
        if (dist < 0) {
            return true;
        }
        boolean clear = u > NEAR_EDGE && v > NEAR_EDGE && u + v < 1 - NEAR_EDGE;
        if (u >= 0 && v >= 0 && u + v <= 1) {
            hits.add(new Hit(dist, t, det > 0));
        }
        return clear;
    }
}
