package tinperch.workshop.demo;

import java.util.List;
import java.util.Map;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.workshop.WorkshopState;

/** The Saltmarsh Model Boat Club as it stands on a day in autumn. */
public final class DemoWorkshop {
    private DemoWorkshop() {}

    public static WorkshopState state() {
        WorkshopState s = WorkshopState.EMPTY.with(new ScrewDrawer(Map.of(
                "M3", List.of(6d, 8d, 10d, 12d, 16d, 20d, 25d), "M4", List.of(10d, 16d, 20d, 30d),
                "M5", List.of(10d, 20d, 25d), "M2.5", List.of(6d, 10d))));
        for (Machine m : machines()) {
            s = s.with(m);
        }
        return new DemoUpgrades(s).all();
    }

    private static List<Machine> machines() {
        return bareMachines().stream().map(m -> DemoModels.of(DemoSheets.of(
                m.withSurroundings(DemoSurroundings.of(m))))).map(m -> switch (m.id()) {
            case "avocet" -> DemoLogs.on(m.withBuild(new Machine.Space(235, 235, 250)).inPiecesFor("avocet-blower"));
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
}
