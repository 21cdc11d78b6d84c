package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import org.testng.annotations.Test;
import tinperch.desktop.machine.MachineView;
import tinperch.machine.Machine;
import tinperch.machine.space.Surroundings;

/** What a machine is, what it may print and why not, its hours, loadouts and axes, in the real window. */
public class MachineRecordTest extends WindowTest {
    private Machine machine(String id) {
        return desk.state().machine(id).orElseThrow();
    }

    private void fire(String id) throws Exception {
        onFx(() -> {
            ((ToggleButton) need(id)).fire();
            return null;
        });
        QuickRobot.settle();
    }

    @Test
    public void whyItMayNotPrintIsSaidAndFollowsWhatIsFitted() throws Exception {
        click("machine-avocet");
        assertTrue(text("against-0").contains("PC: hot end with inner tube stands 240 °C"), text("against-0"));
        assertTrue(text("against-1").contains("draws 11.25 A through “Bed connector on the board”, rated 12 A"), text("against-1"));
        assertTrue(need("material-ABS").isDisabled());
        click("machine-curlew");
        assertEquals(find("against-0"), null, "all-metal, enclosed, real terminals");
        // Another hot end on the loadout looked at changes it at once; the cold one on Turnstone too.
        click("machine-turnstone");
        assertTrue(text("against-0").contains("the bed is not heated"), text("against-0"));
        fire("heated-bed");
        assertFalse(text("against-0").contains("not heated"), text("against-0"));
    }

    @Test
    public void factsAreChangedAndNonsenseIsRefused() throws Exception {
        click("machine-turnstone");
        type("hours-run", "150");
        assertTrue(complaint("hours-run").contains("it stood at 188 h on 26 Sep 2026"), complaint("hours-run"));
        type("hours-run", "201.5 h");
        assertEquals(machine("turnstone").book().hoursAt(LocalDate.now()).orElseThrow().hours(), 201.5);
        type("supply", "24 V");
        assertEquals(machine("turnstone").supplyV(), 24.0);
        type("usable-x", "130");
        assertTrue(text("usable-doubt").contains("More is usable than it can reach"), text("usable-doubt"));
        fire("enclosed");
        assertTrue(machine("turnstone").enclosed());
        choose("machine-kind", "Laser cutter");
        assertTrue(stage.getScene().getRoot().lookupAll(".look").stream().anyMatch(n ->
                ((javafx.scene.control.Label) n).getText().startsWith("Laser: interlocks and eyewear stay on")));
    }

    @Test
    public void hoursAreReadFromALog() throws Exception {
        click("machine-turnstone");
        java.nio.file.Path log = folder.resolve("counter.csv");
        java.nio.file.Files.writeString(log, "day,hours\n2026-09-26,188\n2026-10-03,191.5\n2026-10-10,196\n");
        MachineView view = machineView();
        onFx(() -> {
            view.sheet().readHours(log);
            return null;
        });
        waitFor(() -> find("hours-take") != null, "nothing is offered");
        assertTrue(text("hours-preview").startsWith("3 days would be written down, the last ") && text("hours-preview").contains(" with 196 h"), text("hours-preview"));
        assertFalse(text("hours-run").equals("196 h"), "nothing is written before it is taken");
        press("hours-take");
        assertEquals(text("hours-run"), "196 h");
        assertEquals(machine("turnstone").book().hoursAt(LocalDate.of(2026, 10, 5)).orElseThrow().hours(), 191.5);
        java.nio.file.Files.writeString(log, "day,hours\n2026-11-01,150\n");
        onFx(() -> {
            view.sheet().readHours(log);
            return null;
        });
        waitFor(() -> find("hours-take") != null && find("hours-take").getParent().getParent().isVisible(), "nothing is offered");
        press("hours-take");
        assertTrue(text("notice-text").contains("runs forward only"), text("notice-text"));
        assertEquals(text("hours-run"), "196 h");
        // What can be read in two ways is asked about.
        java.nio.file.Files.writeString(log, "2026-11-05 hours 1,671\n");
        onFx(() -> {
            view.sheet().readHours(log);
            return null;
        });
        waitFor(() -> find("hours-thousands") != null, "nothing is asked");
        press("hours-thousands");
        waitFor(() -> find("hours-take") != null, "nothing is offered");
        press("hours-take");
        assertEquals(machine("turnstone").book().hoursAt(LocalDate.of(2026, 11, 6)).orElseThrow().hours(), 1671.0);
    }

