package tinperch.solid.shape;

import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import tinperch.solid.Leaf;
import tinperch.solid.Vec3;

/** Whether an edge of a leaf pierces one of its faces. Faces are found by their boxes in plan (JTS tree). */
final class SelfCrossing {
    private SelfCrossing() {}

    static boolean any(Leaf leaf) {
        STRtree index = new STRtree();
        for (Leaf.Face f : leaf.faces()) {
            Envelope box = new Envelope();
            for (int i : f.rings()[0]) {
                box.expandToInclude(leaf.corner(i, 0), leaf.corner(i, 1));
            }
            index.insert(box, f);
        }
        for (int e = 0; e < leaf.edges().count(); e++) {
            int a = leaf.edges().low(e);
            int b = leaf.edges().high(e);
            Vec3 p = new Vec3(leaf.corner(a, 0), leaf.corner(a, 1), leaf.corner(a, 2));
            Vec3 q = new Vec3(leaf.corner(b, 0), leaf.corner(b, 1), leaf.corner(b, 2));
            Envelope box = new Envelope(p.x(), q.x(), p.y(), q.y());
            for (Object o : index.query(box)) {
                if (pierces(leaf, (Leaf.Face) o, p, q, a, b)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean pierces(Leaf leaf, Leaf.Face f, Vec3 p, Vec3 q, int a, int b) {
        for (int i : f.rings()[0]) {
            if (i == a || i == b) {
                return false;
            }
        }
        double hp = f.normal().dot(p) - f.offset();
        double hq = f.normal().dot(q) - f.offset();
        if (hp > 0 == hq > 0 || Math.abs(hp) < 1e-9 || Math.abs(hq) < 1e-9) {
            return false;
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
