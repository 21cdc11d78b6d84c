package tinperch.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.Wired;
import tinperch.machine.space.Along;
import tinperch.machine.space.Run;
import tinperch.part.bind.Binding;
import tinperch.part.family.FanDuct;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.wiring.Wire;

/** What is wired to what. */
final class WireRows {
    private WireRows() {}

    private static Case duct(double fanV) {
        LocalDate day = LocalDate.of(2026, 1, 1);
        Component fan = new Component("f", ComponentKind.FAN, "Fan from the old machine", "", new Ratings(fanV, 0.1, 0, 0, 0), day, Optional.empty(), Optional.empty(), "", "");
        PartDesign part = PartDesign.of("p1", "fan-duct", "duct", Bench.PLAIN).bound(new FanDuct().roles().get(0).id(), new Binding.OfComponent("f"));
        return Bench.caseOf(part, m -> m.withBook(m.book().fit(fan).being("f", "fan-40x10")));
    }

    /** From a still point 300 mm beyond one end of the carriage's travel, straight along x. */
    private static Case cable(double lengthMm) {
        Run head = new Run("head", "head cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-100, 40, 0)), new Run.Hold("carriage", new Vec3(0, 40, 0))), 6, Along.Z, 0, lengthMm);
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m, List.of(), List.of(head));
    }

    /** A post that stands so far behind the line the head's cable takes from its still point. */
    private static Case rubbing(double behindMm) {
        Run head = new Run("head", "head cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-100, 40, 0)), new Run.Hold("carriage", new Vec3(0, 40, 0))), 6, Along.Z, 0, 500);
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m, List.of(Bench.solid("post", "", new Vec3(-60, 43 + behindMm, -50), new Vec3(10, 10, 200))), List.of(head));
    }

    /** Round a corner whose legs are so long. */
    private static Case kinked(double legMm) {
        Run head = new Run("head", "head cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-300, 0, 60)), new Run.Hold("carriage", new Vec3(0, 0, legMm)), new Run.Hold("carriage", Vec3.ZERO)), 4, Along.Z, 0, 2000);
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m, List.of(), List.of(head));
    }

    private static Component wired(String id, ComponentKind kind, String name, Ratings r, Wired w) {
        return new Component(id, kind, name, "", r, LocalDate.of(2026, 1, 1), Optional.empty(), Optional.empty(), "", "").wired(w);
    }

    /** A duct round a second fan that was spliced to the output of the first; another output is free. */
    private static Case spliced(double firstA, String secondOn) {
        Component one = wired("o1", ComponentKind.OUTPUT, "Fan output 1", new Ratings(24, 0.4, 0, 0, 0), Wired.UNKNOWN);
        Component two = wired("o2", ComponentKind.OUTPUT, "Fan output 2", new Ratings(24, 1, 0, 0, 0), Wired.UNKNOWN);
        Component old = wired("f1", ComponentKind.FAN, "Fins fan", new Ratings(24, firstA, 0, 0, 0), new Wired("o1", 0, 0));
        Component fan = wired("f", ComponentKind.FAN, "Part fan", new Ratings(24, 0.22, 0, 0, 0), new Wired(secondOn, 300, Wire.areaMm2(24))).being("fan-40x10");
        PartDesign part = PartDesign.of("p1", "fan-duct", "duct", Bench.PLAIN).bound(new FanDuct().roles().get(0).id(), new Binding.OfComponent("f"));
        return Bench.caseOf(part, m -> m.withBook(m.book().fit(one).fit(two).fit(old).fit(fan)));
    }

