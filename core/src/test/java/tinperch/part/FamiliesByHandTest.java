package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static tinperch.part.PartExamples.findings;
import static tinperch.part.PartExamples.meshes;
import static tinperch.part.PartExamples.usual;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.OverlapsFact;
import tinperch.part.bind.Binding;
import tinperch.part.family.BoardMount;
import tinperch.part.family.HoseAdapter;
import tinperch.part.form.PartForm;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.query.Overhangs;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Kinds of part in several pieces against volumes worked by hand, and whether they go together and print freely. */
public class FamiliesByHandTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);

    /** Volume of an outline turned once round: Pappus, for a polygon of n facets the circle's area shrinks by sin(2π/n)·n/2π. */
    private static double turned(double[] rz) {
        double sum = 0;
        int n = rz.length / 2;
        for (int i = 0; i < n; i++) {
            double r0 = rz[2 * i];
            double z0 = rz[2 * i + 1];
            double r1 = rz[(2 * i + 2) % rz.length];
            double z1 = rz[(2 * i + 3) % rz.length];
            sum += (z1 - z0) * (r0 * r0 + r0 * r1 + r1 * r1) / 3;
        }
        return Math.abs(sum) * 96 / 2.0 * Math.sin(2 * Math.PI / 96);
    }

    @Test
    public void theHoseAdapterHasTheVolumeOfItsOutlinesTurned() {
        // Hose 50, opening 60 in 3 mm: tube Ø 59.4, flange 8 wider, spigot root Ø 50.4, taper 1.5° over 30 mm.
        double neck = 29.7;
        double root = 25.2;
        double tip = root - 30 * Math.tan(Math.toRadians(1.5));
        double shoulder = 12;
        double start = shoulder + neck - root;
        double wall = 2.4;
        double[] tube = {38, -3, 38, 0, neck, 0, neck, 6.4, neck + 0.6, 7, neck, 7.6, neck, shoulder, root, start, tip, start + 30, tip - wall, start + 30,
            tip - wall, start, neck - wall, start - (neck - tip), neck - wall, -3};
        // The flange reaches half the opening and its overlap: 29.7 + 8.
        tube[0] = neck + 8;
        tube[2] = neck + 8;
        assertEquals(meshes(usual("hose-adapter", PLAIN)).get(0).volumeMm3(), turned(tube), 0.01);
        double in = neck + 0.2;
        double out = in + 0.6 + 7;
        double[] ring = {in + 0.6, 0, out, 0, out, 8, in + 0.6, 8, in, 7.4, in, 4.6, in + 0.6, 4, in, 3.4, in, 0.6};
        double around = Math.pow(1 / Math.cos(Math.PI / 96), 2);
        assertEquals(meshes(usual("hose-adapter", PLAIN)).get(1).volumeMm3(), turned(ring) * around, 0.01);
    }

    @Test
    public void bothPiecesOfTheAdapterPrintWithoutSupport() {
        for (Mesh m : meshes(usual("hose-adapter", PLAIN))) {
            // What hangs at more than 45° from vertical, the bottom on the bed left out.
            double hanging = Overhangs.of(m, Vec3.Z, 45.5).stream().filter(o -> m.faces().get(o.face()).offset() * m.faces().get(o.face()).normal().z() > m.bounds().min().z() + 1e-6
                    || m.faces().get(o.face()).normal().z() > -0.999).mapToDouble(Overhangs::areaMm2).sum();
            assertEquals(hanging, 0, 1e-6);
        }
    }

    @Test
    public void aHoseThatIsTooWideForItsOpeningIsRefusedWithTheWayOut() {
        Case c = usual("hose-adapter", PLAIN);
        PartDesign wide = c.part().bound("hose", new Binding.Usual("hose-75"));
        FormFact.Answer a = new FactsOnce(PartExamples.caseOf(wide, PartExamples.shop(60, 50, 32, 32))).get(FormFact.FORM);
        assertTrue(a.problem().contains("Widen the opening to 76 mm"), a.problem());
        assertEquals(a.param().orElseThrow(), HoseAdapter.OVERSIZE);
    }

    @Test
    public void theTrayHasTheVolumeOfItsBoxes() {
        // Board 60 × 40 with four holes 3.0, parts 12, standoff 6, board 1.6, headroom 3: walls to 25.6 round 62 × 42 inside. Corners are rounded by 2.
        Values v = PLAIN.with(BoardMount.SLOT, 0.0);
        double ring = 66 * 46 - 4 * 4 * (1 - polygon(4, 6)) - 62 * 42;
        double corner = 4 * 4 * (1 - polygon(4, 6));
        double floor = (66 * 46 - corner) * 3;
        double walls = ring * (25.6 - 3);
        double windows = 2 * 11 * 2 * 2 * (0.8 + 0.3);
        double boss = 24 * 9.2 * 9.2 / 4 * Math.sin(2 * Math.PI / 48) * 6;
        double peg = 16 * 2.6 * 2.6 / 4 * Math.sin(2 * Math.PI / 32) * 3.1;
        // Bosses 26.5 and 16.5 out with a radius of 4.6 reach 0.1 into the wall, which is not counted twice: less than 3 mm³ a boss.
        assertEquals(meshes(usual("board-mount", v)).get(0).volumeMm3(), floor + walls - windows + 4 * (boss + peg), 30);
    }

    /** Area of a quarter of a unit circle drawn with so many steps. */
    private static double polygon(int quarters, int steps) {
        return quarters * steps / 2.0 * Math.sin(Math.PI / 2 / steps) / 4;
    }

    @Test
    public void theLidGoesOnTheTrayAndItsHooksIntoTheWindows() {
        Case c = usual("board-mount", PLAIN);
        for (OverlapsFact.Overlap o : new FactsOnce(c).get(OverlapsFact.OVERLAPS)) {
            assertTrue(o.depthMm() <= o.allowedMm() + 0.05, o.piece().name() + " in " + o.other() + " by " + o.depthMm());
        }
        PartForm f = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow();
        Mesh lid = meshes(c).get(1).placed(f.pieces().get(1).place());
        // The hooks reach 0.8 mm beyond the wall's outside, 23 from the middle.
        double inner = lid.faces().stream().filter(x -> x.feature().equals("arm")).flatMap(x -> x.rings().stream()).flatMapToInt(java.util.Arrays::stream)
                .mapToDouble(i -> Math.abs(lid.y(i))).min().orElse(0);
        assertEquals(inner, 23 - 0.8, 1e-6);
        // A press point that goes into the board is found.
        Case long1 = usual("board-mount", PLAIN.with(BoardMount.SCREWS.held, 4.0).with(BoardMount.PRESS, 5.0));
        assertTrue(findings(long1).stream().noneMatch(x -> x.id().startsWith("overlap.") && x.severity() == Severity.STOP), "the pin ends on the board, however thick");
    }

    @Test
    public void solderTailsAndSlotsThatDoNotFitAreSaid() {
        assertTrue(new FactsOnce(usual("board-mount", PLAIN.with(BoardMount.SCREWS.standoff, 1.0))).get(FormFact.FORM).problem().contains("solder tails"));
        assertTrue(new FactsOnce(usual("board-mount", PLAIN.with(BoardMount.SLOT, 100.0))).get(FormFact.FORM).problem().contains("wider than that wall"));
        assertTrue(new FactsOnce(usual("board-mount", PLAIN.with(BoardMount.SNAP.length, 60.0))).get(FormFact.FORM).problem().contains("longer than the wall"));
        assertEquals(List.of(1, 2).size(), 2);
    }
}
