package tinperch.workshop.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Due;
import tinperch.machine.book.HoursRun;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.Wired;
import tinperch.wiring.Wire;

/** More than a year in the books of the club's machines. */
final class DemoBooks {
    private Book book;
    private int entry;

    private DemoBooks(LocalDate since) {
        book = Book.begun(since);
    }

    static Book avocet() {
        LocalDate came = LocalDate.of(2025, 3, 8);
        DemoBooks b = new DemoBooks(came);
        b.fit("heater-1", ComponentKind.HEATER, "Cartridge heater", volts(24, 40, 0), came, "", "came with the machine");
        b.fit("sensor-1", ComponentKind.SENSOR, "Bead sensor 100 k", Ratings.NONE, came, "", "came with the machine");
        b.fit("hotend-1", ComponentKind.HOT_END, "Hot end with inner tube", limit(240), came, "", "came with the machine");
        b.fit("nozzle-1", ComponentKind.NOZZLE, "Brass nozzle 0.4", Ratings.NONE, came, "", "came with the machine");
        b.fit("fan-1", ComponentKind.FAN, "Radial fan 40×10", volts(24, 2.4, 0), came, "", "came with the machine");
        b.fit("drive-1", ComponentKind.DRIVE, "Single-wheel drive", Ratings.NONE, came, "", "came with the machine");
        b.fit("wheels-1", ComponentKind.WHEELS, "Grooved wheels, 12", Ratings.NONE, came, "", "came with the machine");
        b.fit("belt-y", ComponentKind.BELT, "Bed belt 6 mm", Ratings.NONE, came, "", "came with the machine");
        b.fit("supply-1", ComponentKind.SUPPLY, "Supply", new Ratings(24, 15, 360, 0, 0), came, "", "came with the machine");
        b.fit("contact-bed", ComponentKind.CONTACT, "Bed connector on the board", new Ratings(0, 12, 0, 105, 0), came, "",
                "came with the machine");
        b.feeding("contact-bed", ComponentKind.BED);
        b.fit("board-1", ComponentKind.BOARD, "Main board", volts(24, 0, 0), came, "", "came with the machine");
        b.being("board-1", "board-100x80");
        b.fit("output-fan", ComponentKind.OUTPUT, "Fan output 1", new Ratings(24, 0.5, 0, 0, 0), came, "", "came with the machine");
        b.fit("output-free", ComponentKind.OUTPUT, "Fan output 2", new Ratings(24, 1, 0, 0, 0), came, "", "came with the machine");
        b.fit("output-heater", ComponentKind.OUTPUT, "Heater output", new Ratings(24, 8, 0, 0, 0), came, "", "came with the machine");
        b.wired("fan-1", new Wired("output-fan", 620, Wire.areaMm2(26)));
        b.wired("heater-1", new Wired("output-heater", 640, Wire.areaMm2(20)));
        b.fit("bed-1", ComponentKind.BED, "Heated bed 235 × 235", new Ratings(24, 0, 270, 110, 0), came, "", "came with the machine");
        b.hours(day(2025, 7, 12), 310, "counter on the display");
        b.hours(day(2025, 11, 1), 655, "counter on the display");
        b.hours(day(2026, 5, 16), 1208, "counter on the display");
        b.hours(day(2026, 9, 26), 1671, "device log");
        b.set("steps.x", 80, came, "", "as delivered");
        b.set("steps.y", 80, came, "", "as delivered");
        b.set("steps.z", 400, came, "", "as delivered");
        b.set("steps.e", 93, came, "", "as delivered");
        b.set("retraction", 5, came, "", "as delivered");
        b.set("accel.x", 1500, came, "", "as delivered");
        b.set("accel.y", 500, came, "", "as delivered");
        b.set("temp.bed", 60, came, "", "as delivered");
        b.set("heater.p", 21.7, came, "", "as delivered");
        b.set("heater.i", 1.54, came, "", "as delivered");
        b.set("heater.d", 76.2, came, "", "as delivered");
        b.replace("nozzle-2", ComponentKind.NOZZLE, "Hardened nozzle 0.4", Ratings.NONE, day(2025, 7, 12), "nozzle-1",
                "worn by glow-in-the-dark filament");
        b.done("probe", day(2025, 7, 12), "paper test: z +0.04 mm");
        b.done("pressure", day(2025, 7, 13), "0.62, as before");
        b.replace("drive-2", ComponentKind.DRIVE, "Two-wheel drive 3:1", Ratings.NONE, day(2025, 11, 1), "drive-1",
                "slipped on flexible filament");
        b.set("steps.e", 415, day(2025, 11, 1), "", "100 mm asked, 99.6 mm came; 200·16·3/(π·7.37) = 414.6");
        b.done("steps", day(2025, 11, 1), "415 steps/mm");
        b.done("retraction", day(2025, 11, 2), "1.2 mm, no strings at 210 °C");
        b.set("retraction", 1.2, day(2025, 11, 2), "", "shorter path");
        b.done("pressure", day(2025, 11, 2), "0.06");
        b.set("pressure", 0.06, day(2025, 11, 2), "", "found with lines");
        b.set("temp.bed", 90, day(2026, 4, 18), "", "for the large hull ribs in ABS-like filament");
        b.set("accel.y", 900, day(2026, 6, 27), "", "the ribs took all night");
        b.replace("fan-2", ComponentKind.FAN, "Radial fan 50×15", volts(24, 4.8, 0), day(2026, 5, 16), "fan-1",
                "first blower carriage");
        b.fit("mount-r1", ComponentKind.MOUNT, "Blower carriage", Ratings.NONE, day(2026, 5, 16), "", "first fit");
        b.done("heater", day(2026, 5, 17), "P 22.4, I 1.61, D 77.9 with the fan at half");
        b.set("heater.p", 22.4, day(2026, 5, 17), "", "retuned");
        b.set("heater.i", 1.61, day(2026, 5, 17), "", "retuned");
        b.set("heater.d", 77.9, day(2026, 5, 17), "", "retuned");
        b.done("probe", day(2026, 5, 17), "x −42.0, y −8.5, z −1.86");
        b.set("probe.z", -1.86, day(2026, 5, 17), "", "touched off");
        b.fit("sock-1", ComponentKind.SOCK, "Insulating sock", Ratings.NONE, day(2026, 9, 26), "",
                "the new blower cooled the block by 6 K");
        return b.book;
    }

