package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import org.testng.annotations.Test;
import tinperch.check.Severity;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.part.bind.Binding;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

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
        QuickRobot.settle();
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

    @Test
    public void rowsStayWhileTheirNumbersChangeAndOfferNothingUntried() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        javafx.scene.Node row = need("finding-screw.mount");
        Button remedy = (Button) need("remedy-screw.mount-0");
        String before = remedy.getText();
        onFx(() -> desk.edits().set("avocet-blower", "p1", ToolCarriagePlate.THICKNESS, "9"));
        waitForPicture();
        assertSame(need("finding-screw.mount"), row, "told other numbers, not made anew");
        assertFalse(remedy.isDisabled());
        press("remedy-screw.mount-0");
        waitForPicture();
        assertTrue(desk.assessmentProperty().get().findings().stream().noneMatch(f -> f.id().equals("screw.mount") && f.severity() == Severity.STOP), "pressed, “"
                + before + "” or what took its place does what it says now");
        click("undo");
        click("undo");
        waitForPicture();
        assertEquals(((Button) need("remedy-screw.mount-0")).getText(), before);
    }

    /** A block in the way of the blower carriage: the remedy cuts its room out of the plate. */
    @Test
    public void whatIsInTheWayIsCutAroundFromItsRemedy() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        onFx(() -> {
            Case c = desk.looked().orElseThrow();
            Vec3 at = c.site().orElseThrow().at();
            // A post just before the upper edge of the plate, where it is at home.
            Surroundings space = c.machine().surroundings();
            Vec3 shift = space.shift(c.site().orElseThrow().group(), space.home());
            Neighbour post = new Neighbour("post", "post", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX,
                    at.plus(shift).plus(new Vec3(-4, -30, 28)), new Vec3(8, 60, 30), "z", 0, 0);
            desk.workshop().edit("a post", s -> s.with(s.machine("avocet").orElseThrow().withSurroundings(space.with(post))));
            return null;
        });
        waitForPicture();
        assertEquals(word("rest.post.part"), "Stop");
        double before = desk.drawingProperty().get().volumeMm3();
        int cut = onFx(() -> desk.assessmentProperty().get().findings().stream().filter(f -> f.id().equals("rest.post.part")).findFirst().orElseThrow().remedies().stream()
                .map(r -> r.label()).toList().indexOf("cut around post, 1 mm free"));
        assertTrue(cut >= 0, "it is offered");
        press("remedy-rest.post.part-" + cut);
        waitForPicture();
        assertTrue(desk.drawingProperty().get().volumeMm3() < before);
        assertTrue(desk.assessmentProperty().get().findings().stream().noneMatch(f -> f.id().equals("rest.post.part")));
        assertEquals(text("feature-f1"), "around post");
        click("undo");
        waitForPicture();
        assertEquals(desk.drawingProperty().get().volumeMm3(), before, 1e-6);
    }
}
