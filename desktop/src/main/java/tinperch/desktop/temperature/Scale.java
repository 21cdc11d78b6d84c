package tinperch.desktop.temperature;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tinperch.trial.Channel;
import tinperch.trial.limit.LimitLine;
import tinperch.workshop.log.Bands;

/**
 * Where times and temperatures lie on the drawing, in the window's units.
 *
 * @param stripY where the strip of duties begins, {@code bottom} where it ends; the same where there are none
 */
record Scale(Stretch stretch, double lowC, double highC, double left, double right, double top, double stripY, double bottom) {
    private static final double STRIP = 44;
    private static final double[] STEPS_C = {0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100};
    private static final double[] STEPS_S = {1, 2, 5, 10, 30, 60, 120, 300, 600, 1800, 3600, 7200, 4 * 3600, 12 * 3600, 24 * 3600, 48 * 3600, 7 * 24 * 3600};
    /** Limits farther above than this would press what is seen together, K. */
    private static final double NEAR_K = 25;

    /** A scale all that is seen fits into, with the limits that are near. */
    static Scale of(Stretch stretch, List<Curve> curves, Map<Object, Bands> bands, double left, double right, double top, double bottom) {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        boolean duty = false;
        for (Curve c : curves) {
            if (c.channel().kind() == Channel.Kind.DUTY) {
                duty = true;
                continue;
            }
            Bands b = bands.get(c.samples());
            for (int i = 0; i < b.size(); i++) {
                if (b.low(i, c.at()) < low) {
                    low = b.low(i, c.at());
                }
                if (b.high(i, c.at()) > high) {
                    high = b.high(i, c.at());
                }
            }
        }
        if (low > high) {
            low = 15;
            high = 35;
        }
        double seen = high;
        for (Curve c : curves) {
            for (LimitLine l : c.limits()) {
                high = l.tempC() < seen + NEAR_K && l.tempC() > high ? l.tempC() : high;
            }
        }
        double room = Math.max(0.5, 0.06 * (high - low));
        return new Scale(stretch, low - room, high + room, left, right, top, duty ? bottom - STRIP : bottom, bottom);
    }

    double x(double s) {
        return left + (s - stretch.fromS()) / stretch.lengthS() * (right - left);
    }

    double s(double x) {
        return stretch.fromS() + (x - left) / (right - left) * stretch.lengthS();
    }

    double y(double c) {
        return floor() - (c - lowC) / (highC - lowC) * (floor() - top);
    }

    /** Where the temperatures end. */
    double floor() {
        return stripY < bottom ? stripY - 8 : bottom;
    }

    double yDuty(double percent) {
        return bottom - Math.max(0, Math.min(100, percent)) / 100 * (bottom - stripY);
    }

    /** Temperatures with a line across. */
    List<Double> celsius() {
        return ticks(lowC, highC, STEPS_C, Math.max(2, (floor() - top) / 42));
    }

    /** Times with a line upwards. */
    List<Double> seconds() {
        return ticks(stretch.fromS(), stretch.toS(), STEPS_S, Math.max(2, (right - left) / 90));
    }

    private static List<Double> ticks(double from, double to, double[] steps, double most) {
        double step = steps[steps.length - 1];
        for (double s : steps) {
            if ((to - from) / s <= most) {
                step = s;
                break;
            }
        }
        List<Double> all = new ArrayList<>();
        for (double k = Math.ceil(from / step - 1e-9); k * step <= to + 1e-9 && all.size() < 100; k++) {
            all.add(k * step);
        }
        return all;
    }
}
