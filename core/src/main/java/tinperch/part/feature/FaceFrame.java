package tinperch.part.feature;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A flat face of a piece with a frame on it: z outwards, x to the right of one who looks at it, origin in the middle of its box.
 *
 * @param halfAcrossMm half its extent along x, {@code halfUpwardsMm} along y
 * @param depthMm extent of the piece behind it
 * @param outline its outer edge in that frame, x and y in turn
 */
public record FaceFrame(Placement frame, double halfAcrossMm, double halfUpwardsMm, double depthMm, List<Double> outline) {
    public FaceFrame {
        outline = List.copyOf(outline);
    }


    /** The face an anchor names, on a piece as its family made it; empty when there is none any more. */
    public static Optional<FaceFrame> of(Solid solid, Anchor anchor) {
        List<Leaf> leaves = new ArrayList<>();
        added(solid, leaves);
        Vec3 n = anchor.outward().unit();
        FaceFrame best = null;
        double farthest = Double.NEGATIVE_INFINITY;
        for (Leaf leaf : leaves) {
            if (!leaf.feature().equals(anchor.face())) {
                continue;
            }
            for (Leaf.Face f : leaf.faces()) {
                if (f.normal().dot(n) > 1 - 1e-6 && f.offset() > farthest) {
                    farthest = f.offset();
                    best = framed(leaf, f, leaves);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    /** Leaves that add material: those on the left of every difference. */
    private static void added(Solid s, List<Leaf> into) {
        if (s instanceof Leaf l) {
            into.add(l);
        } else if (s instanceof Solid.Union u) {
            u.parts().forEach(p -> added(p, into));
        } else if (s instanceof Solid.Intersection i) {
            i.parts().forEach(p -> added(p, into));
        } else if (s instanceof Solid.Difference d) {
            added(d.body(), into);
        }
    }

    private static FaceFrame framed(Leaf leaf, Leaf.Face face, List<Leaf> all) {
        Vec3 w = face.normal();
        Vec3 right = Math.abs(w.z()) > 0.9 ? Vec3.X : Vec3.Z.cross(w).unit();
        Placement p = Placement.along(Vec3.ZERO, w, right);
        double[] lo = {Double.MAX_VALUE, Double.MAX_VALUE};
        double[] hi = {-Double.MAX_VALUE, -Double.MAX_VALUE};
        for (int i : face.rings()[0]) {
            Vec3 c = corner(leaf, i);
            double[] at = {c.dot(p.u()), c.dot(p.v())};
            for (int k = 0; k < 2; k++) {
                lo[k] = Math.min(lo[k], at[k]);
                hi[k] = Math.max(hi[k], at[k]);
            }
        }
        Vec3 middle = p.point((lo[0] + hi[0]) / 2, (lo[1] + hi[1]) / 2, face.offset());
        double behind = 0;
        for (Leaf l : all) {
            for (int i = 0; i < l.cornerCount(); i++) {
                behind = Math.max(behind, face.offset() - corner(l, i).dot(w));
            }
        }
        List<Double> outline = new ArrayList<>();
        for (int i : face.rings()[0]) {
            Vec3 c = corner(leaf, i).minus(middle);
            outline.add(c.dot(p.u()));
            outline.add(c.dot(p.v()));
        }
        return new FaceFrame(new Placement(middle, p.u(), p.v(), p.w()), (hi[0] - lo[0]) / 2, (hi[1] - lo[1]) / 2, behind, outline);
    }

    private static Vec3 corner(Leaf l, int i) {
        return new Vec3(l.corner(i, 0), l.corner(i, 1), l.corner(i, 2));
    }
}
