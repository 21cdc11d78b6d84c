package tinperch.desktop.sheet;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.part.form.Dimension.View;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** Where the three views stand on the sheet. */
public class SheetScaleTest {
    private static final Bounds PART = new Bounds(new Vec3(-40, -32, 0), new Vec3(42, 32, 15));

    @Test
    public void pointsAreFoundAgainFromWhereTheyAreDrawn() {
        SheetScale s = SheetScale.of(PART, 760, 400);
        Random r = new Random(4);
        for (int n = 0; n < 200; n++) {
            Vec3 p = new Vec3(-40 + 82 * r.nextDouble(), -32 + 64 * r.nextDouble(), 15 * r.nextDouble());
            for (View v : View.values()) {
                double[] px = s.inView(v, p);
                assertEquals(s.point(v, px[0], px[1], p).distanceTo(p), 0, 1e-9);
                assertEquals(s.viewAt(px[0], px[1], PART), Optional.of(v), "views do not lie over one another");
            }
        }
    }

    @Test
    public void viewsStandInLineAndFitTheSheet() {
        for (double w : new double[] {300, 582, 762, 1400}) {
            for (double h : new double[] {200, 300, 400, 900}) {
                SheetScale s = SheetScale.of(PART, w, h);
                Vec3 p = new Vec3(3, 5, 7);
                assertEquals(s.inView(View.TOP, p)[0], s.inView(View.FRONT, p)[0], 1e-9, "the front stands below the plan");
                assertEquals(s.inView(View.FRONT, p)[1], s.inView(View.SIDE, p)[1], 1e-9, "the side stands beside the front");
                if (s.pxPerMm() > 0.2) {
                    assertTrue(s.inView(View.SIDE, PART.max())[0] <= w && s.inView(View.FRONT, PART.min())[1] <= h, w + " × " + h);
                }
            }
        }
        assertTrue(SheetScale.of(PART, 762, 400).viewAt(5, 5, PART).isEmpty(), "beside the views");
    }

    @Test
    public void aFaceIsShownInTheViewThatSeesItSquarely() {
        assertEquals(SheetScale.facing(Vec3.Z.times(-1)), Optional.of(View.TOP));
        assertEquals(SheetScale.facing(Vec3.Y), Optional.of(View.FRONT));
        assertEquals(SheetScale.facing(Vec3.X), Optional.of(View.SIDE));
        assertEquals(SheetScale.facing(new Vec3(1, 1, 0).unit()), Optional.empty());
        for (View v : View.values()) {
            assertEquals(SheetScale.axes(v)[0].dot(SheetScale.axes(v)[1]), 0, 1e-12);
        }
    }
}
