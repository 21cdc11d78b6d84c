package tinperch.solid.view;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.part.PartExamples;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;

/** What is seen at a place of a drawn view, and where a click on the turntable meets a plane. */
public class FacingTest {
    private static final Mesh PLATE = PartExamples.mesh(PartExamples.plateCase(PartExamples.values()));

    @DataProvider
    public Object[][] views() {
        return new Object[][] {{Vec3.X, Vec3.Y}, {Vec3.X, Vec3.Z}, {Vec3.Y, Vec3.Z}};
    }

    /** A ray from far outside towards the part meets first what is seen. */
    @Test(dataProvider = "views")
    public void theFaceSeenIsTheFirstARayMeets(Vec3 right, Vec3 up) {
        Vec3 toEye = right.cross(up);
        Rays rays = new Rays(TriangleTree.of(PLATE));
        Random r = new Random(12);
        int seen = 0;
        for (int n = 0; n < 400; n++) {
            double x = -45 + 90 * r.nextDouble();
            double y = -40 + 80 * r.nextDouble();
            Vec3 from = right.times(x).plus(up.times(y)).plus(toEye.times(500));
            List<Rays.Hit> hits = rays.hits(from, toEye.times(-1));
            Optional<Facing.Seen> s = Facing.at(PLATE, right, up, x, y);
            assertEquals(s.isPresent(), !hits.isEmpty(), x + ", " + y);
            if (s.isPresent()) {
                seen++;
                assertEquals(s.get().at().distanceTo(from), hits.get(0).distanceMm(), 1e-6);
                assertTrue(PLATE.faces().get(s.get().face()).normal().dot(toEye) > 0, "it looks at the eye");
                assertEquals(PLATE.faces().get(s.get().face()).normal().dot(s.get().at()), PLATE.faces().get(s.get().face()).offset(), 1e-6, "the point is on it");
            }
        }
        assertTrue(seen > 15, "seen " + seen);
    }

    @Test
    public void besideThePartNothingIsSeen() {
        assertTrue(Facing.at(PLATE, Vec3.X, Vec3.Y, 200, 0).isEmpty());
        assertTrue(Facing.at(new Mesh(new double[0], new int[0], new int[0], List.of()), Vec3.X, Vec3.Y, 0, 0).isEmpty());
    }

    /** Projected as the picture is, a point of a plane is found again from its place in the picture. */
    @Test
    public void aClickFindsThePointOfThePlane() {
        Random r = new Random(13);
        for (int n = 0; n < 300; n++) {
            Camera c = new Camera(360 * r.nextDouble(), -85 + 170 * r.nextDouble(), new Vec3(r.nextGaussian() * 9, r.nextGaussian() * 9, r.nextGaussian() * 9), 0.5 + 9 * r.nextDouble());
            Vec3 normal = new Vec3(r.nextGaussian(), r.nextGaussian(), r.nextGaussian()).unit();
            if (Math.abs(normal.dot(c.toEye())) < 0.05) {
                continue;
            }
            Vec3 p = new Vec3(r.nextGaussian() * 30, r.nextGaussian() * 30, r.nextGaussian() * 30);
            Vec3 d = p.minus(c.target());
            Vec3 found = c.on(d.dot(c.right()) * c.pxPerMm(), d.dot(c.up()) * c.pxPerMm(), normal, normal.dot(p));
            assertEquals(found.distanceTo(p), 0, 1e-6);
        }
    }
}
