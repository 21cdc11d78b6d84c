package tinperch.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Severity;
import tinperch.part.param.Values;
import tinperch.quantity.Unit;
import tinperch.upgrade.Accepted;
import tinperch.upgrade.PartDesign;

/** What is lived with stays lived with until it is worse. */
public class AcceptanceTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 27);

    private static Finding finding(Severity s, double value) {
        return Finding.of("gap", s, "a gap", "why").measured(new Margin(value, 3, Unit.MM, true));
    }

    private static PartDesign accepting(Finding f) {
        return PartDesign.of("p1", "soft-foot", "Foot", Values.START).accepting(Acceptance.accept(f, "it never gets there", DAY));
    }

    @Test
    public void untilItIsWorse() {
        PartDesign p = accepting(finding(Severity.LOOK, 2));
        assertEquals(Acceptance.of(finding(Severity.LOOK, 2), p).accepted(), "it never gets there");
        assertEquals(Acceptance.of(finding(Severity.LOOK, 2.6), p).accepted(), "it never gets there", "better");
        assertTrue(Acceptance.of(finding(Severity.LOOK, 1.9), p).isOpen(), "worse by a tenth");
        assertTrue(Acceptance.of(finding(Severity.STOP, 2), p).isOpen(), "it stops now");
        assertFalse(Acceptance.of(finding(Severity.FINE, 4), p).isOpen());
        assertEquals(Acceptance.of(finding(Severity.FINE, 4), p).accepted(), "", "what is fine needs nobody's leave");
        assertTrue(Acceptance.of(finding(Severity.LOOK, 2), p.notAccepting("gap")).isOpen());
        assertTrue(Acceptance.of(Finding.of("gap", Severity.LOOK, "a gap", "it has no number now"), p).isOpen());
    }

    @Test
    public void untilSomethingElseIsMeasuredUnderItsName() {
        PartDesign p = accepting(finding(Severity.STOP, -2));
        Finding other = Finding.of("gap", Severity.STOP, "a seat", "why").measured(new Margin(95, 90, Unit.PERCENT, true));
        assertTrue(Acceptance.of(other, p).isOpen(), "percent are no mm");
        Accepted kept = p.accepted().get(0);
        PartDesign early = p.accepting(new Accepted(kept.findingId(), kept.stops(), kept.spare(), null, kept.reason(), kept.on()));
        assertFalse(Acceptance.of(finding(Severity.STOP, -2), early).isOpen(), "kept by an earlier version, which wrote no unit");
    }

    @Test
    public void onceForEachFindingAndCountedApart() {
        Finding a = finding(Severity.STOP, 1);
        PartDesign p = accepting(a).accepting(Acceptance.accept(a, "another reason", DAY));
        assertEquals(p.accepted().size(), 1);
        Assessment all = new Assessment(List.of(Acceptance.of(a, p), Finding.of("b", Severity.LOOK, "b", ""), Finding.of("c", Severity.FINE, "c", "")), List.of());
        assertEquals(all.count(Severity.STOP), 0);
        assertEquals(all.accepted(), 1);
        assertEquals(all.words(), "1 to look at, 1 accepted");
        assertEquals(all.findings().stream().map(Finding::id).toList(), List.of("b", "gap", "c"), "open ones, lived with, fine");
    }
}
