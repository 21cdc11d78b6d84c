package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.fact.RestFact;
import tinperch.fact.ShakeFact;
import tinperch.fact.ShakeFact.Shaken;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.machine.book.SettingChange;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.form.Piece;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.Stop;
import tinperch.strength.SectionWalk;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Load;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** What a part carries when its axes speed up. */
public class ShakeCheckTest {
    private static final double GRAVITY = 9.80665;

    private static Case on(double accelX, Load... loads) {
        return on(List.of("x"), accelX, loads);
    }

    private static Case on(List<String> rides, double accelX, Load... loads) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1), new Axis("y", Vec3.Y, 0, 200, false, 2), new Axis("z", Vec3.Z, 0, 100, false, 3)), List.of(new Group("carriage", rides)), List.of(), List.of(new Site("s", "front", "carriage", Vec3.ZERO, Vec3.Y, 0, 0.3, "")));
        UnaryOperator<Machine> with = m -> {
            Machine there = m.withSurroundings(s);
            return accelX > 0 ? there.withBook(there.book().set(new SettingChange("a", "accel.x", accelX, "", LocalDate.of(2026, 1, 1), "", ""))) : there;
        };
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        PartDesign part = PartDesign.of("p1", "corner-bracket", "Angle", Values.START).atSite("s").withMaterial("PETG");
        for (Load l : loads) {
            part = part.bearing(l);
        }
        Case plain = PartExamples.caseOf(part, shop);
        List<Machine> all = new ArrayList<>(shop.machines());
        all.replaceAll(m -> m.id().equals(plain.machine().id()) ? with.apply(m) : m);
        return PartExamples.caseOf(part, new Shop(all, shop.hardware(), shop.drawer(), shop.models()));
    }

    /** A weight that hangs on the corner farthest from the machine. */
    private static Load weight(double kg) {
        Case c = on(0);
        FactsOnce f = new FactsOnce(c);
        MeshesFact.Made made = f.get(MeshesFact.BARE).pieces().get(0);
        Placement there = RestFact.inMachine(c, f).orElseThrow().times(made.piece().place());
        Bounds b = made.mesh().placed(there).bounds();
        Vec3 far = new Vec3(b.min().x() * 0.98 + b.max().x() * 0.02, b.max().y() * 0.98 + b.min().y() * 0.02, (b.min().z() + b.max().z()) / 2);
        Placement back = there.inverse();
        return new Load("w", "the blower", made.piece().id(), back.point(far.x(), far.y(), far.z()), back.turned(Vec3.Z.times(-kg * GRAVITY)), Load.Lasting.STEADY);
    }

    private static Optional<Finding> found(Case c) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("shake")).findFirst();
    }

    private static Shaken shaken(Case c) {
        return new FactsOnce(c).get(ShakeFact.SHAKE).get(0);
    }

    /** A bar held at one end with a mass at the other rings with √(3·E·I/(m·L³))/2π (handbook, mass of the bar left out). */
    @Test
    public void aBarWithAMassAtItsEndRingsAsTheHandbookSays() {
        double b = 12;
        double h = 6;
        double length = 80;
        double modulus = 1800;
        double kg = 0.15;
        double accel = 3000;
        Mesh bar = SolidKernel.evaluate(Leaf.extrusion("bar", Profile.rectangle(0, 0, b, h), Placement.HERE, 0, length), Tolerances.USUAL);
        SectionWalk walk = SectionWalk.of(bar, new Vec3(0, 0, length), Vec3.ZERO, Vec3.Y.times(kg * accel / 1000), modulus, 200, Stop.NEVER).orElseThrow();
        Shaken s = new Shaken(new Load("l", "", "p", Vec3.ZERO, Vec3.ZERO, Load.Lasting.STEADY), (Piece) null, new Axis("y", Vec3.Y, 0, 1, false, 1), kg, Optional.of(accel), walk.deflectionMm(), Optional.of(walk));
        double newtonPerM = 3 * modulus * b * h * h * h / 12 / (length * length * length) * 1000;
        assertEquals(s.hertz(), Math.sqrt(newtonPerM / kg) / 2 / Math.PI, 0.01 * s.hertz());
    }

    @Test
    public void twiceTheMassSwingsTwiceAsFarAndRingsLower() {
        Shaken one = shaken(on(1000, weight(0.2)));
        Shaken heavy = shaken(on(1000, weight(0.4)));
        Shaken fast = shaken(on(2000, weight(0.2)));
        assertEquals(one.massKg(), 0.2, 1e-9);
        assertTrue(one.swingMm() > 0);
        assertEquals(heavy.swingMm() / one.swingMm(), 2, 1e-6);
        assertEquals(heavy.hertz() / one.hertz(), 1 / Math.sqrt(2), 1e-6);
        assertEquals(fast.swingMm() / one.swingMm(), 2, 1e-6);
        assertEquals(fast.hertz(), one.hertz(), 1e-6, "how hard it speeds up changes no frequency");
    }

    @Test
    public void whatSwingsIsSaidAndAThickerOneSwingsLess() {
        double swing = shaken(on(1000, weight(0.2))).swingMm();
        Case fine = on(0.5 * 0.05 / swing * 1000, weight(0.2));
        assertEquals(found(fine).orElseThrow().severity(), Severity.FINE);
        Case c = on(1.6 * 0.05 / swing * 1000, weight(0.2));
        Finding f = found(c).orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), 0.08, 1e-9);
        assertTrue(f.why().contains("along x its 200 g"), f.why());
        List<Remedy> offered = Judge.thorough(c).findings().stream().filter(x -> x.id().equals(f.id())).findFirst().orElseThrow().remedies();
        assertTrue(!offered.isEmpty(), "something makes it stiffer");
        for (Remedy r : offered) {
            assertTrue(found(c.after(Change.all(c.draft(), r.changes()))).orElseThrow().margin().orElseThrow().value() < 0.08, r.label());
        }
    }

    @Test
    public void whatIsKnownToSwingIsSaidWhateverElseIsNotKnown() {
        double swing = shaken(on(1000, weight(0.2))).swingMm();
        assertEquals(found(on(List.of("x", "y"), 0.5 * 0.05 / swing * 1000, weight(0.2))).orElseThrow().severity(), Severity.CANT_TELL, "of y nothing is known");
        assertEquals(found(on(List.of("x", "y"), 2 * 0.05 / swing * 1000, weight(0.2))).orElseThrow().severity(), Severity.LOOK);
        assertTrue(found(on(List.of("z"), 0, weight(0.2))).isEmpty(), "upright axes move seldom and are not asked for");
    }

    @Test
    public void withoutAnAccelerationItIsAskedAndWithoutAWeightNothingIsSaid() {
        Finding f = found(on(0, weight(0.2))).orElseThrow();
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertEquals(f.settle().orElseThrow().by(), Settle.By.BOOK);
        assertTrue(f.why().contains("X acceleration"), f.why());
        assertTrue(found(on(1000)).isEmpty());
        Load w = weight(0.2);
        assertTrue(found(on(1000, new Load("w", "a hand", w.pieceId(), w.at(), w.forceN(), Load.Lasting.ONCE))).isEmpty(), "a push now and then is no weight");
        assertTrue(found(on(1000, new Load("w", "a belt", w.pieceId(), w.at(), w.forceN().times(-1), Load.Lasting.STEADY))).isEmpty(), "what pulls up is no weight");
    }
}
