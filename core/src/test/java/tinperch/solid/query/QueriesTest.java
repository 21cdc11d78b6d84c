package tinperch.solid.query;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.apache.commons.geometry.euclidean.threed.ConvexPolygon3D;
import org.apache.commons.geometry.euclidean.threed.Planes;
import org.apache.commons.geometry.euclidean.threed.RegionBSPTree3D;
import org.apache.commons.geometry.euclidean.threed.Triangle3D;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.geometry.euclidean.threed.line.Lines3D;
import org.apache.commons.geometry.euclidean.threed.shape.Parallelepiped;
import org.apache.commons.numbers.core.Precision;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.shape.Extrusion;
import tinperch.solid.shape.Revolution;

/** What meshes are asked, against closed forms, an independent library and brute force. */
public class QueriesTest {
    private static final Placement ODD = Placement.along(new Vec3(3, -2, 5), new Vec3(1, 2, 2), Vec3.X);

    private static Mesh mesh(Solid s) {
        return SolidKernel.evaluate(s, Tolerances.USUAL);
    }

    private static Leaf box(double x, double y, double z, double w, double d, double h) {
        return Leaf.extrusion("box", Profile.rectangle(x + w / 2, y + d / 2, w, d), Placement.HERE, z, z + h);
    }

    /** An L-shaped bracket with two holes, at an odd place. */
    private static Solid bracket(Placement at) {
        return Solid.union(Leaf.extrusion("foot", Profile.rectangle(0, 0, 30, 20), at, 0, 4),
                Leaf.extrusion("wall", Profile.rectangle(-13, 0, 4, 20), at, 2, 25))
                .minus(Leaf.extrusion("hole", Profile.hole(5, 4, 5, 24), at, -1, 5),
                        Leaf.extrusion("hole", Profile.hole(5, -5, 5, 24), at, -1, 5));
    }

    // ---- mass ----

    @Test
    public void aBoxHasTheHandbookInertia() {
        MassProperties m = MassProperties.of(mesh(box(10, 20, 30, 4, 6, 8)));
        assertEquals(m.volumeMm3(), 192, 1e-9);
        assertEquals(m.centroid().distanceTo(new Vec3(12, 23, 34)), 0, 1e-9);
        // Solid cuboid: m (b² + c²) / 12 (any mechanics handbook).
        assertEquals(m.inertiaMm5()[0], 192 * (36 + 64) / 12.0, 1e-6);
        assertEquals(m.inertiaMm5()[1], 192 * (16 + 64) / 12.0, 1e-6);
        assertEquals(m.inertiaMm5()[2], 192 * (16 + 36) / 12.0, 1e-6);
        for (int i = 3; i < 6; i++) {
            assertEquals(m.inertiaMm5()[i], 0, 1e-6);
        }
    }

    @Test
    public void aConeHasItsCentroidAQuarterUp() {
        Mesh cone = mesh(Revolution.leaf("cone", Profile.of(new double[] {0, 0, 6, 0, 0, 12}), ODD, 48, Revolution.Fit.WITHIN));
        Vec3 c = ODD.local(MassProperties.of(cone).centroid());
        assertEquals(c.distanceTo(new Vec3(0, 0, 3)), 0, 1e-9);
    }

    @Test
    public void inertiaIsThatOfRandomPoints() {
        Mesh m = mesh(bracket(ODD));
        MassProperties p = MassProperties.of(m);
        Rays rays = new Rays(TriangleTree.of(m));
        Random r = new Random(7);
        int n = 40_000;
        double[] sum = new double[6];
        double volume = m.bounds().size().x() * m.bounds().size().y() * m.bounds().size().z();
        for (int i = 0; i < n; i++) {
            Vec3 s = m.bounds().size();
            Vec3 q = m.bounds().min().plus(new Vec3(s.x() * r.nextDouble(), s.y() * r.nextDouble(), s.z() * r.nextDouble()));
            if (rays.inside(q)) {
                Vec3 d = q.minus(p.centroid());
                double w = volume / n;
                sum[0] += w * (d.y() * d.y() + d.z() * d.z());
                sum[1] += w * (d.z() * d.z() + d.x() * d.x());
                sum[2] += w * (d.x() * d.x() + d.y() * d.y());
                sum[3] -= w * d.x() * d.y();
                sum[4] -= w * d.y() * d.z();
                sum[5] -= w * d.z() * d.x();
            }
        }
        for (int i = 0; i < 6; i++) {
            assertEquals(sum[i], p.inertiaMm5()[i], 0.05 * p.inertiaMm5()[0]);
        }
    }

    // ---- sections and layers ----

