package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ToggleButton;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.desktop.machine.MachineView;
import tinperch.files.stl.StlFile;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.machine.space.Neighbour;
import tinperch.part.bind.Binding;
import tinperch.part.family.FittedModel;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;
import tinperch.upgrade.Upgrade;

/** A downloaded model on its way to being believed, in the real window. */
public class ModelsTest extends WindowTest {
    private Machine machine(String id) {
        return desk.state().machine(id).orElseThrow();
    }

    private Model newest(String machine) {
        return machine(machine).models().get(machine(machine).models().size() - 1);
    }

    /** A plate 60 × 44 × 6 with four holes 40 × 32 apart, drawn in inches. */
    private Path inches() throws Exception {
        Mesh plate = SolidKernel.evaluate(Leaf.extrusion("plate", Profile.of(Profile.rectangle(0, 0, 60, 44).ring(0),
                Profile.hole(-20, -16, 4, 48).ring(0), Profile.hole(20, -16, 4, 48).ring(0), Profile.hole(20, 16, 4, 48).ring(0),
                Profile.hole(-20, 16, 4, 48).ring(0)), Placement.HERE, 0, 6), Tolerances.USUAL);
        Path file = folder.resolve("fan plate.stl");
        try (OutputStream out = Files.newOutputStream(file)) {
            StlFile.write(plate.scaled(1 / 25.4), "plate", out);
        }
        return file;
    }

    private void bringIn(Path file) throws Exception {
        MachineView view = machineView();
        onFx(() -> {
            view.bringIn(file);
            return null;
        });
    }

    @SuppressWarnings("unchecked")
    private void check(Model m, String what) throws Exception {
        String id = "model-more-" + m.id();
        waitFor(() -> find(id) != null && ((ComboBox<String>) find(id)).getItems().stream().anyMatch(i -> i.startsWith(what)),
                what + " was not found in the model");
        onFx(() -> {
            ComboBox<String> box = (ComboBox<String>) find(id);
            String chosen = box.getItems().stream().filter(i -> i.startsWith(what)).findFirst().orElseThrow();
            box.setValue(chosen);
            return null;
        });
        QuickRobot.settle();
    }

    private static String cell(Model m, int check) {
        return "reading-model-" + m.checks().get(check).id();
    }

    @Test
    public void inchesAreNoticedReadingsDecideAndItBecomesANeighbour() throws Exception {
        click("machine-turnstone");
        bringIn(inches());
        waitFor(() -> machine("turnstone").models().size() == 2, "the model did not come");
        Model m = newest("turnstone");
        assertEquals(m.name(), "fan plate");
        assertTrue(text("model-doubt-" + m.id()).contains("was it drawn in inches? Then it is 60 mm"), text("model-doubt-" + m.id()));
        check(m, "two holes");
        check(m, "length along x");
        type(cell(newest("turnstone"), 0), "51.2");
        assertTrue(text("model-verdict-" + m.id()).contains("disagree"), text("model-verdict-" + m.id()));
        click("undo");
        assertEquals(newest("turnstone").checks().size(), 2, desk.workshop().undoLabel() + " / " + desk.workshop().redoLabel()
                + newest("turnstone").checks());
        double found = newest("turnstone").checks().get(0).found() * 25.4;
        type(cell(newest("turnstone"), 0), String.valueOf(Math.round(100 * found) / 100.0));
        type(cell(newest("turnstone"), 1), "60.05");
        assertTrue(text("model-verdict-" + m.id()).contains("seems to be in inches"), text("model-verdict-" + m.id()));
        assertTrue(need("model-use-" + m.id()).isDisabled());
        press("model-rescale-" + m.id());
        assertEquals(newest("turnstone").verdict(), Model.Verdict.AGREES);
        press("model-use-" + m.id());
        Neighbour n = machine("turnstone").surroundings().neighbours().stream().filter(k -> k.of().equals(m.id())).findFirst().orElseThrow();
        assertEquals(n.size().x(), 60, 1e-4);
        assertEquals(text("neighbour-name"), "fan plate", "it is chosen, to be put in its place");
        press("model-remove-" + m.id());
        assertTrue(text("model-complaint").contains("remove that one first"), text("model-complaint"));
        // Another unit makes the neighbour another size; undo brings all back, and it is there after a restart.
        onFx(() -> {
            ((ToggleButton) need("model-unit-cm-" + m.id())).fire();
            return null;
        });
        QuickRobot.settle();
        assertEquals(machine("turnstone").neighboursOf(m.id()).get(0).size().x(), 600 / 25.4, 1e-4);
        click("undo");
        close();
        open();
        assertEquals(newest("turnstone").verdict(), Model.Verdict.AGREES);
        assertTrue(desk.workshop().meshBytes(newest("turnstone").meshId()).isPresent());
    }

