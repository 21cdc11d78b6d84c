package tinperch.heat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Mesh;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;

/** The surface of a solid, cut exactly along the walls of a grid's cells: one patch for each cell and each of the six ways its pieces mostly face. */
final class Patches {
    /** Of each patch: the cell it belongs to, area in mm², middle, normal, and how far it lies before the cell's middle, mm; negative behind it. */
    final int[] cell;
    final double[] areaMm2;
    final Vec3[] middle;
    final Vec3[] normal;
    final double[] depthMm;
    /** Pieces of triangles as they were cut, and the patch each is of: what a picture is drawn with. */
    final List<double[]> pieces = new ArrayList<>();
    final List<Integer> patchOf = new ArrayList<>();

    private final Voxels grid;
    private final boolean drawn;
    private final Halves[] halves = {new Halves(), new Halves(), new Halves()};
    /** Seven sums a patch: area, area times middle, area times normal. */
    private double[] sums = new double[7 * 1024];
    private int[] keys = new int[1024];
    private int found;
    /** Places of keys among the patches, by their remainder; −1 where there is none. */
    private int[] table = new int[4096];

    /** @param drawn whether the pieces are kept, to be drawn */
    Patches(Mesh mesh, Voxels grid, boolean drawn, Stop stop) {
        this.grid = grid;
        this.drawn = drawn;
        Arrays.fill(table, -1);
        for (int t = 0; t < mesh.triangleCount(); t++) {
            if (t % 256 == 0) {
                stop.check();
            }
            cut(mesh.point(mesh.corner(t, 0)), mesh.point(mesh.corner(t, 1)), mesh.point(mesh.corner(t, 2)));
        }
        int n = found;
        int[] owner = new int[n];
        int kept = 0;
        int[] place = new int[n];
        for (int i = 0; i < n; i++) {
            owner[i] = owner(keys[i], sums[7 * i]);
            place[i] = owner[i] >= 0 ? kept++ : -1;
        }
        cell = new int[kept];
        areaMm2 = new double[kept];
        middle = new Vec3[kept];
        normal = new Vec3[kept];
        depthMm = new double[kept];
        for (int i = 0; i < n; i++) {
            if (owner[i] < 0) {
                continue;
            }
            double[] s = Arrays.copyOfRange(sums, 7 * i, 7 * i + 7);
            int p = place[i];
            cell[p] = owner[i];
            areaMm2[p] = s[0];
            middle[p] = new Vec3(s[1] / s[0], s[2] / s[0], s[3] / s[0]);
            Vec3 sum = new Vec3(s[4], s[5], s[6]);
            normal[p] = sum.length() > 1e-12 ? sum.unit() : Vec3.Z;
            depthMm[p] = middle[p].minus(centre(grid.at[owner[i]])).dot(normal[p]);
        }
        for (int i = 0; i < patchOf.size(); i++) {
            patchOf.set(i, place[patchOf.get(i)]);
        }
    }

    int count() {
        return cell.length;
    }

    private Vec3 centre(int at) {
        int i = at % grid.nx;
        int j = at / grid.nx % grid.ny;
        int k = at / grid.nx / grid.ny;
        return new Vec3(grid.x0 + (i + 0.5) * grid.h, grid.y0 + (j + 0.5) * grid.h, grid.z0 + (k + 0.5) * grid.h);
    }

    /** The cell a patch's heat goes into: its own, else the one behind it, else any beside it. */
    private int owner(int key, double areaMm2) {
        int at = key / 6;
        if (areaMm2 < 1e-9) {
            return -1;
        }
        if (grid.cell[at] >= 0) {
            return grid.cell[at];
        }
        int face = key % 6;
        int behind = beside(at, face / 2, face % 2 == 0 ? -1 : 1);
        if (behind >= 0) {
            return behind;
        }
        for (int axis = 0; axis < 3; axis++) {
            for (int way = -1; way <= 1; way += 2) {
                int c = beside(at, axis, way);
                if (c >= 0) {
                    return c;
                }
            }
        }
        return -1;
    }

    private int beside(int at, int axis, int way) {
        int[] p = {at % grid.nx, at / grid.nx % grid.ny, at / grid.nx / grid.ny};
        p[axis] += way;
        int[] n = {grid.nx, grid.ny, grid.nz};
        return p[axis] < 0 || p[axis] >= n[axis] ? -1 : grid.cell[grid.index(p[0], p[1], p[2])];
    }

    private void cut(Vec3 a, Vec3 b, Vec3 c) {
        Vec3 n = b.minus(a).cross(c.minus(a));
        if (n.length() < 1e-12) {
            return;
        }
        Vec3 unit = n.unit();
        double ax = Math.abs(unit.x());
        double ay = Math.abs(unit.y());
        double az = Math.abs(unit.z());
        int axis = ax >= ay && ax >= az ? 0 : ay >= az ? 1 : 2;
        int face = 2 * axis + ((axis == 0 ? unit.x() : axis == 1 ? unit.y() : unit.z()) > 0 ? 0 : 1);
        double[] poly = {a.x(), a.y(), a.z(), b.x(), b.y(), b.z(), c.x(), c.y(), c.z()};
        // A face that lies on a wall between cells belongs to the one it closes.
        double[] inward = {-1e-6 * unit.x(), -1e-6 * unit.y(), -1e-6 * unit.z()};
        slabs(poly, poly.length, 0, new int[3], face, unit, inward);
    }

    private double origin(int axis) {
        return axis == 0 ? grid.x0 : axis == 1 ? grid.y0 : grid.z0;
    }

