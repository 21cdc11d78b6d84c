package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Stop;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Nearest;
import tinperch.solid.query.TriangleTree;

/** A strand whose ends move by themselves against brute force over many places of it. */
public class StrandTest {
    private static final TriangleTree BOX = TriangleTree.of(SolidKernel.evaluate(Leaf.extrusion("box", Profile.rectangle(0, 0, 20, 10), Placement.HERE, 0, 15), Tolerances.USUAL));

    private static Vec3 any(Random r, double size) {
        return new Vec3(size * (r.nextDouble() - 0.5), size * (r.nextDouble() - 0.5), size * (r.nextDouble() - 0.5));
    }

    @Test
    public void theNearestPlaceIsThatOfBruteForce() {
        Random r = new Random(24);
        int found = 0;
        for (int n = 0; n < 40; n++) {
            List<Strand.Travel> travels = new ArrayList<>();
            for (int i = 0; i < 1 + r.nextInt(2); i++) {
                travels.add(new Strand.Travel("a" + i, r.nextBoolean() ? any(r, 1) : Vec3.ZERO, any(r, 1), -20 * r.nextDouble(), 20 * r.nextDouble()));
            }
            Strand s = new Strand(BOX, any(r, 120), any(r, 120), 0, 0, travels);
            double brute = Double.POSITIVE_INFINITY;
            int steps = travels.size() == 1 ? 40 : 14;
            for (int i = 0; i <= steps; i++) {
                for (int j = 0; j <= (travels.size() == 1 ? 0 : steps); j++) {
                    Vec3 a = s.from();
                    Vec3 b = s.to();
                    for (int k = 0; k < travels.size(); k++) {
                        Strand.Travel t = travels.get(k);
                        double at = t.lowMm() + (t.highMm() - t.lowMm()) * (k == 0 ? i : j) / steps;
                        a = a.plus(t.fromPerMm().times(at));
                        b = b.plus(t.toPerMm().times(at));
                    }
                    for (int p = 0; p <= 60; p++) {
                        brute = Math.min(brute, Nearest.distanceMm(BOX, a.plus(b.minus(a).times(p / 60.0))));
                    }
                }
            }
            Optional<Strand.Tight> t = s.tightest(1000, Stop.NEVER);
            found++;
            assertTrue(t.orElseThrow().mm() <= brute + 0.11, t.get().mm() + " against " + brute);
            assertTrue(t.get().mm() >= brute - 3, "nothing between two samples comes so much nearer: " + t.get().mm() + " against " + brute);
            assertEquals(s.tightest(t.get().mm() - 0.3, Stop.NEVER), Optional.empty(), "nothing is nearer than the nearest");
        }
        assertEquals(found, 40);
    }

    /** Straight over the box, 4 mm above it, with one end let down by 10 on an axis: there it meets the edge. */
    @Test
    public void oneEndAloneIsMoved() {
        Strand.Travel down = new Strand.Travel("z", Vec3.ZERO, Vec3.Z.times(-1), 0, 10);
        Strand s = new Strand(BOX, new Vec3(-30, 0, 19), new Vec3(30, 0, 19), 0, 0, List.of(down));
        Strand.Tight t = s.tightest(5, Stop.NEVER).orElseThrow();
        assertTrue(t.mm() < 0.11, "it lies on the box where its far end is 6 mm lower, at x = 10");
        assertTrue(t.pose().get("z") > 5.7, t.pose().toString());
        assertEquals(new Strand(BOX, s.from(), s.to(), 0, 0, List.of()).tightest(5, Stop.NEVER).orElseThrow().mm(), 4, 0.11);
        assertEquals(new Strand(BOX, new Vec3(0, 0, 15), new Vec3(0, 0, 60), 15, 0, List.of()).tightest(100, Stop.NEVER).orElseThrow().mm(), 15, 0.15, "what is held on it stays out of it");
        assertEquals(new Strand(BOX, s.from(), s.to(), 0, 0, List.of(down)).tightest(5, Stop.NEVER).orElseThrow().pose().keySet(), Map.of("z", 0).keySet());
    }

    /** Along a slanting face over a long way of two axes there are too many places alike: that is said, never taken for free; along a flat one it is told at once. */
    @Test
    public void whatCannotBeLookedThroughIsNotFree() {
        Strand.Travel x = new Strand.Travel("x", Vec3.X, Vec3.X, -400, 400);
        Strand.Travel y = new Strand.Travel("y", Vec3.Y, Vec3.Y, -400, 400);
        TriangleTree floor = TriangleTree.of(SolidKernel.evaluate(Leaf.extrusion("floor", Profile.rectangle(0, 0, 2000, 2000), Placement.HERE, 0, 5), Tolerances.USUAL));
        assertEquals(new Strand(floor, new Vec3(-200, 0, 10), new Vec3(200, 0, 10), 0, 0, List.of(x, y)).tightest(4.8, Stop.NEVER), Optional.empty(), "5 mm everywhere");
        Placement leaning = Placement.turn(Vec3.ZERO, new Vec3(1, 2, 0).unit(), 0.4);
        Vec3 up = leaning.turned(Vec3.Z.times(10));
        Strand over = new Strand(TriangleTree.of(floor.mesh().placed(leaning)), leaning.turned(Vec3.X.times(-200)).plus(up), leaning.turned(Vec3.X.times(200)).plus(up), 0, 0,
                List.of(new Strand.Travel("x", leaning.turned(Vec3.X), leaning.turned(Vec3.X), -400, 400), new Strand.Travel("y", leaning.turned(Vec3.Y), leaning.turned(Vec3.Y), -400, 400)));
        Optional<Strand.Tight> t = over.tightest(4.8, Stop.NEVER);
        assertTrue(t.isPresent() && Double.isInfinite(t.get().mm()), "3000 places do not tell: " + t);
    }

    /** From far above, one end let down by 200: only in the middle of its way does it come to the box. */
    @Test
    public void aLongWayOfOneEndIsLookedThrough() {
        Strand.Travel down = new Strand.Travel("z", Vec3.ZERO, Vec3.Z.times(-1), 0, 200);
        Strand.Tight t = new Strand(BOX, new Vec3(-100, 0, 119), new Vec3(100, 0, 119), 0, 0, List.of(down)).tightest(5, Stop.NEVER).orElseThrow();
        assertTrue(t.mm() < 0.11, t.toString());
        // It meets the near upper edge, x = −10 and z = 15, first: 104 mm lower at 90 of 200 mm along.
        assertEquals(t.pose().get("z"), 190, 12, t.pose().toString());
    }
}
