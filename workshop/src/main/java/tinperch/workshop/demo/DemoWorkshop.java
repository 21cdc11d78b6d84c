package tinperch.workshop.demo;

import static tinperch.measure.HolePair.AB;
import static tinperch.measure.HolePair.AC;
import static tinperch.measure.HolePair.AD;
import static tinperch.measure.HolePair.BC;
import static tinperch.measure.HolePair.BD;
import static tinperch.measure.HolePair.DC;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.measure.PatternSheet;
import tinperch.part.PartDesign;
import tinperch.part.Values;
import tinperch.upgrade.Families;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** The Saltmarsh Model Boat Club as it stands on a day in autumn. */
public final class DemoWorkshop {
    private static final String PLATE = "tool-carriage-plate";

    private DemoWorkshop() {}

    public static WorkshopState state() {
        WorkshopState s = WorkshopState.EMPTY.with(new ScrewDrawer(Map.of(
                "M3", List.of(6d, 8d, 10d, 12d, 16d, 20d, 25d), "M4", List.of(10d, 16d, 20d, 30d),
                "M5", List.of(10d, 20d, 25d), "M2.5", List.of(6d, 10d))));
        for (Machine m : machines()) {
            s = s.with(m);
        }
        Upgrade blower = blowerCarriage();
        for (Upgrade u : List.of(blower, braces(), switchMount(), holdDown(), fanGuard(), lampMount(), filterBox(), wireTension())) {
            s = s.with(u);
        }
        for (Revision r : blowerRevisions(blower)) {
            s = s.with(r);
        }
        Upgrade lamp = s.upgrade("curlew-lamp").orElseThrow();
        return s.with(new Revision(lamp.id(), 1, LocalDateTime.of(2026, 8, 22, 15, 10),
                "First print, board on nuts", lamp.with(lamp.part().orElseThrow().with(
                        lamp.part().get().values().with("tool.standoff", 4).with("plate.thickness", 4))),
                new Revision.Life(212, Revision.End.REPLACED, "Board touched a solder tail; standoffs too low")));
    }

    private static List<Machine> machines() {
        return bareMachines().stream().map(m -> DemoModels.of(DemoSheets.of(
                m.withSurroundings(DemoSurroundings.of(m))))).map(m -> switch (m.id()) {
            case "avocet" -> m.withBuild(new Machine.Space(235, 235, 250)).inPiecesFor("avocet-blower");
            case "turnstone" -> m.withBuild(new Machine.Space(120, 120, 120));
            case "curlew" -> m.withBuild(new Machine.Space(300, 300, 320));
            default -> m.withBuild(new Machine.Space(500, 640, 300)).withUsable(new Machine.Space(480, 600, 280));
        }).toList();
    }

    private static List<Machine> bareMachines() {
        return List.of(
                new Machine("avocet", "Avocet", Machine.Kind.MOVING_BED,
                        "The club's workhorse: moving bed, grooved wheels, tall uprights.",
                        new Machine.Space(222, 222, 245), 0.4, true, 24, 0.2, List.of("PLA", "PETG", "TPU 95A"),
                        Machine.State.IN_PIECES, "the carriage is off for the blower upgrade",
                        DemoBooks.avocet()),
                new Machine("turnstone", "Turnstone", Machine.Kind.CANTILEVER,
                        "Small and borrowed for school days; wobbly, no heated bed.",
                        new Machine.Space(114, 114, 116), 0.4, false, 12, 0.3, List.of("PLA"), Machine.State.FIT, "",
                        DemoBooks.turnstone()),
                new Machine("curlew", "Curlew", Machine.Kind.CUBE,
                        "Enclosed, on rods and linear bearings; two tool plates, chamber to 55 °C.",
                        new Machine.Space(290, 290, 310), 0.4, true, 24, 0.15,
                        List.of("PLA", "PETG", "PETG-CF", "ABS", "ASA", "PA12", "PC", "TPU 95A"), Machine.State.FIT, "",
                        DemoBooks.curlew()),
                new Machine("ruff", "Ruff", Machine.Kind.WIRE_CUTTER,
                        "Hot-wire foam cutter built from profiles, for hull plugs.",
                        new Machine.Space(0, 0, 0), 0, false, 24, 0, List.of(), Machine.State.WAITING,
                        "waiting for its wire-tension carriages", DemoBooks.ruff()));
    }

    private static Values plate(double width, double height, double thickness) {
        return Families.byId(PLATE).orElseThrow().start().with("plate.width", width).with("plate.height", height)
                .with("plate.thickness", thickness);
    }

    // ---- Avocet ----

