package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tinperch.fact.CableWayFact;
import tinperch.machine.space.Along;
import tinperch.machine.space.Run;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Change;

/** Where a cable of 6 mm that runs along x before a post of 10 × 10 × 100 may be tied to it. */
public class LedRoundTest {
    private static final Run.Hold FROM = new Run.Hold("", new Vec3(-100, -4, 50));
    private static final Run.Hold TO = new Run.Hold("carriage", new Vec3(100, -4, 50));
    private static final Bounds POST = new Bounds(Vec3.ZERO, new Vec3(10, 10, 100));

    private static CableWayFact.Near near(boolean hot, List<Run.Hold> holds) {
        return new CableWayFact.Near(new Run("r", "cable", Run.Kind.CABLE, holds, 6, Along.Z, 0, 0), "post", 1, Map.of(), 0, new Vec3(5, -4, 50), POST, "bed", hot);
    }

    /** 2 mm are to be free (common practice), half of 6 mm is cable, a tie takes 1 mm: its middle line comes to lie 6 mm off. */
    @Test
    public void theLeastWayOffComesFirst() {
        List<Remedy> all = LedRound.of(near(false, List.of(FROM, TO)));
        assertEquals(all.get(0).label(), "tie it to post, before it");
        Run tied = ((Change.PutRun) all.get(0).changes().get(0)).run();
        assertEquals(tied.holds(), List.of(FROM, new Run.Hold("bed", new Vec3(5, -6, 50)), TO));
        assertTrue(all.size() > 1);
    }

    @Test
    public void nothingIsTiedToWhatIsHotNorToMorePointsThanThereMayBe() {
        assertEquals(LedRound.of(near(true, List.of(FROM, TO))), List.of());
        assertEquals(LedRound.of(near(false, Collections.nCopies(100, FROM))), List.of());
    }
}