    static Book turnstone() {
        LocalDate came = LocalDate.of(2024, 9, 14);
        DemoBooks b = new DemoBooks(came);
        b.fit("heater-1", ComponentKind.HEATER, "Cartridge heater", volts(12, 30, 0), came, "", "came with the machine");
        b.fit("hotend-1", ComponentKind.HOT_END, "Hot end with inner tube", limit(230), came, "", "came with the machine");
        b.fit("fan-1", ComponentKind.FAN, "Axial fan 30×10", volts(12, 1, 0), came, "", "came with the machine");
        b.being("fan-1", "fan-30");
        b.fit("rail-z", ComponentKind.RAIL, "Z rods 8 mm", Ratings.NONE, came, "", "came with the machine");
        b.being("rail-z", "rod-8");
        b.fit("supply-1", ComponentKind.SUPPLY, "Supply", new Ratings(12, 5, 60, 0, 0), came, "", "came with the machine");
        b.set("steps.x", 80, came, "", "as delivered");
        b.set("steps.e", 96.5, came, "", "as delivered");
        b.set("accel.x", 400, came, "", "as delivered");
        b.hours(day(2025, 10, 4), 140, "counted from the school's list");
        b.hours(day(2026, 9, 26), 188, "counted from the school's list");
        b.fit("wheels-1", ComponentKind.WHEELS, "Linear bearings, 4", Ratings.NONE, day(2025, 10, 4), "", "the old ones rattled");
        b.done("square", day(2025, 10, 4), "0.4 mm per 100 mm, better was not to be had");
        b.waive("level", day(2025, 10, 4), "the bed is fixed; first layer looked even");
        return b.book;
    }