    private static Upgrade blowerCarriage() {
        DemoReadings calipers = new DemoReadings(11, LocalDateTime.of(2026, 5, 9, 10, 5));
        PatternSheet mount = calipers.sheet("wheel plate", new double[] {0, 0, 44.02, 0, 43.91, 30.05, -0.09, 30.02}, 3.28, 3,
                AB, DC, AD, BC, AC);
        PatternSheet tool = calipers.sheet("blower flange", new double[] {0, 0, 32.0, 0, 32.03, 32.04, 0.02, 31.98}, 3.12, 3,
                AB, AD, BC, AC, BD);
        Values v = plate(82, 64, 8)
                .with("mount.held", 6).with("mount.length", 16).with("mount.y", -8)
                .with("tool.y", 6).with("tool.x", 2).with("tool.standoff", 7).with("tool.boss", 9.6)
                .with("tool.held", 2.5).with("tool.length", 8).with("opening.diameter", 22);
        return new Upgrade("avocet-blower", "avocet", "Blower carriage", LocalDate.of(2026, 5, 9),
                new Trouble("The stock fan blows past the nozzle; overhangs curl and long bridges sag. The fan's tab is "
                        + "cracked and nobody sells the carriage cover any more.", "sag of a 30 mm bridge", "1.8 mm"),
                Map.of("mount", mount, "tool", tool),
                Optional.of(new PartDesign(PLATE, "Blower carriage plate", v, "PETG")), "avocet");
    }

    private static List<Revision> blowerRevisions(Upgrade now) {
        PartDesign part = now.part().orElseThrow();
        Values v = part.values();
        Values v1 = v.with("plate.thickness", 4).with("tool.standoff", 3).with("opening.diameter", 18).with("tool.x", 0)
                .with("mount.length", 12).with("mount.held", 5);
        Values v2 = v1.with("plate.thickness", 5).with("tool.standoff", 5);
        Values v3 = v2.with("plate.thickness", 6).with("tool.x", 2).with("opening.diameter", 22);
        Values v4 = v3.with("plate.thickness", 6.5).with("tool.boss", 8).with("mount.length", 16).with("mount.held", 6);
        return List.of(
                revision(now, 1, LocalDateTime.of(2026, 5, 16, 17, 30), "First fit in cheap material", v1, "PLA",
                        new Revision.Life(9, Revision.End.FAILED, "Sagged at the lower edge, next to the hot block")),
                revision(now, 2, LocalDateTime.of(2026, 5, 30, 11, 0), "PETG, standoffs taller to clear the block", v2, "PETG",
                        new Revision.Life(61, Revision.End.FAILED, "Plate bent under the wheels' preload; crack at hole B")),
                revision(now, 3, LocalDateTime.of(2026, 7, 4, 14, 45), "Thicker plate, blower moved 2 mm right", v3, "PETG",
                        new Revision.Life(148, Revision.End.FAILED, "Insert D pulled out when the fan was changed")),
                revision(now, 4, LocalDateTime.of(2026, 9, 12, 16, 20), "New wheel spacers: longer screws; slimmer bosses", v4,
                        "PETG", new Revision.Life(233, Revision.End.FAILED, "Boss A split along a layer")));
    }

    private static Revision revision(Upgrade now, int number, LocalDateTime at, String reason, Values v, String material,
            Revision.Life life) {
        return new Revision(now.id(), number, at, reason,
                now.with(now.part().orElseThrow().with(v).withMaterial(material)), life);
    }

    private static Upgrade braces() {
        DemoReadings calipers = new DemoReadings(12, LocalDateTime.of(2026, 9, 19, 9, 40));
        return new Upgrade("avocet-braces", "avocet", "Braces for the uprights", LocalDate.of(2026, 9, 19),
                new Trouble("The uprights sway with a full spool on top; ringing shows on tall ribs. The two sides were "
                        + "taken for mirror images and are not.", "sway at the top, push of 10 N", "0.62 mm"),
                Map.of("left", calipers.sheet("left upright", new double[] {0, 0, 20.05, 0, 20.02, 120.1, -0.03, 120.04}, 5.3,
                                4, AB, AD, BC, AC),
                        "right", calipers.sheet("right upright", new double[] {0, 0, 20.02, 0, 20.06, 114.2, 0.04, 114.15},
                                5.3, 4, AB, AD, BC, AC)),
                Optional.empty(), "curlew");
    }

    private static Upgrade switchMount() {
        DemoReadings calipers = new DemoReadings(13, LocalDateTime.of(2026, 10, 3, 13, 15));
        Values v = plate(92, 64, 5).with("mount.seat", "captive nut").with("mount.held", 2).with("mount.length", 8)
                .with("mount.recess", 0.4).with("mount.x", -20).with("tool.x", 8).with("tool.held", 1.6)
                .with("tool.standoff", 6).with("tool.length", 8).with("tool.insert", 4);
        return new Upgrade("avocet-switch", "avocet", "Bed switch module mount", LocalDate.of(2026, 10, 3),
                new Trouble("The bed's connector on the main board runs hot and has browned. A separate switch module with "
                        + "screw terminals is to stand beside the supply.", "connector after 30 min at 90 °C bed", "84 °C"),
                Map.of("mount", calipers.sheet("frame rail", new double[] {0, 0, 25.02, 0, 25.0, 40.03, 0.01, 40.0}, 3.3, 2,
                                AB, AD, BC, BD),
                        "tool", calipers.sheet("switch board", new double[] {0, 0, 54.1, 0, 54.08, 44.04, 0, 44.06}, 3.2, 2,
                                AB, DC, AD, AC)),
                Optional.of(new PartDesign(PLATE, "Switch module mount", v, "PETG")), "curlew");
    }

