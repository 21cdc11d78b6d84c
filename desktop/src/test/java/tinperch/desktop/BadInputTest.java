package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import javafx.scene.input.KeyCode;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.part.family.FilterHousing;
import tinperch.desktop.desk.Station;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.workshop.WorkshopState;

/** Bad input in the real window: a sentence beside the field, the last good state stays. */
public class BadInputTest extends WindowTest {
    private static final String BLOWER = "avocet-blower";

    @DataProvider
    public Object[][] refused() {
        return new Object[][] {
            {"field-plate.thickness", "thick", "is not a number"},
            {"field-plate.thickness", "-4", "goes from 1 mm to 60 mm"},
            {"field-plate.thickness", "99999", "goes from 1 mm to 60 mm"},
            {"field-plate.thickness", "", "Type a number"},
            {"field-plate.width", "40", "beyond the plate's edge"},
        };
    }

    @Test(dataProvider = "refused")
    public void aRefusedValueIsExplainedBesideItsField(String field, String typed, String words) throws Exception {
        goTo(BLOWER, Station.SHAPE);
        waitForPicture();
        WorkshopState before = desk.state();
        Object picture = desk.drawingProperty().get();
        type(field, typed);
        assertTrue(complaint(field).contains(words), complaint(field));
        assertSame(desk.state(), before);
        assertSame(desk.drawingProperty().get(), picture, "the last good part stays in view");
        robot.push(KeyCode.ESCAPE);
        assertEquals(complaint(field), "");
        assertTrue(text(field).endsWith(" mm"), text(field));
    }

    @Test
    public void readingsThatCannotBeAreLeftOut() throws Exception {
        goTo(BLOWER, Station.MEASURE);
        WorkshopState before = desk.state();
        type("reading-BD.outside", "abc");
        assertTrue(text("reading-BD.outside-complaint").contains("is not a number"));
        type("reading-BD.outside", "-3");
        assertTrue(text("reading-BD.outside-complaint").contains("larger than zero"));
        type("reading-AB.outside", "12");
        assertTrue(text("reading-AB.outside-complaint").contains("Outside must be longer"));
        assertSame(desk.state(), before);
        type("reading-BD.outside", "56.6");
        assertEquals(find("reading-BD.outside-complaint"), null, "a good reading takes the complaint away");
        assertEquals(text("centre-BD"), "–", "one jaw alone says nothing");
    }

    @Test
    public void anEmptySetOfReadingsStopsThePartInWordsAndUndoBringsItBack() throws Exception {
        goTo(BLOWER, Station.MEASURE);
        onFx(() -> {
            desk.workshop().edit("clear", s -> s.with(s.machine("avocet").orElseThrow().withoutSheet("avocet-blower.tool")));
            return null;
        });
        QuickRobot.settle();
        assertEquals(word("part"), "Stop");
        goTo(BLOWER, Station.PRINT);
        press("export-stl");
        assertTrue(text("export-complaint").contains("no finished part"), text("export-complaint"));
        click("undo");
        waitForPicture();
        assertEquals(word("screw.mount"), "Stop");
    }

    @Test
    public void aFolderThatCannotBeWrittenToIsNamedAndAnotherCanBeChosen() throws Exception {
        goTo(BLOWER, Station.PRINT);
        waitForPicture();
        type("export-folder", "/proc/self");
        press("export-stl");
        waitFor(() -> !text("export-complaint").isEmpty(), "nothing is said");
        assertTrue(text("export-complaint").contains("was not written"), text("export-complaint"));
        assertTrue(text("export-complaint").contains("safe"), text("export-complaint"));
        type("export-folder", folder.resolve("nowhere").toString());
        press("export-3mf");
        waitFor(() -> text("export-complaint").contains("is not there"), "the folder is not missed");
        type("export-folder", folder.toString());
        press("export-3mf");
        waitFor(() -> find("notice-text") != null, "nothing is written");
        assertEquals(text("export-complaint"), "");
        assertTrue(text("notice-text").startsWith("Written: "), text("notice-text"));
    }

    @Test
    public void aRevisionIsNotKeptWithoutAReason() throws Exception {
        goTo(BLOWER, Station.PRINT);
        press("keep");
        assertTrue(text("reason-complaint").contains("Give the reason"), text("reason-complaint"));
        assertEquals(desk.state().revisionsOf(BLOWER).size(), 4);
    }

