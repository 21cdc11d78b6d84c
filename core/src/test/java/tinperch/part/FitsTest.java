package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.hardware.Fits;
import tinperch.part.block.EndSockets;
import tinperch.part.bind.Binding;
import tinperch.part.family.BoardMount;
import tinperch.part.family.ChannelGuide;
import tinperch.part.family.FilterHousing;
import tinperch.part.family.FrameBrace;
import tinperch.part.family.GantryEnd;
import tinperch.part.family.ModuleMount;
import tinperch.part.family.SoftFoot;
import tinperch.part.family.WheelCarriage;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;

import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** What the printer of a part adds by kind of fit is found again on the solids, in every place where something is pressed, slides, snaps or is let in. */
public class FitsTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);
    private static final double MORE_MM = 0.3;

    /** A place of the air in a piece, the way across it, and which fits (slot, peg, press, running) make it wider by how much of what they grow. */
    @DataProvider
    public Object[][] places() {
        Values brace = PLAIN.with(FrameBrace.HUG.base, 4.0);
        Values clips = ModuleMount.ON.typed(PLAIN, "clips over two rods");
        Values studs = ModuleMount.ON.typed(PLAIN, "clips over two studs");
        Values profile = PLAIN.with(GantryEnd.HOLD.holds, EndSockets.Holds.PROFILE).with(GantryEnd.PASSAGE, 0.0);
        double mouth = 42.3 / 2 + 2 + 25 + 5;
        Values belt = PLAIN.with(WheelCarriage.BELT.apart, 60.0).with(WheelCarriage.BELT.y, 0.0);
        return new Object[][] {
            {"the channel a slide runs in", "channel-guide", PLAIN, "", "", 0, new Vec3(0, 0.1, 14), Vec3.Y, "running"},
            {"a ring that slides on a tube", "hose-adapter", PLAIN, "", "", 1, new Vec3(0.2, 0.1, 0.8), Vec3.X, "running"},
            {"a motor's pilot", "gantry-end", PLAIN, "", "", 0, new Vec3(0.1, 0.2, 2), Vec3.X, "running"},
            {"a rod's socket", "gantry-end", PLAIN, "", "", 0, new Vec3(mouth - 4, 22.5, 20), Vec3.Y, "running"},
            {"a profile's socket", "gantry-end", profile, "profile", "profile-20", 0, new Vec3(mouth - 10, 0.1, 20), Vec3.Y, "slot"},
            {"cheeks that hug a post", "frame-brace", brace, "", "", 1, new Vec3(0.1, -6, 5), Vec3.X, "slot"},
            {"clips over rods", "module-mount", clips, "clip", "rod-8", 0, new Vec3(22, (8.1 + MORE_MM / 2) / 2 + 2 - 0.6, 2), Vec3.X, "press"},
            {"jaws over studs", "module-mount", studs, "clip", "stud-m5", 0, new Vec3(20, -28 - 2.5 - 0.4 - MORE_MM / 4, 2), Vec3.X, "press"},
            {"a lid's arms outside the walls", "board-mount", PLAIN, "", "", 1, new Vec3(4, 0, 8), Vec3.Y, "slot"},
            {"a cartridge's pocket", "filter-housing", PLAIN, "", "", 0, new Vec3(0.1, 0.2, 30), Vec3.X, "slot"},
            {"a belt's slot", "wheel-carriage", belt, "", "", 0, new Vec3(-30.9, -0.3, 10), Vec3.Y, "slot"},
            {"a head let in", "soft-foot", PLAIN, "", "", 0, new Vec3(-10, 0.1, 1), Vec3.Y, "running"},
        };
    }

    @Test(dataProvider = "places")
    public void theFitIsFoundOnTheSolid(String what, String family, Values v, String role, String usual, int piece, Vec3 at, Vec3 across, String kind) {
        PartDesign part = PartDesign.of("p1", family, "part", v);
        PartDesign bound = role.isEmpty() ? part : part.bound(role, new Binding.Usual(usual));
        double usually = wide(bound, Fits.USUAL, piece, at, across);
        for (String of : List.of("slot", "peg", "press", "running")) {
            Fits f = Fits.USUAL;
            Fits more = switch (of) {
                case "slot" -> f.withSlot(f.slotMm() + MORE_MM);
                case "peg" -> f.withPeg(f.pegMm() + MORE_MM);
                case "press" -> f.withPress(f.pressMm() + MORE_MM);
                default -> f.withRunning(f.runningMm() + MORE_MM);
            };
            double now = wide(bound, more, piece, at, across);
            assertEquals(now - usually, of.equals(kind) ? MORE_MM : 0, 0.003, what + ", " + of + " fit");
        }
    }

    private static PartForm formOf(PartDesign part, Fits fits) {
        Shop s = PartExamples.shop(60, 50, 32, 32);
        Shop other = new Shop(s.machines().stream().map(m -> m.withFits(fits)).toList(), s.hardware(), s.drawer(), s.models());
        FormFact.Answer a = new FactsOnce(PartExamples.caseOf(part, other)).get(FormFact.FORM);
        return a.form().orElseThrow(() -> new AssertionError(a.problem()));
    }

    /** How far it is free both ways. */
    private static double wide(PartDesign part, Fits fits, int piece, Vec3 from, Vec3 across) {
        Piece p = formOf(part, fits).pieces().get(piece);
        Rays r = new Rays(TriangleTree.of(SolidKernel.evaluate(p.solid(), Tolerances.USUAL)));
        List<Rays.Hit> there = r.hits(from, across);
        List<Rays.Hit> back = r.hits(from, across.times(-1));
        assertTrue(!there.isEmpty() && !back.isEmpty(), "walls on both sides of " + from);
        return there.stream().mapToDouble(Rays.Hit::distanceMm).min().orElseThrow() + back.stream().mapToDouble(Rays.Hit::distanceMm).min().orElseThrow();
    }
}
