package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.fact.StrengthFact;
import tinperch.part.PartExamples;
import tinperch.part.form.PartForm;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.part.bind.Binding;
import tinperch.upgrade.Change;
import tinperch.upgrade.Load;
import tinperch.upgrade.PartDesign;

/** Loads on a corner bracket: against a beam's formula, cured by what makes it thicker. */
public class StrengthCheckTest {
    private static final Case PLAIN = PartExamples.caseOf(PartDesign.of("p1", "corner-bracket", "Angle", Values.START), PartExamples.shop(60, 50, 32, 32));

    private static Case bearing(String material, Load... loads) {
        PartDesign p = PLAIN.part().withMaterial(material);
        for (Load l : loads) {
            p = p.bearing(l);
        }
        return PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
    }

    private static Bounds bounds() {
        return new FactsOnce(PLAIN).get(MeshesFact.BARE).pieces().get(0).mesh().bounds();
    }

    /** The mount's plane in the piece's coordinates. */
    private static Placement mount() {
        FactsOnce f = new FactsOnce(PLAIN);
        PartForm form = f.get(FormFact.FORM).form().orElseThrow();
        return form.pieces().get(0).place().inverse().times(form.mount().orElseThrow().frame());
    }

    /** A push at the point farthest off the machine. */
    private static Load push(double newton, Load.Lasting lasting) {
        Bounds b = bounds();
        Placement m = mount();
        Vec3 far = null;
        for (int i = 0; i < 8; i++) {
            Vec3 v = new Vec3((i & 1) == 0 ? b.min().x() : b.max().x(), (i & 2) == 0 ? b.min().y() : b.max().y(), (i & 4) == 0 ? b.min().z() : b.max().z());
            far = far == null || m.local(v).z() > m.local(far).z() ? v : far;
        }
        Vec3 middle = b.min().plus(b.max()).times(0.5);
        Vec3 at = far.plus(m.w().times(0)).plus(middle.minus(far).times(0.02));
        return new Load("l1", "a hand", "part", at, m.u().times(newton), lasting);
    }

