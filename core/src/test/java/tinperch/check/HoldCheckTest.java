package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.PartExamples;
import tinperch.part.form.Screw;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/** Screws of a tool carriage plate under a load: by hand, by direction, by material. */
public class HoldCheckTest {
    private static final Case PLAIN = PartExamples.plateCase(PartExamples.values());

    private static Case under(String material, Vec3 at, Vec3 force) {
        return PartExamples.caseOf(PLAIN.part().withMaterial(material).bearing(new Load("l1", "tool", "part", at, force, Load.Lasting.STEADY)), PartExamples.shop(60, 50, 32, 32));
    }

    private static Finding found(Case c, String row) {
        return PartExamples.findings(c).stream().filter(f -> f.id().equals(row.isEmpty() ? "hold" : "hold.part." + row)).findFirst().orElseThrow();
    }

    private static Screw screw(String row) {
        return new FactsOnce(PLAIN).get(FormFact.FORM).form().orElseThrow().screws().stream().filter(s -> s.row().equals(row)).findFirst().orElseThrow();
    }

    @Test
    public void withoutALoadItSaysHowTight() {
        Finding f = found(PLAIN, "");
        assertEquals(f.severity(), Severity.FINE);
        assertTrue(f.why().matches("(?s).*M3\\) 0\\.\\d\\d N·m.*"), f.why());
    }

    @Test
    public void aPullAlongTheScrewsIsShared() {
        Screw s = screw("mount");
        Vec3 middle = new FactsOnce(PLAIN).get(FormFact.FORM).form().orElseThrow().screws().stream().filter(x -> x.row().equals("mount")).map(x -> x.axis().origin()).reduce(Vec3.ZERO, Vec3::plus).times(0.25);
        Finding f = found(under("PETG", middle, s.axis().w().times(40)), "mount");
        assertEquals(f.margin().orElseThrow().value(), 10, 1e-6, "40 N over four screws through their middle: no lever");
        assertEquals(f.severity(), Severity.FINE);
    }

    @Test
    public void aLongLeverDoesNotHoldForGood() {
        Screw s = screw("mount");
        Vec3 far = s.axis().origin().plus(s.axis().w().times(-120));
        Finding steady = found(under("PETG", far, s.axis().u().times(150)), "mount");
        assertEquals(steady.severity(), Severity.LOOK, steady.why());
        assertTrue(steady.what().contains("do not hold “tool” for good"), steady.what());
        assertEquals(found(under("PETG", far, s.axis().u().times(600)), "mount").severity(), Severity.STOP);
        double petg = steady.margin().orElseThrow().limit();
        double pla = found(under("PLA", far, s.axis().u().times(150)), "mount").margin().orElseThrow().limit();
        assertEquals(pla / petg, 0.25 * 45 / (0.35 * 40), 1e-9, "what it bears for good");
    }
}
