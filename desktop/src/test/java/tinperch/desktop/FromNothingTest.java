package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.testfx.util.WaitForAsyncUtils;
import org.testng.Reporter;
import org.testng.annotations.Test;
import tinperch.part.bind.Role;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.Ui;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.machine.Machine;
import tinperch.part.PartFamily;
import tinperch.part.bind.MeshRef;
import tinperch.upgrade.Families;

/** A new owner with an empty workshop gets to a printable part by keyboard and mouse alone. */
public class FromNothingTest extends WindowTest {
    @Override
    protected boolean demo() {
        return false;
    }

    @Test
    public void fromAnEmptyWorkshopToAFile() throws Exception {
        click("welcome-add");
        type("machine-name", "Kittiwake");
        type("usable-x", "180");
        assertEquals(desk.state().machines().get(0).name(), "Kittiwake");
        assertEquals(desk.state().machines().get(0).usableMm().x(), 180.0);
        robot.push(KeyCode.CONTROL, KeyCode.N);
        type("upgrade-name", "Probe holder");
        String id = desk.state().upgrades().get(0).id();
        assertEquals(upgrade(id).name(), "Probe holder");

        robot.push(KeyCode.F3);
        WaitForAsyncUtils.waitForFxEvents();
        click("family-tool-carriage-plate");
        waitFor(() -> !upgrade(id).parts().isEmpty(), "no part is made");
        waitForPicture();
        assertTrue(desk.drawingProperty().get().mesh().volumeMm3() > 1000, "there is a part at once");
        assertFalse(desk.assessmentProperty().get().findings().stream().anyMatch(f -> f.severity() == Severity.STOP), "and nothing but what is assumed is against it");
        assertEquals(word("known.mount"), "Look");

        robot.push(KeyCode.F2);
        WaitForAsyncUtils.waitForFxEvents();
        for (Map.Entry<String, String[]> e : Map.of("mount", new String[] {"43.3", "36.7", "33.3", "26.7"}, "tool",
                new String[] {"23.2", "16.8", "23.2", "16.8"}).entrySet()) {
            click("measure-" + e.getKey());
            type("reading-AB.outside", e.getValue()[0]);
            type("reading-AB.inside", e.getValue()[1]);
            type("reading-AD.outside", e.getValue()[2]);
            type("reading-AD.inside", e.getValue()[3]);
            assertEquals(text("centre-AB").substring(0, 5), e.getKey().equals("mount") ? "40.00" : "20.00");
        }
        waitForPicture();
        assertTrue(desk.assessmentProperty().get().findings().stream().anyMatch(f -> f.id().startsWith("known.")),
                "an unread diagonal is pointed at");
        assertTrue(text("state-measure").startsWith("2 of 2"), text("state-measure"));
        robot.push(KeyCode.F4);
        waitForPicture();
        type("export-folder", folder.toString());
        press("export-3mf");
        waitFor(() -> find("notice-text") != null, "nothing is written");
        assertTrue(Files.exists(folder.resolve("Probe holder R1.3mf")), text("export-complaint"));
    }

