package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.machine.Machine;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Sheet;
import tinperch.part.PartExamples;
import tinperch.part.form.Joint;
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

    @Test
    public void springsSideBySide() {
        Case c = brace("PETG", pushed(10));
        Joint.Brace b = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow().joints().stream().filter(Joint.Brace.class::isInstance).map(Joint.Brace.class::cast).findFirst().orElseThrow();
        double cos = Math.cos(Math.toRadians(b.angleDeg()));
        double own = 1800 * b.sectionMm2() / b.lengthMm() * cos * cos;
        // f goes with the root of the stiffness.
        assertEquals(found(c).margin().orElseThrow().value(), 100 * (Math.sqrt((10 + own) / 10) - 1), 0.5);
        // 10 N/mm and 2.5 kg: √(10000 / 2.5) / 2π = 10.07 Hz (cantilever with tip mass as a spring).
        assertTrue(found(c).what().startsWith("It raises the frame's frequency from 10.1 Hz"), found(c).what());
    }

    @Test
    public void whatIsStiffAlreadyGainsLittle() {
        assertEquals(found(brace("TPU 95A", pushed(300))).severity(), Severity.LOOK);
    }

    @Test
    public void withoutAPushItAsksForOne() {
        Finding f = found(brace("PETG", plain()));
        assertEquals(f.severity(), Severity.CANT_TELL);
        assertEquals(f.settle().orElseThrow().by(), Settle.By.MEASURE);
    }
}