    static Book curlew() {
        LocalDate came = LocalDate.of(2025, 1, 18);
        DemoBooks b = new DemoBooks(came);
        b.book = b.book.add(new Loadout("fine", "Fine nozzle", "0.4 mm, everyday"))
                .add(new Loadout("coarse", "Coarse nozzle", "0.8 mm, large hull ribs"));
        b.fit("supply-1", ComponentKind.SUPPLY, "Supply", new Ratings(24, 20, 480, 0, 0), came, "", "built with it");
        b.fit("bed-1", ComponentKind.BED, "Heated bed 300 × 300", new Ratings(24, 14, 330, 120, 0), came, "", "built with it");
        b.fit("rods", ComponentKind.RAIL, "Rods 10 mm with linear bearings", Ratings.NONE, came, "", "built with it");
        b.being("rods", "rod-10");
        b.fit("filter-1", ComponentKind.FILTER, "Carbon mat in the lid", Ratings.NONE, came, "", "built with it");
        b.fit("fine-hotend", ComponentKind.HOT_END, "All-metal hot end", limit(285), came, "fine", "built with it");
        b.fit("fine-nozzle", ComponentKind.NOZZLE, "Hardened nozzle 0.4", Ratings.NONE, came, "fine", "built with it");
        b.fit("fine-fan", ComponentKind.FAN, "Radial fan 50×15", volts(24, 4.8, 0), came, "fine", "built with it");
        b.fit("bed-contact", ComponentKind.CONTACT, "Bed switching module", new Ratings(24, 30, 0, 105, 0), came, "",
                "real terminals, close to supply and bed");
        b.feeding("bed-contact", ComponentKind.BED);
        b.hours(day(2025, 12, 6), 960, "device log");
        b.hours(day(2026, 10, 10), 2240, "device log");
        b.set("steps.x", 160, came, "", "fine steps");
        b.set("steps.y", 160, came, "", "fine steps");
        b.set("accel.x", 3000, came, "", "light gantry");
        b.set("temp.chamber", 55, came, "", "what it comes to after an hour of ABS");
        b.set("nozzle.bore", 0.4, came, "fine", "stamped on it");
        b.set("steps.e", 690, came, "fine", "measured");
        b.set("probe.z", -1.12, came, "fine", "touched off");
        b.set("pressure", 0.035, came, "fine", "found with lines");
        b.set("retraction", 0.8, came, "fine", "towers");
        b.fit("coarse-hotend", ComponentKind.HOT_END, "Long-melt hot end", limit(285), day(2025, 12, 6), "coarse", "for ribs");
        b.fit("coarse-nozzle", ComponentKind.NOZZLE, "Brass nozzle 0.8", Ratings.NONE, day(2025, 12, 6), "coarse", "for ribs");
        b.set("nozzle.bore", 0.8, day(2025, 12, 6), "coarse", "stamped on it");
        b.set("steps.e", 690, day(2025, 12, 6), "coarse", "same drive");
        b.set("probe.z", -1.34, day(2025, 12, 6), "coarse", "touched off");
        b.done("probe", day(2025, 12, 6), "z −1.34 mm");
        b.done("retraction", day(2025, 12, 7), "1.6 mm");
        b.set("retraction", 1.6, day(2025, 12, 7), "coarse", "towers");
        b.done("pressure", day(2025, 12, 7), "0.11");
        b.set("pressure", 0.11, day(2025, 12, 7), "coarse", "found with lines");
        b.done("ladder", day(2025, 12, 13), "24 mm³/s, less a tenth: 21.5");
        b.set("flow.max", 21.5, day(2025, 12, 13), "coarse", "speed ladder");
        b.done("ladder", day(2025, 12, 13), "nothing new: the number comes from the ladder itself");
        b.replace("filter-2", ComponentKind.FILTER, "Carbon mat in the lid", Ratings.NONE, day(2026, 6, 6), "filter-1",
                "six months and more");
        b.waive("leak", day(2026, 6, 6), "only PLA that month");
        b.replace("fine-nozzle-2", ComponentKind.NOZZLE, "Hardened nozzle 0.4", Ratings.NONE, day(2026, 10, 10), "fine-nozzle",
                "1100 h with fibre-filled filament");
        b.done("probe", day(2026, 10, 10), "z −1.09 mm");
        b.set("probe.z", -1.09, day(2026, 10, 10), "fine", "touched off");
        return b.book;
    }

