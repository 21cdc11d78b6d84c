package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.machine.Machine;
import tinperch.trial.Channel;
import tinperch.trial.Comparison;
import tinperch.trial.Kept;
import tinperch.trial.Run;
import tinperch.trial.Trial;
import tinperch.upgrade.Revision;

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

    /** The demo's carriage was logged on R4, 4 K below its limit; hotter by 10 K it is a cause, taken at a click. */
    @Test
    public void aSpotThatGotTooHotIsACauseInTheVerdict() throws Exception {
        onFx(() -> {
            desk.workshop().edit("hotter", s -> {
                Machine m = s.machine("avocet").orElseThrow();
                Run r = m.run("demo-carriage").orElseThrow();
                Channel spot = r.first(Channel.Kind.SPOT).orElseThrow();
                return s.with(m.with(r.with(spot.keeping(new Kept(74.1, true, 72.8, 0.02)))));
            });
            return null;
        });
        goTo(BLOWER, Station.VERDICT);
        press("rung-p1-4");
        press("cause-c4");
        Revision r4 = desk.state().revisionsOf(BLOWER).stream().filter(r -> r.number() == 4).findFirst().orElseThrow();
        assertEquals(r4.life().note(), "“Carriage, lower edge” reached 74.1 °C, 6.1 K above what PETG stands loaded (simulated)");
        assertEquals(r4.life().end(), Revision.End.FAILED);
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
