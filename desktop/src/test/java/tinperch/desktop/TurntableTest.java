package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.desktop.sheet.Turntable;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** The turntable's picture lies where the turntable is, whatever size it was painted for. */
public class TurntableTest extends WindowTest {
    @Test
    public void aPictureNeverLiesOutsideItsPlace() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        Turntable t = (Turntable) need("turntable");
        ImageView view = (ImageView) t.getChildrenUnmodifiable().stream().filter(ImageView.class::isInstance).findFirst().orElseThrow();
        onFx(() -> {
            double[][] sizes = {{400, 300}, {180, 120}, {400, 10}, {0, 0}, {350, 200}, {12, 300}, {500, 380}};
            for (double[] s : sizes) {
                t.resize(s[0], s[1]);
                t.layout();
                assertInside(view, t);
                // A picture that was on its way when the place changed.
                t.draw();
                assertInside(view, t);
            }
            assertTrue(view.isVisible());
            assertEquals(view.getBoundsInParent().getWidth(), 500, 1);
            return null;
        });
    }

    /** Who clicks while the picture of an edit is still being painted is told a face of what is there now. */
    @Test
    public void aClickIsOnWhatIsThereNow() throws Exception {
        goTo("avocet-blower", Station.SHAPE);
        waitForPicture();
        onFx(() -> {
            Mesh before = desk.drawingProperty().get().mesh();
            Mesh now = Mesh.gathered(List.of(before, before), List.of(Vec3.ZERO, Vec3.ZERO), List.of("was", "now"));
            List<String> told = new ArrayList<>();
            Turntable t = new Turntable(desk.theme(), "held", p -> told.add(p.feature()));
            t.resize(400, 300);
            t.show(Mesh.gathered(List.of(before), List.of(Vec3.ZERO), List.of("before")), List.of(), List.of(), before.bounds());
            int x = 100;
            for (click(t, x, 150); told.get(told.size() - 1).isEmpty() && x < 300; click(t, x, 150)) {
                x += 5;
            }
            assertEquals(told.get(told.size() - 1), "before");
            t.showSoon(now, List.of(), List.of(), before.bounds());
            click(t, x, 150);
            assertTrue(List.of("was", "now").contains(told.get(told.size() - 1)), told.toString());
            return null;
        });
    }

    private static void click(Node on, double x, double y) {
        for (EventType<MouseEvent> type : List.of(MouseEvent.MOUSE_PRESSED, MouseEvent.MOUSE_RELEASED)) {
            on.fireEvent(new MouseEvent(type, x, y, x, y, MouseButton.PRIMARY, 1, false, false, false, false, false, false, false, false, false, true, null));
        }
    }

    private static void assertInside(Node view, Turntable t) {
        Bounds b = view.getBoundsInParent();
        assertTrue(!view.isVisible() || b.getMinX() >= -1 && b.getMinY() >= -1 && b.getMaxX() <= t.getWidth() + 1 && b.getMaxY() <= t.getHeight() + 1, b + " in " + t.getWidth() + " × " + t.getHeight());
    }
}