    private int cells(int axis) {
        return axis == 0 ? grid.nx : axis == 1 ? grid.ny : grid.nz;
    }

    /** Cuts the polygon in the first {@code length} numbers into slices a cell wide along an axis, and those along the next. */
    private void slabs(double[] poly, int length, int axis, int[] at, int face, Vec3 unit, double[] inward) {
        if (axis == 3) {
            add(poly, length, at, face, unit);
            return;
        }
        double lo = Double.POSITIVE_INFINITY;
        double hi = Double.NEGATIVE_INFINITY;
        for (int i = axis; i < length; i += 3) {
            lo = Math.min(lo, poly[i]);
            hi = Math.max(hi, poly[i]);
        }
        int from = clamp((int) Math.floor((lo + inward[axis] - origin(axis)) / grid.h), axis);
        int to = clamp((int) Math.floor((hi + inward[axis] - origin(axis)) / grid.h - 1e-9), axis);
        double[] rest = poly;
        int left = length;
        for (int i = from; i <= to && left >= 9; i++) {
            at[axis] = i;
            if (i == to) {
                slabs(rest, left, axis + 1, at, face, unit, inward);
            } else {
                Halves h = halves[axis];
                h.split(rest, left, axis, origin(axis) + (i + 1) * grid.h);
                rest = h.rest;
                left = h.left;
                if (h.length >= 9) {
                    slabs(h.below, h.length, axis + 1, at, face, unit, inward);
                }
            }
        }
    }

    private int clamp(int i, int axis) {
        return Math.max(0, Math.min(cells(axis) - 1, i));
    }

    /** The parts of a polygon below and above a wall (Sutherland and Hodgman 1974), in room that is used again for the next: a face is cut thousands of times. */
    private static final class Halves {
        private double[] below = new double[36];
        private double[] rest = new double[36];
        private double[] spare = new double[36];
        private int length;
        private int left;

        void split(double[] poly, int count, int axis, double wall) {
            if (below.length < 2 * count) {
                below = new double[4 * count];
            }
            double[] above = spare.length < 2 * count ? new double[4 * count] : spare;
            length = 0;
            left = 0;
            for (int p = 0; p < count; p += 3) {
                int q = p + 3 < count ? p + 3 : 0;
                double dp = wall - poly[p + axis];
                double dq = wall - poly[q + axis];
                if (dp >= 0) {
                    System.arraycopy(poly, p, below, length, 3);
                    length += 3;
                }
                if (dp <= 0) {
                    System.arraycopy(poly, p, above, left, 3);
                    left += 3;
                }
                if (dp > 0 && dq < 0 || dp < 0 && dq > 0) {
                    double f = dp / (dp - dq);
                    for (int k = 0; k < 3; k++) {
                        double v = k == axis ? wall : poly[p + k] + f * (poly[q + k] - poly[p + k]);
                        below[length++] = v;
                        above[left++] = v;
                    }
                }
            }
            // What is cut next is read while the one before is written.
            spare = rest;
            rest = above;
        }
    }

    private void add(double[] poly, int length, int[] at, int face, Vec3 unit) {
        double area = 0;
        double sx = 0;
        double sy = 0;
        double sz = 0;
        for (int i = 3; i + 5 < length; i += 3) {
            double ux = poly[i] - poly[0];
            double uy = poly[i + 1] - poly[1];
            double uz = poly[i + 2] - poly[2];
            double vx = poly[i + 3] - poly[0];
            double vy = poly[i + 4] - poly[1];
            double vz = poly[i + 5] - poly[2];
            double nx = uy * vz - uz * vy;
            double ny = uz * vx - ux * vz;
            double nz = ux * vy - uy * vx;
            double a = Math.sqrt(nx * nx + ny * ny + nz * nz) / 2;
            area += a;
            sx += a * (poly[0] + poly[i] + poly[i + 3]) / 3;
            sy += a * (poly[1] + poly[i + 1] + poly[i + 4]) / 3;
            sz += a * (poly[2] + poly[i + 2] + poly[i + 5]) / 3;
        }
        if (area < 1e-12) {
            return;
        }
        int n = number(6 * grid.index(at[0], at[1], at[2]) + face);
        int o = 7 * n;
        sums[o] += area;
        sums[o + 1] += sx;
        sums[o + 2] += sy;
        sums[o + 3] += sz;
        sums[o + 4] += area * unit.x();
        sums[o + 5] += area * unit.y();
        sums[o + 6] += area * unit.z();
        if (drawn) {
            pieces.add(Arrays.copyOf(poly, length));
            patchOf.add(n);
        }
    }

    /** The patch of a cell and a way, begun when there is none yet. */
    private int number(int key) {
        int at = slot(key);
        if (table[at] >= 0) {
            return table[at];
        }
        if (found == keys.length) {
            keys = Arrays.copyOf(keys, 2 * found);
            sums = Arrays.copyOf(sums, 14 * found);
        }
        keys[found] = key;
        table[at] = found++;
        if (3 * found > table.length) {
            table = new int[4 * table.length];
            Arrays.fill(table, -1);
            for (int i = 0; i < found; i++) {
                table[slot(keys[i])] = i;
            }
        }
        return found - 1;
    }

    private int slot(int key) {
        int at = key * 0x9E3779B1 >>> 8 & table.length - 1;
        while (table[at] >= 0 && keys[table[at]] != key) {
            at = at + 1 & table.length - 1;
        }
        return at;
    }
}
