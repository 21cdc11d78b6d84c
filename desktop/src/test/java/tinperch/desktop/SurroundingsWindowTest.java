package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.testng.annotations.Test;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;

/** What stands around a machine's axes, in the real window. */
public class SurroundingsWindowTest extends WindowTest {
    private Surroundings space(String machine) {
        return desk.state().machine(machine).orElseThrow().surroundings();
    }

    private void fill(String id, String text) throws Exception {
        onFx(() -> {
            ((TextField) need(id)).setText(text);
            return null;
        });
    }

    private void press(String strip, KeyCode key) throws Exception {
        onFx(() -> {
            need(strip).fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", key, false, false, false, false));
            return null;
        });
        QuickRobot.settle();
    }

    @Test
    public void movingTheMachineTellsTheSmallestGap() throws Exception {
        click("machine-avocet");
        press("travel-z", KeyCode.HOME);
        assertEquals(text("space-tightest"), "Smallest gap here 3 mm: bed – hot block");
        press("travel-z", KeyCode.END);
        assertEquals(text("position-z"), "250 mm");
        assertTrue(!text("space-tightest").contains(" 3 mm"), text("space-tightest"));
        assertTrue(desk.workshop().undoLabel().isEmpty(), "moving is looking");
    }

    @Test
    public void aNeighbourIsAddedInAFewFieldsAndSwappedEndsAreRefused() throws Exception {
        click("machine-turnstone");
        int before = space("turnstone").neighbours().size();
        fill("neighbour-name", "spool");
        fill("neighbour-at-x", "-60");
        fill("neighbour-at-y", "40");
        fill("neighbour-at-z", "200");
        fill("neighbour-size-x", "70");
        fill("neighbour-size-y", "8 in");
        press("neighbour-put");
        assertTrue(text("neighbour-complaint").contains("Type a number"), text("neighbour-complaint"));
        assertEquals(space("turnstone").neighbours().size(), before);
        fill("neighbour-size-z", "200");
        press("neighbour-put");
        assertEquals(space("turnstone").neighbours().size(), before + 1);
        assertEquals(space("turnstone").neighbours().get(before).size().y(), 203.2, 1e-9);
        type("axis-x-to", "-5");
        assertTrue(complaint("axis-x-to").contains("are swapped"), complaint("axis-x-to"));
        click("undo");
        assertEquals(space("turnstone").neighbours().size(), before);
        close();
        open();
        assertEquals(space("avocet").neighbours().size(), 11, "surroundings are kept");
    }

    /** Ctrl+T, what it is, Ctrl+Enter for the usual size, where it is: 36 keys. */
    @Test
    public void aFanIsDrawnWithTheKeyboardAlone() throws Exception {
        click("machine-turnstone");
        int before = space("turnstone").neighbours().size();
        robot.push(KeyCode.CONTROL, KeyCode.T);
        waitForFocus("neighbour-name"::equals);
        robot.write("radial fan 40x10");
        assertTrue(text("neighbour-usual").contains("40 mm fan, 10 thick"), text("neighbour-usual"));
        robot.push(KeyCode.CONTROL, KeyCode.ENTER);
        waitForFocus("neighbour-at-x"::equals);
        for (String mm : new String[] {"-60", "140", "200"}) {
            robot.write(mm);
            robot.push(mm.equals("200") ? KeyCode.ENTER : KeyCode.TAB);
        }
        QuickRobot.settle();
        Neighbour fan = space("turnstone").neighbours().get(before);
        assertEquals(fan.name(), "radial fan 40x10");
        assertEquals(fan.size(), new tinperch.solid.Vec3(40, 10, 40));
        assertEquals(fan.corner(), new tinperch.solid.Vec3(-60, 140, 200));
        waitForFocus("neighbour-name"::equals);
        // What a hand must reach says where it comes from; a cone opens somewhere.
        robot.write("knob");
        choose("neighbour-kind", "Access");
        choose("neighbour-way", "from the left");
        for (String f : new String[] {"at-x", "at-y", "at-z", "size-x", "size-y", "size-z"}) {
            fill("neighbour-" + f, "20");
        }
        press("neighbour-put");
        assertEquals(space("turnstone").neighbours().get(before + 1).way(), "-x");
        choose("neighbour-form", "Cone");
        choose("neighbour-kind", "Light or air");
        fill("neighbour-name", "lamp");
        choose("neighbour-way", "opens down");
        for (String f : new String[] {"at-x", "at-y", "at-z", "size-x", "size-y", "size-z"}) {
            fill("neighbour-" + f, "30");
        }
        press("neighbour-put");
        assertEquals(space("turnstone").neighbours().get(before + 2).form(), Neighbour.Form.CONE);
        assertEquals(space("turnstone").neighbours().get(before + 2).way(), "-z");
    }

