package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.control.ComboBox;
import org.testfx.util.WaitForAsyncUtils;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.part.bind.Binding;

/** What cannot be told leads to what settles it; the margins fold; the book's components can be built around. */
public class SettlingTest extends WindowTest {
    @Test
    public void withoutASiteTheButtonLeadsToTheSitesOfTheMachine() throws Exception {
        onFx(() -> desk.edits().make("avocet-blower", part("avocet-blower").atSite(""), "mounts nowhere"));
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        assertEquals(word("rest"), "Can't tell");
        press("settle-rest");
        waitFor(() -> desk.place() instanceof Desk.Place.AtMachine, "it does not lead to the machine");
        waitForFocus("site-name"::equals);
    }

    @Test
    public void withoutNeighboursTheButtonLeadsToDrawingOne() throws Exception {
        onFx(() -> {
            desk.workshop().edit("nothing is drawn", s -> {
                Surroundings space = s.machine("avocet").orElseThrow().surroundings();
                for (Neighbour n : List.copyOf(space.neighbours())) {
                    space = space.without(n.id());
                }
                return s.with(s.machine("avocet").orElseThrow().withSurroundings(space));
            });
            return null;
        });
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        assertEquals(word("rest"), "Can't tell", "nothing is fine over what nobody drew");
        press("settle-rest");
        waitForFocus("neighbour-name"::equals);
    }

    @Test
    public void whatIsNotMeasuredLeadsToItsSheet() throws Exception {
        onFx(() -> desk.edits().make("avocet-blower", part("avocet-blower").bound("tool", new Binding.Usual("holes-32x32")), "usual"));
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        assertEquals(word("known.tool"), "Look");
        press("settle-known.tool");
        waitFor(() -> part("avocet-blower").bindings().get("tool") instanceof Binding.OnSheet, "no sheet to read it on");
        waitForFocus(id -> id.startsWith("reading-"));
    }

    @Test
    public void theMarginsFoldToTheTightestAndStaySo() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        double high = onFx(() -> need("fold-margins").getParent().getParent().getLayoutBounds().getHeight());
        press("fold-margins");
        WaitForAsyncUtils.waitForFxEvents();
        double low = onFx(() -> {
            stage.getScene().getRoot().applyCss();
            stage.getScene().getRoot().layout();
            return need("fold-margins").getParent().getParent().getLayoutBounds().getHeight();
        });
        assertTrue(low < high / 2 + 1, high + " → " + low);
        close();
        open();
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        assertEquals(onFx(() -> need("fold-margins").getParent().getParent().getLayoutBounds().getHeight()), low, 0.5);
    }

    @Test
    public void aPartIsBuiltAroundWhatTheBookSaysIsFitted() throws Exception {
        goTo("turnstone-board", Station.MEASURE);
        waitForPicture();
        // No board is in Turnstone's book yet.
        assertTrue(onFx(() -> ((ComboBox<?>) find("bind-board")).getItems().stream().map(Object::toString).noneMatch(x -> x.startsWith("fitted: "))));
        onFx(() -> {
            desk.workshop().edit("fit a board", s -> s.with(s.machine("turnstone").orElseThrow().withBook(s.machine("turnstone").orElseThrow().book()
                    .fit(new tinperch.machine.book.Component("brd", tinperch.machine.book.ComponentKind.BOARD, "Spare board", "", tinperch.machine.book.Ratings.NONE,
                            java.time.LocalDate.now(), java.util.Optional.empty(), java.util.Optional.empty(), "", "")).being("brd", "board-85x56"))));
            return null;
        });
        waitForPicture();
        choose("bind-board", "fitted: Spare board");
        waitForPicture();
        assertEquals(part("turnstone-board").bindings().get("board"), new Binding.OfComponent("brd"));
        assertTrue(text("known-board").contains("Spare board: usual board 85 × 56, not measured"), text("known-board"));
        onFx(() -> {
            desk.workshop().edit("strike it out", s -> s.with(s.machine("turnstone").orElseThrow().withBook(s.machine("turnstone").orElseThrow().book().strikeOut("brd"))));
            return null;
        });
        waitForPicture();
        assertTrue(text("known-board").contains("not in the book"), text("known-board"));
    }
}
