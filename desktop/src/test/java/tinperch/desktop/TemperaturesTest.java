package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import org.testng.annotations.Test;
import tinperch.desktop.temperature.TemperaturesPage;
import tinperch.machine.Machine;
import tinperch.trial.Channel;
import tinperch.trial.Run;

/** Logs are taken in, drawn and told of in the real window. */
public class TemperaturesTest extends WindowTest {
    private Machine avocet() {
        return desk.state().machine("avocet").orElseThrow();
    }

    private String told() {
        return find("told") instanceof GridPane g ? g.getChildren().stream().filter(Label.class::isInstance).map(n -> ((Label) n).getText()).collect(Collectors.joining("\n")) : "";
    }

    private void page() throws Exception {
        onFx(() -> {
            desk.goTo(avocet());
            return null;
        });
        robot.push(KeyCode.F6);
    }

    private void look(Path file) throws Exception {
        onFx(() -> {
            ((TemperaturesPage) find("temperatures")).look(file);
            return null;
        });
    }

    private Path log(String text) throws Exception {
        return Files.writeString(folder.resolve("terminal.csv"), text);
    }

    /** 60 − 38 · e^(−t/150), a row a second for twenty minutes, with decimal commas. */
    private static String rising() {
        StringBuilder b = new StringBuilder("Datum;Zeit;Terminal [°C];Raum\n");
        for (int i = 0; i < 1200; i++) {
            b.append(String.format(Locale.GERMANY, "21.11.2026;18:%02d:%02d;%.2f;%.1f%n", i / 60, i % 60, 60 - 38 * Math.exp(-i / 150.0), 21.3));
        }
        return b.toString();
    }

    @Test
    public void beforeAgainstAfterOfTheDemo() throws Exception {
        page();
        waitFor(() -> told().contains("Stands at"), "nothing is told of the newest run");
        assertTrue(told().contains("Bed connector on the board, 105 °C: it stays 5"), told());
        press("under-demo-contact-before");
        waitFor(() -> told().contains("cooler ± 0.5 K: better."), told());
        press("run-demo-carriage");
        waitFor(() -> told().contains("PETG's use limit, 68 °C: it stays"), told());
        assertTrue(told().contains("% of the rise"), told());
    }

    /** The stretch seen, the hair line and its values, by keyboard alone. */
    @Test
    public void thePlotIsReadWithTheKeyboard() throws Exception {
        page();
        waitFor(() -> told().contains("over the last"), "nothing is told");
        String whole = told();
        onFx(() -> {
            find("time-plot").requestFocus();
            return null;
        });
        robot.push(KeyCode.RIGHT);
        waitFor(() -> text("value-c0").endsWith("°C"), "no value at the hair line");
        assertTrue(text("value-c3").endsWith("%"), text("value-c3"));
        for (int i = 0; i < 3; i++) {
            robot.push(KeyCode.PLUS);
        }
        waitFor(() -> !told().equals(whole), "what is told follows what is seen");
        robot.push(KeyCode.HOME);
        waitFor(() -> told().equals(whole), "Home shows all again: " + told());
    }

    @Test
    public void aLogIsTakenInNamedLimitedAndThereAfterARestart() throws Exception {
        page();
        int before = avocet().runs().size();
        look(log(rising()));
        need("log-take");
        assertEquals(text("column-name-2"), "Terminal");
        press("log-take");
        waitFor(() -> avocet().runs().size() == before + 1, "it is not taken in");
        Run run = avocet().runs().get(before);
        assertEquals(run.channels().stream().map(Channel::kind).toList(), java.util.List.of(Channel.Kind.CONTACT, Channel.Kind.OTHER));
        assertEquals(run.start().toString(), "2026-11-21T18:00");
        waitFor(() -> told().contains("60 °C") && told().contains("Stands at"), told());
        type("channel-limit", "140 °F");
        waitFor(() -> told().contains("own limit, 60 °C"), told());
        type("channel-limit", "warm");
        assertFalse(complaint("channel-limit").isEmpty());
        assertEquals(avocet().run(run.id()).orElseThrow().channels().get(0).limitC(), 60.0, 1e-9);
        close();
        open();
        page();
        waitFor(() -> told().contains("own limit, 60 °C"), "after a restart: " + told());
        press("run-remove");
        assertEquals(avocet().runs().size(), before);
        click("undo");
        waitFor(() -> told().contains("own limit, 60 °C"), "undo brings it back, samples and all: " + told());
    }

