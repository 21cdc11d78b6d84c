package tinperch.judge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.concurrent.atomic.AtomicInteger;
import org.testng.annotations.Test;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.part.PartExamples;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.param.Values;
import tinperch.solid.kernel.Hands;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** A few remedies together until nothing stops, or the nearest miss. */
public class SettleSearchTest {
    private static SettleSearch.Proposal search(Case c, int most) {
        AtomicInteger n = new AtomicInteger();
        return SettleSearch.of(c, FactsOnce::new, Hands.ONE, () -> n.get() >= most, n::set);
    }

    private static long stops(Case c) {
        return Judge.judge(c, new FactsOnce(c)).count(Severity.STOP);
    }

    /** Screws too short on either side and a wall too thin under a nut: more than one remedy is needed, and what is proposed holds when it is made. */
    @Test
    public void whatIsProposedHoldsWhenItIsMade() {
        Values v = PartExamples.values().with(ToolCarriagePlate.MOUNT.length, 8.0).with(ToolCarriagePlate.CARRIED.length, 4.0);
        Case c = PartExamples.plateCase(v);
        assertTrue(stops(c) >= 2, "it begins with several: " + stops(c));
        SettleSearch.Proposal p = search(c, 60);
        assertTrue(p.settled(), p.steps().toString());
        assertTrue(p.steps().size() >= 2, p.steps().toString());
        Case after = c.after(Change.all(c.draft(), p.changes()));
        assertEquals(stops(after), 0);
        assertEquals(p.after().findings().stream().map(f -> f.id() + f.what()).toList(), Judge.judge(after, new FactsOnce(after)).findings().stream().map(f -> f.id() + f.what()).toList());
        assertEquals(p.before().count(Severity.STOP), stops(c));
        assertTrue(p.grams() > 1 && p.gramsAfter() > 1);
    }

    @Test
    public void whatNothingHelpsSaysSo() {
        // Wider than any printer of the shop is long.
        Case c = PartExamples.plateCase(PartExamples.values().with(ToolCarriagePlate.WIDTH, 290.0).with(ToolCarriagePlate.HEIGHT, 290.0));
        SettleSearch.Proposal p = search(c, 60);
        assertFalse(p.settled());
        assertTrue(p.after().count(Severity.STOP) > 0);
    }

    @Test
    public void stoppedItAnswersWithTheBestSoFar() {
        Case c = PartExamples.plateCase(PartExamples.values().with(ToolCarriagePlate.MOUNT.length, 8.0).with(ToolCarriagePlate.CARRIED.length, 4.0));
        SettleSearch.Proposal p = search(c, 1);
        assertEquals(p.steps().size(), 0);
        assertEquals(p.tried(), 1);
        assertFalse(p.settled());
    }
}
