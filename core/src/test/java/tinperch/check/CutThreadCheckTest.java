package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.SeatsFact;
import tinperch.part.PartExamples;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Values;
import tinperch.solid.Placement;
import tinperch.solid.query.Slicer;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Screws that cut their own thread: how deep their holes are, how much plastic is round them, what else they could go into. */
public class CutThreadCheckTest {
    private static Values cut(double lengthMm, double standoffMm) {
        return PartExamples.values().with(ToolCarriagePlate.CARRIED.seat, SeatKind.CUT).with(ToolCarriagePlate.CARRIED.length, lengthMm).with(ToolCarriagePlate.CARRIED.standoff, standoffMm).with(ToolCarriagePlate.CARRIED.held, 3.0);
    }

    private static Finding cutFinding(Case c) {
        return PartExamples.find(c, "cut.part.tool");
    }

    /** M3×10 with washer 0.5 over 3 mm: 6.5 mm inside; the hole goes 1 mm farther, then there is plastic. Tap drill of M3: 2.5 (ISO 2306, value from memory). */
    @Test
    public void itsHoleIsTheTapDrillsAndEndsBeyondItsTip() {
        Case c = PartExamples.plateCase(cut(10, 5));
        List<SeatsFact.Seat> tool = new FactsOnce(c).get(SeatsFact.SEATS).stream().filter(s -> s.screw().row().equals("tool")).toList();
        assertEquals(tool.size(), 4);
        tool.forEach(s -> {
            assertEquals(s.threadMm(), 6.5, 0.01);
            assertEquals(s.floorMm(), 7.5, 0.01);
            assertEquals(s.screw().boreMm(), 2.5, 1e-9);
        });
        double solid = Slicer.section(PartExamples.mesh(PartExamples.plateCase(cut(10, 5).with(ToolCarriagePlate.CARRIED.seat, SeatKind.LOOSE_NUT))), Placement.at(0, 0, 9)).stream().mapToDouble(p -> p.areaMm2()).sum();
        double drilled = Slicer.section(PartExamples.mesh(c), Placement.at(0, 0, 9)).stream().mapToDouble(p -> p.areaMm2()).sum();
        // A loose nut's hole is 3.4 (ISO 273 medium), drawn as a polygon of 48 around the circle.
        double polygon = 48 * Math.tan(Math.PI / 48);
        assertEquals(drilled - solid, 4 * polygon * (1.7 * 1.7 - 1.25 * 1.25), 0.5);
    }

    @Test
    public void aPlateTooThinForOneAndAHalfDiametersIsSaidAndCured() {
        Case thin = PartExamples.plateCase(cut(10, 0).with(ToolCarriagePlate.THICKNESS, 3.0));
        Finding f = cutFinding(thin);
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), 3, 0.01);
        assertEquals(f.margin().orElseThrow().limit(), 4.5, 1e-9);
        Remedy thicker = f.remedies().get(0);
        assertEquals(cutFinding(thin.after(Change.all(thin.draft(), thicker.changes()))).severity(), Severity.FINE, thicker.label());
        assertTrue(f.remedies().stream().anyMatch(r -> r.label().startsWith("captive nut")), f.remedies().toString());
    }

    @Test
    public void aScrewTooShortForThePlasticIsSaid() {
        Finding f = PartExamples.find(PartExamples.plateCase(cut(6, 5)), "screw.tool");
        assertEquals(f.severity(), Severity.STOP);
        assertEquals(f.margin().orElseThrow().limit(), 0.5 + 3 + 4.5, 1e-9);
        assertTrue(f.why().contains("one and a half diameters"), f.why());
        assertEquals(PartExamples.find(PartExamples.plateCase(cut(8, 5)), "screw.tool").severity(), Severity.FINE);
    }
}
