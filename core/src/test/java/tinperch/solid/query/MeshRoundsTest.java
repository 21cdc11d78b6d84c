package tinperch.solid.query;

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
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Holes and pegs found again in meshes made here with known ones. */
public class MeshRoundsTest {
    private static Mesh plate(Placement at, double holeMm, int sides) {
        Leaf plate = Leaf.extrusion("plate", Profile.of(Profile.rectangle(0, 0, 60, 44).ring(0), Profile.hole(-20, -16, holeMm, sides).ring(0),
                Profile.hole(20, -16, holeMm, sides).ring(0), Profile.hole(20, 16, holeMm, sides).ring(0),
                Profile.hole(-20, 16, holeMm, sides).ring(0)), at, 0, 6);
        return SolidKernel.evaluate(plate, Tolerances.USUAL);
    }

    private static List<MeshRounds.Round> holes(Mesh m) {
        return MeshRounds.of(m).stream().filter(MeshRounds.Round::hole).toList();
    }

    @Test
    public void fourHolesOfAPlateAreFoundWhicheverWayItLies() {
        for (Placement p : List.of(Placement.HERE, Placement.along(new Vec3(3, 4, 5), Vec3.X, Vec3.Y),
                Placement.along(new Vec3(-7, 4, 5), Vec3.Y, Vec3.Z))) {
            List<MeshRounds.Round> found = holes(plate(p, 4.2, 48));
            assertEquals(found.size(), 4, found.toString());
            for (MeshRounds.Round r : found) {
                assertEquals(r.diameter(), drawn(4.2, 48), 0.01);
                assertEquals(r.length(), 6, 0.3);
            }
            double longest = found.stream().mapToDouble(r -> found.get(0).spacing(r)).max().orElseThrow();
            assertEquals(longest, Math.hypot(40, 32), 1e-3);
        }
    }

    /** Corners of the drawn polygon; a hole is drawn so that its sides, not its corners, keep the size. */
    private static double drawn(double d, int sides) {
        double[] ring = Profile.hole(0, 0, d, sides).ring(0);
        return 2 * Math.hypot(ring[0], ring[1]);
    }

    @Test
    public void aPegIsNoHoleAndANutPocketIsNoCircle() {
        Solid body = Solid.union(Leaf.extrusion("base", Profile.rectangle(0, 0, 40, 40), Placement.HERE, 0, 5),
                Leaf.extrusion("peg", Profile.disc(0, 0, 12, 64), Placement.HERE, 5, 20));
        Solid cut = body.minus(Leaf.extrusion("pocket", Profile.hexagon(14, 14, 5.5, 0), Placement.HERE, 2, 6));
        List<MeshRounds.Round> found = MeshRounds.of(SolidKernel.evaluate(cut, Tolerances.USUAL));
        assertEquals(found.size(), 1, found.toString());
        assertTrue(!found.get(0).hole());
        assertEquals(found.get(0).diameter(), 12, 0.05);
        assertEquals(found.get(0).length(), 15, 0.9);
        assertEquals(found.get(0).middle().z(), 12.5, 0.5);
    }

    /** A block drilled through along x and y, the two holes meeting in the middle: each is one hole, as long as the block. */
    @Test
    public void aHoleThatAnotherCrossesIsOneHole() {
        Solid block = Leaf.extrusion("block", Profile.rectangle(0, 0, 40, 30), Placement.HERE, 0, 20);
        Solid crossed = block.minus(Leaf.extrusion("x", Profile.hole(0, 0, 8, 48), Placement.along(new Vec3(-30, 0, 10), Vec3.X, Vec3.Y), 0, 60))
                .minus(Leaf.extrusion("y", Profile.hole(0, 0, 8, 48), Placement.along(new Vec3(0, -30, 10), Vec3.Y, Vec3.X), 0, 60));
        List<MeshRounds.Round> found = holes(SolidKernel.evaluate(crossed, Tolerances.USUAL));
        assertEquals(found.size(), 2, found.toString());
        for (MeshRounds.Round r : found) {
            assertEquals(r.length(), r.axis() == 0 ? 40 : 30, 0.01);
            assertEquals(r.middle().minus(new Vec3(0, 0, 10)).length(), 0, 0.01);
        }
        // A web between them leaves two blind holes two.
        Solid blind = block.minus(Leaf.extrusion("a", Profile.hole(0, 0, 8, 48), Placement.along(new Vec3(-30, 0, 10), Vec3.X, Vec3.Y), 0, 28))
                .minus(Leaf.extrusion("b", Profile.hole(0, 0, 8, 48), Placement.along(new Vec3(2, 0, 10), Vec3.X, Vec3.Y), 0, 30));
        assertEquals(holes(SolidKernel.evaluate(blind, Tolerances.USUAL)).size(), 2);
    }

    @Test
    public void aBoxHasNone() {
        assertEquals(MeshRounds.of(SolidKernel.evaluate(Leaf.extrusion("box", Profile.rectangle(0, 0, 10, 20), Placement.HERE, 0, 5),
                Tolerances.USUAL)), List.of());
    }

    @Test
    public void aScaledMeshHasScaledHoles() {
        Mesh inches = plate(Placement.HERE, 4.2, 48).scaled(1 / 25.4);
        List<MeshRounds.Round> found = holes(inches);
        assertEquals(found.size(), 4);
        assertEquals(found.get(0).diameter() * 25.4, drawn(4.2, 48), 0.01);
        assertEquals(inches.scaled(25.4).volumeMm3(), plate(Placement.HERE, 4.2, 48).volumeMm3(), 1e-6);
    }

    /** Torn, doubled and turned triangles: fewer rounds are found, nothing hangs and nothing is made up. */
    @Test
    public void aBrokenMeshGivesNoFalseHoles() {
        Random random = new Random(12);
        Mesh whole = plate(Placement.HERE, 4.2, 48);
        int found = 0;
        for (int round = 0; round < 60; round++) {
            int n = whole.triangleCount();
            int[] corners = new int[3 * n + 30];
            double[] xyz = new double[3 * whole.pointCount()];
            for (int i = 0; i < whole.pointCount(); i++) {
                xyz[3 * i] = whole.x(i);
                xyz[3 * i + 1] = whole.y(i);
                xyz[3 * i + 2] = whole.z(i);
            }
            int used = 0;
            for (int t = 0; t < n; t++) {
                int roll = random.nextInt(100);
                for (int copies = roll < 4 ? 0 : roll < 6 && used + 6 < corners.length ? 2 : 1; copies > 0 && used + 3 <= corners.length;
                        copies--) {
                    for (int k = 0; k < 3; k++) {
                        corners[used++] = whole.corner(t, roll == 50 ? 2 - k : k);
                    }
                }
            }
            Mesh broken = new Mesh(xyz, java.util.Arrays.copyOf(corners, used), new int[used / 3], List.of());
            for (MeshRounds.Round r : holes(broken)) {
                assertEquals(r.diameter(), drawn(4.2, 48), 0.02);
                found++;
            }
        }
        assertTrue(found < 240);
    }
}
