package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.desktop.window.Packing;
import tinperch.machine.Machine;
import tinperch.part.bind.Binding;
import tinperch.part.family.FilterHousing;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.form.Lie;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** Kinds of part, several parts, pieces, features and places in the real window. */
public class PartsTest extends WindowTest {
    @Test
    public void aKindIsFoundByTypingAndMadeBesideThePartThatIsThere() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        click("add-part");
        need("family-tool-carriage-plate");
        type("find-kind", "fan");
        assertNull(find("family-tool-carriage-plate"), "a plate says nothing of fans");
        assertEquals(upgrade("avocet-blower").parts().size(), 1, "of several found none is taken");
        type("find-kind", "zzz");
        assertNull(find("family-hose-adapter"));
        type("find-kind", "");
        press("family-hose-adapter");
        waitFor(() -> upgrade("avocet-blower").parts().size() == 2, "no part is made");
        waitForPicture();
        assertEquals(desk.part().orElseThrow().familyId(), "hose-adapter");
        assertEquals(desk.drawingProperty().get().pieces().size(), 2);
        assertEquals(desk.mark(), "R1", "each part counts its own revisions");
        click("part-p1");
        assertEquals(desk.mark(), "R5");
        click("undo");
        assertEquals(upgrade("avocet-blower").parts().size(), 1);
    }

    @Test
    public void aFilterHousingIsMadeAndARemedySealsIt() throws Exception {
        goTo("curlew-door", Station.SHAPE);
        type("find-kind", "cartridge");
        press("family-filter-housing");
        waitFor(() -> !upgrade("curlew-door").parts().isEmpty(), "no part is made");
        waitForPicture();
        assertEquals(desk.drawingProperty().get().pieces().size(), 2);
        assertEquals(word("seal.0"), "Fine", "its foam is pressed by a third");
        onFx(() -> {
            desk.edits().set("curlew-door", "p1", FilterHousing.PRESSED, "3.8");
            return null;
        });
        waitForPicture();
        assertEquals(word("seal.0"), "Look");
        waitFor(() -> find("remedy-seal.0-0") != null, "no way out is offered");
        press("remedy-seal.0-0");
        waitForPicture();
        assertEquals(word("seal.0"), "Fine");
        click("undo");
        assertEquals(FilterHousing.PRESSED.of(part("curlew-door").values()), 3.8, 1e-9);
    }

    /** Chosen on the Print station a lid lies on the side its arms stand out of; what hangs then is said, a remedy lays it back, and both can be taken back. */
    @Test
    public void aPieceIsLaidOnAnotherSideAndBack() throws Exception {
        goTo("turnstone-board", Station.PRINT);
        waitForPicture();
        ComboBox<?> lie = (ComboBox<?>) need("lie-lid");
        assertEquals(String.valueOf(lie.getValue()), "lies as it is drawn");
        onFx(() -> {
            lie.getSelectionModel().select(Lie.TOP.ordinal());
            return null;
        });
        waitForPicture();
        assertEquals(part("turnstone-board").lies(), Map.of("lid", Lie.TOP));
        assertEquals(word("overhang.lid"), "Look");
        waitFor(() -> find("remedy-overhang.lid-0") != null, "no way out is offered");
        press("remedy-overhang.lid-0");
        waitForPicture();
        assertEquals(part("turnstone-board").lies(), Map.of(), "it lies as it is drawn");
        assertEquals(((ComboBox<?>) need("lie-lid")).getSelectionModel().getSelectedIndex(), 0);
        assertNull(find("finding-overhang.lid"));
        click("undo");
        assertEquals(((ComboBox<?>) need("lie-lid")).getSelectionModel().getSelectedIndex(), Lie.TOP.ordinal());
        click("undo");
        assertEquals(part("turnstone-board").lies(), Map.of());
    }

    @Test
    public void measureListsWhatThePartAsksForAndTakesTheKeyboard() throws Exception {
        goTo("avocet-blower", Station.TROUBLE);
        robot.push(KeyCode.F2);
        waitForFocus("reading-BD.outside"::equals);
        assertTrue(text("known-mount").contains("measured 3 times"), text("known-mount"));
        onFx(() -> {
            ComboBox<?> to = (ComboBox<?>) find("bind-tool");
            int at = to.getItems().stream().map(Object::toString).toList().indexOf("usual: four holes 32 × 32");
            to.getSelectionModel().select(at < 0 ? to.getItems().size() - 1 : at);
            return null;
        });
        waitForPicture();
        assertTrue(part("avocet-blower").bindings().get("tool") instanceof Binding.Usual);
        assertEquals(word("known.tool"), "Look", "what is only usual is said");
        click("undo");
        assertTrue(part("avocet-blower").bindings().get("tool") instanceof Binding.OnSheet);
    }

    @Test
    public void aFeatureIsAddedWhereOnePointsAndCanBeMovedSwitchedOffAndUndone() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        javafx.geometry.Bounds b = need("turntable").localToScreen(need("turntable").getBoundsInLocal());
        for (double t = 0.35; t < 0.7 && need("add-feature").isDisabled(); t += 0.05) {
            robot.clickOn(b.getMinX() + t * b.getWidth(), b.getMinY() + t * b.getHeight());
        }
        double before = desk.drawingProperty().get().volumeMm3();
        onFx(() -> {
            ((MenuButton) find("add-feature")).getItems().stream().filter(i -> i.getText().equals("Hole")).findFirst().orElseThrow().fire();
            return null;
        });
        waitForPicture();
        PartDesign now = part("avocet-blower");
        assertEquals(now.features().size(), 1);
        type("feature-across", "25 mm");
        waitForPicture();
        assertEquals(part("avocet-blower").features().get(0).anchor().acrossMm(), 25.0);
        double drilled = desk.drawingProperty().get().volumeMm3();
        assertTrue(drilled < before - 20, "a hole takes plastic away: " + before + " → " + drilled);
        type("feature-across", "far");
        assertTrue(complaint("feature-across").contains("is not a number"), complaint("feature-across"));
        onFx(() -> {
            ((CheckBox) find("feature-on-f1")).fire();
            return null;
        });
        waitForPicture();
        assertEquals(desk.drawingProperty().get().volumeMm3(), before, 1e-6);
        click("undo");
        waitForPicture();
        assertEquals(desk.drawingProperty().get().volumeMm3(), drilled, 1e-6);
        press("feature-drop-f1");
        assertTrue(part("avocet-blower").features().isEmpty());
        click("undo");
        close();
        open();
        assertEquals(part("avocet-blower").features().size(), 1, "features are kept");
    }

    private void fire(String menu, String item) throws Exception {
        MenuButton b = (MenuButton) need(menu);
        robot.clickOn(b);
        onFx(() -> {
            b.getItems().stream().filter(i -> i.getText().startsWith(item)).findFirst().orElseThrow(() -> new AssertionError(item + " is not among " + b.getItems().stream().map(javafx.scene.control.MenuItem::getText).toList())).fire();
            b.hide();
            return null;
        });
        waitForPicture();
    }

    @Test
    public void aFeatureIsCopiedInARowAndTakenOverByAnotherPart() throws Exception {
        goTo("avocet-switch", Station.SHAPE);
        waitForPicture();
        double bare = desk.drawingProperty().get().volumeMm3();
        onFx(() -> {
            desk.edits().make("avocet-switch", part("avocet-switch").with(new Feature("f1", "hole", "Vent", Anchor.middle("part", "plate", Vec3.Z).at(-8, 0), Values.START, false)), "add");
            return null;
        });
        waitForPicture();
        double one = bare - desk.drawingProperty().get().volumeMm3();
        press("feature-f1");
        type("feature-copies.columns", "3");
        type("feature-copies.columns.step", "8 mm");
        waitForPicture();
        assertEquals(bare - desk.drawingProperty().get().volumeMm3(), 3 * one, 0.5);
        type("feature-copies.columns", "2.5");
        assertTrue(complaint("feature-copies.columns").length() > 10, "half a hole is none");
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        fire("copy-features", "Switch module mount");
        assertEquals(part("avocet-blower").features().stream().map(Feature::name).toList(), java.util.List.of("Vent"));
        click("undo");
        assertTrue(part("avocet-blower").features().isEmpty());
    }

    @Test
    public void aNewPartIsBoundAsAnotherOfItsMachine() throws Exception {
        goTo("avocet-switch", Station.SHAPE);
        click("add-part");
        press("family-tool-carriage-plate");
        waitFor(() -> upgrade("avocet-switch").parts().size() == 2, "no part is made");
        waitForPicture();
        onFx(() -> {
            desk.goTo(upgrade("avocet-switch"), Station.MEASURE);
            desk.show(upgrade("avocet-switch").parts().get(1).id());
            return null;
        });
        waitForPicture();
        fire("bind-as-in", "Blower carriage plate");
        assertEquals(upgrade("avocet-switch").parts().get(1).bindings().get("mount"), new Binding.OnSheet("avocet-blower.mount", ""));
        click("undo");
        assertNotEquals(upgrade("avocet-switch").parts().get(1).bindings().get("mount"), new Binding.OnSheet("avocet-blower.mount", ""));
    }

    @Test
    public void aPartIsSharedAsAFolderWithItsLicence() throws Exception {
        goTo("ruff-feed", Station.PRINT);
        waitForPicture();
        type("export-folder", folder.toString());
        press("share-folder");
        waitFor(() -> text("export-complaint").contains("is not said"), "a folder without a licence");
        type("licence", "name me, share alike");
        press("share-folder");
        waitFor(() -> text("notice-text").contains("To be shared"), "no folder is written");
        try (var all = Files.list(folder.resolve("Sled-s channel R1"))) {
            assertEquals(all.count(), 7, "two STL, 3MF, STEP, drawing, design, words");
        }
        press("export-drawing");
        waitFor(() -> text("notice-text").endsWith("drawing.pdf"), "no drawing is written");
    }

    @Test
    public void aPartIsSeenOnItsMachineAndInPieces() throws Exception {
        Upgrade hose = desk.state().upgrades().stream().filter(u -> u.parts().stream().anyMatch(p -> p.familyId().equals("hose-adapter"))).findFirst().orElseThrow();
        goTo(hose.id(), Station.SHAPE);
        waitForPicture();
        ComboBox<?> alone = (ComboBox<?>) need("piece-alone");
        assertEquals(alone.getItems().stream().map(Object::toString).toList(), java.util.List.of("all pieces", "tube alone", "retaining ring alone"));
        ToggleButton place = (ToggleButton) need("in-place");
        onFx(() -> {
            place.fire();
            return null;
        });
        QuickRobot.settle();
        waitFor(() -> find("in-place-gap") != null && !text("in-place-gap").isEmpty(), "the part is not in its place");
        onFx(() -> {
            ((ComboBox<?>) find("part-site")).getSelectionModel().select(0);
            return null;
        });
        waitForPicture();
        assertEquals(part(hose.id()).siteId(), "");
        assertTrue(need("in-place").isDisabled(), "without a site there is no place to show");
        click("undo");
        assertNotEquals(part(hose.id()).siteId(), "");
        robot.push(KeyCode.F5);
        waitForPicture();
        type("export-folder", folder.toString());
        press("export-3mf");
        waitFor(() -> find("notice-text") != null, "nothing is written");
        try (var all = Files.list(folder)) {
            assertEquals(all.filter(p -> p.toString().endsWith(".3mf")).count(), 1, "all pieces in one 3MF");
        }
    }

    @Test
    public void anUpgradeIsPackedAndUnpackedOntoAnotherMachine() throws Exception {
        Path file = folder.resolve("shared.zip");
        onFx(() -> {
            new Packing(desk).write(tinperch.workshop.share.Sharing.ofUpgrade(desk.state(), "avocet-blower"), file);
            return null;
        });
        waitFor(() -> find("notice-text") != null && text("notice-text").startsWith("Packed"), "nothing is packed");
        int before = desk.state().upgradesOf("ruff").size();
        Machine ruff = desk.state().machine("ruff").orElseThrow();
        onFx(() -> {
            new Packing(desk).read(file, Optional.of(ruff));
            return null;
        });
        waitFor(() -> desk.state().upgradesOf("ruff").size() == before + 1, "nothing is unpacked");
        Upgrade got = desk.state().upgradesOf("ruff").get(before);
        goTo(got.id(), Station.SHAPE);
        waitForPicture();
        assertEquals(word("known.mount"), "Look", "the readings of the other machine are not its own");
        Files.writeString(file, "{\"format\": [1, 2");
        onFx(() -> {
            new Packing(desk).read(file, Optional.empty());
            return null;
        });
        waitFor(() -> !text("notice-text").contains("readings of"), "nothing is said");
        assertFalse(text("notice-text").isBlank());
        click("undo");
        assertEquals(desk.state().upgradesOf("ruff").size(), before);
    }
}
