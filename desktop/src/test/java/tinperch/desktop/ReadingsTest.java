package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.machine.Machine;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.measure.sheet.Sheet;

/** Reading sheets of every kind in the real window. */
public class ReadingsTest extends WindowTest {
    private Machine machine(String id) {
        return desk.state().machine(id).orElseThrow();
    }

    private void toggle(String id) throws Exception {
        ToggleButton b = (ToggleButton) need(id);
        onFx(() -> {
            b.fire();
            return null;
        });
        QuickRobot.settle();
    }

    @Test
    public void aFanIsChosenByPictureReadAndKept() throws Exception {
        click("machine-turnstone");
        int before = machine("turnstone").sheets().size();
        press("new-sheet");
        press("choose-fan");
        assertEquals(machine("turnstone").sheets().size(), before + 1);
        assertTrue(text("missing").contains("Still to read: Frame, Over the holes, Between the holes, Depth."), text("missing"));
        type("sheet-name", "blower from the shelf");
        for (String r : List.of("43.31", "43.28", "43.30")) {
            type("reading-outside", r);
        }
        type("reading-inside", "44");
        assertTrue(text("reading-inside-complaint").contains("must be smaller than over the holes"), text("reading-inside-complaint"));
        type("reading-inside", "36,7");
        type("reading-frame", "5 cm");
        type("reading-depth", "15.1");
        assertEquals(find("missing"), null);
        assertTrue(text("outcome-0").startsWith("40.00 ± 0.03"), text("outcome-0"));
        close();
        open();
        Sheet kept = machine("turnstone").sheets().get(before);
        assertEquals(kept.name(), "blower from the shelf");
        assertEquals(kept.at("outside").stream().map(Reading::value).toList(), List.of(43.31, 43.28, 43.3));
        assertEquals(kept.at("frame").get(0).value(), 50.0);
        assertFalse(kept.at("frame").get(0).instrument().isEmpty());
    }

    @Test
    public void aReadingIsCorrectedNotedLeftOutAndNothingIsLost() throws Exception {
        click("machine-avocet");
        toggle("sheet-avocet-fan");
        double first = machine("avocet").sheet("avocet-fan").orElseThrow().at("inside").get(0).value();
        press("chip-inside-0");
        type("chip-value", "36.72");
        Reading changed = machine("avocet").sheet("avocet-fan").orElseThrow().at("inside").get(0);
        assertEquals(changed.value(), 36.72);
        assertEquals(changed.earlier(), List.of(first), "the old value is kept");
        press("chip-inside-0");
        type("chip-note", "after cleaning the jaws");
        press("chip-inside-0");
        press("chip-out");
        Reading out = machine("avocet").sheet("avocet-fan").orElseThrow().at("inside").get(0);
        assertTrue(out.leftOut());
        assertEquals(out.note(), "after cleaning the jaws");
        assertEquals(text("chip-inside-0"), "× 36.72 *");
        press("chip-inside-0");
        type("chip-value", "soft");
        assertTrue(text("reading-inside-complaint").contains("is not a number"), text("reading-inside-complaint"));
        click("undo");
        assertFalse(machine("avocet").sheet("avocet-fan").orElseThrow().at("inside").get(0).leftOut());
        press("remove-sheet");
        assertTrue(machine("avocet").sheet("avocet-fan").isEmpty());
        click("undo");
        assertTrue(machine("avocet").sheet("avocet-fan").isPresent());
    }

