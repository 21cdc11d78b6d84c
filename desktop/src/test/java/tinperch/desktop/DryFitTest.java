package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.solid.Vec3;
import tinperch.trial.Channel;
import tinperch.trial.SpotAt;

/** The part among its neighbours: tight places are gone to, the heat is read off, findings are lived with. */
public class DryFitTest extends WindowTest {
    private static final String BLOWER = "avocet-blower";

    private void post() throws Exception {
        onFx(() -> {
            desk.workshop().edit("a post", s -> {
                Machine m = s.machine("avocet").orElseThrow();
                // Beside the travel of x, a millimetre before the heads of the plate's screws.
                return s.with(m.withSurroundings(m.surroundings().with(new Neighbour("post", "post", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(140, 113, 40), new Vec3(10, 10, 60), "z", 0, 0))));
            });
            return null;
        });
    }

    private Finding finding(String id) {
        return desk.assessmentProperty().get().findings().stream().filter(f -> f.id().startsWith(id)).findFirst().orElseThrow();
    }

    @Test
    public void whereItIsTightTheMachineIsMovedTo() throws Exception {
        post();
        goTo(BLOWER, Station.DRY_FIT);
        waitFor(() -> find("fit-way-post-part") != null, "the post is not found on the way");
        waitFor(() -> desk.settledProperty().get(), "not judged");
        Finding f = finding("motion.post.part");
        assertTrue(f.what().contains("post"), f.what());
        press("fit-way-post-part");
        double x = f.pose().get("x");
        assertEquals(text("position-x"), tinperch.quantity.Quantity.mm(Math.round(x * 10) / 10.0));
        waitFor(() -> text("in-place-gap").contains("post"), text("in-place-gap"));
        press("pose-home");
        assertEquals(text("position-x"), "0 mm");
        // From anywhere, by the button of the margin itself.
        goTo(BLOWER, Station.SHAPE);
        press("show-" + f.id());
        waitFor(() -> text("position-x").equals(tinperch.quantity.Quantity.mm(Math.round(x * 10) / 10.0)), "the axes stand elsewhere: " + text("position-x"));
        press("pose-play");
        waitFor(() -> text("position-x").equals("0 mm"), "the way home is played");
    }

    @Test
    public void theWayOfTheAirIsDrawnForAPartThatLeadsSome() throws Exception {
        goTo(BLOWER, Station.DRY_FIT);
        waitFor(() -> desk.settledProperty().get() && !desk.assessmentProperty().get().findings().isEmpty(), "not judged");
        assertTrue(!need("fit-air").isVisible(), "a plate leads no air");
        goTo("turnstone-duct", Station.SHAPE);
        waitFor(() -> desk.settledProperty().get() && !desk.assessmentProperty().get().findings().isEmpty(), "not judged");
        press("show-" + finding("air.").id());
        waitFor(() -> ((ToggleButton) find("fit-air")).isSelected(), "it leads to the way of the air");
        waitFor(() -> said((javafx.scene.Parent) find("fit-streams")).contains(finding("air.").what()), "nothing is said of it");
        javafx.scene.image.ImageView picture = onFx(() -> (javafx.scene.image.ImageView) ((javafx.scene.Parent) tinperch.desktop.look.Ui.find(need("in-place-view"), "turntable")).getChildrenUnmodifiable().get(0));
        waitFor(() -> accents(picture.getImage()) > 100, "no arrow is seen");
        onFx(() -> {
            ((ToggleButton) find("fit-clearance")).fire();
            return null;
        });
        waitFor(() -> accents(picture.getImage()) < 100, "the arrow stayed");
    }

    private static String said(javafx.scene.Parent in) {
        StringBuilder all = new StringBuilder();
        for (Node n : in.getChildrenUnmodifiable()) {
            all.append(n instanceof javafx.scene.control.Labeled l ? l.getText() : n instanceof javafx.scene.Parent p ? said(p) : "").append('\n');
        }
        return all.toString();
    }

    /** Pixels far greener than red: nothing else on the turntable is. */
    private static int accents(javafx.scene.image.Image image) {
        int count = 0;
        for (int y = 0; image != null && y < image.getHeight(); y += 2) {
            for (int x = 0; x < image.getWidth(); x += 2) {
                int argb = image.getPixelReader().getArgb(x, y);
                count += (argb >>> 24) > 200 && (argb >> 8 & 255) > (argb >> 16 & 255) + 40 ? 1 : 0;
            }
        }
        return count;
    }

