package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Slider;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;

/** A machine's book in the real window: fit, see what is due, write down what came out, look back, undo, come again. */
public class BookTest extends WindowTest {
    private Book book(String machine) {
        return desk.state().machine(machine).orElseThrow().book();
    }

    private void day(double days) throws Exception {
        onFx(() -> {
            ((Slider) need("book-day")).setValue(days);
            return null;
        });
        QuickRobot.settle();
    }

    @SuppressWarnings("unchecked")
    private void kind(ComponentKind kind) throws Exception {
        onFx(() -> {
            ((ComboBox<ComponentKind>) need("fit-kind")).setValue(kind);
            return null;
        });
        QuickRobot.settle();
    }

    @Test
    public void aNewFanAsksForTheHeaterUntilItIsTuned() throws Exception {
        click("machine-turnstone");
        assertEquals(find("machine-due-turnstone"), null);
        press("fit-open");
        kind(ComponentKind.FAN);
        choose("fit-size", "40 mm fan, 10 thick");
        type("fit-name", "Axial fan 40×10");
        Component fan = book("turnstone").components().stream().filter(c -> c.name().equals("Axial fan 40×10")).findFirst()
                .orElseThrow();
        assertEquals(fan.on(), LocalDate.now());
        assertEquals(fan.usual(), "fan-40x10", "parts can be made around it before it is measured");
        assertEquals(fan.replaces().orElseThrow(), "fan-1", "the fan there was is taken off the same day");
        assertEquals(text("machine-due-turnstone"), "1 due");
        // Without a result it stays due; with one it goes; undo brings it back.
        click("page-sheet");
        press("due-done-heater");
        assertTrue(text("due-complaint-heater").contains("Write down what came out"), text("due-complaint-heater"));
        type("due-result-heater", "P 18.2 I 1.1 D 71");
        assertEquals(find("due-heater"), null);
        click("undo");
        need("due-heater");
        click("redo");
        assertEquals(find("due-heater"), null);
        close();
        open();
        assertEquals(book("turnstone").redone().stream().filter(r -> r.result().startsWith("P 18.2")).count(), 1L);
    }

    @Test
    public void anyDayCanBeLookedAt() throws Exception {
        click("machine-avocet");
        assertEquals(text("book-day-text"), "today");
        need("component-fan-2");
        assertEquals(text("setting-steps.e"), "415 steps/mm");
        day(30);
        assertEquals(text("book-day-text"), "7 Apr 2025");
        need("component-fan-1");
        assertEquals(find("component-fan-2"), null);
        assertEquals(text("setting-steps.e"), "93 steps/mm");
        assertTrue(text("book-differs").contains("Drive steps: 93 steps/mm → 415 steps/mm"), text("book-differs"));
        assertTrue(text("book-differs").contains("Radial fan 40×10 (24 V · 2.4 W) → Radial fan 50×15"), text("book-differs"));
        press("book-later");
        assertEquals(text("book-day-text"), "12 Jul 2025");
        assertTrue(desk.workshop().undoLabel().isEmpty(), "looking changes nothing");
    }

    @Test
    public void aSettingIsChangedWhereItStandsAndTheOldOneIsKept() throws Exception {
        click("machine-avocet");
        type("setting-accel.y", "1200 mm/s²");
        assertEquals(book("avocet").at(LocalDate.now(), "").value("accel.y").orElseThrow(), 1200.0);
        assertEquals(book("avocet").at(LocalDate.now().minusDays(1), "").value("accel.y").orElseThrow(), 900.0);
        type("setting-accel.y", "fast");
        assertTrue(complaint("setting-accel.y").contains("is not a number"), complaint("setting-accel.y"));
        assertEquals(book("avocet").at(LocalDate.now(), "").value("accel.y").orElseThrow(), 1200.0);
    }

    @Test
    public void twoLoadoutsAreTold() throws Exception {
        click("machine-curlew");
        assertEquals(text("setting-retraction"), "0.8 mm");
        assertTrue(text("loadout-differs").contains("Retraction: 0.8 mm → 1.6 mm"), text("loadout-differs"));
        onFx(() -> {
            ((javafx.scene.control.ToggleButton) need("loadout-coarse")).fire();
            return null;
        });
        QuickRobot.settle();
        assertEquals(text("setting-retraction"), "1.6 mm");
        need("component-coarse-nozzle");
        assertEquals(find("component-fine-nozzle-2"), null);
    }

    @Test
    public void whatLaterEntriesStandOnIsNotStruckOut() throws Exception {
        click("machine-avocet");
        day(30);
        press("strike-out-fan-1");
        assertTrue(text("notice-text").contains("Radial fan 50×15 took the place of Radial fan 40×10"), text("notice-text"));
        assertTrue(book("avocet").component("fan-1").isPresent());
        assertFalse(desk.workshop().undoLabel().isPresent());
        press("fit-open");
        type("fit-name", " ");
        assertTrue(text("fit-complaint").contains("Choose what kind"), text("fit-complaint"));
        kind(ComponentKind.SOCK);
        type("fit-volts", "lots");
        press("fit-ok");
        assertTrue(text("fit-complaint").contains("is not a number"), text("fit-complaint"));
        assertFalse(desk.workshop().undoLabel().isPresent());
    }