    private static Finding found(Case c) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("strength")).findFirst().orElseThrow();
    }

    @Test
    public void whereNothingIsSaidItIsAsked() {
        Finding f = found(PLAIN);
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertEquals(f.settle().orElseThrow().by(), Settle.By.LOAD);
    }

    @Test
    public void morePushMoreStressAndTheMaterialCounts() {
        double at20 = found(bearing("PETG", push(20, Load.Lasting.ONCE))).margin().orElseThrow().value();
        Finding at200 = found(bearing("PETG", push(200, Load.Lasting.ONCE)));
        assertEquals(at200.margin().orElseThrow().value() / at20, 10, 1e-6, "stress goes with the force");
        double steady = found(bearing("PETG", push(20, Load.Lasting.STEADY))).margin().orElseThrow().limit();
        double once = found(bearing("PETG", push(20, Load.Lasting.ONCE))).margin().orElseThrow().limit();
        assertEquals(once / steady, 0.5 / 0.35, 1e-9);
        assertEquals(found(bearing("PLA", push(20, Load.Lasting.STEADY))).margin().orElseThrow().limit() / steady, 0.25 * 45 / (0.35 * 40), 0.09, "45 or 27 MPa against 40 or 26");
        double strongEnough = 5 / at20 * 20;
        assertEquals(found(bearing("PETG", push(strongEnough, Load.Lasting.ONCE))).severity(), Severity.FINE);
        assertEquals(found(bearing("PETG", push(100 / at20 * 20, Load.Lasting.ONCE))).severity(), Severity.STOP);
    }

    @Test
    public void aRemedyThatThickensItIsTriedAndCures() {
        double at20 = found(bearing("PETG", push(20, Load.Lasting.ONCE))).margin().orElseThrow().value();
        Case c = bearing("PETG", push(24 / at20 * 20, Load.Lasting.ONCE));
        Finding f = found(c);
        assertEquals(f.severity(), Severity.LOOK);
        List<Remedy> offered = tinperch.judge.Judge.thorough(c).findings().stream().filter(x -> x.id().equals(f.id())).findFirst().orElseThrow().remedies();
        assertTrue(!offered.isEmpty(), "something thickens it");
        for (Remedy r : offered) {
            Finding then = found(c.after(Change.all(c.draft(), r.changes())));
            assertTrue(then.severity() == Severity.FINE || !r.leaves().isEmpty(), r.label() + " leaves " + then.what());
            assertTrue(then.margin().orElseThrow().spare() > f.margin().orElseThrow().spare(), r.label());
        }
    }

    @Test
    public void aLoadWhosePieceIsGoneIsSaid() {
        Case c = bearing("PETG", new Load("l9", "the old arm", "arm", Vec3.ZERO, Vec3.X, Load.Lasting.STEADY));
        Finding f = found(c);
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertTrue(f.what().contains("“the old arm” is gone"), f.what());
    }

    @Test
    public void rightOverItsFixingThereIsNothingToWalk() {
        Placement m = mount();
        Mesh mesh = new FactsOnce(PLAIN).get(MeshesFact.BARE).pieces().get(0).mesh();
        Vec3 on = mesh.point(0);
        for (int i = 0; i < mesh.pointCount(); i++) {
            Vec3 p = mesh.point(i);
            on = Math.abs(m.local(p).z()) < Math.abs(m.local(on).z()) ? p : on;
        }
        Case c = bearing("PETG", new Load("l1", "", "part", on, Vec3.Z.times(50), Load.Lasting.STEADY));
        assertEquals(new FactsOnce(c).get(StrengthFact.STRENGTH).get(0).how(), StrengthFact.How.OVER_ITS_FIXING);
        assertEquals(found(c).severity(), Severity.FINE);
    }

    /** A hand on a cover: the cover hands it on to the box that is screwed on, and the box's screws feel it. */
    @Test
    public void aPieceThatLiesOnNothingHandsItsLoadOn() {
        Case box = PartExamples.usual("filter-housing", Values.START);
        Case plain = PartExamples.caseOf(box.part().bound("mount", new Binding.Usual("fan-80")), PartExamples.shop(60, 50, 32, 32));
        FactsOnce f = new FactsOnce(plain);
        MeshesFact.Made lid = f.get(MeshesFact.BARE).pieces().stream().filter(m -> m.piece().id().equals("cover")).findFirst().orElseThrow();
        Bounds b = lid.mesh().bounds();
        Vec3 down = lid.piece().place().inverse().turned(Vec3.Z.times(-1));
        Vec3 at = new Vec3((b.min().x() + b.max().x()) / 2, (b.min().y() + b.max().y()) / 2, down.z() > 0 ? b.min().z() : b.min().z() + 0.1);
        Case c = PartExamples.caseOf(plain.part().withMaterial("PETG").bearing(new Load("l1", "a hand", "cover", at, down.times(40), Load.Lasting.ONCE)), PartExamples.shop(60, 50, 32, 32));
        List<StrengthFact.Borne> borne = new FactsOnce(c).get(StrengthFact.STRENGTH);
        assertEquals(borne.stream().map(x -> x.piece().id()).toList(), List.of("cover", borne.get(1).piece().id()));
        StrengthFact.Borne tray = borne.get(1);
        assertEquals(tray.handedBy().orElseThrow().id(), "cover");
        // In the assembly both forces and both places are the same.
        assertTrue(tray.piece().place().turned(tray.load().forceN()).minus(lid.piece().place().turned(down.times(40))).length() < 1e-9);
        assertTrue(tray.piece().place().point(tray.actsAt().x(), tray.actsAt().y(), tray.actsAt().z()).minus(lid.piece().place().point(at.x(), at.y(), at.z())).length() < 1e-9);
        List<Finding> said = PartExamples.findings(c).stream().filter(x -> x.id().startsWith("strength.l1")).toList();
        assertEquals(said.size(), 2, said.toString());
        assertTrue(said.stream().anyMatch(x -> x.what().contains("handed on by the cover")), said.toString());
        assertTrue(PartExamples.findings(c).stream().anyMatch(x -> x.id().startsWith("hold." + tray.piece().id()) && x.margin().isPresent()), PartExamples.findings(c).stream().filter(x -> x.id().startsWith("hold")).toList().toString());
    }
}