    @Test
    public void whatTheOldPartHeldIsAskedForUntilItIsAnswered() throws Exception {
        click("machine-avocet");
        need("site-name");
        String id = desk.state().machine("avocet").orElseThrow().surroundings().sites().stream().filter(s -> s.name().equals("carriage front")).findFirst().orElseThrow().id();
        onFx(() -> {
            ((javafx.scene.control.Button) need("site-" + id)).fire();
            return null;
        });
        type("site-also-held", "probe cable, shield");
        goTo(BLOWER, Station.SHAPE);
        waitFor(() -> desk.settledProperty().get() && !desk.assessmentProperty().get().findings().isEmpty(), "not judged");
        assertEquals(word("loose.probe cable"), "Look");
        assertEquals(word("loose.shield"), "Look");
        press("accept-loose.shield");
        robot.write("screwed to the arm");
        robot.push(KeyCode.ENTER);
        waitFor(() -> text("tray-count").contains("1 accepted"), text("tray-count"));
    }

    @Test
    public void howWarmItGetsIsReadAndASpotPointedAt() throws Exception {
        goTo(BLOWER, Station.DRY_FIT);
        onFx(() -> {
            ((ToggleButton) find("fit-heat")).fire();
            return null;
        });
        waitFor(() -> text("fit-touched").startsWith("Click a place"), text("fit-touched"));
        waitFor(() -> text("fit-estimate").contains("beside hot block"), text("fit-estimate"));
        assertTrue(need("spot-put").isDisabled(), "no place was clicked on yet");
        Node table = tinperch.desktop.look.Ui.find(need("in-place-view"), "turntable");
        QuickRobot.settle();
        Bounds b = onFx(() -> table.localToScreen(table.getBoundsInLocal()));
        robot.clickOn(b.getCenterX(), b.getCenterY() + 8);
        waitFor(() -> text("fit-touched").startsWith("About"), text("fit-touched"));
        press("spot-put");
        Channel c = desk.state().machine("avocet").orElseThrow().run("demo-carriage").orElseThrow().first(Channel.Kind.SPOT).orElseThrow();
        SpotAt spot = c.spot().orElseThrow();
        assertEquals(spot.pieceId(), "part");
        assertTrue(spot.gapMm() > 5 && spot.gapMm() < 40, spot.toString());
        click("undo");
        assertTrue(desk.state().machine("avocet").orElseThrow().run("demo-carriage").orElseThrow().first(Channel.Kind.SPOT).orElseThrow().spot().isEmpty());
    }

    /** A hand's push on the plate: said where one clicks, judged, taken away again. */
    @Test
    public void whatItBearsIsSaidWithAClick() throws Exception {
        // The demo's carriage bears its blower.
        onFx(() -> desk.edits().make(BLOWER, part(BLOWER).withoutLoad("blower"), "bears nothing"));
        goTo(BLOWER, Station.SHAPE);
        waitFor(() -> desk.settledProperty().get() && find("settle-strength") != null, "it is asked what it bears");
        press("settle-strength");
        waitFor(() -> find("load-put") != null && ((ToggleButton) find("fit-load")).isSelected(), "the way leads to the load");
        assertTrue(need("load-put").isDisabled(), "no place yet");
        Node table = tinperch.desktop.look.Ui.find(need("in-place-view"), "turntable");
        QuickRobot.settle();
        // In the middle is the opening for the air.
        Bounds b = onFx(() -> table.localToScreen(table.getBoundsInLocal()));
        // It is drawn a moment after it is looked at.
        for (int click = 1; click < 41 && need("load-put").isDisabled(); click++) {
            robot.clickOn(b.getCenterX(), b.getCenterY() + (click % 2 == 0 ? 26 : -26) * (1 + click % 6));
            Thread.sleep(100);
        }
        assertTrue(text("load-said").startsWith("On the plate at "), text("load-said"));
        choose("load-usual", "a hand that leans on it");
        assertEquals(((javafx.scene.control.TextField) need("load-name")).getText(), "a hand that leans on it", "it begins with what such parts usually bear");
        assertTrue(((javafx.scene.control.TextField) need("load-newton")).getText().endsWith(" N"));
        type("load-newton", "nothing");
        assertTrue(text("load-complaint").contains("nothing"), text("load-complaint"));
        type("load-newton", "4 kg");
        waitFor(() -> desk.part().orElseThrow().loads().size() == 1, text("load-complaint"));
        assertEquals(desk.part().orElseThrow().loads().get(0).forceN().length(), 4 * 9.80665, 1e-6, "a spring scale's kilograms are taken as force");
        waitFor(() -> desk.settledProperty().get() && desk.assessmentProperty().get().findings().stream().anyMatch(f -> f.id().startsWith("strength.load-")), "it is judged");
        waitFor(() -> text("load-shown").contains("the weakest"), "what its sections bear is drawn on it");
        press("load-away-" + desk.part().orElseThrow().loads().get(0).id());
        assertEquals(desk.part().orElseThrow().loads().size(), 0);
        click("undo");
        assertEquals(desk.part().orElseThrow().loads().size(), 1);
    }

