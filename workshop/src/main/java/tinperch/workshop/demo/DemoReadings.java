package tinperch.workshop.demo;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tinperch.measure.HolePair;
import tinperch.measure.Jaw;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;

/** Caliper readings as somebody would have taken them from holes whose true places are given. */
final class DemoReadings {
    private final Random random;
    private final LocalDateTime at;

    DemoReadings(long seed, LocalDateTime at) {
        this.random = new Random(seed);
        this.at = at;
    }

    /**
     * A sheet of readings, {@code repeats} for each jaw.
     *
     * @param xy true hole centres A to D, mm
     */
    PatternSheet sheet(String name, double[] xy, double diameterMm, int repeats, HolePair... pairs) {
        PatternSheet sheet = PatternSheet.empty(name);
        int minute = 0;
        for (HolePair p : pairs) {
            double c = Math.hypot(xy[2 * p.second()] - xy[2 * p.first()], xy[2 * p.second() + 1] - xy[2 * p.first() + 1]);
            for (Jaw jaw : List.of(Jaw.OUTSIDE, Jaw.INSIDE)) {
                double truth = jaw == Jaw.OUTSIDE ? c + diameterMm : c - diameterMm;
                List<Reading> list = new ArrayList<>();
                for (int i = 0; i < repeats; i++) {
                    // Calipers show hundredths in steps of 0.01; hands add a few of them.
                    double shown = Math.round((truth + 0.02 * random.nextGaussian()) * 100) / 100.0;
                    Instant when = at.plusMinutes(minute++).toInstant(ZoneOffset.UTC);
                    list.add(new Reading(shown, when, "calipers, drawer 2"));
                }
                sheet = sheet.with(p, jaw, list);
            }
        }
        return sheet;
    }
}