    @Test
    public void aNewMachineIsGivenAxes() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        click("page-surroundings");
        type("frame-x", "0");
        press("space-begin");
        assertTrue(text("frame-complaint").contains("0 mm is none"), text("frame-complaint"));
        assertTrue(desk.machine().orElseThrow().surroundings().axes().isEmpty());
        type("frame-x", "180");
        press("space-begin");
        need("travel-x");
        Surroundings s = desk.machine().orElseThrow().surroundings();
        assertEquals(s.axes().size(), 3);
        assertEquals(s.axis("x").orElseThrow().toMm(), 180.0);
        assertTrue(s.neighbours().stream().map(Neighbour::name).toList().containsAll(List.of("bed", "hot block", "left upright", "x motor")), s.neighbours().toString());
        click("undo");
        need("space-begin");
        choose("frame", "Only axes, nothing around");
        press("space-begin");
        assertEquals(desk.machine().orElseThrow().surroundings().neighbours().size(), 0);
    }

    /** Axes taken back while gaps along them are still being measured: what comes of that then has no strip to be shown on. */
    @Test
    public void whatIsStillMeasuredOfWhatIsGoneIsNotShown() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        click("page-surroundings");
        press("space-begin");
        need("travel-x");
        onFx(() -> {
            desk.workshop().undo();
            return null;
        });
        for (int frame = 0; frame < 40; frame++) {
            QuickRobot.settle();
        }
        // Whatever failed meanwhile in the window comes up here.
        waitFor(() -> find("space-begin") != null, "an empty one may be begun again");
        assertTrue(desk.machine().orElseThrow().surroundings().axes().isEmpty());
    }

    @Test
    public void aSiteIsAddedWithTheHolesThatWereReadAndKept() throws Exception {
        click("machine-ruff");
        int before = space("ruff").sites().size();
        fill("site-name", "right tower, inner face");
        choose("site-group", "right carriage");
        choose("site-sheet", "left tower");
        fill("site-at-x", "0");
        fill("site-at-y", "606");
        press("site-put");
        assertTrue(text("site-complaint").contains("Type a number"), text("site-complaint"));
        fill("site-at-z", "31");
        fill("site-known", "0.4 mm");
        press("site-put");
        assertEquals(space("ruff").sites().size(), before + 1);
        assertEquals(space("ruff").sites().get(before).facing(), tinperch.solid.Vec3.Y.times(-1));
        assertEquals(space("ruff").sites().get(before).halfWidthMm(), 0.4);
        press("site-" + space("ruff").sites().get(before).id());
        assertEquals(text("site-name"), "right tower, inner face");
        press("site-remove");
        assertEquals(space("ruff").sites().size(), before);
        click("undo");
        close();
        open();
        assertEquals(space("ruff").sites().size(), before + 1, "sites are kept");
    }

    @Test
    public void aNeighbourMayBeAProfileAPlateOrAModel() throws Exception {
        click("machine-avocet");
        int before = space("avocet").neighbours().size();
        fill("neighbour-name", "spool fan");
        choose("neighbour-form", "Downloaded model");
        assertTrue(!need("neighbour-size-x").getParent().isVisible(), "a model has its own size");
        fill("neighbour-at-x", "0");
        fill("neighbour-at-y", "0");
        fill("neighbour-at-z", "300");
        press("neighbour-put");
        assertTrue(text("neighbour-complaint").contains("Length, depth and height") || text("neighbour-complaint").contains("which downloaded"),
                text("neighbour-complaint"));
        choose("neighbour-of", "radial fan 50×15");
        choose("neighbour-along", "along x");
        press("neighbour-put");
        assertEquals(space("avocet").neighbours().size(), before + 1);
        assertEquals(space("avocet").neighbours().get(before).size(), new tinperch.solid.Vec3(15, 50, 50));
        // The round of the volute keeps it off the square corner: a true gap, told after the boxes' one.
        waitFor(() -> !text("space-tightest").isEmpty(), "no gap is told");
    }

    /** Two sheets of one name: what is chosen is the sheet, not its name. */
    @Test
    public void ofTwoThingsOfOneNameTheOneChosenIsTaken() throws Exception {
        onFx(() -> {
            desk.workshop().edit("two of one name", s -> {
                var m = s.machine("ruff").orElseThrow();
                var like = m.sheets().stream().filter(x -> x.isPattern()).findFirst().orElseThrow();
                return s.with(m.with(new tinperch.measure.sheet.Sheet("twin-1", like.kind(), "the same name", like.readings()))
                        .with(new tinperch.measure.sheet.Sheet("twin-2", like.kind(), "the same name", like.readings())));
            });
            return null;
        });
        click("machine-ruff");
        machineView();
        fill("site-name", "odd face");
        javafx.scene.control.ComboBox<?> sheets = (javafx.scene.control.ComboBox<?>) need("site-sheet");
        onFx(() -> {
            sheets.getSelectionModel().select(sheets.getItems().stream().map(Object::toString).toList().lastIndexOf("the same name"));
            return null;
        });
        for (String axis : new String[] {"x", "y", "z"}) {
            fill("site-at-" + axis, "10");
        }
        press("site-put");
        assertEquals(space("ruff").sites().stream().filter(x -> x.name().equals("odd face")).findFirst().orElseThrow().sheetId(), "twin-2");
    }
}
