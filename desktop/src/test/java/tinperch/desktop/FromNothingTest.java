package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.testng.Reporter;
import org.testng.annotations.Test;
import tinperch.part.bind.Role;
import tinperch.catalogue.UsualThing;
import tinperch.desktop.look.Ui;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.machine.Machine;
import tinperch.measure.sheet.Sheet;
import tinperch.part.PartFamily;
import tinperch.part.bind.MeshRef;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
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
        click("family-tool-carriage-plate");
        waitFor(() -> !upgrade(id).parts().isEmpty(), "no part is made");
        waitForPicture();
        assertTrue(desk.drawingProperty().get().mesh().volumeMm3() > 1000, "there is a part at once");
        assertFalse(desk.assessmentProperty().get().findings().stream().anyMatch(f -> f.severity() == Severity.STOP), "and nothing but what is assumed is against it");
        assertEquals(word("known.mount"), "Look");

        robot.push(KeyCode.F2);
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
        robot.push(KeyCode.F5);
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
        for (PartFamily f : Families.ALL) {
            if (f.roles().stream().anyMatch(r -> r.kind().equals(MeshRef.KIND))) {
                continue;
            }
            robot.push(KeyCode.CONTROL, KeyCode.N);
            String id = desk.upgrade().orElseThrow().id();
            robot.push(KeyCode.F3);
            int letters = typeUntilFound(f);
            waitFor(() -> !upgrade(id).parts().isEmpty(), "no " + f.title() + " is made");
            assertEquals(upgrade(id).parts().get(0).familyId(), f.id());
            waitForPicture();
            assertEquals(desk.assessmentProperty().get().findings().stream().filter(x -> x.severity() == Severity.STOP).map(Finding::what).toList(), java.util.List.of(), f.title());
            int[] read = readAll(f, id);
            robot.push(KeyCode.F5);
            if (id.equals(desk.state().upgrades().get(0).id())) {
                // Where it was written last is where the next is written.
                type("export-folder", folder.toString());
            }
            press("export-3mf");
            String file = upgrade(id).parts().get(0).name() + " R1.3mf";
            waitFor(() -> Files.exists(folder.resolve(file)), file + " is not written");
            // Ctrl+N, F3, the letters, Enter, F4; then the button. With all readings: F2, a click for each sheet, their digits, Enter and Tab.
            Reporter.log("keys " + (4 + letters) + ", clicks 1; all readings " + read[1] + " keys, " + read[0] + " clicks more: " + f.title(), true);
        }
    }

    /**
     * Everything a new part asks for is measured: each sheet is a click away, the first cell has the keyboard, Enter takes a reading and Tab leads to
     * the next cell, to the last. Answers how many sheets and how many keys.
     */
    private int[] readAll(PartFamily f, String upgradeId) throws Exception {
        List<Role<?>> roles = f.roles().stream().filter(r -> !r.optional() && !r.kind().sheetKinds().isEmpty()).toList();
        robot.push(KeyCode.F2);
        int keys = 1;
        for (Role<?> role : roles) {
            UsualThing usual = UsualThing.byId(role.usual()).orElseThrow();
            press("measure-" + role.id());
            waitForFocus(on -> on.startsWith("reading-"));
            Set<String> been = new HashSet<>();
            Set<String> typed = new LinkedHashSet<>();
            for (String on = onFx(this::focused); on.startsWith("reading-") && been.add(on); on = onFx(this::focused)) {
                String cell = on.substring("reading-".length());
                // What usual things say nothing of is not needed and passed over.
                OptionalDouble mm = usual.kind().equals("holes") ? OptionalDouble.of(betweenHoles(usual, cell)) : usual.size(cell);
                if (mm.isPresent()) {
                    String text = Quantity.plain(mm.getAsDouble(), Unit.MM);
                    robot.write(text);
                    robot.push(KeyCode.ENTER);
                    keys += text.length() + 1;
                    typed.add(cell);
                }
                robot.push(KeyCode.TAB);
                keys++;
                QuickRobot.settle();
            }
            Sheet read = desk.state().machines().get(0).sheet(upgradeId + "." + role.id()).orElseThrow();
            assertEquals(read.readings().size(), typed.size(), f.title() + ", " + role.label() + ": each reading typed is kept, " + typed);
            assertEquals(read.missing(), List.of(), f.title() + ", " + role.label() + ": Tab led through all, " + typed);
        }
        waitForPicture();
        waitFor(() -> text("state-measure").startsWith(roles.size() + " of "), f.title() + ": " + text("state-measure"));
        List<Finding> told = desk.assessmentProperty().get().findings();
        assertEquals(told.stream().filter(x -> x.severity() == Severity.STOP).map(Finding::what).toList(), List.of(), f.title() + " as read");
        assertEquals(told.stream().filter(x -> roles.stream().anyMatch(r -> x.id().equals("known." + r.id()))).map(Finding::why).toList(), List.of(), f.title() + ": nothing is only assumed");
        return new int[] {roles.size(), keys};
    }

    /** What is read between two of four holes. */
    private static double betweenHoles(UsualThing usual, String cell) {
        double w = usual.size("width").orElseThrow();
        double h = usual.size("height").orElseThrow();
        double hole = usual.size("hole").orElseThrow();
        double apart = switch (cell.substring(0, 2)) {
            case "AB", "CD", "DC" -> w;
            case "AD", "BC" -> h;
            default -> Math.hypot(w, h);
        };
        return apart + (cell.endsWith("outside") ? hole : -hole);
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
