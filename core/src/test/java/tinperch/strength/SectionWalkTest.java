package tinperch.strength;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

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
import java.util.List;

/** Sections against closed forms, beams against formulas of any handbook. */
public class SectionWalkTest {
    private static Section section(double... xy) {
        return Section.of(Profile.of(xy));
    }

    /** b h³/12 and h b³/12; π d⁴/64; a tee and an I by parallel axes (Steiner). */
    @Test
    public void sectionsAgreeWithClosedForms() {
        Section r = Section.of(Profile.rectangle(7, -3, 10, 4));
        assertEquals(r.areaMm2(), 40, 1e-9);
        assertEquals(r.x(), 7, 1e-9);
        assertEquals(r.ixxMm4(), 10 * 64 / 12.0, 1e-9);
        assertEquals(r.iyyMm4(), 4 * 1000 / 12.0, 1e-9);
        assertEquals(r.ixyMm4(), 0, 1e-9);
        Section c = Section.of(Profile.disc(1, 2, 8, 720));
        assertEquals(c.ixxMm4(), Math.PI * Math.pow(8, 4) / 64, 0.02, "201.06 mm⁴, the 8 mm rod of the trade's check value");
        Section tube = Section.of(Profile.of(Profile.disc(0, 0, 8, 720).ring(0), Profile.disc(0, 0, 6, 720).ring(0)));
        assertEquals(tube.ixxMm4(), Math.PI * (Math.pow(8, 4) - Math.pow(6, 4)) / 64, 0.02);
        // Tee: flange 20 × 4 on a web 4 × 16.
        Section tee = section(-10, 16, -2, 16, -2, 0, 2, 0, 2, 16, 10, 16, 10, 20, -10, 20);
        double y = (64 * 8 + 80 * 18) / 144.0;
        assertEquals(tee.y(), y, 1e-9);
        assertEquals(tee.ixxMm4(), 4 * 4096 / 12.0 + 64 * (y - 8) * (y - 8) + 20 * 64 / 12.0 + 80 * (18 - y) * (18 - y), 1e-6);
        Section i = section(-10, 0, 10, 0, 10, 3, 2, 3, 2, 17, 10, 17, 10, 20, -10, 20, -10, 17, -2, 17, -2, 3, -10, 3);
        assertEquals(i.ixxMm4(), (20 * 8000 - 16 * 2744) / 12.0, 1e-6);
    }

    /** However a section is turned, the stress of the same moment on it is the same. */
    @Test
    public void unsymmetricalBendingTurnsWithTheSection() {
        Random dice = new Random(3);
        double[] z = {0, 0, 12, 0, 12, 3, 3, 3, 3, 20, 0, 20};
        double straight = section(z).stressMPa(50, 800, -300);
        for (int k = 0; k < 20; k++) {
            double a = dice.nextDouble() * 6;
            double[] turned = new double[z.length];
            for (int i = 0; i < z.length; i += 2) {
                turned[i] = z[i] * Math.cos(a) - z[i + 1] * Math.sin(a);
                turned[i + 1] = z[i] * Math.sin(a) + z[i + 1] * Math.cos(a);
            }
            assertEquals(section(turned).stressMPa(50, 800 * Math.cos(a) + 300 * Math.sin(a), 800 * Math.sin(a) - 300 * Math.cos(a)), straight, 1e-9 * straight);
        }
    }

    private static Mesh bar(double x, double y, double z) {
        return SolidKernel.evaluate(Leaf.extrusion("bar", Profile.rectangle(0, 0, x, y), Placement.HERE, 0, z), Tolerances.USUAL);
    }

    /** A cantilever: σ = M c/I at its root, δ = F L³/(3 E I). */
    @Test
    public void aCantileverAgreesWithItsFormula() {
        Mesh m = bar(10, 6, 100);
        SectionWalk w = SectionWalk.of(m, new Vec3(0, 0, 100), new Vec3(0, 0, 0), new Vec3(0, -20, 0), 2000, 200, Stop.NEVER).orElseThrow();
        double i = 10 * 216 / 12.0;
        assertEquals(w.deflectionMm(), 20 * 1e6 / (3 * 2000 * i), 0.01 * 20 * 1e6 / (3 * 2000 * i));
        SectionWalk.Station root = w.weakest(s -> 1).orElseThrow();
        assertEquals(root.alongMm(), 99.75, 1e-6);
        assertEquals(root.normalMPa(), 20 * 99.75 * 3 / i, 1e-6);
        // The other way it is as stiff as it is wide.
        double other = SectionWalk.of(m, new Vec3(0, 0, 100), Vec3.ZERO, new Vec3(20, 0, 0), 2000, 200, Stop.NEVER).orElseThrow().deflectionMm();
        assertEquals(w.deflectionMm() / other, 100 / 36.0, 0.01);
        double pull = SectionWalk.of(m, new Vec3(0, 0, 100), Vec3.ZERO, new Vec3(0, 0, 300), 2000, 50, Stop.NEVER).orElseThrow().deflectionMm();
        assertEquals(pull, 300 * 100 / (2000 * 60.0), 1e-9, "F L/(E A)");
    }

