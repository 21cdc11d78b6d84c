package tinperch.workshop.demo;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tinperch.machine.Machine;
import tinperch.measure.HolePair;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetCell;
import tinperch.measure.sheet.SheetKind;

/** What the club measured on its machines beside the upgrades. */
final class DemoSheets {
    private final Random random;
    private LocalDateTime at;
    private Machine machine;

    private DemoSheets(Machine m, long seed, LocalDateTime at) {
        this.machine = m;
        this.random = new Random(seed);
        this.at = at;
    }

    static Machine of(Machine m) {
        return switch (m.id()) {
            case "avocet" -> avocet(m);
            case "turnstone" -> turnstone(m);
            case "curlew" -> curlew(m);
            default -> ruff(m);
        };
    }

    private static Machine avocet(Machine m) {
        DemoSheets d = new DemoSheets(m, 31, LocalDateTime.of(2026, 5, 9, 13, 30));
        d.sheet("avocet-fan", "fan", "blower of drawer 4", 3, "frame", 50.1, "outside", 43.3, "inside", 36.7, "depth", 15.1, "ring", 31.5);
        d.sheet("avocet-sway", "push", "left upright, top", 1, "force.1", 5, "give.1", 0.29, "force.2", 10, "give.2", 0.62,
                "force.3", 15, "give.3", 0.93, "mass", 1180);
        d.sheet("avocet-square", "square", "left upright on the base", 3, "foot", 0.1, "top", 0.52, "height", 300);
        d.sheet("avocet-steps", "steps", "filament drive", 1, "now", 415, "asked", 100, "moved", 99.6, "full", 200, "micro", 16,
                "ratio", 3, "bite", 7.37);
        d.slip("avocet-fan", "outside", 45.3, "slipped off the edge");
        return d.machine;
    }

    private static Machine turnstone(Machine m) {
        DemoSheets d = new DemoSheets(m, 32, LocalDateTime.of(2026, 9, 26, 10, 0));
        d.sheet("turnstone-blocks", "blocks", "arm over the bed", 2, "bar", 150, "stack", 0.9);
        d.sheet("turnstone-board", "board", "control board", 2, "length", 84.1, "width", 56.0, "out.x", 79.0, "in.x", 72.6, "out.y", 51.0,
                "in.y", 44.6, "tallest", 17, "tails", 2);
        d.sheet("turnstone-base", "outline", "base plate", 2, "length", 230.1, "width", 190.0, "thickness", 6.02, "diagonal", 298.4);
        d.sheet("turnstone-post", "pair", "post, two holes", 2, "out", 43.9, "in", 37.1);
        d.sheet("turnstone-fan", "fan", "fan of drawer 2", 2, "frame", 40.1, "outside", 35.4, "inside", 28.5, "depth", 10.6, "ring", 37.8, "hub", 23);
        d.sheet("turnstone-rod", "rod", "z rod", 3, "diameter", 7.98, "other", 7.97, "length", 320, "bow", 0.12);
        return d.machine;
    }

    private static Machine curlew(Machine m) {
        DemoSheets d = new DemoSheets(m, 33, LocalDateTime.of(2026, 10, 24, 11, 50));
        d.sheet("curlew-filter", "filter", "carbon and dust cartridge", 2, "width", 120, "height", 90, "depth", 30, "rim", 6, "foam", 5,
                "pressed", 3.4);
        d.sheet("curlew-board", "board", "lamp driver board", 2, "length", 65, "width", 56, "out.x", 61.1, "in.x", 54.9, "out.y", 52.1,
                "in.y", 45.9, "tallest", 14, "tails", 2.1);
        d.sheet("curlew-stir", "pair", "rear wall, two holes", 3, "out", 23.38, "in", 16.62);
        d.sheet("curlew-stir-fan", "fan", "stirring fan", 2, "frame", 40.02, "outside", 36.32, "inside", 27.7, "depth", 20.1, "ring", 37.8, "hub", 22.6);
        d.sheet("curlew-blower", "blower", "radial fan at the tool", 2, "frame", 51.1, "depth", 15.05, "mouth", 19.9, "mouth.depth", 14.95);
        d.sheet("curlew-door", "outline", "door panel", 2, "length", 420.2, "width", 380.1, "thickness", 4.05, "diagonal", 567.4);
        return d.machine;
    }

    private static Machine ruff(Machine m) {
        DemoSheets d = new DemoSheets(m, 34, LocalDateTime.of(2026, 3, 14, 15, 0));
        d.sheet("ruff-frame", "diagonals", "frame", 1, "bottom", 700, "left", 640, "falling", 946.9, "rising", 950, "top", 700.4, "right", 640.2);
        d.sheet("ruff-motor", "motor", "left drive's motor", 2, "face", 42.28, "outside", 33.97, "inside", 28.05, "pilot", 21.96, "shaft", 5, "length", 39.8);
        d.sheet("ruff-hose", "hose", "fume hose", 2, "inner", 50.2, "outer", 56, "bend", 100);
        d.sheet("ruff-opening", "opening", "fume opening", 2, "diameter", 59.9, "other", 60.1, "thickness", 3.02);
        d.sheet("ruff-profile", "profile", "frame profile", 2, "width", 20.02, "height", 20.0, "slot", 6.1);
        d.sheet("ruff-stud", "stud", "leg stud", 2, "diameter", 7.86, "ten", 12.5, "length", 24);
        PatternSheet towers = new DemoReadings(35, LocalDateTime.of(2026, 3, 14, 16, 0)).sheet("left tower",
                new double[] {0, 0, 40.02, 0, 40.0, 30.03, 0.02, 30.0}, 5.2, 2, HolePair.AB, HolePair.AD, HolePair.AC);
        d.machine = d.machine.with(new Sheet("ruff-left-tower", SheetKind.HOLES, towers.name(), towers.readings()));
        return d.machine;
    }

    /** {@code repeats} readings a cell, as hands and instruments scatter. */
    private void sheet(String id, String kind, String name, int repeats, Object... cells) {
        SheetKind k = SheetKind.of(kind).orElseThrow();
        Sheet sheet = Sheet.empty(id, k).named(name);
        for (int i = 0; i < cells.length; i += 2) {
            String cell = (String) cells[i];
            SheetCell c = k.cells().stream().filter(x -> x.cell().equals(cell)).findFirst().orElseThrow();
            double truth = ((Number) cells[i + 1]).doubleValue();
            List<Reading> list = new ArrayList<>();
            for (int n = 0; n < repeats; n++) {
                double step = c.half() >= 0.5 ? 0.5 : 0.01;
                double shown = repeats == 1 ? truth : Math.max(c.least(), Math.round((truth + c.half() / 2 * random.nextGaussian()) / step)
                        * step);
                at = at.plusMinutes(1);
                list.add(new Reading(Math.round(shown * 1000) / 1000.0, at.toInstant(ZoneOffset.UTC),
                        c.half() <= 0.05 ? "calipers, drawer 2" : "rule and scale"));
            }
            sheet = sheet.with(cell, list);
        }
        machine = machine.with(sheet);
    }

    /** A reading that went wrong, noted and left out. */
    private void slip(String id, String cell, double value, String note) {
        Sheet s = machine.sheet(id).orElseThrow();
        List<Reading> list = new ArrayList<>(s.at(cell));
        list.add(new Reading(value, at.plusMinutes(1).toInstant(ZoneOffset.UTC), "calipers, drawer 2", note, true, List.of()));
        machine = machine.with(s.with(cell, list));
    }
}
