package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.family.EdgeClip;
import tinperch.part.form.PartForm;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** From usual sizes: a base 3 mm thick on feet of 10, two holes 40 apart in the table. */
public class EdgeClipTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0).with(EdgeClip.ROOFS, false).with(EdgeClip.BRACE, false);

    private static Case clip(Values v) {
        return PartExamples.usual("edge-clip", v);
    }

    /** Jaw (14 + 0.5 + 8) × 7, post 8 × (10 + 3 − 0.3), foot 24 × 6, all 40 + 2·8 wide, less two holes of 3.4 (ISO 273 medium, M3). */
    @Test
    public void itsVolumeIsThatOfItsSideTimesItsWidth() {
        double hole = 48 * Math.tan(Math.PI / 48) * 1.7 * 1.7 * 6;
        assertEquals(PartExamples.mesh(clip(PLAIN)).volumeMm3(), (22.5 * 7 + 8 * 12.7 + 24 * 6) * 56 - 2 * hole, 0.01);
    }

    /** The foot hangs over the table by as much as is said while the jaw rests on the base, and the post is free of its edge. */
    @Test
    public void theJawPressesTheBase() {
        for (double press : new double[] {0.3, -0.5}) {
            Rays r = new Rays(TriangleTree.of(PartExamples.mesh(clip(PLAIN.with(EdgeClip.PRESS, press)))));
            assertEquals(r.hits(new Vec3(-7.3, 0, 28), Vec3.Y).stream().mapToDouble(Rays.Hit::distanceMm).min().orElseThrow(), 13 - press, 1e-6);
            assertEquals(r.hits(new Vec3(-20, 5, 27), Vec3.X).stream().mapToDouble(Rays.Hit::distanceMm).min().orElseThrow(), 20.5, 1e-6, "half a millimetre beside the edge");
        }
        assertEquals(PartExamples.findings(clip(PLAIN)).stream().filter(f -> f.severity() == Severity.STOP).toList(), java.util.List.of(), "pressing is no collision");
        PartForm f = new FactsOnce(clip(PLAIN)).get(FormFact.FORM).form().orElseThrow();
        assertEquals(f.mount().orElseThrow().frame().origin().y(), -0.3, 1e-12, "above the table it stands on");
    }

    /** It stands on the table: what meets the site is its foot's underside, upright. */
    @Test
    public void itStandsOnTheTable() {
        PartForm f = new FactsOnce(clip(PLAIN)).get(FormFact.FORM).form().orElseThrow();
        assertTrue(f.mount().orElseThrow().frame().w().distanceTo(Vec3.Y) < 1e-12 && !f.mount().orElseThrow().frame().isMirror());
        f.screws().forEach(s -> assertTrue(s.axis().w().distanceTo(Vec3.Y.times(-1)) < 1e-12, "screws go down into the table"));
    }

    @Test
    public void whatDoesNotGoTogetherIsNamed() {
        FormFact.Answer a = new FactsOnce(clip(PLAIN.with(EdgeClip.LONG, 9.0).with(EdgeClip.SCREWS.thread, "M8"))).get(FormFact.FORM);
        assertTrue(a.form().isEmpty() && a.problem().contains("at least"), a.problem());
        FormFact.Answer slots = new FactsOnce(clip(PLAIN.with(EdgeClip.SCREWS.slot, 30.0))).get(FormFact.FORM);
        assertTrue(slots.form().isEmpty() && slots.problem().contains("beyond the foot"), slots.problem());
    }
}
