package tinperch.solid.kernel;

import java.util.Random;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.ConvexHull;
import tinperch.solid.shape.Extrusion;
import tinperch.solid.shape.Finish;
import tinperch.solid.shape.Loft;
import tinperch.solid.shape.Revolution;

/** Random trees made to be nasty: shared planes, touching faces, mirrored leaves, distances of 1e-3 to 1e-9 mm. */
final class RandomTrees {
    private final Random random;
    private final boolean near;
    private int leafNumber;

    RandomTrees(long seed, boolean near) {
        this.random = new Random(seed);
        this.near = near;
    }

    Solid next() {
        return node(1 + random.nextInt(3));
    }

    private Solid node(int depth) {
        if (depth == 0) {
            return leaf();
        }
        int n = 2 + random.nextInt(3);
        Solid[] parts = new Solid[n];
        for (int i = 0; i < n; i++) {
            parts[i] = node(random.nextInt(3) == 0 ? depth - 1 : 0);
        }
        return switch (random.nextInt(5)) {
            case 0, 1 -> Solid.union(parts);
            case 2, 3 -> {
                Solid[] cuts = new Solid[n - 1];
                System.arraycopy(parts, 1, cuts, 0, n - 1);
                yield parts[0].minus(cuts);
            }
            default -> Solid.intersection(parts[0], parts[1]);
        };
    }

    /** Coordinates on a coarse lattice, so that faces often share planes; sometimes a hair off it. */
    private double lattice(int span) {
        double v = random.nextInt(span + 1);
        if (near && random.nextInt(4) == 0) {
            v += Math.pow(10, -3 - random.nextInt(7)) * (random.nextBoolean() ? 1 : -1);
        } else if (random.nextInt(12) == 0) {
            v += random.nextDouble() - 0.5;
        }
        return v;
    }

    private Leaf leaf() {
        String name = "leaf " + ++leafNumber;
        Vec3 at = new Vec3(lattice(6), lattice(6), lattice(6));
        Placement place = switch (random.nextInt(6)) {
            case 0 -> Placement.along(at, Vec3.X, Vec3.Y);
            case 1 -> Placement.along(at, Vec3.Y, Vec3.Z);
            case 2 -> Placement.along(at, new Vec3(0, 1, 1), Vec3.X);
            case 3 -> random.nextInt(3) > 0 ? Placement.at(at.x(), at.y(), at.z())
                    : Placement.along(at, new Vec3(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()), Vec3.X);
            default -> Placement.at(at.x(), at.y(), at.z());
        };
        if (random.nextInt(5) == 0) {
            place = place.mirrored(new Vec3(3, 3, 3), Vec3.X);
        }
        double h = Math.max(0.5, lattice(5));
        if (random.nextInt(6) == 0) {
            return other(name, place, h);
        }
        Profile p = switch (random.nextInt(6)) {
            case 0 -> Profile.hole(0, 0, 1 + random.nextInt(4), 8 + 4 * random.nextInt(3));
            case 1 -> Profile.hexagon(0, 0, 1 + random.nextInt(4), random.nextBoolean() ? 0 : 30);
            case 2 -> Profile.of(new double[] {0, 0, 4, 0, 4, 1, 1, 1, 1, 3, 4, 3, 4, 4, 0, 4});
            case 3 -> Profile.of(new double[] {0, 0, 4, 0, 4, 4, 0, 4}, new double[] {1, 1, 3, 1, 3, 3, 1, 3});
            default -> Profile.rectangle(0, 0, 1 + random.nextInt(5), 1 + random.nextInt(5));
        };
        return Leaf.extrusion(name, p, place, -h / 2, h / 2);
    }

    /** Cones, rings, lofts, hulls and finished extrusions. */
    private Leaf other(String name, Placement place, double h) {
        double r = 1 + random.nextInt(2);
        return switch (random.nextInt(5)) {
            case 0 -> Revolution.leaf(name, Profile.of(new double[] {0, 0, r, 0, r - 0.5, h, 0, h}), place, 8, Revolution.Fit.WITHIN);
            case 1 -> Revolution.leaf(name, Profile.of(new double[] {r, 0, r + 1, 0, r + 1, h, r, h}), place, 12,
                    Revolution.Fit.AROUND);
            case 2 -> Loft.between(name, Profile.rectangle(0, 0, 2 * r, 2), place, Profile.disc(0, 0, 2, 12),
                    new Placement(place.point(0, 0, h), place.u(), place.v(), place.w()));
            case 3 -> ConvexHull.leaf(name, java.util.stream.IntStream.range(0, 9)
                    .mapToObj(i -> place.point(lattice(3), lattice(3), lattice(3) + 0.1 * i)).toList());
            default -> Extrusion.of(Profile.rectangle(0, 0, 2 * r, 2), place, 0, h).draft(random.nextInt(2) * 5)
                    .finish(Finish.SHARP, Finish.chamfer(0.25)).leaf(name);
        };
    }
}
