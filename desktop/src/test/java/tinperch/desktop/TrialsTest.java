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

    /** A line there and back 300 times, 36 mm each way, before at 60 mm/s and now at 90: a trapezoid each way. */
    @Test
    public void twoPrintsMakeATrialOfTheirTime() throws Exception {
        goTo(BLOWER, Station.TRIAL);
        java.nio.file.Path slow = print("slow.gcode", 60);
        java.nio.file.Path fast = print("fast.gcode", 90);
        drop("print-time-before", slow);
        waitFor(() -> text("print-time-said").startsWith("slow.gcode: "), text("print-time-said"));
        drop("print-time-after", fast);
        waitFor(() -> text("trial-what").equals("print time"), text("print-time-said"));
        double a = desk.state().machine("avocet").orElseThrow().book().at(java.time.LocalDate.now(), "").value("accel.x").orElse(1000.0);
        assertEquals(text("trial-before"), tinperch.quantity.Quantity.fixed(600 * tinperch.printing.MoveTime.trapezoidS(36, 60, a) / 60, 1).replace(".0", "") + " min");
        press("trial-add");
        Trial t = trials().get(trials().size() - 1);
        assertEquals(t.says(), Comparison.Says.BETTER);
        assertTrue(t.after().from().contains("fast.gcode, by its moves"), t.after().from());
        drop("print-time-after", java.nio.file.Files.writeString(folder.resolve("poem.gcode"), "no move at all"));
        waitFor(() -> text("print-time-said").contains("no print as G-code"), text("print-time-said"));
    }

    private void drop(String id, java.nio.file.Path file) throws Exception {
        onFx(() -> {
            tinperch.desktop.look.Dropped.drop(find(id), file);
            return null;
        });
    }

    private java.nio.file.Path print(String name, int mmS) throws java.io.IOException {
        StringBuilder s = new StringBuilder("G90\nM83\n");
        for (int i = 0; i < 300; i++) {
            s.append("G1 X36 E1 F").append(60 * mmS).append("\nG1 X0 E1\n");
        }
        return java.nio.file.Files.writeString(folder.resolve(name), s);
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
