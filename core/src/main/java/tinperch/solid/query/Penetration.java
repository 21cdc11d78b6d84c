package tinperch.solid.query;

import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;

/** How deep two solids are in one another. */
final class Penetration {
    private Penetration() {}

    static double depthMm(TriangleTree a, TriangleTree b, Placement bPlace, Stop stop) {
        double depth = Math.max(deepest(a, b, bPlace, false, stop), deepest(b, a, bPlace, true, stop));
        // Touching without any corner or edge middle inside is contact, still told apart from a gap.
        return Math.max(depth, Double.MIN_NORMAL);
    }

    /** The deepest corner or middle of an inner piece of an edge of {@code of} within {@code in}. */
    private static double deepest(TriangleTree in, TriangleTree of, Placement place, boolean back, Stop stop) {
        Rays rays = new Rays(in);
        double best = 0;
        for (int i = 0; i < of.xyz.length; i += 3) {
            stop.check();
            Vec3 p = bring(new Vec3(of.xyz[i], of.xyz[i + 1], of.xyz[i + 2]), place, back);
            best = deeper(in, rays, p, best);
        }
        for (int e = 0; e < of.corner.length; e++) {
            stop.check();
            int other = of.mesh().neighbours().opposite(e);
            if (other >= 0 && other < e) {
                continue;
            }
            Vec3 p = bring(of.point(e / 3, e % 3), place, back);
            Vec3 q = bring(of.point(e / 3, (e + 1) % 3), place, back);
            double length = p.distanceTo(q);
            if (!(length > 0) || !within(in.box, p, q)) {
                continue;
            }
            double from = Double.NaN;
            for (Rays.Hit h : rays.hits(p, q.minus(p))) {
                if (h.distanceMm() > length) {
                    break;
                }
                if (h.entering()) {
                    from = h.distanceMm();
                } else if (!Double.isNaN(from)) {
                    best = deeper(in, rays, p.plus(q.minus(p).times((from + h.distanceMm()) / 2 / length)), best);
                    from = Double.NaN;
                }
            }
        }
        return best;
    }

    /** Whether an edge's box reaches into the box of a tree, farther than by touching it. */
    private static boolean within(double[] box, Vec3 p, Vec3 q) {
        return Math.max(p.x(), q.x()) > box[0] && Math.min(p.x(), q.x()) < box[3] && Math.max(p.y(), q.y()) > box[1] && Math.min(p.y(), q.y()) < box[4]
                && Math.max(p.z(), q.z()) > box[2] && Math.min(p.z(), q.z()) < box[5];
    }

    private static Vec3 bring(Vec3 p, Placement place, boolean back) {
        return back ? place.local(p) : place.point(p.x(), p.y(), p.z());
    }

    private static double deeper(TriangleTree in, Rays rays, Vec3 p, double best) {
        return in.boxDistanceSq(0, p.x(), p.y(), p.z()) > 0 || !rays.inside(p) ? best
                : Math.max(best, Nearest.distanceMm(in, p));
    }
}
