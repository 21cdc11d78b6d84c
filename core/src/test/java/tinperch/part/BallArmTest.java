package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.fact.StrengthFact;
import tinperch.part.family.BallArm;
import tinperch.part.form.Joint;
import tinperch.part.form.Piece;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.strength.BallHold;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Load;

/** An arm of ball links: where its balls lie, what its fingers hold. */
public class BallArmTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    private static Case arm(Values v) {
        return PartExamples.usual("ball-arm", v);
    }

    private static Case bearing(Values v, String material, double newton) {
        return PartExamples.caseOf(arm(v).part().withMaterial(material).bearing(new Load("l", "", "head", Vec3.ZERO, Vec3.Z.times(newton), Load.Lasting.STEADY)), PartExamples.shop(60, 50, 32, 32));
    }

    /** Every ball is met at its own diameter, and every cup is narrower by what its fingers press. */
    @Test
    public void ballsSitInCupsThatAreSmallerByWhatIsSaid() {
        List<MeshesFact.Made> made = new FactsOnce(arm(PLAIN)).get(MeshesFact.BARE).pieces();
        assertEquals(made.stream().map(MeshesFact.Made::piece).map(Piece::id).toList(), List.of("base", "link1", "link2", "link3", "head"));
        for (int i = 0; i + 1 < made.size(); i++) {
            // Plate 5, room 6 and the cup's mouth 8.75·sin 12° below the ball's middle.
            // A little off the equator, where edges lie.
            double z = 0.2 + 11 + 8.75 * Math.sin(Math.toRadians(12)) + 32 * i;
            assertEquals(across(made.get(i), z), 18, 0.1, "ball of " + made.get(i).piece().id());
            assertEquals(inside(made.get(i + 1), z), 17.5, 0.1, "cup of " + made.get(i + 1).piece().id());
        }
    }

    /** Outside to outside in the assembly at a height, at 45° between the slits. */
    private static double across(MeshesFact.Made m, double z) {
        List<Double> hits = hits(m, z);
        return hits.get(hits.size() - 1) - hits.get(0);
    }

    private static double inside(MeshesFact.Made m, double z) {
        List<Double> hits = hits(m, z);
        return hits.get(2) - hits.get(1);
    }

    private static List<Double> hits(MeshesFact.Made m, double z) {
        Rays rays = new Rays(TriangleTree.of(m.mesh().placed(m.piece().place())));
        Vec3 way = new Vec3(Math.cos(0.75), Math.sin(0.75), 0);
        return rays.hits(new Vec3(-100 * way.x(), -100 * way.y(), z), way).stream().map(Rays.Hit::distanceMm).sorted().toList();
    }

    /** A cantilever: P = 3·E·I·δ/L³; friction on a ball all round: the mean of |cos| is 2/π over a circle, π/4 over a sphere's belt of levers r·sin. */
    @Test
    public void whatFingersPressIsABeamsFormula() {
        assertEquals(BallHold.fingerN(1800, 12, 2.4, 10, 0.25), 3 * 1800 * (12 * 2.4 * 2.4 * 2.4 / 12) * 0.25 / 1000, 1e-9);
        assertEquals(BallHold.momentNmm(100, 18), 0.3 * 100 * 9 * Math.PI / 4, 1e-9);
        Joint.Ball b = new FactsOnce(arm(PLAIN)).get(FormFact.FORM).form().orElseThrow().joints().stream().filter(Joint.Ball.class::isInstance).map(Joint.Ball.class::cast).findFirst().orElseThrow();
        // Three links of 32, and from the last ball to the face what it carries lies on: 4 + 1.2 + 9.
        assertEquals(b.armMm(), 3 * 32 + 14.2, 1e-9);
    }

    @Test
    public void itSinksAtOnceOrOverWeeksOrStays() {
        assertEquals(PartExamples.find(arm(PLAIN), "ball.0").severity(), Severity.CANT_TELL, "nobody has said what hangs on it");
        assertEquals(PartExamples.find(bearing(PLAIN, "PETG", 0.3), "ball.0").severity(), Severity.FINE);
        Case weeks = bearing(PLAIN, "PETG", 1.2);
        Finding f = PartExamples.find(weeks, "ball.0");
        assertEquals(f.severity(), Severity.LOOK);
        assertTrue(f.what().contains("over weeks"), f.what());
        assertEquals(PartExamples.find(bearing(PLAIN, "PETG", 5), "ball.0").severity(), Severity.STOP);
        Remedy fewer = f.remedies().stream().filter(r -> r.label().startsWith("links 3 →")).findFirst().orElseThrow();
        assertEquals(PartExamples.find(weeks.after(Change.all(weeks.draft(), fewer.changes())), "ball.0").severity(), Severity.FINE, fewer.label());
    }

    /** A cup that presses on nothing holds nothing: said, with remedies that are numbers. */
    @Test
    public void aCupThatPressesOnNothingIsSaid() {
        Finding f = PartExamples.find(bearing(PLAIN.with(BallArm.CUP.press, 0.0), "PETG", 1), "ball.0");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.remedies().stream().noneMatch(r -> r.label().contains("NaN") || r.label().contains("Inf")), f.remedies().toString());
    }

    /** What hangs on the head goes from link to link down to the base that is screwed on. */
    @Test
    public void theLoadIsHandedDownAllLinks() {
        assertEquals(new FactsOnce(bearing(PLAIN, "PETG", 1)).get(StrengthFact.STRENGTH).stream().map(b -> b.piece().id()).toList(), List.of("head", "link3", "link2", "link1", "base"));
    }

    @Test
    public void whatCannotBeIsSaid() {
        assertTrue(new FactsOnce(arm(PLAIN.with(BallArm.PITCH, 20.0))).get(FormFact.FORM).problem().contains("from one to the next"));
        assertTrue(new FactsOnce(arm(PLAIN.with(BallArm.CUP.ball, 40.0).with(BallArm.PITCH, 80.0))).get(FormFact.FORM).problem().contains("take smaller balls"));
        assertTrue(new FactsOnce(arm(PLAIN.with(BallArm.CUP.neck, 13.0))).get(FormFact.FORM).problem().contains("make it at most"));
        assertEquals(new FactsOnce(arm(PLAIN.with(BallArm.LINKS, 0.0))).get(MeshesFact.BARE).pieces().size(), 2);
    }
}
