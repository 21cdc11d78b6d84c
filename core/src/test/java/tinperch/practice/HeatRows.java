package tinperch.practice;

import static tinperch.practice.Bench.PLAIN;
import static tinperch.practice.Bench.hot;

import java.time.LocalDate;
import java.util.List;
import tinperch.machine.AirAround;
import tinperch.machine.Machine;
import tinperch.machine.book.SettingChange;
import tinperch.machine.space.Neighbour;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** What gets too warm. */
final class HeatRows {
    private static final Bounds FOOT = Bench.bounds(Bench.foot());

    private HeatRows() {}

    private static Neighbour block(double gapMm, double tempC) {
        return hot("hot block", tempC, new Vec3(-10, FOOT.max().y() + gapMm, -10), new Vec3(20, 12, 20));
    }

    private static Case near(String material, double gapMm) {
        return Bench.on("soft-foot", PLAIN, material, block(gapMm, 240));
    }

    private static Case bed(String material, double gapMm) {
        return Bench.on("soft-foot", PLAIN, material, hot("bed", 90, new Vec3(-120, -60, FOOT.max().z() + gapMm), new Vec3(240, 240, 4)));
    }

    private static Case aired(double gapMm, boolean blown) {
        return Bench.on("soft-foot", PLAIN, "PETG", m -> m.withSurroundings(m.surroundings().with(m.surroundings().sites().get(0).blown(blown))), List.of(block(gapMm, 240).socked(true)), List.of());
    }

    private static Case box(String material, double airC) {
        return Bench.on("soft-foot", PLAIN, material, m -> chamber(m, airC), List.of(), List.of());
    }

    private static Machine chamber(Machine m, double airC) {
        return m.withBook(m.book().set(new SettingChange("s", AirAround.CHAMBER, airC, "", LocalDate.of(2026, 1, 1), "", "")));
    }

    static List<Row> rows() {
        return List.of(
                Row.of("P29", "lip 0.8 mm from the hot block", () -> near("PETG", 0.8), () -> near("PETG", 40), "heat.part", "PETG stands 68 °C"),
                Row.of("P30", "3 mm from a 240 °C block in PLA", () -> near("PLA", 3), () -> near("PLA", 40), "heat.part", "beside hot block, PLA stands 50 °C"),
                Row.of("P30b", "7 mm from the block, bare, in PLA", () -> near("PLA", 7), () -> near("PLA", 40), "heat.part", "PLA stands 50 °C").cures(),
                Row.of("P30c", "8 mm from a socked block in PETG, in still air", () -> aired(8, false), () -> aired(8, true), "heat.part", "still air of 25 °C").cures(),
                Row.of("P31", "guides of PLA in a drying box of 70 °C", () -> box("PLA", 70), () -> box("PETG", 70), "chamber", "air of 70 °C, PLA does not stand that").measures(70, 1e-9).cures(),
                Row.of("P33", "a clip of PLA a millimetre under a 90 °C bed", () -> bed("PLA", 1), () -> bed("PLA", 60), "heat.part", "beside bed, PLA stands 50 °C").cures());
    }
}