    @Test
    public void aSectionHasItsHolesAndItsArea() {
        Mesh m = mesh(bracket(Placement.HERE));
        List<Profile> at3 = Slicer.section(m, Placement.at(0, 0, 3));
        assertEquals(at3.size(), 1);
        assertEquals(at3.get(0).ringCount(), 3);
        double hole = 24 * 6.25 * Math.tan(Math.PI / 24);
        assertEquals(at3.get(0).areaMm2(), 600 - 2 * hole, 1e-9);
        // On an axis of its own the plane's coordinates are the profile's.
        Placement across = Placement.along(new Vec3(0, 0, 0), Vec3.X, Vec3.Y);
        List<Profile> atX = Slicer.section(m, across);
        assertEquals(atX.stream().mapToDouble(Profile::areaMm2).sum(), 20 * 4, 1e-9);
    }

    @Test
    public void layersAddUpToTheVolume() {
        for (Placement at : List.of(Placement.HERE, ODD)) {
            Mesh m = mesh(bracket(at));
            double lo = m.bounds().min().z();
            double height = m.bounds().size().z();
            int n = 2000;
            double[] z = new double[n];
            for (int i = 0; i < n; i++) {
                z[i] = lo + height * (i + 0.5) / n;
            }
            double v = 0;
            for (List<Profile> layer : Slicer.layers(m, Placement.HERE, z)) {
                v += layer.stream().mapToDouble(Profile::areaMm2).sum() * height / n;
            }
            assertEquals(v, m.volumeMm3(), 2e-3 * m.volumeMm3());
        }
    }

    @Test
    public void planesThroughCornersAndFacesStillCloseTheirLoops() {
        Mesh m = mesh(bracket(Placement.HERE));
        // Just these heights are where faces lie: a point on the plane counts as above it.
        List<List<Profile>> l = Slicer.layers(m, Placement.HERE, new double[] {0, 2, 4, 25});
        assertEquals(l.get(0).size(), 0);
        double hole = 24 * 6.25 * Math.tan(Math.PI / 24);
        assertEquals(l.get(1).get(0).areaMm2(), 600 - 2 * hole, 1e-9);
        assertEquals(l.get(2).get(0).areaMm2(), 600 - 2 * hole, 1e-9);
        assertEquals(l.get(3).get(0).areaMm2(), 80, 1e-9);
    }

    // ---- rays and inside ----