    @Test
    public void whatAFanHangsOnIsSaidInTheBookAndJudgedAtThePart() throws Exception {
        // The duct is made round a fan of the book, of which nobody has said what feeds it.
        onFx(() -> {
            desk.workshop().edit("a fan in the book", s -> {
                Machine m = s.machine("turnstone").orElseThrow();
                Book b = m.book().fit(new Component("out", ComponentKind.OUTPUT, "Fan output", "", new Ratings(24, 0.3, 0, 0, 0), LocalDate.of(2026, 1, 2), Optional.empty(), Optional.empty(), "", ""))
                        .fit(new Component("part-fan", ComponentKind.FAN, "Part fan", "", new Ratings(24, 0.4, 0, 0, 0), LocalDate.of(2026, 1, 2), Optional.empty(), Optional.empty(), "", "").being("fan-40x10"));
                return s.with(m.withBook(b));
            });
            return desk.edits().make("turnstone-duct", part("turnstone-duct").bound("fan", new tinperch.part.bind.Binding.OfComponent("part-fan")), "round the fan of the book");
        });
        goTo("turnstone-duct", Station.SHAPE);
        waitForPicture();
        assertEquals(word("output.of.part-fan"), "Can't tell");
        press("settle-output.of.part-fan");
        waitFor(() -> desk.place() instanceof Desk.Place.AtMachine, "it does not lead to the book");
        onFx(() -> {
            more("part-fan", "hangs on", i -> "Fan output (24 V · 0.3 A)".equals(i.getText())).fire();
            return null;
        });
        assertEquals(book("turnstone").component("part-fan").orElseThrow().wired().from(), "out");
        onFx(() -> {
            say("part-fan", 0, "0.4 m of rope");
            assertEquals(book("turnstone").component("part-fan").orElseThrow().wired().areaMm2(), 0.0);
            say("part-fan", 0, "0.4 m of AWG 26");
            say("part-fan", 1, "−, +");
            say("out", 1, "+24 V, GND");
            return null;
        });
        assertEquals(book("turnstone").component("part-fan").orElseThrow().wired().lengthMm(), 400.0);
        goTo("turnstone-duct", Station.SHAPE);
        waitForPicture();
        assertEquals(word("output.out"), "Stop");
        assertEquals(word("wire.part-fan"), "Fine");
        assertEquals(word("pins.part-fan"), "Stop", "plus and minus lie the other way round");
        close();
        open();
        assertEquals(book("turnstone").component("part-fan").orElseThrow().wired().from(), "out", "it is in the file");
    }

    /** Into one of the fields of a component's menu: its wire, its pins. */
    private void say(String component, int which, String words) {
        javafx.scene.control.TextField field = ((tinperch.desktop.look.CommitField) ((javafx.scene.control.MenuButton) need("more-" + component)).getItems().stream().filter(javafx.scene.control.CustomMenuItem.class::isInstance)
                .map(javafx.scene.control.CustomMenuItem.class::cast).skip(which).findFirst().orElseThrow().getContent()).field();
        field.setText(words);
        field.fireEvent(new javafx.event.ActionEvent());
    }

    /** A machine that was taken apart has much to be redone: the first are shown, the rest on demand. */
    @Test
    public void muchThatIsDueDoesNotHideTheUpgrades() throws Exception {
        onFx(() -> {
            desk.workshop().edit("taken apart", s -> {
                Machine m = s.machine("turnstone").orElseThrow();
                Book b = m.book();
                for (ComponentKind kind : ComponentKind.values()) {
                    b = b.fit(new Component("new " + kind, kind, "new " + kind.label(), "",
                            Ratings.NONE, LocalDate.of(2026, 11, 1), Optional.empty(),
                            Optional.empty(), "me", ""));
                }
                return s.with(m.withBook(b));
            });
            return null;
        });
        int due = book("turnstone").due(LocalDate.now()).size();
        assertTrue(due > 8, "due: " + due);
        click("machine-turnstone");
        assertEquals(text("due-more"), "Show " + (due - 5) + " more");
        List<String> steps = book("turnstone").due(LocalDate.now()).stream().map(d -> d.step().step()).toList();
        assertTrue(find("due-result-" + steps.get(0)) != null);
        assertTrue(find("due-result-" + steps.get(due - 1)) == null);
        press("due-more");
        assertTrue(find("due-result-" + steps.get(due - 1)) != null);
        assertTrue(find("due-more") == null);
        type("due-result-" + steps.get(due - 1), "done with care");
        assertEquals(book("turnstone").due(LocalDate.now()).size(), due - 1);
        assertTrue(find("due-result-" + steps.get(due - 2)) != null, "what was unfolded stays so");
    }
}
