package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
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
import tinperch.upgrade.Change;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** Plugs against sockets, or against the plug that was there before; tools without a sensor. */
public class PinsCheckTest {
    private static Component component(String id, ComponentKind kind, String loadout, String replaces, String from, String pins) {
        return new Component(id, kind, id, loadout, new Ratings(24, 0.1, 0, 0, 0), LocalDate.of(2026, 1, 1), Optional.empty(), replaces.isEmpty() ? Optional.empty() : Optional.of(replaces), "", "")
                .wired(new Wired(from, 0, 0).pinned(Wired.pins(pins))).being(kind == ComponentKind.FAN ? "fan-40x10" : "");
    }

    private static Case round(String held, Component... all) {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        PartDesign part = PartDesign.of("p1", "fan-duct", "duct", Values.START).bound(new FanDuct().roles().get(0).id(), new Binding.OfComponent(held));
        String id = PartExamples.caseOf(part, shop).machine().id();
        List<Machine> machines = new ArrayList<>(shop.machines());
        machines.replaceAll(m -> {
            Book b = m.book().add(new Loadout("paste", "paste tool", ""));
            for (Component c : all) {
                b = b.fit(c);
            }
            return m.id().equals(id) ? m.withBook(b) : m;
        });
        return PartExamples.caseOf(part, new Shop(machines, shop.hardware(), shop.drawer(), shop.models()));
    }

    private static Optional<Finding> found(Case c, String id) {
        return PartExamples.findings(c).stream().filter(f -> f.id().equals(id)).findFirst();
    }

    @Test
    public void whereTheSocketIsNotKnownThePlugBeforeTells() {
        Component old = component("old", ComponentKind.FAN, "", "", "", "+, −, tacho");
        Finding turned = found(round("new", old, component("new", ComponentKind.FAN, "", "old", "", "−, +, tacho")), "pins.new").orElseThrow();
        assertEquals(turned.severity(), Severity.STOP);
        assertTrue(turned.why().contains("3: tacho on tacho"), turned.why());
        Finding moved = found(round("new", old, component("new", ComponentKind.FAN, "", "old", "", "+, tacho, −")), "pins.new").orElseThrow();
        assertTrue(moved.severity() == Severity.LOOK && moved.why().contains("belongs on pin 3"), moved.why());
        assertEquals(found(round("new", old, component("new", ComponentKind.FAN, "", "old", "", "red, black, Tacho")), "pins.new").orElseThrow().severity(), Severity.FINE, "wires' colours are poles");
        assertTrue(found(round("new", old, component("new", ComponentKind.FAN, "", "old", "", "")), "pins.new").isEmpty(), "nobody has said");
        // What stands on an output's own row is its socket, not a plug in the board.
        assertTrue(found(round("f", component("board", ComponentKind.BOARD, "", "", "", "−, +"), component("out", ComponentKind.OUTPUT, "", "", "board", "+, −"), component("f", ComponentKind.FAN, "", "", "out", "+, −")), "pins.out").isEmpty());
    }

    @Test
    public void aToolWithoutASensorIsOfferedAResistorOnce() {
        Component fan = component("f", ComponentKind.FAN, "", "", "", "");
        Case bare = round("f", fan, component("drive", ComponentKind.DRIVE, "paste", "", "", ""));
        Finding f = found(bare, "stand-in.paste").orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        Case after = bare.after(Change.all(bare.draft(), f.remedies().get(0).changes()));
        Component resistor = after.machine().book().component("stand-in-paste").orElseThrow();
        assertEquals(resistor.ratings().ohm(), 680.0);
        assertEquals(resistor.loadout(), "paste");
        assertTrue(found(after, "stand-in.paste").isEmpty(), "fine, and nothing of this part's");
        assertTrue(found(round("f", fan, component("drive", ComponentKind.DRIVE, "paste", "", "", ""), component("hot", ComponentKind.HOT_END, "", "", "", "")), "stand-in.paste").isEmpty(), "what heats has a sensor of its own");
        assertTrue(found(round("drive", fan, component("drive", ComponentKind.DRIVE, "", "", "", "")), "stand-in.paste").isEmpty(), "no tool plate");
    }
}