    @Test
    public void insideAgreesWithAnIndependentLibrary() {
        Precision.DoubleEquivalence eps = Precision.doubleEquivalenceOfEpsilon(1e-9);
        Random r = new Random(11);
        for (int tree = 0; tree < 20; tree++) {
            Solid s = box(0, 0, 0, 6, 6, 6);
            RegionBSPTree3D other = Parallelepiped.axisAligned(Vector3D.ZERO, Vector3D.of(6, 6, 6), eps).toTree();
            List<Solid> cuts = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                double x = r.nextInt(6);
                double y = r.nextInt(6);
                double z = r.nextInt(6);
                double w = 1 + r.nextInt(3);
                cuts.add(box(x, y, z, w, w, w));
                other.difference(Parallelepiped.axisAligned(Vector3D.of(x, y, z), Vector3D.of(x + w, y + w, z + w), eps).toTree());
            }
            Rays rays = new Rays(TriangleTree.of(mesh(s.minus(cuts.toArray(Solid[]::new)))));
            for (int i = 0; i < 200; i++) {
                Vec3 p = new Vec3(8 * r.nextDouble() - 1, 8 * r.nextDouble() - 1, 8 * r.nextDouble() - 1);
                assertEquals(rays.inside(p), other.contains(Vector3D.of(p.x(), p.y(), p.z())));
            }
        }
    }

    @Test
    public void aRayGoesInAndOut() {
        Mesh m = mesh(bracket(Placement.HERE));
        List<Rays.Hit> hits = new Rays(TriangleTree.of(m)).hits(new Vec3(-20, 0.3, 10), Vec3.X);
        assertEquals(hits.size(), 2);
        assertEquals(hits.get(0).distanceMm(), 5, 1e-9);
        assertTrue(hits.get(0).entering());
        assertEquals(hits.get(1).distanceMm(), 9, 1e-9);
        assertEquals(m.faces().get(m.faceOf(hits.get(1).triangle())).feature(), "wall");
    }

    // ---- walls and overhangs ----

    @Test
    public void theThinnestWallIsFoundAndNamed() {
        Solid s = box(0, 0, 0, 40, 20, 10).minus(Leaf.extrusion("pocket", Profile.rectangle(20, 10, 20, 17), Placement.HERE, 2.2, 11));
        WallThickness w = WallThickness.thinnest(TriangleTree.of(mesh(s)), 2).orElseThrow();
        assertEquals(w.mm(), 1.5, 1e-9);
        assertEquals(List.of(w.feature(), w.otherFeature()).stream().sorted().toList(), List.of("box", "pocket"));
        assertEquals(w.from().distanceTo(w.to()), 1.5, 1e-9);
        // The corner of a wedge is no wall.
        for (double high : new double[] {8, 20, 29}) {
            // 15°, 34° and 44°: whatever the spacing, what is found is the 20 mm from end to end.
            Leaf wedge = Leaf.extrusion("wedge", Profile.of(new double[] {0, 0, 30, 0, 30, high}), Placement.HERE, 0, 20);
            for (double spacing : new double[] {4, 2, 0.5}) {
                assertEquals(WallThickness.thinnest(TriangleTree.of(mesh(wedge)), spacing).orElseThrow().mm(), 20, 1e-9, high + " at " + spacing);
            }
        }
    }

    @Test
    public void aTableTopIsABridgeBetweenItsLegsAndAShelfIsNot() {
        Solid table = Solid.union(box(0, 0, 10, 40, 20, 3), box(0, 0, 0, 5, 20, 11), box(35, 0, 0, 5, 20, 11));
        List<Overhangs> o = Overhangs.of(mesh(table), Vec3.Z, 45);
        assertEquals(o.size(), 1);
        assertEquals(o.get(0).bridgeMm().orElseThrow(), 30, 1e-9);
        assertEquals(o.get(0).areaMm2(), 600, 1e-9);
        // Made of two boards side by side it is the same bridge.
        Solid boards = Solid.union(Leaf.extrusion("left board", Profile.rectangle(20, 5, 40, 10), Placement.HERE, 10, 13), Leaf.extrusion("right board", Profile.rectangle(20, 15, 40, 10), Placement.HERE, 10, 13),
                box(0, 0, 0, 5, 20, 11), box(35, 0, 0, 5, 20, 11));
        List<Overhangs> two = Overhangs.of(mesh(boards), Vec3.Z, 45);
        assertTrue(two.size() >= 1 && two.stream().allMatch(x -> x.bridgeMm().isPresent() && Math.abs(x.bridgeMm().getAsDouble() - 30) < 1e-9), two.toString());
        assertEquals(two.stream().mapToDouble(Overhangs::areaMm2).sum(), 600, 1e-9);
        Solid across = Solid.union(Leaf.extrusion("near half", Profile.rectangle(10, 10, 20, 20), Placement.HERE, 10, 13), Leaf.extrusion("far half", Profile.rectangle(30, 10, 20, 20), Placement.HERE, 10, 13),
                box(0, 0, 0, 5, 20, 11), box(35, 0, 0, 5, 20, 11));
        assertTrue(Overhangs.of(mesh(across), Vec3.Z, 45).stream().allMatch(x -> x.bridgeMm().isPresent()), "halves that meet in the air carry each other");
        Solid shelf = Solid.union(box(0, 0, 10, 40, 20, 3), box(0, 0, 0, 5, 20, 11));
        assertEquals(Overhangs.of(mesh(shelf), Vec3.Z, 45).get(0).bridgeMm(), OptionalDouble.empty());
        // Lying on its back the shelf hangs nowhere.
        assertTrue(Overhangs.of(mesh(shelf), Vec3.Y, 45).isEmpty());
    }

    @Test
    public void onlyLeansFlatterThanTheLimitHang() {
        Leaf leaning = Extrusion.of(Profile.rectangle(0, 0, 20, 20), Placement.HERE, 0, 10).draft(-40).leaf("funnel");
        assertTrue(Overhangs.of(mesh(leaning), Vec3.Z, 45).isEmpty());
        List<Overhangs> o = Overhangs.of(mesh(leaning), Vec3.Z, 30);
        assertEquals(o.size(), 4);
        assertEquals(o.get(0).fromVerticalDeg(), 40, 1e-6);
    }

    // ---- distance ----

    @Test
    public void gapsOfBoxesAreThoseOfGeometry() {
        TriangleTree a = TriangleTree.of(mesh(box(0, 0, 0, 10, 10, 10)));
        TriangleTree b = TriangleTree.of(mesh(box(0, 0, 0, 4, 4, 4)));
        Clearance c = Clearance.between(a, b, Placement.at(13, 14, 3));
        assertEquals(c.gapMm(), 5, 1e-12, "3-4-5 between two upright edges");
        assertEquals(c.onFirst().distanceTo(c.onSecond()), 5, 1e-12);
        assertFalse(Clearance.closerThan(a, b, Placement.at(13, 14, 3), 4.999));
        assertTrue(Clearance.closerThan(a, b, Placement.at(13, 14, 3), 5.001));
        Clearance in = Clearance.between(a, b, Placement.at(8, 3, 3));
        assertEquals(in.gapMm(), 0);
        assertEquals(in.depthMm(), 2, 1e-9);
        Clearance whole = Clearance.between(a, b, Placement.at(1, 3, 3));
        assertTrue(whole.intersects() && Clearance.closerThan(a, b, Placement.at(3, 3, 3), 0.1));
        assertEquals(whole.depthMm(), 3, 1e-9, "the deepest corner inside lies 3 mm from two faces");
        assertEquals(Clearance.between(a, b, Placement.at(10.2, 3, 3), Clearance.between(a, b, Placement.at(10.4, 3, 3)), 0.3).gapMm(), 0.2, 1e-12);
        assertEquals(Clearance.between(a, b, Placement.at(20, 3, 3), Clearance.between(a, b, Placement.at(10.2, 3, 3)), 0.5).gapMm(), 10, 1e-12, "a wrong bound harms nothing");
    }

    @Test
    public void crossingBarsWithoutACornerInsideIntersect() {
        TriangleTree a = TriangleTree.of(mesh(box(-20, -2, -2, 40, 4, 4)));
        Clearance c = Clearance.between(a, TriangleTree.of(mesh(box(-1, -20, -1, 2, 40, 2))), Placement.HERE);
        assertTrue(c.intersects());
        assertTrue(c.depthMm() >= 1 && c.depthMm() <= 2, "edges lie 1 mm deep, side faces up to 2");
    }

    @Test
    public void distanceIsThatOfEveryTriangleAgainstEveryOther() {
        Random r = new Random(3);
        TriangleTree a = TriangleTree.of(mesh(bracket(ODD)));
        TriangleTree b = TriangleTree.of(mesh(Revolution.leaf("ring", Profile.rectangle(7, 2, 4, 4), Placement.HERE, 16,
                Revolution.Fit.WITHIN)));
        for (int i = 0; i < 25; i++) {
            Placement p = Placement.turn(Vec3.ZERO, new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()), 6 * r.nextDouble());
            p = new Placement(new Vec3(30 + 20 * r.nextDouble(), 20 * r.nextDouble(), 20 * r.nextDouble()), p.u(), p.v(), p.w());
            double gap = Clearance.between(a, b, p).gapMm();
            double brute = Double.POSITIVE_INFINITY;
            for (int t = 0; t < b.mesh().triangleCount(); t++) {
                for (int k = 0; k <= 6; k++) {
                    for (int l = 0; k + l <= 6; l++) {
                        Vec3 q = b.point(t, 0).times((6 - k - l) / 6.0).plus(b.point(t, 1).times(k / 6.0)).plus(b.point(t, 2).times(l / 6.0));
                        brute = Math.min(brute, Nearest.distanceMm(a, p.point(q.x(), q.y(), q.z())));
                    }
                }
            }
            assertTrue(gap <= brute + 1e-9 && gap > brute - 0.8, gap + " against sampled " + brute);
            assertTrue(Clearance.closerThan(a, b, p, gap + 1e-6) && !Clearance.closerThan(a, b, p, gap - 1e-6));
        }
    }

    @Test
    public void aRayHitsWhereAnIndependentLibraryHits() {
        Precision.DoubleEquivalence eps = Precision.doubleEquivalenceOfEpsilon(1e-10);
        Mesh m = mesh(bracket(ODD));
        Rays rays = new Rays(TriangleTree.of(m));
        List<Triangle3D> all = new ArrayList<>();
        for (int t = 0; t < m.triangleCount(); t++) {
            Vector3D[] v = new Vector3D[3];
            for (int k = 0; k < 3; k++) {
                Vec3 p = m.point(m.corner(t, k));
                v[k] = Vector3D.of(p.x(), p.y(), p.z());
            }
            all.add(Planes.triangleFromVertices(v[0], v[1], v[2], eps));
        }
        Random r = new Random(21);
        for (int i = 0; i < 60; i++) {
            Vec3 from = m.bounds().centre().plus(new Vec3(60 * r.nextGaussian(), 60 * r.nextGaussian(), 60 * r.nextGaussian()));
            Vec3 d = m.bounds().centre().plus(new Vec3(8 * r.nextDouble(), 8 * r.nextDouble(), 8 * r.nextDouble())).minus(from).unit();
            var ray = Lines3D.rayFromPointAndDirection(Vector3D.of(from.x(), from.y(), from.z()), Vector3D.of(d.x(), d.y(), d.z()), eps);
            double nearest = all.stream().map((ConvexPolygon3D t) -> t.intersection(ray)).filter(java.util.Objects::nonNull)
                    .mapToDouble(p -> p.distance(Vector3D.of(from.x(), from.y(), from.z()))).min().orElse(-1);
            assertEquals(rays.first(from, d, 0).map(Rays.Hit::distanceMm).orElse(-1.0), nearest, 1e-8);
        }
    }
}
