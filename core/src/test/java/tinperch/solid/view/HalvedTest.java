package tinperch.solid.view;

import static org.testng.Assert.assertEquals;

import java.util.Random;
import org.testng.annotations.Test;
import tinperch.solid.kernel.Hands;

/** Four pixels become their average, channel by channel, rounded to the nearest. */
public class HalvedTest {
    @Test
    public void everyChannelIsTheAverageOfFour() {
        Random r = new Random(5);
        int w = 14;
        int h = 10;
        int[] from = r.ints(w * h).toArray();
        from[0] = 0xFFFFFFFF;
        from[1] = 0xFFFFFFFF;
        from[w] = 0xFFFFFFFF;
        from[w + 1] = 0xFFFFFFFF;
        int[] to = new int[w * h / 4];
        Halved.of(from, w, h, to, Hands.ONE);
        assertEquals(to[0], 0xFFFFFFFF, "white stays white");
        for (int y = 0; y < h / 2; y++) {
            for (int x = 0; x < w / 2; x++) {
                for (int shift : new int[] {0, 8, 16, 24}) {
                    int sum = 0;
                    for (int k = 0; k < 4; k++) {
                        sum += from[(2 * y + k / 2) * w + 2 * x + k % 2] >>> shift & 0xFF;
                    }
                    assertEquals(to[y * (w / 2) + x] >>> shift & 0xFF, (sum + 2) / 4);
                }
            }
        }
    }
}
