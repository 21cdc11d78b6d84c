package tinperch.heat;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Stop;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Grids of cut cells and surfaces in patches, over bodies that lie anyhow in them. */
public class VoxelsTest {
    private static Mesh body(double deg) {
        Mesh m = SolidKernel.evaluate(new Solid.Difference(new Solid.Union(List.of(Leaf.extrusion("plate", Profile.roundedRectangle(0, 0, 50, 34, 5, 8), Placement.HERE, 0, 5), Leaf.extrusion("boss", Profile.disc(10, 5, 12, 48), Placement.HERE, 5, 14))),
                List.of(Leaf.extrusion("hole", Profile.hole(10, 5, 5, 48), Placement.HERE, -1, 15), Leaf.extrusion("window", Profile.rectangle(-12, 0, 10, 18), Placement.HERE, -1, 6))), Tolerances.USUAL);
        return m.placed(Placement.turn(Vec3.ZERO, new Vec3(0.3, 0.4, 0.8).unit(), Math.toRadians(deg)));
    }

    /** Openings between cells add up to sections: the sum of those across each plane of the grid is the area there. */
    @Test
    public void openingsAddUpToSections() {
        Mesh m = SolidKernel.evaluate(Leaf.extrusion("bar", Profile.rectangle(0, 0, 13.7, 7.3), Placement.HERE, 0, 30), Tolerances.USUAL);
        Voxels v = new Voxels(m, 1.9, Stop.NEVER);
        double[] perLayer = new double[v.nz];
        for (int c = 0; c < v.count; c++) {
            perLayer[v.at[c] / v.nx / v.ny] += v.openZ[c] * v.h * v.h;
        }
        for (int k = 1; k + 2 < v.nz; k++) {
            assertEquals(perLayer[k], 13.7 * 7.3, 0.12 * 13.7 * 7.3, "layer " + k);
        }
    }

    /** However it is turned, cells hold about its volume, and patches hold all of its surface, which closes: its areas with their normals add up to nothing. */
    @Test
    public void cellsHoldTheVolumeAndPatchesTheSurface() {
        for (double deg : new double[] {0, 13, 41, 77}) {
            Mesh m = body(deg);
            Voxels v = new Voxels(m, 1.3, Stop.NEVER);
            double cells = v.count * Math.pow(v.h, 3);
            assertTrue(cells > m.volumeMm3() && cells < 1.9 * m.volumeMm3(), "those that hold a fifth and more: " + cells + " of " + m.volumeMm3());
            Patches p = new Patches(m, v, true, Stop.NEVER);
            double area = 0;
            Vec3 sum = Vec3.ZERO;
            for (int i = 0; i < p.count(); i++) {
                area += p.areaMm2[i];
                sum = sum.plus(p.normal[i].times(p.areaMm2[i]));
                assertTrue(p.cell[i] >= 0 && p.cell[i] < v.count);
                assertTrue(Math.abs(p.depthMm[i]) < 3 * v.h, "near its cell: " + p.depthMm[i]);
            }
            assertEquals(area, m.areaMm2(), 0.001 * m.areaMm2(), "turned by " + deg);
            assertTrue(sum.length() < 0.06 * area, "it closes nearly: patches of bent faces lose a little of their normals, " + sum);
            double drawn = 0;
            for (int i = 0; i < p.pieces.size(); i++) {
                double[] q = p.pieces.get(i);
                for (int k = 3; k + 5 < q.length; k += 3) {
                    drawn += new Vec3(q[k] - q[0], q[k + 1] - q[1], q[k + 2] - q[2]).cross(new Vec3(q[k + 3] - q[0], q[k + 4] - q[1], q[k + 5] - q[2])).length() / 2;
                }
            }
            assertEquals(drawn, m.areaMm2(), 0.001 * m.areaMm2(), "what is drawn is all of it");
        }
    }

    /** Random boxes, aligned or not with the grid: a cell is there exactly where enough of it is filled, told by counting points. */
    @Test
    public void aCellIsThereWhereEnoughOfItIsFilled() {
        Random dice = new Random(21);
        for (int k = 0; k < 20; k++) {
            double w = 4 + 6 * dice.nextDouble();
            double d = 4 + 6 * dice.nextDouble();
            double z = 3 + 5 * dice.nextDouble();
            Mesh m = SolidKernel.evaluate(Leaf.extrusion("box", Profile.rectangle(0, 0, w, d), Placement.HERE, 0, z), Tolerances.USUAL);
            Voxels v = new Voxels(m, 1.1, Stop.NEVER);
            for (int j = 0; j < v.ny; j++) {
                for (int i = 0; i < v.nx; i++) {
                    for (int c = 0; c < v.nz; c++) {
                        double fx = overlap(v.x0 + i * v.h, v.h, -w / 2, w / 2);
                        double fy = overlap(v.y0 + j * v.h, v.h, -d / 2, d / 2);
                        double fz = overlap(v.z0 + c * v.h, v.h, 0, z);
                        double exact = fx * fy * fz;
                        // Lines stand at quarters: a side is half, all or nothing.
                        if (exact > 0.6) {
                            assertTrue(v.cell[v.index(i, j, c)] >= 0, exact + " full");
                        }
                        if (exact == 0) {
                            assertEquals(v.cell[v.index(i, j, c)], -1);
                        }
                    }
                }
            }
        }
    }

    private static double overlap(double from, double h, double lo, double hi) {
        return Math.max(0, Math.min(from + h, hi) - Math.max(from, lo)) / h;
    }
}
