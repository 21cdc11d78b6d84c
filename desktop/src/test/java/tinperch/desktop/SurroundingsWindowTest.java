package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.testfx.util.WaitForAsyncUtils;
import org.testng.annotations.Test;
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
        WaitForAsyncUtils.waitForFxEvents();
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

    @Test
    public void aNewMachineIsGivenAxes() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        WaitForAsyncUtils.waitForFxEvents();
        press("space-begin");
        need("travel-x");
        assertEquals(desk.machine().orElseThrow().surroundings().axes().size(), 3);
    }
}
