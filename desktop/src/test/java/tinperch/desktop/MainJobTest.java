package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import org.testfx.util.WaitForAsyncUtils;
import org.testng.annotations.Test;
import tinperch.check.Severity;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.solid.Mesh;
import tinperch.upgrade.Revision;
import tinperch.workshop.store.WorkshopStore;

/** The whole job in the real window: readings → wall → remedy → undo → keep → export → reopen. */
public class MainJobTest extends WindowTest {
    private static final String BLOWER = "avocet-blower";

    @Test
    public void fromReadingsToAKeptRevisionAndBack() throws Exception {
        click("machine-avocet");
        click("upgrade-" + BLOWER);
        need("state-shape");
        waitFor(() -> ((javafx.scene.control.Label) find("state-shape")).getText().contains("2 stops"), "the demo's plate is stopped twice");

        // Measure: the missing diagonal, three readings a jaw, typed with Enter.
        robot.push(KeyCode.F2);
        need("reading-BD.outside");
        for (String r : List.of("56.60", "56,62", "56.61 mm")) {
            type("reading-BD.outside", r);
        }
        for (String r : List.of("50.04", "50.05", "50.03")) {
            type("reading-BD.inside", r);
        }
        // (56.61 + 50.04)/2 = 53.325, shown to hundredths with its interval; hole (56.61 − 50.04)/2 = 3.285.
        assertTrue(text("centre-BD").matches("53\\.3[23] ± 0\\.0\\d"), text("centre-BD"));
        assertTrue(text("hole-BD").matches("3\\.2[89]"), text("hole-BD"));
        assertEquals(pattern("avocet", "avocet-blower.mount").pairsMeasured(), 6);

        // Shape: another wall, and the part follows.
        robot.push(KeyCode.F3);
        waitForPicture();
        double before = desk.drawingProperty().get().mesh().volumeMm3();
        type("field-plate.thickness", "9");
        waitForPicture();
        assertTrue(desk.drawingProperty().get().mesh().volumeMm3() > before + 3000);
        assertEquals(text("dimension-plate.thickness"), "9");
        assertEquals(word("screw.mount"), "Stop");

        // A remedy, one step; undo brings the Stop back; do it again.
        click("remedy-screw.mount-0");
        assertEquals(word("screw.mount"), "Fine");
        assertEquals(ToolCarriagePlate.MOUNT.length.of(part(BLOWER).values()), 20.0);
        click("undo");
        assertEquals(word("screw.mount"), "Stop");
        click("redo");
        assertEquals(word("screw.mount"), "Fine");
        press("remedy-bed-0");
        assertEquals(upgrade(BLOWER).hostMachineId(), "curlew");
        waitFor(() -> !text("state-shape").contains("stop"), "the remedy leaves a stop");

        // Keep and export.
        robot.push(KeyCode.F5);
        waitForPicture();
        type("export-folder", folder.toString());
        press("export-stl");
        waitFor(() -> text("notice-text").endsWith("R5.stl"), "no STL is written");
        press("export-3mf");
        waitFor(() -> text("notice-text").endsWith("R5.3mf"), "no 3MF is written");
        Path stl = folder.resolve("Blower carriage plate R5.stl");
        Path mf = folder.resolve("Blower carriage plate R5.3mf");
        assertTrue(Files.exists(stl) && Files.exists(mf), text("notice-text"));
        Mesh written = StlFile.read(new ByteArrayInputStream(Files.readAllBytes(stl)));
        assertEquals(written.openEdges(), 0);
        assertEquals(written.volumeMm3(), desk.drawingProperty().get().mesh().volumeMm3(), 0.5);
        assertEquals(ThreeMfFile.read(Files.newInputStream(mf)).objectName(), "Blower carriage plate R5");
        assertTrue(desk.drawingProperty().get().mesh().faces().stream().anyMatch(f -> f.feature().startsWith("mark")));
        type("reason", "Longer screws for the new spacers");
        waitFor(() -> desk.state().revisionsOf(BLOWER).size() == 5, "nothing is kept");
        assertEquals(text("keep"), "Keep R6");

        // Close, open: all is there.
        close();
        open();
        Revision last = desk.state().revisionsOf(BLOWER).get(4);
        assertEquals(last.mark(), "R5");
        assertEquals(last.reason(), "Longer screws for the new spacers");
        assertEquals(ToolCarriagePlate.THICKNESS.of(last.part().values()), 9.0);
        assertTrue(last.recipe().orElseThrow().refs().byRole().get("mount").known().isMeasured(), "what it was made from is kept with it");
        assertEquals(last.pieces().size(), 1, "and the mesh");
        goTo(BLOWER, Station.VERDICT);
        need("rung-p1-5");
        assertTrue(text("state-verdict").startsWith("5 kept"), text("state-verdict"));
    }

