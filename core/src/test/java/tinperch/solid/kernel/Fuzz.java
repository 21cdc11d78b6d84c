package tinperch.solid.kernel;

import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.LongStream;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;

/** Compares meshes of random trees with the trees themselves by random points; {@code ./tinperch fuzz N [seed]}. */
public final class Fuzz {
    private Fuzz() {}

    public static void main(String[] args) {
        int n = args.length > 0 ? Integer.parseInt(args[0]) : 1000;
        long first = args.length > 1 ? Long.parseLong(args[1]) : 1;
        AtomicInteger bad = new AtomicInteger();
        AtomicInteger refused = new AtomicInteger();
        LongStream.range(first, first + n).parallel().forEach(seed -> {
            String fault = faultOf(seed);
            if (fault != null) {
                (fault.startsWith("refused") ? refused : bad).incrementAndGet();
                System.out.println("seed " + seed + ": " + fault);
            }
        });
        System.out.println(n + " trees from seed " + first + ", " + bad + " wrong, " + refused + " refused");
        System.exit(bad.get() == 0 ? 0 : 1);
    }

    /** Null when the mesh of this seed's tree is closed and agrees with the tree; every other seed has near-coincident faces. */
    static String faultOf(long seed) {
        Solid tree;
        Mesh mesh;
        try {
            tree = new RandomTrees(seed, seed % 2 == 0).next();
            mesh = SolidKernel.evaluate(tree, Tolerances.USUAL);
        } catch (tinperch.solid.SolidException e) {
            return "refused: " + e.getMessage();
        } catch (RuntimeException e) {
            return "crashed: " + e;
        }
        if (mesh.openEdges() != 0) {
            return mesh.openEdges() + " open edges";
        }
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0));
            if (!(mesh.point(mesh.corner(t, 1)).minus(a).cross(mesh.point(mesh.corner(t, 2)).minus(a)).length() > 0)) {
                return "triangle " + t + " has no area";
            }
        }
        try {
            Mesh single = SinglePrecision.of(mesh);
            if (single.openEdges() != 0 || Math.abs(single.volumeMm3() - mesh.volumeMm3()) > 0.02) {
                return "rounded to floats it changes: " + mesh.volumeMm3() + " to " + single.volumeMm3();
            }
        } catch (tinperch.solid.SolidException e) {
            return "refused to be written: " + e.getMessage();
        }
        Random random = new Random(seed ^ 0x5EED);
        for (int i = 0; i < 40; i++) {
            Vec3 p = new Vec3(random.nextDouble() * 10 - 2, random.nextDouble() * 10 - 2, random.nextDouble() * 10 - 2);
            if (Membership.clearOfFaces(tree, p, 2e-3) && Membership.inTree(tree, p) != Membership.inMesh(mesh, p)) {
                return "point " + p + " is " + (Membership.inTree(tree, p) ? "in" : "out of")
                        + " the tree but not of the mesh";
            }
        }
        return null;
    }

    /** Point tests by other means than the kernel's: solid angles for meshes and leaves. */
    static final class Membership {
        private Membership() {}

        static boolean inTree(Solid s, Vec3 p) {
            if (s instanceof Leaf leaf) {
                return inLeaf(leaf, p);
            }
            if (s instanceof Solid.Union u) {
                return u.parts().stream().anyMatch(c -> inTree(c, p));
            }
            if (s instanceof Solid.Intersection i) {
                return i.parts().stream().allMatch(c -> inTree(c, p));
            }
            Solid.Difference d = (Solid.Difference) s;
            return inTree(d.body(), p) && d.cuts().stream().noneMatch(c -> inTree(c, p));
        }

        private static boolean inLeaf(Leaf leaf, Vec3 p) {
            double sum = 0;
            for (Leaf.Face f : leaf.faces()) {
                for (int[] ring : f.rings()) {
                    // A fan about the ring's first corner: signed angles add up whatever the ring's shape.
                    for (int i = 1; i + 1 < ring.length; i++) {
                        sum += angle(corner(leaf, ring[0]).minus(p), corner(leaf, ring[i]).minus(p),
                                corner(leaf, ring[i + 1]).minus(p));
                    }
                }
            }
            return sum > 2 * Math.PI;
        }

        static boolean inMesh(Mesh m, Vec3 p) {
            double sum = 0;
            for (int t = 0; t < m.triangleCount(); t++) {
                sum += angle(m.point(m.corner(t, 0)).minus(p), m.point(m.corner(t, 1)).minus(p),
                        m.point(m.corner(t, 2)).minus(p));
            }
            return sum > 2 * Math.PI;
        }

        static boolean clearOfFaces(Solid s, Vec3 p, double mm) {
            if (s instanceof Leaf leaf) {
                return leaf.faces().stream().allMatch(f -> Math.abs(f.normal().dot(p) - f.offset()) > mm);
            }
            if (s instanceof Solid.Union u) {
                return u.parts().stream().allMatch(c -> clearOfFaces(c, p, mm));
            }
            if (s instanceof Solid.Intersection i) {
                return i.parts().stream().allMatch(c -> clearOfFaces(c, p, mm));
            }
            Solid.Difference d = (Solid.Difference) s;
            return clearOfFaces(d.body(), p, mm) && d.cuts().stream().allMatch(c -> clearOfFaces(c, p, mm));
        }

        private static Vec3 corner(Leaf l, int i) {
            return new Vec3(l.corner(i, 0), l.corner(i, 1), l.corner(i, 2));
        }

        /** Signed solid angle of a triangle seen from the origin (Van Oosterom and Strackee 1983). */
        private static double angle(Vec3 a, Vec3 b, Vec3 c) {
            double la = a.length();
            double lb = b.length();
            double lc = c.length();
            double num = a.dot(b.cross(c));
            double den = la * lb * lc + a.dot(b) * lc + a.dot(c) * lb + b.dot(c) * la;
            return 2 * Math.atan2(num, den);
        }
    }
}
