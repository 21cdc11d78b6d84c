package tinperch.benchmarks;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** At the stations of an upgrade: edits, remedies, features, undo, dry fit. */
final class FeltParts {
    private static final String BLOWER = "avocet-blower";

    private FeltParts() {}

    static void act(Felt felt) throws Exception {
        Desk desk = felt.desk();
        felt.act("open an upgrade at Shape", 1, n -> go(desk, BLOWER, Station.SHAPE));
        felt.act("edit the plate's width", 40, n -> desk.edits().set(BLOWER, "p1", ToolCarriagePlate.WIDTH, String.valueOf(82.1 + n * 0.1)));
        felt.act("hover a remedy", 12, n -> desk.previewRemedy(n % 2 == 1 ? null : desk.assessmentProperty().get().findings().stream()
                .flatMap(f -> f.remedies().stream()).findFirst().orElseThrow()));
        felt.act("turn the turntable by a step", 12, n -> Felt.mouse(felt.find("turntable"), n));
        felt.calmly(() -> desk.edits().make(BLOWER, desk.part().orElseThrow().with(new Feature("f1", "hole", "Hole 1", Anchor.middle("part", "plate", Vec3.Z).at(-30, 8), Values.START, false)), "add"));
        felt.calmly(() -> ((Button) felt.find("feature-f1")).fire());
        felt.act("drag a feature by a step", 12, n -> Felt.mouse(felt.find("feature-knob"), n));
        felt.act("place a feature", 12, n -> desk.edits().make(BLOWER, desk.part().orElseThrow().with(desk.part().orElseThrow().feature("f1").orElseThrow().with(
                Anchor.middle("part", "plate", Vec3.Z).at(-30 + n * 0.3, 8))), "move"));
        felt.act("show it on the machine", 2, n -> ((ToggleButton) felt.find("in-place")).fire());
        felt.act("to Measure and back to Shape", 12, n -> desk.goTo(n % 2 == 0 ? Station.MEASURE : Station.SHAPE));
        felt.act("to Print and back to Shape", 12, n -> desk.goTo(n % 2 == 0 ? Station.PRINT : Station.SHAPE));
        felt.act("open another upgrade at Trouble", 1, n -> go(desk, "curlew-door", Station.TROUBLE));
        // The worst is the page of kinds; the other station has next to nothing.
        felt.act("to the page of kinds and back to Trouble", 12, n -> go(desk, "curlew-door", n % 2 == 0 ? Station.SHAPE : Station.TROUBLE));
        felt.calmly(() -> go(desk, BLOWER, Station.SHAPE));
        felt.act("undo, redo", 12, n -> {
            if (n % 2 == 0) {
                desk.workshop().undo();
            } else {
                desk.workshop().redo();
            }
        });
    }

    /** Dry fit: the machine moved by a strip, the heat picture, the load. */
    static void fit(Felt felt) throws Exception {
        Desk desk = felt.desk();
        felt.calmly(() -> go(desk, BLOWER, Station.SHAPE));
        felt.act("to Dry fit for the first time", 1, n -> desk.goTo(Station.DRY_FIT));
        felt.act("to Shape and back to Dry fit", 12, n -> desk.goTo(n % 2 == 0 ? Station.SHAPE : Station.DRY_FIT));
        felt.act("edit the plate's width at Dry fit", 12, n -> desk.edits().set(BLOWER, "p1", ToolCarriagePlate.WIDTH, String.valueOf(86.3 + n * 0.1)));
        felt.act("from clearance to heat and back", 12, n -> ((ToggleButton) felt.find(n % 2 == 0 ? "fit-heat" : "fit-clearance")).fire());
    }

    private static void go(Desk desk, String upgrade, Station station) {
        desk.goTo(desk.state().upgrade(upgrade).orElseThrow(), station);
    }

    /** So many more parts, in upgrades of ten. */
    static WorkshopState many(WorkshopState s, int parts) {
        Upgrade like = s.upgrade(BLOWER).orElseThrow();
        PartDesign part = like.parts().get(0);
        WorkshopState now = s;
        for (int u = 0; u < parts / 10; u++) {
            List<PartDesign> ten = new ArrayList<>();
            for (int p = 0; p < 10; p++) {
                ten.add(part.withId("p" + (p + 1)).withName("Plate " + (10 * u + p + 1)).with(part.values().with(ToolCarriagePlate.WIDTH, 80.0 + p)));
            }
            now = now.with(new Upgrade("many-" + u, like.machineId(), "Many " + u, like.started(), like.trouble(), ten, like.hostMachineId()));
        }
        return now;
    }
}