    @Test
    public void aSettingCarriesWhoAndWhy() throws Exception {
        click("machine-avocet");
        type("setting-who", "Jorun");
        type("setting-why", "ringing on the ribs");
        type("setting-accel.y", "700");
        var now = machine("avocet").book().at(LocalDate.now(), "").settings().get("accel.y");
        assertEquals(now.value(), 700.0);
        assertEquals(now.by(), "Jorun");
        assertEquals(now.why(), "ringing on the ribs");
    }

    @Test
    @SuppressWarnings("unchecked")
    public void aMachineInPiecesSaysForWhat() throws Exception {
        click("machine-avocet");
        assertEquals(((ComboBox<String>) need("in-pieces-for")).getValue(), "Blower carriage");
        choose("in-pieces-for", "Braces for the uprights");
        assertEquals(machine("avocet").inPiecesFor(), "avocet-braces");
        onFx(() -> {
            ((ComboBox<Machine.State>) need("machine-state")).setValue(Machine.State.FIT);
            return null;
        });
        QuickRobot.settle();
        assertEquals(machine("avocet").inPiecesFor(), "");
        assertFalse(need("in-pieces-for").isVisible());
        click("undo");
        assertEquals(machine("avocet").inPiecesFor(), "avocet-braces");
    }

    @Test
    public void aLoadoutIsAddedAndAComponentMovedToIt() throws Exception {
        click("machine-turnstone");
        press("add-loadout");
        type("loadout-name", "flexible filament");
        String id = machine("turnstone").book().loadouts().get(0).id();
        onFx(() -> {
            more("fan-1", "move to", i -> true).fire();
            return null;
        });
        QuickRobot.settle();
        assertTrue(machine("turnstone").book().at(LocalDate.now(), id).components().stream().anyMatch(c ->
                c.name().equals("Axial fan 30×10") && c.loadout().equals(id)));
        click("page-sheet");
        need("due-heater-" + id);
        click("page-book");
        press("add-loadout");
        type("loadout-name", " ");
        assertTrue(text("notice-text").contains("A loadout needs a name"), text("notice-text"));
    }

    @Test
    public void twoDaysOfTheBookAreCompared() throws Exception {
        click("machine-avocet");
        onFx(() -> {
            ((Slider) need("book-day")).setValue(30);
            return null;
        });
        fire("book-pin");
        onFx(() -> {
            ((Slider) need("book-day")).setValue(200);
            return null;
        });
        QuickRobot.settle();
        String words = text("book-differs");
        assertTrue(words.startsWith("From 7 Apr 2025 to 24 Sep 2025: Nozzle: Brass nozzle 0.4 → Hardened nozzle 0.4"), words);
        assertFalse(words.contains("Drive steps"), words);
    }

    @Test
    public void axesHomeWhereTheyAreToldAndGroupsRideOnThem() throws Exception {
        click("machine-ruff");
        click("page-surroundings");
        click("side-axes");
        choose("axis-x-home", "upper end");
        Surroundings s = machine("ruff").surroundings();
        assertTrue(s.axis("x").orElseThrow().homeAtTop());
        type("axis-x-order", "5");
        assertEquals(machine("ruff").surroundings().axis("x").orElseThrow().homingOrder(), 5, "homed last");
        press("axis-u-remove");
        assertTrue(text("axes-complaint").contains("“right carriage” rides on u"), text("axes-complaint"));
        type("group-right carriage-axes", "u q");
        assertTrue(complaint("group-right carriage-axes").contains("no axis “q”"), complaint("group-right carriage-axes"));
        type("new-group", "wire spool x y");
        assertEquals(machine("ruff").surroundings().groups().size(), 3, "“spool” is no axis");
        type("new-group", "spool x y");
        assertEquals(machine("ruff").surroundings().group("spool").orElseThrow().axes(), java.util.List.of("x", "y"));
        press("group-left carriage-remove");
        assertTrue(text("axes-complaint").contains("left tower moves with"), text("axes-complaint"));
        type("new-axis", "x");
        assertTrue(complaint("new-axis").contains("already"), complaint("new-axis"));
    }
}