    // ---- Turnstone ----

    private static Upgrade holdDown() {
        DemoReadings calipers = new DemoReadings(14, LocalDateTime.of(2026, 6, 20, 19, 0));
        Values v = plate(104, 50, 5).with("mount.held", 3).with("mount.length", 12).with("tool.held", 4)
                .with("tool.standoff", 0).with("tool.thread", "M4").with("tool.seat", "captive nut")
                .with("tool.length", 10).with("tool.washer", "none").with("plate.corner", 8);
        return new Upgrade("turnstone-hold", "turnstone", "Hold-down for the school table", LocalDate.of(2026, 6, 20),
                new Trouble("The machine walks across the table on fast moves and pulls at its cable.",
                        "walk in ten minutes", "35 mm"),
                Map.of("mount", calipers.sheet("foot plate", new double[] {0, 0, 60.04, 0, 60, 24.02, 0, 24.0}, 3.3, 2, AB, AD,
                                AC),
                        "tool", calipers.sheet("clamp", new double[] {0, 0, 84.06, 0, 84.02, 32.0, 0, 32.03}, 4.4, 2, AB, AD)),
                Optional.of(new PartDesign(PLATE, "Hold-down plate", v, "PLA")), "curlew");
    }

    private static Upgrade fanGuard() {
        Values v = Families.byId("fitted-model").orElseThrow().start().with("holes.for", "M3");
        return new Upgrade("turnstone-guard", "turnstone", "Guard for the board fan", LocalDate.of(2026, 11, 7),
                new Trouble("Strings of plastic get drawn into the board's fan and stop it; a finger was nipped.",
                        "stops of the fan in a month", "3 stops"),
                Map.of(), Optional.of(new PartDesign("fitted-model", "Fan guard", v, "PLA", DemoModels.GUARD_ID)), "curlew");
    }

    // ---- Curlew ----

    private static Upgrade lampMount() {
        DemoReadings calipers = new DemoReadings(15, LocalDateTime.of(2026, 8, 15, 10, 30));
        Values v = plate(110, 78, 5).with("mount.held", 3).with("mount.length", 12).with("mount.thread", "M3")
                .with("tool.held", 1.6).with("tool.standoff", 7).with("tool.length", 6).with("tool.insert", 4)
                .with("tool.thread", "M3").with("opening.diameter", 24);
        return new Upgrade("curlew-lamp", "curlew", "Lamp and board mount", LocalDate.of(2026, 8, 15),
                new Trouble("Nothing can be seen of the first layer through the door; the lamp's driver board hangs on its "
                        + "wires.", "light at the nozzle", "none"),
                Map.of("mount", calipers.sheet("roof rail", new double[] {0, 0, 90.03, 0, 90.01, 20.02, 0, 20}, 3.3, 2, AB, AD,
                                BC, AC),
                        "tool", calipers.sheet("driver board", new double[] {0, 0, 58.0, 0, 58.03, 49.02, 0.02, 49.05}, 3.2, 2,
                                AB, AD, AC)),
                Optional.of(new PartDesign(PLATE, "Lamp and board mount", v, "ABS")), "curlew");
    }

    private static Upgrade filterBox() {
        DemoReadings calipers = new DemoReadings(16, LocalDateTime.of(2026, 10, 24, 11, 20));
        return new Upgrade("curlew-filter", "curlew", "Filter box", LocalDate.of(2026, 10, 24),
                new Trouble("ABS smells through the whole boathouse and fine dust settles on the window sill. A carbon and "
                        + "fine-dust cartridge is at hand.", "smell at two metres, one hour of ABS", "strong"),
                Map.of("mount", calipers.sheet("rear panel", new double[] {0, 0, 82.02, 0, 82, 82.05, 0, 82.0}, 4.4, 1, AB)),
                Optional.empty(), "curlew");
    }

    // ---- Ruff ----

    private static Upgrade wireTension() {
        DemoReadings calipers = new DemoReadings(17, LocalDateTime.of(2026, 7, 11, 16, 0));
        Values v = plate(74, 74, 6).with("mount.thread", "M5").with("mount.held", 4).with("mount.length", 20)
                .with("tool.thread", "M4").with("tool.seat", "captive nut").with("tool.held", 3).with("tool.standoff", 0)
                .with("tool.length", 10).with("tool.turn", 45).with("plate.corner", 8);
        return new Upgrade("ruff-tension", "ruff", "Wire-tension carriage", LocalDate.of(2026, 7, 11),
                new Trouble("The wire sags as it warms and cuts a belly into long plugs.", "belly over 400 mm", "2.4 mm"),
                Map.of("mount", calipers.sheet("wheel pattern", new double[] {0, 0, 50.0, 0, 50.03, 50.02, 0.01, 50.04}, 5.2, 2,
                                AB, AD, BC, AC),
                        "tool", calipers.sheet("spring block", new double[] {0, 0, 24.02, 0, 24.0, 24.0, 0, 24.03}, 4.3, 2, AB,
                                AD, AC)),
                Optional.of(new PartDesign(PLATE, "Wire-tension carriage", v, "PETG")), "curlew");
    }
}
