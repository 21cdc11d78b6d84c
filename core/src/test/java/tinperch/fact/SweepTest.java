package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.machine.space.Shape;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Stop;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.TriangleTree;

/** Sweeps over several axes: told gaps are there, and nowhere is a smaller one; touching is told where it is. */
public class SweepTest {
    private static Mesh round(double diameter, double high) {
        return SolidKernel.evaluate(Leaf.extrusion("body", Profile.disc(0, 0, diameter, 32), Placement.HERE, 0, high), Tolerances.USUAL);
    }

    private static List<Sweep.Travel> travels(Random dice) {
        List<Sweep.Travel> all = new ArrayList<>();
        all.add(new Sweep.Travel("x", Vec3.X, 0, 40 + 60 * dice.nextDouble()));
        all.add(new Sweep.Travel("y", Vec3.Y.times(-1), 0, 40 * dice.nextDouble() + 1));
        if (dice.nextBoolean()) {
            all.add(new Sweep.Travel("z", Vec3.Z, -20, 20));
        }
        return all;
    }

    private static Placement at(List<Sweep.Travel> travels, Map<String, Double> pose) {
        Vec3 by = Vec3.ZERO;
        for (Sweep.Travel t : travels) {
            by = by.plus(t.perMm().times(pose.get(t.axis())));
        }
        return Placement.HERE.moved(by);
    }

    @Test
    public void whatIsToldIsThereAndNothingIsSmaller() {
        Random dice = new Random(44);
        TriangleTree own = TriangleTree.of(round(16, 10));
        int told = 0;
        int touching = 0;
        for (int k = 0; k < 60; k++) {
            Shape other = Shape.of(round(8 + 10 * dice.nextDouble(), 12).placed(Placement.at(90 * dice.nextDouble(), 14 + 12 * dice.nextDouble() - 30 * dice.nextDouble(), 40 * dice.nextDouble() - 20)));
            List<Sweep.Travel> travels = travels(dice);
            Optional<Sweep.Tight> found = Sweep.tightest(own, Placement.HERE, other, travels, 3, Stop.NEVER);
            Optional<Map<String, Double>> touch = Sweep.touching(own, Placement.HERE, other, travels, Stop.NEVER);
            double sampled = Double.POSITIVE_INFINITY;
            for (int i = 0; i < 400; i++) {
                Vec3 by = Vec3.ZERO;
                for (Sweep.Travel t : travels) {
                    by = by.plus(t.perMm().times(t.fromMm() + dice.nextDouble() * (t.toMm() - t.fromMm())));
                }
                sampled = Math.min(sampled, Clearance.between(other.tree(), own, Placement.HERE.moved(by)).gapMm());
            }
            if (found.isPresent()) {
                told++;
                Clearance there = Clearance.between(other.tree(), own, at(travels, found.get().pose()));
                assertEquals(there.gapMm(), found.get().gapMm(), 1e-6, "the gap is where it is told");
                assertEquals(there.depthMm(), found.get().depthMm(), 1e-6, "and so deep");
                assertTrue(sampled >= found.get().surelyMm() - 1e-9, "no sample is nearer: " + sampled + " " + found.get());
            } else {
                assertTrue(sampled > 3 - 0.06, "nothing was told, and a sample is " + sampled + " near");
            }
            assertEquals(touch.isPresent(), found.map(f -> f.depthMm() > 0 || f.gapMm() <= Sweep.TOUCHES_MM + 1e-9).orElse(false), String.valueOf(found));
            if (touch.isPresent()) {
                touching++;
                assertTrue(Clearance.closerThan(other.tree(), own, at(travels, touch.get()), Sweep.TOUCHES_MM + 1e-9));
            }
        }
        assertTrue(told > 10 && touching > 5 && touching < 55, told + " told, " + touching + " touching");
    }

    /** Two bars that overlap by 4 mm at the end of a travel are deepest there. */
    @Test
    public void theDeepestPlaceIsFound() {
        Mesh bar = SolidKernel.evaluate(Leaf.extrusion("bar", Profile.rectangle(0, 0, 20, 20), Placement.HERE, 0, 20), Tolerances.USUAL);
        Shape wall = Shape.of(SolidKernel.evaluate(Leaf.extrusion("wall", Profile.rectangle(0, 0, 10, 200), Placement.at(111, 0, -50), 0, 120), Tolerances.USUAL));
        Sweep.Tight t = Sweep.tightest(TriangleTree.of(bar), Placement.HERE, wall, List.of(new Sweep.Travel("x", Vec3.X, 0, 100)), 3, Stop.NEVER).orElseThrow();
        assertEquals(t.pose().get("x"), 100, 1.0);
        assertEquals(t.depthMm(), 4, 0.6);
    }
}
