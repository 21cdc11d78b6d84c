package tinperch.measure.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import tinperch.measure.Spread;

/**
 * Collects the outcomes of a sheet. The half widths of the readings carry over to an outcome by its slopes, as squares (law
 * of propagation of uncertainty, JCGM 100; slopes by central differences).
 */
final class Reckoning {
    private final Sheet sheet;
    private final List<Outcome> all = new ArrayList<>();

    Reckoning(Sheet sheet) {
        this.sheet = sheet;
    }

    List<Outcome> all() {
        return all;
    }

    boolean has(String... cells) {
        for (String c : cells) {
            if (sheet.spread(c).isEmpty()) {
                return false;
            }
        }
        return true;
    }

    double mean(String cell) {
        return sheet.spread(cell).orElseThrow().mean();
    }

    double half(String cell) {
        return sheet.spread(cell).orElseThrow().halfWidth();
    }

    void add(Outcome o) {
        all.add(o);
    }

    /** The outcome of a formula of some cells; empty until all of them have been read or when it has no value. */
    Optional<Outcome> of(String label, String unit, int decimals, ToDoubleFunction<double[]> formula, String... cells) {
        if (!has(cells)) {
            return Optional.empty();
        }
        double[] x = new double[cells.length];
        double[] h = new double[cells.length];
        for (int i = 0; i < x.length; i++) {
            Spread s = sheet.spread(cells[i]).orElseThrow();
            x[i] = s.mean();
            h[i] = s.halfWidth();
        }
        double value = formula.applyAsDouble(x);
        double squares = 0;
        for (int i = 0; i < x.length; i++) {
            double step = Math.max(1e-6, Math.abs(x[i]) * 1e-6);
            double[] up = x.clone();
            double[] down = x.clone();
            up[i] += step;
            down[i] -= step;
            double slope = (formula.applyAsDouble(up) - formula.applyAsDouble(down)) / (2 * step);
            squares += slope * h[i] * slope * h[i];
        }
        if (!Double.isFinite(value) || !Double.isFinite(squares)) {
            return Optional.empty();
        }
        return Optional.of(new Outcome(label, value, OptionalDouble.of(Math.sqrt(squares)), unit, decimals, "", false));
    }

    /** Adds the outcome of a formula when it can be had. */
    Optional<Outcome> put(String label, String unit, int decimals, ToDoubleFunction<double[]> formula, String... cells) {
        Optional<Outcome> o = of(label, unit, decimals, formula, cells);
        o.ifPresent(all::add);
        return o;
    }

    /** Centre distance and diameter of two equal holes from the readings over their outer and inner edges. */
    Optional<Outcome> holes(String label, String outside, String inside) {
        Optional<Outcome> centres = put(label, "mm", 2, v -> (v[0] + v[1]) / 2, outside, inside);
        put("Hole Ø", "mm", 2, v -> (v[0] - v[1]) / 2, outside, inside);
        return centres;
    }

    /** Two readings of the same thing that should agree. */
    void alike(String label, String a, String b, String otherwise) {
        of(label, "mm", 2, v -> v[0] - v[1], a, b).ifPresent(o -> {
            boolean same = Math.abs(o.value()) <= Math.max(0.1, o.half().getAsDouble());
            all.add(same ? o.noting("alike within what the readings can tell") : o.doubting(otherwise));
        });
    }
}