    @Test
    public void leftAndRightAreLaidOverOneAnother() throws Exception {
        goTo("avocet-braces", Station.MEASURE);
        assertTrue(text("fit-text").contains("Laid over mirror of right upright, holes are off by A 2.9"), text("fit-text"));
        // The same readings on both sides: one side was copied.
        PatternSheet left = pattern("avocet", "avocet-braces.left");
        onFx(() -> {
            desk.workshop().edit("copy", s -> s.with(s.machine("avocet").orElseThrow().with(
                    s.machine("avocet").orElseThrow().sheet("avocet-braces.right").orElseThrow().with(new PatternSheet("right upright", left.readings())))));
            return null;
        });
        QuickRobot.settle();
        assertTrue(stage.getScene().getRoot().lookupAll(".look").stream().anyMatch(n ->
                ((javafx.scene.control.Label) n).getText().contains("measure the other side too")));
        choose("compare-with", "usual 40 mm fan");
        assertTrue(text("fit-text").contains("Laid over usual 40 mm fan"), text("fit-text"));
    }

    @Test
    public void aPatternMayBeReadFromCentreToCentre() throws Exception {
        goTo("curlew-door", Station.MEASURE);
        press("new-sheet");
        press("choose-holes");
        toggle("read-centres");
        type("reading-AB.centres", "82");
        type("reading-AD.centres", "60");
        assertEquals(text("centre-AB"), "–", "a pattern also needs the hole");
        type("reading-hole.across", "4.3");
        assertEquals(text("centre-AB"), "82.00 ± 0.03");
        assertEquals(text("hole-AD"), "4.30");
        assertEquals(machine("curlew").sheets().get(machine("curlew").sheets().size() - 1).pattern().pairsMeasured(), 2);
    }

    @Test
    public void simulatedCalipersTypeIntoTheCellWithTheFocus() throws Exception {
        goTo("avocet-blower", Station.VERDICT);
        robot.push(KeyCode.CONTROL, KeyCode.J);
        assertTrue(text("notice-text").contains("click into one"), text("notice-text"));
        goTo("avocet-blower", Station.MEASURE);
        int before = pattern("avocet", "avocet-blower.mount").at(tinperch.measure.HolePair.BC, tinperch.measure.Jaw.INSIDE).size();
        onFx(() -> {
            ((TextField) need("reading-BC.inside")).requestFocus();
            return null;
        });
        for (int i = 0; i < 3; i++) {
            robot.push(KeyCode.CONTROL, KeyCode.J);
        }
        QuickRobot.settle();
        List<Reading> now = pattern("avocet", "avocet-blower.mount").at(tinperch.measure.HolePair.BC, tinperch.measure.Jaw.INSIDE);
        assertEquals(now.size(), before + 3);
        assertEquals(now.get(before).value(), now.get(0).value(), 0.15);
    }

    @Test
    public void aNewMachineIsMeasuredFromNothing() throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.M);
        press("choose-square");
        type("reading-foot", "0.1");
        type("reading-top", "0.9");
        type("reading-height", "200");
        assertTrue(text("outcome-0").startsWith("0.23 ±"), text("outcome-0"));
        type("reading-height", "0");
        assertTrue(text("reading-height-complaint").contains("at least 10 mm"), text("reading-height-complaint"));
    }

    @Test
    public void whatItWasReadWithIsToldOnceAndRemembered() throws Exception {
        click("machine-avocet");
        toggle("sheet-avocet-fan");
        press("chip-inside-0");
        type("chip-instrument", "calipers, drawer 3");
        assertEquals(machine("avocet").sheet("avocet-fan").orElseThrow().at("inside").get(0).instrument(), "calipers, drawer 3");
        type("reading-depth", "15.08");
        List<Reading> depth = machine("avocet").sheet("avocet-fan").orElseThrow().at("depth");
        assertEquals(depth.get(depth.size() - 1).instrument(), "calipers, drawer 3", "the next is read with the same");
        close();
        open();
        click("machine-avocet");
        toggle("sheet-avocet-fan");
        type("reading-depth", "15.1");
        depth = machine("avocet").sheet("avocet-fan").orElseThrow().at("depth");
        assertEquals(depth.get(depth.size() - 1).instrument(), "calipers, drawer 3", "after a restart too");
        click("undo");
        assertEquals(machine("avocet").sheet("avocet-fan").orElseThrow().at("depth").size(), depth.size() - 1);
    }
}
