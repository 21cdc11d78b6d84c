package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Vec3;

/**
 * Whether an edge of a skin over rings pierces one of its faces. Where the rings lie in order, each wholly before the planes of those that follow, only what
 * is between the same two can meet; else everything is tried against everything. Pairs whose boxes do not meet are passed over.
 */
final class SelfCrossing {
    private SelfCrossing() {}

    /** @param perRing corners of a ring, whose corners are numbered one ring after the other */
    static boolean any(Leaf leaf, List<Vec3[]> rings, int perRing) {
        boolean ordered = inOrder(rings);
        int groups = ordered ? rings.size() - 1 : 1;
        List<List<Leaf.Face>> faces = new ArrayList<>();
        for (int g = 0; g < groups; g++) {
            faces.add(new ArrayList<>());
        }
        for (Leaf.Face f : leaf.faces()) {
            int low = Arrays.stream(f.rings()[0]).min().orElse(0) / perRing;
            int high = Arrays.stream(f.rings()[0]).max().orElse(0) / perRing;
            if (!ordered) {
                faces.get(0).add(f);
            } else if (low != high) {
                faces.get(low).add(f);
            }
        }
        double[][] boxes = faces.stream().map(of -> boxes(leaf, of)).toArray(double[][]::new);
        for (int e = 0; e < leaf.edges().count(); e++) {
            int a = leaf.edges().low(e);
            int b = leaf.edges().high(e);
            int ring = Math.min(a, b) / perRing;
            if (ordered && ring == Math.max(a, b) / perRing) {
                // In a ring's own plane, which no face goes through.
                continue;
            }
            int group = ordered ? ring : 0;
            if (pierces(leaf, faces.get(group), boxes[group], a, b)) {
                return true;
            }
        }
        return false;
    }

    /** Whether each ring is flat and all that follow lie beyond its plane. */
    private static boolean inOrder(List<Vec3[]> rings) {
        for (int k = 0; k < rings.size(); k++) {
            Vec3[] ring = rings.get(k);
            Vec3 normal = Loft.area(ring).unit();
            double at = normal.dot(Loft.centre(ring));
            for (int j = 0; j < rings.size(); j++) {
                for (Vec3 p : rings.get(j)) {
                    double h = normal.dot(p) - at;
                    if (j == k ? Math.abs(h) > FLAT_MM : j > k ? h < FLAT_MM : h > -FLAT_MM) {
                        return false;
                    }
                }
            }
        }
        return true;
    }

    private static final double FLAT_MM = 1e-7;

    /** Lowest and highest along x, y, z of each, flat, as they are run through for every edge. */
    private static double[] boxes(Leaf leaf, List<Leaf.Face> faces) {
        double[] box = new double[6 * faces.size()];
        for (int k = 0; k < faces.size(); k++) {
            for (int d = 0; d < 3; d++) {
                double low = Double.MAX_VALUE;
                double high = -Double.MAX_VALUE;
                for (int i : faces.get(k).rings()[0]) {
                    low = Math.min(low, leaf.corner(i, d));
                    high = Math.max(high, leaf.corner(i, d));
                }
                box[6 * k + 2 * d] = low;
                box[6 * k + 2 * d + 1] = high;
            }
        }
        return box;
    }

    private static boolean pierces(Leaf leaf, List<Leaf.Face> faces, double[] box, int a, int b) {
        Vec3 p = new Vec3(leaf.corner(a, 0), leaf.corner(a, 1), leaf.corner(a, 2));
        Vec3 q = new Vec3(leaf.corner(b, 0), leaf.corner(b, 1), leaf.corner(b, 2));
        double x0 = Math.min(p.x(), q.x());
        double x1 = Math.max(p.x(), q.x());
        double y0 = Math.min(p.y(), q.y());
        double y1 = Math.max(p.y(), q.y());
        double z0 = Math.min(p.z(), q.z());
        double z1 = Math.max(p.z(), q.z());
        for (int k = 0, i = 0; k < faces.size(); k++, i += 6) {
            if (box[i] <= x1 && box[i + 1] >= x0 && box[i + 2] <= y1 && box[i + 3] >= y0 && box[i + 4] <= z1 && box[i + 5] >= z0 && pierces(leaf, faces.get(k), p, q, a, b)) {
                return true;
            }
        }
        return false;
    }

    private static boolean pierces(Leaf leaf, Leaf.Face f, Vec3 p, Vec3 q, int a, int b) {
        double hp = f.normal().dot(p) - f.offset();
        double hq = f.normal().dot(q) - f.offset();
        if (hp > 0 == hq > 0 || Math.abs(hp) < 1e-9 || Math.abs(hq) < 1e-9) {
            return false;
        }
        for (int i : f.rings()[0]) {
            if (i == a || i == b) {
                return false;
            }
        }
        Vec3 at = p.plus(q.minus(p).times(hp / (hp - hq)));
        double x = Math.abs(f.normal().x());
        double y = Math.abs(f.normal().y());
        double z = Math.abs(f.normal().z());
        int u = z >= x && z >= y ? 0 : y >= x ? 2 : 1;
        int v = (u + 1) % 3;
        boolean inside = false;
        for (int[] ring : f.rings()) {
            int j = ring[ring.length - 1];
            for (int i : ring) {
                double ui = leaf.corner(i, u);
                double vi = leaf.corner(i, v);
                double uj = leaf.corner(j, u);
                double vj = leaf.corner(j, v);
                double pu = u == 0 ? at.x() : u == 1 ? at.y() : at.z();
                double pv = v == 0 ? at.x() : v == 1 ? at.y() : at.z();
                if (vi > pv != vj > pv && pu < (uj - ui) * (pv - vi) / (vj - vi) + ui) {
                    inside = !inside;
                }
                j = i;
            }
        }
        return inside;
    }
}