    /** A force beside the axis twists: for a round bar J = π d⁴/32, to the few percent Saint-Venant's form is good for. */
    @Test
    public void aForceAsideTwists() {
        Mesh m = SolidKernel.evaluate(new Solid.Union(List.of(Leaf.extrusion("shaft", Profile.disc(0, 0, 12, 96), Placement.HERE, 0, 80), Leaf.extrusion("arm", Profile.rectangle(20, 0, 52, 12), Placement.HERE, 80, 92))), Tolerances.USUAL);
        SectionWalk w = SectionWalk.of(m, new Vec3(0, 0, 80), Vec3.ZERO, new Vec3(0, 10, 0), 2000, 100, Stop.NEVER).orElseThrow();
        SectionWalk bent = SectionWalk.of(m, new Vec3(40, 0, 86), new Vec3(0, 0, 0), new Vec3(0, 10, 0), 2000, 100, Stop.NEVER).orElseThrow();
        assertTrue(bent.weakest(s -> 1).orElseThrow().stressMPa() > w.weakest(s -> 1).orElseThrow().stressMPa(), "the arm adds torsion");
        Section round = Section.of(Profile.disc(0, 0, 12, 360));
        assertEquals(round.torsionMm4(), Math.PI * Math.pow(12, 4) / 32, 0.03 * Math.PI * Math.pow(12, 4) / 32);
    }

    /** A notch is found, and two legs do not carry as one: the nearer one counts. */
    @Test
    public void theWeakestPlaceIsFound() {
        Mesh notched = SolidKernel.evaluate(new Solid.Difference(Leaf.extrusion("bar", Profile.rectangle(0, 0, 10, 10), Placement.HERE, 0, 60), List.of(Leaf.extrusion("notch", Profile.rectangle(0, 4, 12, 6), Placement.HERE, 28, 32))), Tolerances.USUAL);
        SectionWalk.Station s = SectionWalk.of(notched, new Vec3(0, 0, 60), Vec3.ZERO, new Vec3(0, 5, 0), 2000, 120, Stop.NEVER).orElseThrow().weakest(x -> 1).orElseThrow();
        assertEquals(s.alongMm(), 30, 2.1);
        assertEquals(s.areaMm2(), 60, 1e-6);
        Mesh legs = SolidKernel.evaluate(new Solid.Union(List.of(Leaf.extrusion("a", Profile.rectangle(-10, 0, 6, 6), Placement.HERE, 0, 50), Leaf.extrusion("b", Profile.rectangle(10, 0, 6, 6), Placement.HERE, 0, 50),
                Leaf.extrusion("top", Profile.rectangle(0, 0, 26, 6), Placement.HERE, 50, 56))), Tolerances.USUAL);
        assertEquals(SectionWalk.of(legs, new Vec3(-10, 0, 53), new Vec3(-10, 0, 0), new Vec3(0, 5, 0), 2000, 53, Stop.NEVER).orElseThrow().stations().get(40).areaMm2(), 36, 1e-6);
        assertTrue(SectionWalk.of(legs, Vec3.ZERO, new Vec3(0, 0, 0.5), Vec3.X, 2000, 10, Stop.NEVER).isEmpty());
    }

    /** The inner half of a bar with a force at the whole bar's end has the stresses it has in the whole bar. */
    @Test
    public void aForceHandedOnDoesWhatItDoesInOnePiece() {
        Mesh whole = tinperch.solid.kernel.SolidKernel.evaluate(tinperch.solid.Leaf.extrusion("bar", tinperch.solid.Profile.rectangle(50, 0, 100, 8), tinperch.solid.Placement.HERE, 0, 5), tinperch.solid.Tolerances.USUAL);
        Vec3 end = new Vec3(100, 0, 2.5);
        Vec3 force = new Vec3(3, 7, -11);
        SectionWalk one = SectionWalk.of(whole, end, new Vec3(0, 0, 2.5), force, 2000, 40, Stop.NEVER).orElseThrow();
        SectionWalk inner = SectionWalk.sections(whole, new Vec3(50, 0, 2.5), new Vec3(0, 0, 2.5), 20, Stop.NEVER).orElseThrow().acting(end).under(force, 2000);
        for (int i = 0; i < 20; i++) {
            assertEquals(inner.stations().get(i).stressMPa(), one.stations().get(20 + i).stressMPa(), 1e-9);
        }
    }
}
