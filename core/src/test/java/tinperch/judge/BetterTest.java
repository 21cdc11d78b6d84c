package tinperch.judge;

import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Severity;
import tinperch.quantity.Unit;

/** Which of two findings of one name is the better one, where neither is fine. */
public class BetterTest {
    private static Finding finding(Severity s, double value, Unit unit) {
        return Finding.of("seat.mount", s, "a seat", "why").measured(new Margin(value, 10, unit, true));
    }

    @Test
    public void lessIsMissing() {
        assertTrue(Prover.better(finding(Severity.STOP, 5, Unit.MM), finding(Severity.STOP, 6, Unit.MM)));
        assertFalse(Prover.better(finding(Severity.STOP, 5, Unit.MM), finding(Severity.STOP, 4, Unit.MM)));
        assertTrue(Prover.better(finding(Severity.STOP, 5, Unit.MM), finding(Severity.LOOK, 4, Unit.MM)), "it stops no more");
    }

    @Test
    public void whatIsMeasuredOtherwiseCannotBeComparedByItsNumber() {
        assertFalse(Prover.better(finding(Severity.STOP, 5, Unit.MM), finding(Severity.STOP, 9, Unit.PERCENT)));
        assertFalse(Prover.better(finding(Severity.STOP, 5, Unit.MM), Finding.of("seat.mount", Severity.STOP, "a seat", "why")));
        assertTrue(Prover.better(finding(Severity.STOP, 5, Unit.MM), finding(Severity.LOOK, 5, Unit.PERCENT)));
    }
}
