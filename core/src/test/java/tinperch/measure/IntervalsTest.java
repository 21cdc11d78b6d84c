package tinperch.measure;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.measure.sheet.Outcome;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetCell;
import tinperch.measure.sheet.SheetKind;

/**
 * Do the intervals hold what they promise? Checked by throwing dice many times, as JCGM 101:2008 (propagation of distributions by
 * a Monte Carlo method) does, against the formulas of JCGM 100:2008 that the sheets reckon with.
 */
public class IntervalsTest {
    private static final int THROWS = 20_000;

    private static List<Reading> readings(double... values) {
        List<Reading> list = new ArrayList<>();
        for (double v : values) {
            list.add(new Reading(v, Instant.EPOCH, "dice"));
        }
        return list;
    }

    @DataProvider
    public Object[][] counts() {
        return new Object[][] {{2}, {3}, {4}, {6}, {10}};
    }

    /** Of many sets of readings of one true value, the interval holds it in 95 of 100 (Student 1908), however few they are. */
    @Test(dataProvider = "counts")
    public void theTrueValueIsInside95Of100(int n) {
        Random random = new Random(n);
        double truth = 32;
        double scatter = 0.05;
        int inside = 0;
        for (int i = 0; i < THROWS; i++) {
            double[] values = new double[n];
            for (int k = 0; k < n; k++) {
                values[k] = truth + scatter * random.nextGaussian();
            }
            Spread s = Spread.of(readings(values), 0).orElseThrow();
            inside += Math.abs(s.mean() - truth) <= s.halfWidth() ? 1 : 0;
        }
        // Three standard deviations of the count itself: 100 · √(0.95 · 0.05 / 20 000) = 0.15.
        assertEquals(100.0 * inside / THROWS, 95, 0.46);
    }

    /** Scattered readings without a slip are called odd now and then only, whatever their number. */
    @Test(dataProvider = "counts")
    public void soundReadingsAreSeldomCalledOdd(int n) {
        Random random = new Random(100 + n);
        int odd = 0;
        int slips = 0;
        for (int i = 0; i < 2000; i++) {
            double[] values = new double[n];
            for (int k = 0; k < n; k++) {
                values[k] = 32 + 0.02 * random.nextGaussian();
            }
            odd += Spread.outlier(readings(values)).isPresent() ? 1 : 0;
            values[random.nextInt(n)] += 1.3;
            slips += Spread.outlier(readings(values)).isPresent() ? 1 : 0;
        }
        assertTrue(odd < 10, odd + " of 2000 sound sets");
        if (n >= 4) {
            assertTrue(slips > 1990, "a slip of 1.3 mm is found: " + slips + " of 2000");
        }
    }

    /** A kind of sheet with readings a practitioner could have, and how far each cell is off. */
    @DataProvider
    public Object[][] sheets() {
        return new Object[][] {
            {"diagonals", new Object[] {"bottom", 400.0, "left", 500.0, "falling", 641.2, "rising", 639.1}},
            {"square", new Object[] {"foot", 0.10, "top", 0.75, "height", 180.0}},
            {"blocks", new Object[] {"stack", 40.02, "bar", 120.1}},
            {"fan", new Object[] {"frame", 50.1, "outside", 43.3, "inside", 36.7, "depth", 15.1}},
            {"filter", new Object[] {"width", 120.0, "height", 90.0, "depth", 30.1, "rim", 6.0, "foam", 5.1, "pressed", 3.0}},
            {"cylinder", new Object[] {"bore", 28.95, "outer", 31.1, "outer.low", 30.9, "stroke", 110.0, "volume", 60.0, "scale", 91.2}},
            {"rod", new Object[] {"diameter", 10.0, "other", 9.97, "length", 400.0, "bow", 0.1}},
        };
    }

    @Test(dataProvider = "sheets")
    public void carriedIntervalsAreThoseOfTheDice(String kind, Object[] cells) {
        SheetKind k = SheetKind.of(kind).orElseThrow();
        Sheet sheet = Sheet.empty("s", k);
        for (int i = 0; i < cells.length; i += 2) {
            sheet = sheet.with((String) cells[i], readings((Double) cells[i + 1]));
        }
        List<Outcome> outcomes = sheet.outcomes();
        Random random = new Random(kind.hashCode());
        List<List<Double>> thrown = new ArrayList<>();
        outcomes.forEach(o -> thrown.add(new ArrayList<>()));
        for (int t = 0; t < 4000; t++) {
            Sheet s = Sheet.empty("s", k);
            for (int i = 0; i < cells.length; i += 2) {
                String name = (String) cells[i];
                SheetCell cell = k.cells().stream().filter(c -> c.cell().equals(name)).findFirst().orElseThrow();
                // 95 % of a normal distribution lie within 1.96 standard deviations.
                s = s.with(name, readings((Double) cells[i + 1] + cell.half() / 1.96 * random.nextGaussian()));
            }
            List<Outcome> now = s.outcomes();
            for (int o = 0; o < outcomes.size(); o++) {
                String label = outcomes.get(o).label();
                List<Double> into = thrown.get(o);
                now.stream().filter(x -> x.label().equals(label)).findFirst().ifPresent(x -> into.add(x.value()));
            }
        }
        int checked = 0;
        for (int o = 0; o < outcomes.size(); o++) {
            Outcome said = outcomes.get(o);
            if (said.half().isEmpty() || said.half().getAsDouble() == 0) {
                continue;
            }
            double mean = thrown.get(o).stream().mapToDouble(Double::doubleValue).average().orElseThrow();
            double deviation = Math.sqrt(thrown.get(o).stream().mapToDouble(v -> (v - mean) * (v - mean)).average().orElseThrow());
            assertEquals(said.half().getAsDouble(), 1.96 * deviation, 0.08 * said.half().getAsDouble(), kind + ": " + said.label());
            checked++;
        }
        assertTrue(checked > 0, "no interval on a sheet of " + kind + ": " + outcomes);
    }
}