    @Test
    public void aDamagedFileOpensReadOnlyWithAnExplanation() throws Exception {
        close();
        byte[] junk = Files.readAllBytes(folder.resolve("workshop.db"));
        java.util.Arrays.fill(junk, 9000, 30_000, (byte) 7);
        for (String end : new String[] {"-wal", "-shm"}) {
            Files.deleteIfExists(folder.resolve("workshop.db" + end));
        }
        Files.write(folder.resolve("workshop.db"), junk);
        open();
        assertTrue(text("notice-text").contains("has not been changed"), text("notice-text"));
        robot.push(KeyCode.CONTROL, KeyCode.M);
        assertEquals(Files.readAllBytes(folder.resolve("workshop.db")), junk);
        click("notice-away");
        assertEquals(find("notice-text"), null);
    }

    @Test
    public void noNamesAreLost() throws Exception {
        goTo(BLOWER, Station.TROUBLE);
        type("upgrade-name", "  ");
        assertTrue(complaint("upgrade-name").contains("needs a name"));
        type("upgrade-name", "Blower carriage, second try");
        assertEquals(upgrade(BLOWER).name(), "Blower carriage, second try");
        type("baseline-value", "1,9 mm");
        assertEquals(upgrade(BLOWER).trouble().amount().orElseThrow(), new tinperch.quantity.Amount(1.9, "mm"));
        assertTrue(text("state-trouble").contains("1.9 mm"));
        type("baseline-value", "a lot");
        assertTrue(complaint("baseline-value").contains("is no number"), complaint("baseline-value"));
        assertEquals(upgrade(BLOWER).trouble().baselineValue(), "1.9 mm");
        goTo(BLOWER, Station.SHAPE);
        type("part-name", "");
        assertTrue(complaint("part-name").contains("needs a name"));
        type("part-name", "Carriage <2> \"new\"");
        assertEquals(part(BLOWER).name(), "Carriage <2> \"new\"");
    }

    @Test
    public void typingInAFieldKeepsCtrlZToItself() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        type("field-plate.thickness", "9");
        onFx(() -> {
            ((javafx.scene.control.TextField) find("field-plate.width")).requestFocus();
            return null;
        });
        robot.write("1");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertEquals(ToolCarriagePlate.THICKNESS.of(part(BLOWER).values()), 9.0);
        robot.push(KeyCode.ESCAPE);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertEquals(ToolCarriagePlate.THICKNESS.of(part(BLOWER).values()), 8.0);
        assertFalse(desk.workshop().redoLabel().isEmpty());
    }

    /** Two demands that conflict: the sentence, the last good shape greyed, either of the two may give way. */
    @Test
    public void ofTwoDemandsThatConflictEitherMayGiveWay() throws Exception {
        goTo("curlew-filter", Station.SHAPE);
        waitForPicture();
        double was = FilterHousing.INLET.of(part("curlew-filter").values());
        type("field-box.inlet", "84");
        waitFor(() -> find("way-back") != null, "no ways out");
        assertTrue(text("ways-out-why").contains("wider than the plenum"), text("ways-out-why"));
        assertTrue(find("fitting-sheet").getOpacity() < 0.5, "the last good shape is greyed");
        assertEquals(FilterHousing.INLET.of(part("curlew-filter").values()), was, "nothing changed");
        click("way-1");
        waitFor(() -> FilterHousing.INLET.of(part("curlew-filter").values()) == 84, "it was not taken");
        assertTrue(FilterHousing.LEDGE.of(part("curlew-filter").values()) < FilterHousing.LEDGE.start(), "the ledge gave way");
        waitFor(() -> find("way-back") == null && find("fitting-sheet").getOpacity() == 1, "the bar stays");
        click("undo");
        assertEquals(FilterHousing.INLET.of(part("curlew-filter").values()), was, "one step");
        waitForPicture();
        type("field-box.inlet", "84");
        waitFor(() -> find("way-back") != null, "no ways out");
        click("way-back");
        waitFor(() -> find("fitting-sheet").getOpacity() == 1, "it stays grey");
        assertEquals(text("field-box.inlet"), FilterHousing.INLET.words(was), "the field shows what holds");
        assertEquals(FilterHousing.INLET.of(part("curlew-filter").values()), was);
    }
}
