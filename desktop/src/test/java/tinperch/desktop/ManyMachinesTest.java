package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.workshop.WorkshopState;

/** A workshop of two hundred machines: found by typing, put in order, and walked through. */
public class ManyMachinesTest extends WindowTest {
    private void make() throws Exception {
        onFx(() -> {
            desk.workshop().edit("many machines", s -> {
                WorkshopState next = s;
                Machine like = s.machine("turnstone").orElseThrow();
                for (int i = 0; i < 200; i++) {
                    Machine.State state = Machine.State.values()[i % 4];
                    next = next.with(like.withId("many-" + i).withName("Machine " + (200 - i)).withState(state, i == 77 ? "lent to the school" : ""));
                }
                return next;
            });
            return null;
        });
        QuickRobot.settle();
    }

    private List<String> listed() throws Exception {
        return onFx(() -> ((ListView<?>) find("shelf-list")).getItems().stream().map(Object::toString).toList());
    }

    @Test
    public void twoHundredMachinesAreFoundByTypingAndPutInOrder() throws Exception {
        assertFalse(onFx(() -> find("shelf-find").getParent().isVisible()), "four need no search");
        make();
        int all = listed().size();
        assertTrue(all >= 204, "all are listed: " + all);
        type("shelf-find", "school LENT");
        assertEquals(desk.machine().orElseThrow().id(), "many-77", "Enter goes to the one that is meant");
        assertEquals(onFx(() -> ((ListView<?>) find("shelf-list")).getItems().size()).intValue(), 1);
        type("shelf-find", "no such thing");
        assertTrue(text("shelf-none").contains("No machine of 204"), text("shelf-none"));
        type("shelf-find", "");
        choose("shelf-order", "by name");
        assertTrue(listed().get(0).contains("Avocet"), listed().get(0));
        assertTrue(listed().get(1).contains("Curlew") && listed().get(2).contains("Machine 1"), "each after the one before in the alphabet");
        choose("shelf-order", "by state");
        // Every page of the one looked at opens as for four.
        for (KeyCode k : new KeyCode[] {KeyCode.F1, KeyCode.F2, KeyCode.F3, KeyCode.F4, KeyCode.F5}) {
            robot.push(k);
        }
        robot.push(KeyCode.CONTROL, KeyCode.DOWN);
        assertTrue(desk.machine().isPresent());
        close();
        open();
        assertEquals(onFx(() -> ((javafx.scene.control.ComboBox<?>) find("shelf-order")).getValue().toString()), "by state", "the order is kept");
        assertEquals(desk.state().machines().size(), 204);
    }
}