    /** Every kind, from nothing but usual sizes to a file: Ctrl+N, F3, its name and Enter, F4, a click. */
    @Test(groups = "deep")
    public void everyKindIsMadeAndWrittenFromUsualSizes() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        WaitForAsyncUtils.waitForFxEvents();
        for (PartFamily f : Families.ALL) {
            if (f.roles().stream().anyMatch(r -> r.kind().equals(MeshRef.KIND))) {
                continue;
            }
            robot.push(KeyCode.CONTROL, KeyCode.N);
            WaitForAsyncUtils.waitForFxEvents();
            String id = desk.upgrade().orElseThrow().id();
            robot.push(KeyCode.F3);
            WaitForAsyncUtils.waitForFxEvents();
            int letters = typeUntilFound(f);
            waitFor(() -> !upgrade(id).parts().isEmpty(), "no " + f.title() + " is made");
            assertEquals(upgrade(id).parts().get(0).familyId(), f.id());
            waitForPicture();
            assertEquals(desk.assessmentProperty().get().findings().stream().filter(x -> x.severity() == Severity.STOP).map(Finding::what).toList(), java.util.List.of(), f.title());
            int digits = readOne(f, id);
            robot.push(KeyCode.F4);
            WaitForAsyncUtils.waitForFxEvents();
            if (id.equals(desk.state().upgrades().get(0).id())) {
                // Where it was written last is where the next is written.
                type("export-folder", folder.toString());
            }
            press("export-3mf");
            String file = upgrade(id).parts().get(0).name() + " R1.3mf";
            waitFor(() -> Files.exists(folder.resolve(file)), file + " is not written");
            // Ctrl+N, F3, the letters, Enter, F4; then the button. A reading: F2, a click, its digits, Enter.
            Reporter.log("keys " + (4 + letters) + ", clicks 1; a reading more " + (2 + digits) + " keys, 1 click: " + f.title(), true);
        }
    }

    /** The first thing a new part asks for is measured: its sheet is a click away, the first cell has the keyboard; answers how many digits were typed. */
    private int readOne(PartFamily f, String upgradeId) throws Exception {
        Role<?> role = f.roles().stream().filter(r -> !r.optional() && !r.kind().sheetKinds().isEmpty()).findFirst().orElseThrow();
        UsualThing usual = UsualThing.byId(role.usual()).orElseThrow();
        robot.push(KeyCode.F2);
        WaitForAsyncUtils.waitForFxEvents();
        press("measure-" + role.id());
        waitForFocus(on -> on.startsWith("reading-"));
        String cell = onFx(this::focused).substring("reading-".length());
        // Of four holes the first cell is over two of them.
        double mm = usual.size(cell).orElseGet(() -> usual.size("width").orElseThrow() + usual.size("hole").orElseThrow());
        String text = String.format(Locale.ROOT, "%.2f", mm + 0.04);
        robot.write(text);
        robot.push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        String sheet = upgradeId + "." + role.id();
        waitFor(() -> desk.state().machines().get(0).sheet(sheet).filter(s -> s.readings().containsKey(cell)).isPresent(), "the reading of " + cell + " is lost");
        waitForPicture();
        assertTrue(desk.assessmentProperty().get().findings().stream().noneMatch(x -> x.id().equals("part")), f.title() + " cannot be built any more");
        return text.length();
    }

    /** Types a kind's title until it is the only one found, and takes it; answers how many letters that took. */
    private int typeUntilFound(PartFamily f) throws Exception {
        Node field = need("find-kind");
        onFx(() -> {
            field.requestFocus();
            return null;
        });
        String last = "";
        for (int n = 1; n <= f.title().length(); n++) {
            robot.write(f.title().substring(n - 1, n));
            WaitForAsyncUtils.waitForFxEvents();
            Set<Node> found = onFx(() -> field.getParent().getParent().lookupAll(".kind-card"));
            last = found.stream().map(Ui::idOf).toList().toString();
            String typed = f.title().substring(0, n).strip().toLowerCase(Locale.ROOT);
            List<String> called = found.stream().filter(k -> k.getAccessibleText().toLowerCase(Locale.ROOT).startsWith(typed)).map(Ui::idOf).toList();
            if (called.equals(List.of("family-" + f.id())) || found.size() == 1 && last.equals("[family-" + f.id() + "]")) {
                robot.push(KeyCode.ENTER);
                return n;
            }
        }
        throw new AssertionError(f.title() + " is not found by its title but " + last);
    }

    @Test
    public void undoOfTheFirstMachineLeadsBackToTheBeginning() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        WaitForAsyncUtils.waitForFxEvents();
        assertEquals(desk.state().machines().size(), 1);
        click("undo");
        need("welcome-add");
        assertEquals(desk.state().machines().size(), 0);
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        need("machine-name");
    }

    @Test
    public void aMachinesStateAndMaterialsAreSetOnItsSheet() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        WaitForAsyncUtils.waitForFxEvents();
        click("material-PLA");
        assertEquals(desk.state().machines().get(0).materials(), java.util.List.of("PETG"));
        click("heated-bed");
        assertEquals(desk.state().machines().get(0).heatedBed(), false);
        type("machine-note", "nozzle clogged");
        assertEquals(desk.state().machines().get(0).stateNote(), "nozzle clogged");
        onFx(() -> {
            @SuppressWarnings("unchecked")
            javafx.scene.control.ComboBox<Machine.State> box =
                    (javafx.scene.control.ComboBox<Machine.State>) find("machine-state");
            box.setValue(Machine.State.WAITING);
            return null;
        });
        assertEquals(desk.state().machines().get(0).state(), Machine.State.WAITING);
        type("usable-z", "-5");
        assertTrue(complaint("usable-z").contains("the old value stays"), complaint("usable-z"));
        type("machine-name", "");
        assertTrue(complaint("machine-name").contains("needs a name"), complaint("machine-name"));
    }
}
