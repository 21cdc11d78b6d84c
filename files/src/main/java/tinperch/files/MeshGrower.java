package tinperch.files;

import java.util.Arrays;
import java.util.List;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** Gathers points and triangles while a file is read; room grows with what is really there, so a lying header costs nothing. */
public final class MeshGrower {
    /** More than this no machine part needs and no window shows. */
    public static final int MOST_TRIANGLES = 4_000_000;
    private static final double LARGEST = 1e6;

    private double[] xyz = new double[3 << 10];
    private int points;
    private int[] corners = new int[3 << 10];
    private int triangles;
    private int[] slots = new int[1 << 12];

    /** A new point, whether or not there is one at the same place. */
    public int point(double x, double y, double z) throws FileFault {
        if (!(Math.abs(x) < LARGEST && Math.abs(y) < LARGEST && Math.abs(z) < LARGEST)) {
            throw new FileFault("A corner near triangle " + (triangles + 1) + " has a coordinate that is not a usable number. "
                    + "Nothing was imported; fetch or export it again.");
        }
        if (3 * points + 3 > xyz.length) {
            xyz = Arrays.copyOf(xyz, 2 * xyz.length);
        }
        xyz[3 * points] = x;
        xyz[3 * points + 1] = y;
        xyz[3 * points + 2] = z;
        return points++;
    }

    /** The point with exactly these coordinates, new or known. */
    public int welded(float x, float y, float z) throws FileFault {
        // Adding zero makes −0 and 0 the same place.
        double dx = x + 0f;
        double dy = y + 0f;
        double dz = z + 0f;
        int mask = slots.length - 1;
        int i = hash(dx, dy, dz) & mask;
        while (slots[i] != 0) {
            int p = 3 * (slots[i] - 1);
            if (xyz[p] == dx && xyz[p + 1] == dy && xyz[p + 2] == dz) {
                return slots[i] - 1;
            }
            i = i + 1 & mask;
        }
        int p = point(dx, dy, dz);
        slots[i] = p + 1;
        if (2 * points > slots.length) {
            rehash();
        }
        return p;
    }

    private void rehash() {
        slots = new int[2 * slots.length];
        int mask = slots.length - 1;
        for (int p = 0; p < points; p++) {
            int i = hash(xyz[3 * p], xyz[3 * p + 1], xyz[3 * p + 2]) & mask;
            while (slots[i] != 0) {
                i = i + 1 & mask;
            }
            slots[i] = p + 1;
        }
    }

    private static int hash(double x, double y, double z) {
        int h = Float.floatToIntBits((float) x) * 0x9E3779B1 ^ Integer.rotateLeft(Float.floatToIntBits((float) y) * 0x85EBCA77, 11)
                ^ Integer.rotateLeft(Float.floatToIntBits((float) z) * 0xC2B2AE3D, 22);
        h ^= h >>> 15;
        h *= 0x2C1B3C6D;
        return h ^ h >>> 13;
    }

    /** Adds a triangle of three points by their numbers; refuses numbers that are none. */
    public void triangle(int a, int b, int c) throws FileFault {
        if (triangles >= MOST_TRIANGLES) {
            throw new FileFault("The model has more than " + MOST_TRIANGLES / 1_000_000 + " million triangles, more than can be "
                    + "handled here. Nothing was imported; make it coarser where it was made and fetch it again.");
        }
        if (3 * triangles + 3 > corners.length) {
            corners = Arrays.copyOf(corners, 2 * corners.length);
        }
        corners[3 * triangles] = a;
        corners[3 * triangles + 1] = b;
        corners[3 * triangles + 2] = c;
        triangles++;
    }

    /** A point by its number. */
    public Vec3 at(int point) {
        return new Vec3(xyz[3 * point], xyz[3 * point + 1], xyz[3 * point + 2]);
    }

    /** How many points there are so far. */
    public int points() {
        return points;
    }

    /** How many triangles there are so far. */
    public int triangles() {
        return triangles;
    }

    /** What was gathered; its triangles have no faces yet. */
    public Mesh mesh() {
        return new Mesh(Arrays.copyOf(xyz, 3 * points), Arrays.copyOf(corners, 3 * triangles), new int[triangles], List.of());
    }
}
