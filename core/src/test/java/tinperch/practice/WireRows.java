package tinperch.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.machine.space.Along;
import tinperch.machine.space.Run;
import tinperch.part.bind.Binding;
import tinperch.part.family.FanDuct;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

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
        Run head = new Run("head", "head cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-100, 0, 0)), new Run.Hold("carriage", Vec3.ZERO)), 6, Along.Z, 0, lengthMm);
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m, List.of(), List.of(head));
    }

    /** Round a corner whose legs are so long. */
    private static Case kinked(double legMm) {
        Run head = new Run("head", "head cable", Run.Kind.CABLE, List.of(new Run.Hold("", new Vec3(-300, 0, 60)), new Run.Hold("carriage", new Vec3(0, 0, legMm)), new Run.Hold("carriage", Vec3.ZERO)), 4, Along.Z, 0, 2000);
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m, List.of(), List.of(head));
    }

    static List<Row> rows() {
        return List.of(
                Row.of("P24", "the tool's cable is 40 mm short at one end of travel", () -> cable(Math.hypot(300, 100) - 40), () -> cable(Math.hypot(300, 100) + 20), "cable.head", "head cable is 40 mm too short where x stands at 200 mm, z stands at 100 mm").measures(-40, 1e-6),
                Row.of("P24b", "and is bent too sharply where it is held", () -> kinked(4), () -> kinked(60), "cable.head.bend", "is bent to a radius of"),
                Row.of("P47", "a fan for 12 V moved to a machine of 24 V", () -> duct(12), () -> duct(24), "voltage.", "made for 12 V.*4.0 times its power").measures(24, 1e-9));
    }
}
