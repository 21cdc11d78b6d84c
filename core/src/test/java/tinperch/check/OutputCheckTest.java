package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.book.BookProblem;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.Wired;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.family.FanDuct;
import tinperch.part.param.Values;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** What hangs on an output, and what is asked where that is not known. */
public class OutputCheckTest {
    private static Component component(String id, ComponentKind kind, String loadout, Ratings r, String from) {
        return new Component(id, kind, id, loadout, r, LocalDate.of(2026, 1, 1), Optional.empty(), Optional.empty(), "", "").wired(new Wired(from, 0, 0));
    }

    private static Ratings amps(double a) {
        return new Ratings(24, a, 0, 0, 0);
    }

    private static List<Finding> found(Component... all) {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        PartDesign part = PartDesign.of("p1", "fan-duct", "duct", Values.START).bound(new FanDuct().roles().get(0).id(), new Binding.OfComponent("mine"));
        Case plain = PartExamples.caseOf(part, shop);
        List<Machine> machines = new ArrayList<>(shop.machines());
        machines.replaceAll(m -> {
            Book b = m.book().add(new Loadout("one", "one", "")).add(new Loadout("two", "two", ""));
            for (Component c : all) {
                b = b.fit(c);
            }
            return m.id().equals(plain.machine().id()) ? m.withBook(b) : m;
        });
        return PartExamples.findings(PartExamples.caseOf(part, new Shop(machines, shop.hardware(), shop.drawer(), shop.models()))).stream().filter(f -> f.id().startsWith("output.") || f.id().startsWith("wire.") || f.id().startsWith("contact.")).toList();
    }

    private static Finding one(String id, List<Finding> all) {
        return all.stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow(() -> new AssertionError(all.toString()));
    }

    @Test
    public void swappedLoadoutsNeverDrawTogether() {
        Component out = component("out", ComponentKind.OUTPUT, "", amps(0.5), "");
        List<Finding> swapped = found(out, component("mine", ComponentKind.FAN, "one", amps(0.3), "out").being("fan-40x10"), component("other", ComponentKind.FAN, "two", amps(0.4), "out"));
        assertTrue(swapped.stream().noneMatch(f -> f.severity() == Severity.STOP), swapped.toString());
        List<Finding> both = found(out, component("mine", ComponentKind.FAN, "one", amps(0.3), "out").being("fan-40x10"), component("other", ComponentKind.FAN, "", amps(0.4), "out"));
        assertEquals(one("output.out", both).severity(), Severity.STOP);
        assertEquals(one("output.out", both).margin().orElseThrow().value(), 0.7, 1e-9);
    }

    @Test
    public void powerOverVoltageIsWhatItDrawsWhereNoAmperesAreSaid() {
        List<Finding> all = found(component("out", ComponentKind.OUTPUT, "", amps(1), ""), component("mine", ComponentKind.FAN, "", new Ratings(24, 0, 4.8, 0, 0), "out").being("fan-40x10"));
        assertEquals(one("output.out", all).margin().orElseThrow().value(), 0.2, 1e-9);
        assertEquals(one("wire.mine", all).severity(), Severity.CANT_TELL, "its wire is asked for");
    }

    @Test
    public void whatIsNotKnownIsAskedNeverFine() {
        assertEquals(one("output.of.mine", found(component("mine", ComponentKind.FAN, "", amps(0.2), "").being("fan-40x10"))).severity(), Severity.CANT_TELL);
        assertEquals(one("output.of.mine", found(component("mine", ComponentKind.FAN, "", amps(0.2), "gone").being("fan-40x10"))).severity(), Severity.CANT_TELL, "it hangs on what is in no book");
        List<Finding> unrated = found(component("out", ComponentKind.OUTPUT, "", Ratings.NONE, ""), component("mine", ComponentKind.FAN, "", amps(0.2), "out").being("fan-40x10"));
        assertEquals(one("output.out", unrated).severity(), Severity.CANT_TELL);
        assertEquals(one("output.out", unrated).settle().orElseThrow().by(), Settle.By.BOOK);
    }

    @Test
    public void whatAnOutputPassesOnCountsForAllThatFeedIt() {
        Component supply = component("supply", ComponentKind.SUPPLY, "", new Ratings(24, 0, 96, 0, 0), "");
        Component contact = component("contact", ComponentKind.CONTACT, "", new Ratings(0, 2, 0, 105, 0), "supply");
        Component board = component("board", ComponentKind.BOARD, "", amps(0.5), "contact");
        Component out = component("out", ComponentKind.OUTPUT, "", amps(2), "board");
        List<Finding> all = found(supply, contact, board, out, component("other", ComponentKind.HEATER, "", amps(1.5), "out"), component("mine", ComponentKind.FAN, "", amps(0.3), "out").being("fan-40x10"));
        assertEquals(one("output.out", all).margin().orElseThrow().value(), 1.8, 1e-9, "an output's rating is no draw");
        assertEquals(one("output.supply", all).margin().orElseThrow().value(), 2.3, 1e-9, "96 W at 24 V are 4 A; the board draws for itself too");
        assertEquals(one("output.supply", all).margin().orElseThrow().limit(), 4.0, 1e-9);
        assertEquals(one("contact.contact", all).severity(), Severity.STOP, "2.3 A through 2 A");
        assertEquals(one("contact.contact", all).margin().orElseThrow().value(), 2.3, 1e-9);
        Component twice = contact.wired(contact.wired().shared(2));
        Finding shared = one("contact.contact", found(supply, twice, board, out, component("other", ComponentKind.HEATER, "", amps(1.5), "out"), component("mine", ComponentKind.FAN, "", amps(0.3), "out").being("fan-40x10")));
        assertEquals(shared.severity(), Severity.FINE, "two of 2 A carry 3.2 A, four fifths of that are 2.56");
        assertEquals(shared.margin().orElseThrow().limit(), 2.56, 1e-9);
        Book circle = new Book(LocalDate.of(2025, 1, 1), List.of(component("a", ComponentKind.CONTACT, "", amps(1), "b"), component("b", ComponentKind.CONTACT, "", amps(1), "a"), component("f", ComponentKind.FAN, "", amps(1), "a")), List.of(), List.of(), List.of(), List.of());
        assertEquals(circle.fedThrough("a").stream().map(Component::id).toList(), List.of("f"), "a file that leads in a circle ends");
    }

    @Test
    public void currentThatComesFromItselfIsRefused() {
        Book b = Book.begun(LocalDate.of(2025, 1, 1)).fit(component("a", ComponentKind.CONTACT, "", amps(1), "")).fit(component("b", ComponentKind.CONTACT, "", amps(1), "a"));
        assertThrows(BookProblem.class, () -> b.wired("a", new Wired("b", 0, 0)));
        assertThrows(BookProblem.class, () -> b.wired("a", new Wired("a", 0, 0)));
        assertEquals(b.wired("a", new Wired("", 500, 0.5)).component("a").orElseThrow().wired().lengthMm(), 500.0);
        assertEquals(new Wired(null, -3, Double.NaN), Wired.UNKNOWN, "a hostile file holds no wire");
    }
}