    /** The demo's carriage is stopped by its screws and by its printer: both at once, as one step that can be undone. */
    @Test
    public void settlingProposesAndIsOneEdit() throws Exception {
        goTo(BLOWER, Station.DRY_FIT);
        waitFor(() -> desk.settledProperty().get() && desk.assessmentProperty().get().count(tinperch.check.Severity.STOP) == 2, "two stops");
        tinperch.upgrade.Upgrade before = upgrade(BLOWER);
        press("settle-all");
        waitFor(() -> text("settle-said").contains("then nothing stops"), text("settle-said"));
        assertTrue(text("settle-said").startsWith("1. "), text("settle-said"));
        assertEquals(upgrade(BLOWER), before, "it is only proposed");
        press("settle-make");
        waitFor(() -> desk.settledProperty().get() && desk.assessmentProperty().get().count(tinperch.check.Severity.STOP) == 0, "nothing stops");
        click("undo");
        assertEquals(upgrade(BLOWER), before, "one step");
    }

    @Test
    public void aFindingIsLivedWithUntilItGetsWorse() throws Exception {
        goTo(BLOWER, Station.SHAPE);
        waitFor(() -> desk.settledProperty().get() && !desk.assessmentProperty().get().findings().isEmpty(), "not judged");
        Finding f = finding("screw.mount");
        press("accept-" + f.id());
        robot.write("spare screws are cut");
        robot.push(KeyCode.ENTER);
        waitFor(() -> text("tray-count").contains("1 accepted"), text("tray-count"));
        assertEquals(finding("screw.mount").accepted(), "spare screws are cut");
        close();
        open();
        goTo(BLOWER, Station.SHAPE);
        waitFor(() -> text("tray-count").contains("1 accepted"), "it is kept: " + text("tray-count"));
        type("field-plate.thickness", "8.4");
        waitFor(() -> desk.settledProperty().get() && finding("screw.mount").accepted().isEmpty(), "0.4 mm worse it comes up again");
        click("undo");
        waitFor(() -> text("tray-count").contains("1 accepted"), text("tray-count"));
        press("reopen-" + f.id());
        waitFor(() -> desk.settledProperty().get() && !text("tray-count").contains("accepted"), text("tray-count"));
    }

    /** A brace on a frame nobody pushed: its question leads to where pushes are read. */
    @Test
    public void whatABraceDoesAsksForAPush() throws Exception {
        onFx(() -> {
            Machine m = desk.state().machine("avocet").orElseThrow();
            for (var sheet : m.sheets().stream().filter(x -> x.kind().equals("push")).toList()) {
                desk.workshop().edit("forget a push", w -> w.with(w.machine("avocet").orElseThrow().withoutSheet(sheet.id())));
            }
            return null;
        });
        goTo("avocet-braces", Station.SHAPE);
        waitFor(() -> desk.settledProperty().get() && find("settle-sway.0") != null, "it is asked for a push");
        press("settle-sway.0");
        waitFor(() -> desk.page() == Page.READINGS && find("readings") != null, "the machine's readings");
    }
}
