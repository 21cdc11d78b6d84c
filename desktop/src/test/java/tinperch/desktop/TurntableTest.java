package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.image.ImageView;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Station;
import tinperch.desktop.sheet.Turntable;

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

    private static void assertInside(Node view, Turntable t) {
        Bounds b = view.getBoundsInParent();
        assertTrue(!view.isVisible() || b.getMinX() >= -1 && b.getMinY() >= -1 && b.getMaxX() <= t.getWidth() + 1 && b.getMaxY() <= t.getHeight() + 1, b + " in " + t.getWidth() + " × " + t.getHeight());
    }
}