    /** What is guessed wrongly is set right, seen at once, and remembered for the next file with that heading. */
    @Test
    public void aLayoutIsSetRightAndRemembered() throws Exception {
        page();
        String text = "t;a\n0;20\n1;21\n2;22\n3;23\n";
        look(log(text));
        need("log-take");
        choose("log-stamp", "minutes");
        choose("reads-1", "°F");
        press("log-take");
        waitFor(() -> avocet().runs().get(avocet().runs().size() - 1).lengthS() == 180, "three minutes");
        look(log(text));
        need("log-take");
        press("log-take");
        waitFor(() -> avocet().runs().stream().filter(r -> r.lengthS() == 180).count() == 2, "remembered");
        waitFor(() -> told().contains("-5 °C") || told().contains("−5 °C"), "73 °F: " + told());
    }

    /** The simulated printer is recorded, seen while it goes on, and there after a restart. */
    @Test
    public void aRecordingIsSeenWhileItGoesOn() throws Exception {
        page();
        int before = avocet().runs().size();
        press("record-open");
        choose("record-port", "simulated printer");
        press("record-begin");
        waitFor(() -> avocet().runs().size() == before + 1, "no run: " + text("record-says"));
        Run run = avocet().runs().get(before);
        assertTrue(run.simulated(), "it is said that no machine stands behind it");
        assertEquals(run.channels().get(0).kind(), Channel.Kind.HOT_END);
        press("run-" + run.id());
        waitFor(() -> told().contains("Peak"), told());
        waitFor(() -> text("record-says").startsWith("Simulated:"), text("record-says"));
        waitFor(() -> desk.recordings().status("avocet").filter(r -> r.rows() > 2).isPresent(), "three rows: " + text("record-says"));
        press("record-stop");
        waitFor(() -> avocet().run(run.id()).orElseThrow().lengthS() > 1, "it has no length");
        assertTrue(desk.recordings().of("avocet").isEmpty());
        close();
        open();
        page();
        waitFor(() -> told().contains("Peak"), "after a restart: " + told());
    }

    /** "contact 74 °C after 20 min", and two more of the same run. */
    @Test
    public void readingsAreTyped() throws Exception {
        page();
        int before = avocet().runs().size();
        press("typed-open");
        type("typed-what", "Bed connector");
        assertTrue(text("typed-says").length() > 5, "no temperature yet: " + text("typed-says"));
        type("typed-hot", "165.2 °F");
        waitFor(() -> avocet().runs().size() == before + 1, text("typed-says"));
        type("typed-after", "20 min");
        assertEquals(avocet().runs().size(), before + 1, "no temperature, no reading");
        onFx(() -> {
            ((javafx.scene.control.TextField) find("typed-hot")).setText("80");
            return null;
        });
        press("typed-add");
        waitFor(() -> avocet().runs().get(before).lengthS() == 1200, text("typed-says"));
        assertEquals(avocet().runs().size(), before + 1, "it goes into the same run");
        Run run = avocet().runs().get(before);
        assertEquals(run.channels().get(0).kept().orElseThrow().peakC(), 80, 1e-3);
        waitFor(() -> told().contains("80 °C after 20 min"), told());
        click("undo");
        waitFor(() -> told().contains("74 °C after 0 s"), "undo finds the one before: " + told());
    }

    @Test
    public void whatIsNoLogIsRefusedWithASentence() throws Exception {
        page();
        int before = avocet().runs().size();
        look(log("Once upon a time\nthere was a boat\n"));
        need("log-leave");
        assertTrue(text("log-complaint").contains("No column is taken"), text("log-complaint"));
        press("log-leave");
        look(folder.resolve("nowhere.csv"));
        waitFor(() -> text("runs-complaint").contains("Nothing was taken in"), text("runs-complaint"));
        assertEquals(avocet().runs().size(), before);
        assertNotEquals(told(), null);
    }
}