    static Book ruff() {
        LocalDate came = LocalDate.of(2025, 8, 30);
        DemoBooks b = new DemoBooks(came);
        b.fit("profiles", ComponentKind.PROFILE, "Profiles 20 × 20, 6 m", Ratings.NONE, came, "", "cut from four bars");
        b.being("profiles", "profile-20");
        b.fit("supply-1", ComponentKind.SUPPLY, "Bench supply for the wire", new Ratings(24, 6, 144, 0, 0), came, "", "at hand");
        b.fit("wire", ComponentKind.WIRE, "Cutting wire 0.4 mm", new Ratings(0, 3.2, 0, 0, 0), came, "", "at hand");
        b.fit("board-1", ComponentKind.BOARD, "Four-axis board", volts(24, 0, 0), came, "", "at hand");
        b.being("board-1", "board-100x80");
        b.set("steps.x", 80, came, "", "200·16/(2·20)");
        b.set("steps.y", 80, came, "", "200·16/(2·20)");
        b.set("speed.x", 12, came, "", "as fast as the foam melts");
        b.fit("switches", ComponentKind.SWITCH, "Limit switches, 4", Ratings.NONE, day(2026, 3, 14), "", "ran into the end once");
        return b.book;
    }

    // ---- making entries ----

    private static LocalDate day(int year, int month, int day) {
        return LocalDate.of(year, month, day);
    }

    private static Ratings volts(double volts, double watts, double grams) {
        return new Ratings(volts, 0, watts, 0, grams);
    }

    private static Ratings limit(double celsius) {
        return new Ratings(0, 0, 0, celsius, 0);
    }

    private void fit(String id, ComponentKind kind, String name, Ratings r, LocalDate on, String loadout, String note) {
        book = book.fit(new Component(id, kind, name, loadout, r, on, Optional.empty(), Optional.empty(), "Hanna", note));
    }

    private void replace(String id, ComponentKind kind, String name, Ratings r, LocalDate on, String old, String note) {
        book = book.fit(new Component(id, kind, name, book.component(old).orElseThrow().loadout(), r, on, Optional.empty(),
                Optional.of(old), "Jorun", note).wired(book.component(old).orElseThrow().wired()));
    }

    private void being(String id, String usual) {
        book = book.being(id, usual);
    }

    private void wired(String id, Wired to) {
        book = book.wired(id, to);
    }

    private void feeding(String id, ComponentKind what) {
        book = book.feeding(id, what);
    }

    private void set(String key, double value, LocalDate on, String loadout, String why) {
        book = book.set(new SettingChange("set-" + ++entry, key, value, loadout, on, "Hanna", why));
    }

    private void hours(LocalDate on, double hours, String source) {
        book = book.run(new HoursRun("hours-" + ++entry, on, hours, source));
    }

    private void done(String step, LocalDate on, String result) {
        redo(step, on, result, false);
    }

    private void waive(String step, LocalDate on, String why) {
        redo(step, on, why, true);
    }

    private void redo(String step, LocalDate on, String result, boolean waived) {
        List<Due> due = book.due(on).stream().filter(d -> d.step().step().equals(step)).toList();
        for (Due d : due) {
            book = book.redo(d, "redo-" + ++entry, on, "Jorun", result, waived);
        }
    }
}
