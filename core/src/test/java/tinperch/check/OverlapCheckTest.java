package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import org.testng.annotations.Test;
import tinperch.judge.Acceptance;
import tinperch.part.PartExamples;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.Values;
import tinperch.quantity.Unit;
import tinperch.upgrade.Families;

/** What goes through what, and how deep. */
public class OverlapCheckTest {
    private static List<Finding> overlaps(double standoffMm) {
        Param<?> standoff = Families.ALL.stream().filter(f -> f.id().equals("wheel-carriage")).findFirst().orElseThrow().params().stream().filter(p -> p.key().equals("tool.standoff")).findFirst().orElseThrow();
        return PartExamples.findings(PartExamples.usual("wheel-carriage", Values.START.with((NumberParam) standoff, standoffMm))).stream().filter(f -> f.id().startsWith("overlap")).toList();
    }

    @Test
    public void howDeepIsSaidAsANumberSoThatWhatWasAcceptedComesUpAgainWhenItGoesDeeper() {
        // By hand: the thing on the tool side stands free at 7 mm of standoff; half a millimetre less is half a millimetre deeper.
        assertEquals(overlaps(7.5).get(0).severity(), Severity.FINE);
        Finding shallow = overlaps(6.5).get(0);
        Finding deep = overlaps(6).get(0);
        assertEquals(shallow.margin().orElseThrow(), new Margin(0.5, 0, Unit.MM, false));
        assertEquals(deep.margin().orElseThrow(), new Margin(1, 0, Unit.MM, false));
        assertEquals(deep.id(), shallow.id());
        assertTrue(deep.margin().orElseThrow().spare() < Acceptance.accept(shallow, "", LocalDate.EPOCH).spare().orElseThrow());
    }
}
