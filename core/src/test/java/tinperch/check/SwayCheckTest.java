package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Sheet;
import tinperch.part.PartExamples;
import tinperch.part.param.Values;
import tinperch.upgrade.Case;

/** What a brace does to a frame that was pushed: springs side by side, against the formulas by hand. */
public class SwayCheckTest {
    private static Case brace(String material, Machine m) {
        return PartExamples.caseOf(PartExamples.usual("frame-brace", Values.START).part().withMaterial(material), PartExamples.shop(m));
    }

    private static Machine plain() {
        return PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG");
    }

    /** 10 N give 1 mm, 20 N 2 mm: 10 N/mm; 2.5 kg sway. */
    private static Machine pushed(double perMm) {
        return plain().with(new Sheet("push", "push", "push", Map.of("force.1", read(10), "give.1", read(10 / perMm), "force.2", read(20), "give.2", read(20 / perMm), "mass", read(2500))));
    }

    private static List<Reading> read(double value) {
        return List.of(new Reading(value, Instant.EPOCH, ""));
    }

    private static Finding found(Case c) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("sway.")).findFirst().orElseThrow();
    }

    /** Against beam tables (values from memory) and limits. */
    @Test
    public void aPostOnASpring() {
        assertEquals(SwayCheck.propped(10, 5, 1), 15, 1e-9, "at the top both springs add");
        assertEquals(SwayCheck.propped(10, 1e-9, 0.5), 10, 1e-6, "a spring of nothing");
        // Held fast half way up, loaded at its end: the overhang of a propped cantilever, δ = P·a²·(4·a + 3·l)/(12·E·I) with a = l = ½: 7/96 of P/(E·I), against 1/3 without.
        assertEquals(SwayCheck.propped(10, 1e12, 0.5), 10 * (1 / 3.0) / (7 / 96.0), 1e-6);
        for (double s = 0.1; s < 0.91; s += 0.1) {
            assertTrue(SwayCheck.propped(10, 50, s + 0.05) > SwayCheck.propped(10, 50, s), "higher up it helps more");
        }
    }

    @Test
    public void theFrameStandsAtWhatThePushTestSays() {
        // 10 N/mm and 2.5 kg: √(10000 / 2.5) / 2π = 10.07 Hz (a mass on a spring).
        Finding f = found(brace("PETG", pushed(10)));
        assertTrue(f.what().startsWith("It raises the frame's frequency from 10.1 Hz"), f.what());
        assertTrue(f.margin().orElseThrow().value() < 200, "what is above the brace still bends: " + f.what());
    }

    @Test
    public void whatIsStiffAlreadyGainsLittle() {
        assertEquals(found(brace("TPU 95A", pushed(300))).severity(), Severity.LOOK);
    }

    @Test
    public void withoutAPushItAsksForOne() {
        Finding f = found(brace("PETG", plain()));
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertEquals(f.settle().orElseThrow().by(), Settle.By.READINGS);
    }
}
