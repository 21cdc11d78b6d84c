package tinperch.heat;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** View factors against closed forms and against dice. */
public class ViewFactorTest {
    /** Aligned parallel rectangles a × b at a distance (closed form in any handbook of heat transfer; Incropera, table 13.2, value from memory). */
    private static double parallel(double a, double b, double apart) {
        double x = a / apart;
        double y = b / apart;
        double x1 = 1 + x * x;
        double y1 = 1 + y * y;
        return 2 / (Math.PI * x * y) * (Math.log(Math.sqrt(x1 * y1 / (x1 + y * y))) + x * Math.sqrt(y1) * Math.atan(x / Math.sqrt(y1)) + y * Math.sqrt(x1) * Math.atan(y / Math.sqrt(x1)) - x * Math.atan(x) - y * Math.atan(y));
    }

    private static double summed(double a, double b, double apart) {
        List<Vec3> other = List.of(new Vec3(0, 0, apart), new Vec3(a, 0, apart), new Vec3(a, b, apart), new Vec3(0, b, apart));
        double sum = 0;
        int n = 60;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                sum += ViewFactor.of(new Vec3((i + 0.5) * a / n, (j + 0.5) * b / n, 0), Vec3.Z, other);
            }
        }
        return sum / n / n;
    }

    /** A unit cube's opposite faces see 0.1998 of each other (published in every table of view factors, value from memory). */
    @Test
    public void parallelRectanglesAgreeWithTheClosedForm() {
        assertEquals(parallel(1, 1, 1), 0.1998, 5e-5);
        assertEquals(summed(1, 1, 1), 0.1998, 1e-4);
        for (double[] k : new double[][] {{1, 2, 1}, {4, 1, 2}, {0.5, 0.5, 1}, {10, 10, 1}}) {
            assertEquals(summed(k[0], k[1], k[2]), parallel(k[0], k[1], k[2]), 2e-3);
        }
    }

    /** A patch before a wide wall sees nothing else; one edge on sees half of it; one that looks away none. */
    @Test
    public void wallsAreSeenByHalves() {
        Bounds wall = new Bounds(new Vec3(-1e5, -1e5, 1), new Vec3(1e5, 1e5, 2));
        assertEquals(ViewFactor.ofBox(Vec3.ZERO, Vec3.Z, wall), 1, 1e-3);
        assertEquals(ViewFactor.ofBox(Vec3.ZERO, Vec3.X, wall), 0.5, 1e-3);
        assertEquals(ViewFactor.ofBox(Vec3.ZERO, Vec3.Z.times(-1), wall), 0, 1e-9);
        Vec3 leaning = new Vec3(1, 0, 1).unit();
        assertEquals(ViewFactor.ofBox(Vec3.ZERO, leaning, wall), (1 + Math.cos(Math.PI / 4)) / 2, 1e-3);
    }

    /** Against rays thrown by the cosine. */
    @Test
    public void boxesAnywhereAgreeWithDice() {
        Random dice = new Random(8);
        for (int k = 0; k < 12; k++) {
            Vec3 lo = new Vec3(dice.nextDouble() * 4 - 2, dice.nextDouble() * 4 - 2, dice.nextDouble() * 3 - 1);
            Bounds box = new Bounds(lo, lo.plus(new Vec3(0.5 + dice.nextDouble(), 0.5 + dice.nextDouble(), 0.5 + dice.nextDouble())));
            if (box.min().x() < 0.1 && box.max().x() > -0.1 && box.min().y() < 0.1 && box.max().y() > -0.1 && box.min().z() < 0.1 && box.max().z() > -0.1) {
                continue;
            }
            int hits = 0;
            int n = 60_000;
            for (int i = 0; i < n; i++) {
                double u = dice.nextDouble();
                double a = 2 * Math.PI * dice.nextDouble();
                Vec3 d = new Vec3(Math.sqrt(u) * Math.cos(a), Math.sqrt(u) * Math.sin(a), Math.sqrt(1 - u));
                hits += meets(box, d) ? 1 : 0;
            }
            assertEquals(ViewFactor.ofBox(Vec3.ZERO, Vec3.Z, box), hits / (double) n, 0.008, box.toString());
        }
    }

    private static boolean meets(Bounds b, Vec3 d) {
        double lo = 0;
        double hi = 1e9;
        double[][] k = {{b.min().x(), b.max().x(), d.x()}, {b.min().y(), b.max().y(), d.y()}, {b.min().z(), b.max().z(), d.z()}};
        for (double[] a : k) {
            lo = Math.max(lo, Math.min(a[0] / a[2], a[1] / a[2]));
            hi = Math.min(hi, Math.max(a[0] / a[2], a[1] / a[2]));
        }
        return lo <= hi;
    }
}
