package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.trial.Comparison;
import tinperch.trial.Trial;

/** A trial is written down against the baseline, or taken from what was recorded, and there after a restart. */
public class TrialsTest extends WindowTest {
    private static final String BLOWER = "avocet-blower";

    private List<Trial> trials() {
        return upgrade(BLOWER).trials();
    }

    @Test
    public void aTrialIsSetAgainstTheBaseline() throws Exception {
        int before = trials().size();
        goTo(BLOWER, Station.TRIAL);
        assertEquals(text("trial-what"), upgrade(BLOWER).trouble().baseline(), "the baseline is offered");
        assertEquals(text("trial-before"), upgrade(BLOWER).trouble().baselineValue());
        type("trial-after", "much less");
        assertTrue(text("trial-complaint").contains("no number with a unit"), text("trial-complaint"));
        assertEquals(trials().size(), before, "nothing is lost, nothing written");
        type("trial-before", "1.8 ± 0.2 mm");
        type("trial-after", "0.6 ± 0.2 mm");
        waitFor(() -> trials().size() == before + 1, text("trial-complaint"));
        Trial t = trials().get(before);
        assertEquals(t.says(), Comparison.Says.BETTER);
        assertTrue(text("state-trial").startsWith("better"), text("state-trial"));
        close();
        open();
        assertEquals(trials().get(before), t, "it is kept");
        goTo(BLOWER, Station.TRIAL);
        press("trial-remove-" + t.id());
        assertEquals(trials().size(), before);
        click("undo");
        assertEquals(trials().get(before), t);
    }

    @Test
    public void twoRecordingsMakeATrial() throws Exception {
        goTo(BLOWER, Station.TRIAL);
        choose("trial-first", "Bed at 100 °C, as delivered: Bed connector, 107.3 ± 0.4 °C");
        press("trial-take");
        assertEquals(text("trial-before"), "107.3 ± 0.4 °C");
        assertEquals(text("trial-after"), "51.8 ± 0.4 °C");
        press("trial-add");
        Trial t = trials().get(trials().size() - 1);
        assertEquals(t.before().from(), "“Bed at 100 °C, as delivered”");
        assertTrue(t.words().startsWith("Better: 55.5 ± 0.566 °C less") || t.words().startsWith("Better: 55.5"), t.words());
    }
}