    @Test
    public void brokenFilesAndStoppingLeaveEverythingAsItWas() throws Exception {
        click("machine-turnstone");
        Path broken = folder.resolve("broken.stl");
        Files.write(broken, new byte[] {1, 2, 3});
        bringIn(broken);
        waitFor(() -> text("model-complaint").contains("ends after 3 bytes"), "no sentence");
        bringIn(folder.resolve("gone.obj"));
        waitFor(() -> text("model-complaint").contains("no file “gone.obj”"), "no sentence");
        Path file = inches();
        MachineView view = machineView();
        onFx(() -> {
            view.bringIn(file);
            ((Button) find("model-stop")).fire();
            return null;
        });
        QuickRobot.settle();
        assertTrue(text("model-complaint").contains("Stopped"), text("model-complaint"));
        assertEquals(machine("turnstone").models().size(), 1);
        assertTrue(desk.workshop().undoLabel().isEmpty());
    }

    @Test
    public void theDemosFalseModelIsNotUsed() throws Exception {
        click("machine-curlew");
        assertTrue(text("model-verdict-model-cartridge").contains("another version"), text("model-verdict-model-cartridge"));
        assertTrue(need("model-use-model-cartridge").isDisabled());
        assertEquals(text("model-says-cartridge-width"), "disagrees: −2.00 mm");
        press("model-uncheck-cartridge-width");
        press("model-uncheck-cartridge-height");
        assertFalse(need("model-use-model-cartridge").isDisabled());
        assertEquals(((Button) need("model-use-model-cartridge")).getText(), "Use it unchecked");
        click("undo");
        click("undo");
        press("model-remove-model-cartridge");
        assertTrue(machine("curlew").models().isEmpty());
        click("undo");
        assertEquals(machine("curlew").models().size(), 1);
    }

    @Test
    public void aTrueModelBecomesAPartBoredForItsScrews() throws Exception {
        click("machine-avocet");
        press("model-make-model-blower");
        waitFor(() -> desk.part().isPresent(), "no part is made");
        Upgrade made = desk.upgrade().orElseThrow();
        assertEquals(made.parts().get(0).bindings().get("model"), new Binding.OfModel("model-blower"));
        assertEquals(made.hostMachineId(), "curlew", "the fit machine that prints what a new part is made of");
        waitForPicture();
        assertEquals(desk.drawingProperty().get().pieces().get(0).mark().orElseThrow().words(), "engraved 6 mm high");
        double drawn = desk.drawingProperty().get().mesh().volumeMm3();
        press("card-holes");
        choose("field-holes.for", "M4");
        assertTrue(text("notice-text").contains("wider"), "the fan's mouth is a hole as well: " + text("notice-text"));
        assertEquals(((ComboBox<?>) need("field-holes.for")).getValue(), "nothing: as drawn", "the last good choice stays");
        type("field-holes.of", "3.3");
        choose("field-holes.for", "M4");
        waitForPicture();
        double bored = desk.drawingProperty().get().mesh().volumeMm3();
        // Four holes of 3.3 through 15 mm, made 4.5 (ISO 273, medium) and what the printer needs.
        double wide = 4.5 + machine(made.hostMachineId()).holeOffsetMm();
        assertEquals(drawn - bored, 4 * 15 * Math.PI / 4 * (wide * wide - 3.3 * 3.3), 5);
        type("field-holes.of", "9");
        assertTrue(complaint("field-holes.of").contains("has no hole of Ø 9 mm; it has 3.3 mm, 31.5 mm"), complaint("field-holes.of"));
        choose("field-base.down", "front");
        waitForPicture();
        assertEquals(desk.drawingProperty().get().mesh().bounds().size().z(), 50, 0.1);
        Upgrade last = upgrade(made.id());
        close();
        open();
        Upgrade again = upgrade(made.id());
        assertEquals(again.parts(), last.parts());
        assertEquals(FittedModel.DOWN.of(again.parts().get(0).values()), tinperch.part.form.Lie.FRONT);
        click("machine-turnstone");
        press("model-remove-model-guard");
        assertTrue(text("model-complaint").contains("“Fan guard” is made from it"), text("model-complaint"));
        onFx(() -> {
            ((ToggleButton) need("model-unit-inches-model-guard")).fire();
            return null;
        });
        assertTrue(text("model-complaint").contains("is made from it in mm"), text("model-complaint"));
        assertEquals(newest("turnstone").scale(), 1.0);
        assertTrue(((ToggleButton) need("model-unit-mm-model-guard")).isSelected(), "the old unit is the chosen one again");
        assertEquals(machine("turnstone").models().size(), 1);
    }

    @Test
    public void aPartCanBeStartedFromAModelOnTheShapeStationToo() throws Exception {
        click("machine-avocet");
        click("start-upgrade");
        Upgrade fresh = desk.upgrade().orElseThrow();
        goTo(fresh.id(), Station.SHAPE);
        press("base-model-blower");
        waitFor(() -> !upgrade(fresh.id()).parts().isEmpty(), "no part is made");
        assertEquals(part(fresh.id()).bindings().get("model"), new Binding.OfModel("model-blower"));
        waitForPicture();
        goTo("curlew-door", Station.SHAPE);
        assertTrue(need("base-model-cartridge").isDisabled(), "what the readings disagree with is no base");
    }
}