    /** A heater of 40 W at 12 V on 1.2 m of a gauge. */
    private static Case heater(int awg) {
        Component output = wired("o1", ComponentKind.OUTPUT, "Heater output", new Ratings(12, 10, 0, 0, 0), Wired.UNKNOWN);
        Component heater = wired("h", ComponentKind.HEATER, "Heater", new Ratings(12, 0, 40, 0, 0), new Wired("o1", 1200, Wire.areaMm2(awg)));
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m.withBook(m.book().fit(output).fit(heater)), List.of(), List.of());
    }

    /** A bed that draws 15 A, through a connector of 12 A or a module of 30 A. */
    private static Case bed(String on) {
        Component small = wired("k1", ComponentKind.CONTACT, "Bed connector", new Ratings(0, 12, 0, 105, 0), Wired.UNKNOWN);
        Component module = wired("k2", ComponentKind.CONTACT, "Switching module", new Ratings(0, 30, 0, 105, 0), Wired.UNKNOWN);
        Component bed = wired("b", ComponentKind.BED, "Bed", new Ratings(24, 15, 0, 110, 0), new Wired(on, 0, 0));
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m.withBook(m.book().fit(small).fit(module).fit(bed)), List.of(), List.of());
    }

    /** A plunger of 38 mm bore on a screw of 8 mm lead over gears of 5 : 1, its board still at so many steps for a mm. */
    private static Case plunger(double steps) {
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> {
            Book b = m.book().add(new Loadout("paste", "paste tool", ""));
            for (Object[] s : new Object[][] {{"plunger.bore", 38.0}, {"plunger.lead", 8.0}, {"plunger.ratio", 5.0}, {"plunger.steps", 3200.0}, {"steps.e", steps}}) {
                b = b.set(new SettingChange("s." + s[0], (String) s[0], (Double) s[1], "paste", LocalDate.of(2026, 1, 2), "", ""));
            }
            return m.withBook(b);
        }, List.of(), List.of());
    }

    /** A tool plate with a plunger's drive, with a resistor in the place of a sensor or without. */
    private static Case paste(double ohm) {
        Component drive = new Component("d", ComponentKind.DRIVE, "Plunger drive", "paste", Ratings.NONE, LocalDate.of(2026, 1, 1), Optional.empty(), Optional.empty(), "", "");
        Component r = new Component("r", ComponentKind.SENSOR, "Resistor", "paste", new Ratings(0, 0, 0, 0, 0, ohm), LocalDate.of(2026, 1, 1), Optional.empty(), Optional.empty(), "", "");
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> {
            Book b = m.book().add(new Loadout("paste", "paste tool", "")).fit(drive);
            return m.withBook(ohm > 0 ? b.fit(r) : b);
        }, List.of(), List.of());
    }

    /** A fan whose plug has its pins in an order, on a socket with plus first. */
    private static Case plugged(String pins) {
        Component socket = wired("o1", ComponentKind.OUTPUT, "Fan output", new Ratings(24, 1, 0, 0, 0), Wired.UNKNOWN.pinned(List.of("+24 V", "GND")));
        Component fan = wired("f", ComponentKind.FAN, "Fan", new Ratings(24, 0.1, 0, 0, 0), new Wired("o1", 300, 0.25).pinned(Wired.pins(pins)));
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m.withBook(m.book().fit(socket).fit(fan)), List.of(), List.of());
    }

    /** Where the old part also held the probe's cable, or did not. */
    private static Case torn(boolean held) {
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m.withSurroundings(m.surroundings().with(m.surroundings().sites().get(0).alsoHolding(held ? List.of("probe cable") : List.of()))), List.of(), List.of());
    }

    static List<Row> rows() {
        return List.of(
                Row.of("P24", "the tool's cable is 40 mm short at one end of travel", () -> cable(Math.hypot(300, 100) - 40), () -> cable(Math.hypot(300, 100) + 20), "cable.head", "head cable is 40 mm too short where x stands at 200 mm, z stands at 100 mm").measures(-40, 1e-6).cures(),
                Row.of("P24b", "and is bent too sharply where it is held", () -> kinked(4), () -> kinked(60), "cable.head.bend", "is bent to a radius of").cures(),
                Row.of("P24d", "and passes a post half a millimetre off", () -> rubbing(0.5), () -> rubbing(3), "cable.head.near.post", "head cable passes post at 0.5 mm").measures(0.5, 0.11).cures(),
                Row.of("P50", "a second fan spliced to an output", () -> spliced(0.25, "o1"), () -> spliced(0.25, "o2"), "output.o1", "Fan output 1 gives 0.4 A, 0.47 A hang on it").measures(0.47, 1e-9).cures(),
                Row.of("P50b", "two fans that one output bears, but neither is switched alone", () -> spliced(0.1, "o1"), () -> spliced(0.1, "o2"), "output.o1", "switched together").measures(0.32, 1e-9).cures(),
                // 40 W / 12 V = 3.333 A; 2 × 1.2 m of AWG 26 are 0.3214 Ω (ASTM B258): 1.071 V.
                Row.of("P53", "a heater of 40 W at 12 V on 1.2 m of AWG 26", () -> heater(26), () -> heater(20), "wire.h", "carries 2.2 A and gets 3.3 A.*1.07 of 12 V .8.9 %. stay in 1.20 m of AWG 26").measures(40 / 12.0, 1e-9).cures(),
                Row.of("P53b", "and on a wire that bears it but is long", () -> heater(22), () -> heater(20), "wire.h", "3.5 % of its voltage never reaches Heater").measures(3.533, 0.01).cures(),
                Row.of("P48", "a bed of 15 A through a contact rated 12 A", () -> bed("k1"), () -> bed("k2"), "contact.k1", "Bed connector carries 12 A, Bed draws 15 A.*separate switching module").measures(15, 1e-9).cures(),
                // 100 kΩ, B 4092: 680 Ω read 195 °C (beta model).
                Row.of("P51", "a tool without a sensor: the board reads below zero", () -> paste(0), () -> paste(680), "stand-in.paste", "finds no sensor and locks.*A resistor of 680 Ω in its place reads about 195 °C").cures(),
                Row.of("P51b", "and a resistor that reads too near the lock", () -> paste(1000), () -> paste(680), "stand-in.paste", "Resistor of 1 kΩ reads about 176 °C").measures(6, 0.5),
                // 200·16·5/8 = 2000 steps for a mm of plunger, × (1.75/38)² = 4.24 (fact of the trade, common practice).
                Row.of("P61", "a plunger's drive left at 93 steps/mm", () -> plunger(93), () -> plunger(4.24), "plunger.steps.paste", "driven at 93 steps/mm, 4.242 are right.*2000 steps for a mm of its own").measures(2092.6, 0.5).cures(),
                Row.of("P50c", "a changed fan's plug with plus and minus the other way round", () -> plugged("−, +"), () -> plugged("+, −"), "pins.f", "gets plus and minus the wrong way.*1: − on .24 V, belongs on pin 2").cures(),
                Row.of("P24c", "the old part also held the probe's cable", () -> torn(true), () -> torn(false), "loose.probe cable", "Nothing is known to hold the probe cable any more"),
                Row.of("P47", "a fan for 12 V moved to a machine of 24 V", () -> duct(12), () -> duct(24), "voltage.", "made for 12 V.*4.0 times its power").measures(24, 1e-9));
    }
}
