package tinperch.machine;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.SettingChange;
import tinperch.material.Material;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;

/** A machine's record, and why it may not print something. */
public class MachineTest {
    private static final LocalDate DAY = LocalDate.of(2026, 1, 1);

    private static Machine machine(boolean heated, double supplyV, Component... fitted) {
        Book b = Book.begun(DAY);
        for (Component c : fitted) {
            b = b.fit(c);
        }
        return new Machine("m", "Mill Lane", Machine.Kind.MOVING_BED, "", new Machine.Space(200, 200, 200), 0.4, heated, supplyV, 0,
                List.of("PLA"), Machine.State.FIT, "", b);
    }

    private static Component fitted(ComponentKind kind, String name, double volts, double amps, double watts, double limit) {
        return new Component(kind.name(), kind, name, "", new Ratings(volts, amps, watts, limit, 0), DAY, Optional.empty(),
                Optional.empty(), "", "");
    }

    private static String why(Machine m, String material) {
        Material of = Material.named(material);
        return MayPrint.words(MayPrint.reasonsAgainst(m, of, DAY, ""), of);
    }

    @Test
    public void aColdBedHoldsPlaOnly() {
        assertEquals(why(machine(false, 12), "PLA"), "");
        assertTrue(why(machine(false, 12), "ABS").contains("wants a warm bed to hold"));
    }

    @Test
    public void aHotEndWithATubeInsideIsTooColdForPolycarbonate() {
        Machine m = machine(true, 24, fitted(ComponentKind.HOT_END, "Hot end with inner tube", 0, 0, 0, 240));
        assertEquals(why(m, "PETG"), "");
        assertEquals(why(m, "PC"), "Hot end with inner tube stands 240 °C; PC wants 270 °C.");
    }

    /** 270 W at 24 V draw 11.25 A (P = U·I); contacts in warmth carry 0.8 of their rating (common practice). */
    @Test
    public void aBedConnectorIsTooWeakForAHotBed() {
        Machine m = machine(true, 24, fitted(ComponentKind.BED, "Heated bed", 24, 0, 270, 110),
                fitted(ComponentKind.CONTACT, "Connector two on the board", 0, 12, 0, 105).feeding(ComponentKind.BED));
        assertEquals(why(m, "PETG"), "", "80 °C lets it rest between pulses");
        assertTrue(why(m, "ABS").contains("draws 11.25 A through “Connector two on the board”, rated 12 A"), why(m, "ABS"));
        // It hangs on what it feeds, not on what it is called.
        Machine fan = machine(true, 24, fitted(ComponentKind.BED, "Heated bed", 24, 0, 270, 110),
                fitted(ComponentKind.CONTACT, "Bed fan connector", 0, 1, 0, 105).feeding(ComponentKind.FAN));
        assertEquals(why(fan, "ABS"), "");
        Machine unsaid = machine(true, 24, fitted(ComponentKind.BED, "Heated bed", 24, 0, 270, 110), fitted(ComponentKind.CONTACT, "Screw terminal", 0, 12, 0, 105));
        assertTrue(why(unsaid, "ABS").contains("Nobody has said what “Screw terminal”, rated 12 A, feeds"), why(unsaid, "ABS"));
        Machine strong = machine(true, 24, fitted(ComponentKind.BED, "Heated bed", 24, 0, 270, 110),
                fitted(ComponentKind.CONTACT, "Bed switching module", 0, 30, 0, 105).feeding(ComponentKind.BED));
        assertEquals(why(strong, "ABS"), "");
    }

    @Test
    public void whatIsNotNamedStaysWhenOneThingChanges() {
        Machine m = machine(true, 24).withEnclosed(true).withBuild(new Machine.Space(230, 220, 210)).inPiecesFor("u1");
        Sheet sheet = Sheet.empty("s1", SheetKind.of("fan").orElseThrow());
        Machine n = m.with(sheet).withName("Other").withNozzle(0.6).withSupplyV(12).with(sheet.named("left fan"));
        assertEquals(n.sheets(), List.of(sheet.named("left fan")));
        assertEquals(n.buildMm(), new Machine.Space(230, 220, 210));
        assertTrue(n.enclosed());
        assertEquals(n.supplyV(), 12.0);
        assertEquals(n.state(), Machine.State.IN_PIECES);
        assertEquals(n.inPiecesFor(), "u1");
        assertEquals(n.withState(Machine.State.FIT, "").inPiecesFor(), "", "put together it is in pieces for nothing");
        assertEquals(n.withoutSheet("s1").withName("Mill Lane").withNozzle(0.4).withSupplyV(24), m);
    }

    @Test
    public void oneLoadoutThatMayPrintItIsEnough() {
        Book b = Book.begun(DAY).add(new tinperch.machine.book.Loadout("tube", "With tube", ""))
                .add(new tinperch.machine.book.Loadout("metal", "All metal", ""))
                .fit(new Component("a", ComponentKind.HOT_END, "Hot end with inner tube", "tube", new Ratings(0, 0, 0, 240, 0), DAY,
                        Optional.empty(), Optional.empty(), "", ""))
                .fit(new Component("b", ComponentKind.HOT_END, "All-metal hot end", "metal", new Ratings(0, 0, 0, 265, 0), DAY,
                        Optional.empty(), Optional.empty(), "", ""));
        Machine m = machine(true, 24).withBook(b);
        assertEquals(MayPrint.reasonsAgainst(m, Material.named("PA12"), DAY), List.of());
        assertEquals(MayPrint.reasonsAgainst(m, Material.named("PC"), DAY).get(0).obstacle(), "Hot end with inner tube stands 240 °C");
        assertEquals(MayPrint.reasonsAgainst(machine(false, 24), Material.named("PC"), DAY).size(), 1);
    }

    @Test
    public void kindsThatLayDownNothingNeverPrint() {
        for (Machine.Kind k : Machine.Kind.values()) {
            assertEquals(machine(true, 24).withKind(k).prints(), k != Machine.Kind.LASER && k != Machine.Kind.WIRE_CUTTER, k.label());
            assertTrue(!StartingFrames.of(machine(true, 24).withKind(k)).axes().isEmpty(), k.label());
        }
        assertTrue(why(machine(true, 24).withKind(Machine.Kind.LASER), "PLA").contains("does not print"));
    }

    @Test
    public void everyLoadoutMayHaveANozzleOfItsOwn() {
        Machine m = machine(true, 24);
        assertEquals(m.boresMm(DAY), Map.of("", 0.4));
        Book b = m.book().add(new Loadout("fine", "Fine", "")).add(new Loadout("coarse", "Coarse", ""))
                .set(new SettingChange("a", "nozzle.bore", 0.8, "coarse", DAY.plusDays(10), "me", "ribs"));
        m = m.withBook(b);
        assertEquals(m.boresMm(DAY.plusDays(9)), Map.of("", 0.4), "it came later");
        assertEquals(m.boresMm(DAY.plusDays(10)), Map.of("Coarse", 0.8));
        m = m.withBook(b.set(new SettingChange("b", "nozzle.bore", 0.4, "", DAY, "me", "as sold")));
        assertEquals(m.boresMm(DAY.plusDays(10)), Map.of("Fine", 0.4, "Coarse", 0.8), "what holds for all holds for a loadout without");
    }
}
