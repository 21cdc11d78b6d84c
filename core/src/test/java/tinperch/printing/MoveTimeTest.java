package tinperch.printing;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;

/** Times of moves against the trapezoid and against stepping through them. */
public class MoveTimeTest {
    /** s/v + v/a, or 2√(s/a) for one too short to reach its speed (the trapezoid of any textbook of kinematics). */
    @Test
    public void oneMoveIsATrapezoid() {
        assertEquals(MoveTime.trapezoidS(100, 50, 500), 100 / 50.0 + 50 / 500.0, 1e-12);
        assertEquals(MoveTime.trapezoidS(2, 50, 500), 2 * Math.sqrt(2 / 500.0), 1e-12);
        for (double mm : new double[] {0.3, 2, 5, 80}) {
            MoveTime t = new MoveTime(500);
            t.move(mm * 0.6, mm * 0.8, 0, 1, 50);
            assertEquals(t.seconds(), MoveTime.trapezoidS(mm, 50, 500), 1e-9);
        }
    }

    @Test
    public void aStraightLineInPiecesTakesAsLongAsWhole() {
        MoveTime t = new MoveTime(1000);
        for (int i = 0; i < 2000; i++) {
            t.move(0.1, 0, 0, 0.01, 80);
        }
        assertEquals(t.seconds(), MoveTime.trapezoidS(200, 80, 1000), 1e-6);
    }

    @Test
    public void backAndForthStopsAtEachEnd() {
        MoveTime t = new MoveTime(1000);
        for (int i = 0; i < 10; i++) {
            t.move(i % 2 == 0 ? 30 : -30, 0, 0, 1, 60);
        }
        t.dwell(3);
        t.move(0, 0, 0, -4, 40);
        assertEquals(t.seconds(), 10 * MoveTime.trapezoidS(30, 60, 1000) + 3 + MoveTime.trapezoidS(4, 40, 1000), 1e-9);
    }

    /** Whatever comes, no slower than stopping at every corner and no faster than never slowing down. */
    @Test
    public void anyWayLiesBetweenItsBounds() {
        Random dice = new Random(6);
        for (int k = 0; k < 60; k++) {
            MoveTime t = new MoveTime(800);
            double slow = 0;
            double fast = 0;
            for (int i = 0; i < 900; i++) {
                double a = dice.nextDouble() * 7;
                double mm = 0.05 + dice.nextDouble() * 20;
                double v = 20 + dice.nextDouble() * 100;
                t.move(mm * Math.cos(a), mm * Math.sin(a), 0, 0, v);
                slow += MoveTime.trapezoidS(mm, v, 800);
                fast += mm / v;
            }
            double s = t.seconds();
            assertTrue(s <= slow + 1e-9 && s >= fast, fast + " " + s + " " + slow);
        }
    }
}