    @Test
    public void aDimensionIsEditedWhereItStands() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        waitForPicture();
        click("dimension-plate.width");
        robot.write("90").push(KeyCode.ENTER);
        assertEquals(ToolCarriagePlate.WIDTH.of(part(BLOWER).values()), 90.0);
        waitForPicture();
        assertEquals(text("dimension-plate.width"), "90");
        assertEquals(text("field-plate.width"), "90 mm");
        // Nonsense is answered on the spot and the field stays open; Escape leaves.
        click("dimension-plate.width");
        robot.write("wide").push(KeyCode.ENTER);
        assertEquals(ToolCarriagePlate.WIDTH.of(part(BLOWER).values()), 90.0);
        need("dimension-field-plate.width");
        robot.push(KeyCode.ESCAPE);
        need("dimension-plate.width");
    }

    @Test
    public void hoveringARemedyShowsWhatItWouldDoAndChangesNothing() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        robot.moveTo(need("remedy-screw.mount-0"));
        waitFor(() -> desk.previewProperty().get() != null, "no preview");
        assertTrue(desk.previewProperty().get().findings().stream().anyMatch(f -> f.id().equals("screw.mount")
                && f.severity() == Severity.FINE));
        assertEquals(ToolCarriagePlate.MOUNT.length.of(part(BLOWER).values()), 16.0);
        robot.moveTo(need("tray-count"));
        waitFor(() -> desk.previewProperty().get() == null, "the preview stayed");
        assertTrue(desk.workshop().undoLabel().isEmpty());
    }

    @Test
    public void aRemedyPressedWhileItIsTriedAgainIsDoneOnceItHasBeen() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        javafx.scene.control.Button remedy = (javafx.scene.control.Button) need("remedy-screw.mount-0");
        WaitForAsyncUtils.waitForAsyncFx(4000, () -> {
            desk.edits().set(BLOWER, "p1", ToolCarriagePlate.WIDTH, "93");
            assertFalse(desk.settledProperty().get());
            remedy.fire();
            return null;
        });
        waitFor(() -> ToolCarriagePlate.MOUNT.length.of(part(BLOWER).values()) == 20.0, "the press was lost");
        assertEquals(ToolCarriagePlate.WIDTH.of(part(BLOWER).values()), 93.0);
        assertEquals(word("screw.mount"), "Fine");
    }

    @Test
    public void everyActionIsFoundByName() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        robot.push(KeyCode.CONTROL, KeyCode.K);
        robot.write("verdict").push(KeyCode.ENTER);
        assertEquals(desk.place(), new Desk.Place.AtUpgrade(BLOWER, Station.VERDICT));
        boolean dark = desk.theme().palette().dark();
        robot.push(KeyCode.CONTROL, KeyCode.L);
        assertEquals(desk.theme().palette().dark(), !dark);
        close();
        open();
        assertEquals(desk.theme().palette().dark(), !dark, "the theme is remembered");
        robot.push(KeyCode.CONTROL, KeyCode.L);
    }

    @Test
    public void aRevisionsLifeIsWrittenDownAndItCanBeShapedOn() throws Exception {
        goTo(BLOWER, Station.VERDICT);
        click("rung-p1-3");
        type("life-hours", "160 h");
        assertEquals(desk.state().revisionsOf(BLOWER).get(2).life().hours(), 160.0);
        type("life-note", "Insert D pulled out, again");
        choose("life-end", "Replaced while sound");
        assertEquals(desk.state().revisionsOf(BLOWER).get(2).life().end(), Revision.End.REPLACED);
        press("shape-from");
        assertEquals(desk.place(), new Desk.Place.AtUpgrade(BLOWER, Station.SHAPE));
        assertEquals(ToolCarriagePlate.THICKNESS.of(part(BLOWER).values()), 6.0);
        click("undo");
        assertEquals(ToolCarriagePlate.THICKNESS.of(part(BLOWER).values()), 8.0);
    }

    @Test
    public void aFaceClickedOnTheTurntableLeadsToItsDimension() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        waitForPicture();
        javafx.geometry.Bounds b = need("turntable").localToScreen(need("turntable").getBoundsInLocal());
        String before = focused();
        // Somewhere on a diagonal through the middle there is the plate's face.
        for (double t = 0.35; t < 0.7 && focused().equals(before); t += 0.05) {
            robot.clickOn(b.getMinX() + t * b.getWidth(), b.getMinY() + t * b.getHeight());
        }
        assertFalse(desk.litProperty().get().isEmpty(), "no face was hit");
        // The camera looks down at the plate: the face in the middle is its upper one, and that is moved by the thickness.
        waitFor(() -> focused().equals("field-plate.thickness"), "no field has the focus: " + focused() + " " + desk.litProperty().get());
        robot.push(KeyCode.LEFT).push(KeyCode.UP);
        assertEquals(desk.workshop().undoLabel().isEmpty(), true, "looking changes nothing");
    }

    @Test
    public void theTurntableIsCutOpenByKeysAndShowsWhatIsHeld() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        waitForPicture();
        robot.clickOn(need("turntable"));
        onFx(() -> {
            need("turntable").requestFocus();
            return null;
        });
        robot.push(KeyCode.C);
        assertTrue(((javafx.scene.control.ToggleButton) need("cut-x")).isSelected());
        robot.push(KeyCode.C).push(KeyCode.C).push(KeyCode.C);
        for (String axis : List.of("x", "y", "z")) {
            assertFalse(((javafx.scene.control.ToggleButton) need("cut-" + axis)).isSelected());
        }
        assertEquals(desk.drawingProperty().get().held().size(), 2);
        assertTrue(desk.workshop().undoLabel().isEmpty(), "looking changes nothing");
    }

    @Test
    public void theScrewDrawerFeedsTheRemedies() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.D);
        type("drawer-M3", "6 8 16 18");
        assertEquals(desk.state().drawer().lengths("M3"), List.of(6d, 8d, 16d, 18d));
        goTo(BLOWER, Station.SHAPE);
        assertEquals(text("remedy-screw.mount-0"), "use M3×18");
        robot.push(KeyCode.CONTROL, KeyCode.D);
        type("drawer-M3", "6 eight");
        assertTrue(complaint("drawer-M3").contains("not a number"), complaint("drawer-M3"));
        assertEquals(desk.state().drawer().lengths("M3").size(), 4);
    }

    @Test
    public void theDemoFileIsAnOrdinaryWorkshop() throws Exception {
        close();
        try (WorkshopStore s = WorkshopStore.open(folder.resolve("workshop.db"))) {
            assertEquals(s.load().machines().size(), 4);
        }
        open();
    }
}
