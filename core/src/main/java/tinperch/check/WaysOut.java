package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.SolidException;
import tinperch.solid.Stop;
import tinperch.upgrade.Case;

/**
 * Ways out of values no part can be made from: another number for the one parameter that was asked for or is at fault, and for the others the one that has to
 * move least. Each was tried: what is offered can be built.
 */
public final class WaysOut {
    private static final int HALVINGS = 14;
    /** So many forms are tried at most. */
    private static final int MOST = 240;

    private final PartFamily family;
    private final PartInputs in;
    private final Stop stop;
    private int tried;

    /**
     * A way out.
     *
     * @param label "ledge 20 → 12.4 mm"
     * @param values all of them, the one changed
     */
    public record Way(String label, NumberParam param, double to, Values values) {}

    private WaysOut(PartFamily family, PartInputs in, Stop stop) {
        this.family = family;
        this.in = in;
        this.stop = stop;
    }

    /**
     * At most two: one that gives way itself, one where something else does.
     *
     * @param c a case that cannot be built
     * @param asked the parameter somebody just changed; where nobody did, the one the problem is about gives way first
     */
    public static List<Way> of(Case c, Optional<Param<?>> asked, Stop stop) {
        return c.family().map(f -> new WaysOut(f, c.inputs(), stop).all(asked)).orElse(List.of());
    }

    private List<Way> all(Optional<Param<?>> asked) {
        Values v = in.values();
        Optional<Param<?>> first = asked.or(() -> problem(v).flatMap(PartProblem::param));
        List<Way> ways = new ArrayList<>();
        first.filter(NumberParam.class::isInstance).map(NumberParam.class::cast).flatMap(this::nearest).ifPresent(ways::add);
        family.params().stream().filter(NumberParam.class::isInstance).map(NumberParam.class::cast).filter(n -> first.filter(n::equals).isEmpty())
                // What stands beside it first, should there be too many to try all.
                .sorted(Comparator.comparing(n -> first.filter(p -> p.card().equals(n.card())).isEmpty()))
                .map(this::nearest).flatMap(Optional::stream).min(Comparator.comparingDouble(w -> Math.abs(w.to - raw(w.param, v)) / Math.max(1, Math.abs(raw(w.param, v))))).ifPresent(ways::add);
        return ways;
    }

    private Optional<PartProblem> problem(Values v) {
        stop.check();
        tried++;
        try {
            for (Param<?> p : family.params()) {
                p.of(v);
            }
            family.form(new PartInputs(v, in.refs(), in.hardware(), in.holeOffsetMm(), in.fits(), in.models()));
            return Optional.empty();
        } catch (PartProblem e) {
            return Optional.of(e);
        } catch (SolidException | IllegalArgumentException e) {
            return Optional.of(new PartProblem(e.getMessage()));
        }
    }

    /** A number as it stands there, though it may be one the parameter cannot be. */
    private static double raw(NumberParam n, Values v) {
        return v.numbers().getOrDefault(n.key(), n.start());
    }

    private boolean builds(NumberParam n, double to) {
        return problem(n.set(in.values(), to)).isEmpty();
    }

    /** The nearest value that can be built, above or below. */
    private Optional<Way> nearest(NumberParam n) {
        double now = raw(n, in.values());
        Optional<Way> best = Optional.empty();
        for (double end : new double[] {n.min(), n.max()}) {
            Optional<Way> way = towards(n, now, end);
            if (way.isPresent() && (best.isEmpty() || Math.abs(way.get().to - now) < Math.abs(best.get().to - now))) {
                best = way;
            }
        }
        return best;
    }

    private Optional<Way> towards(NumberParam n, double now, double end) {
        if (tried > MOST || end == now) {
            return Optional.empty();
        }
        // Far off it may fail for another reason: the first that builds on the way there.
        double good = Double.NaN;
        for (double share : new double[] {0.02, 0.06, 0.15, 0.4, 1}) {
            double to = round(n, now + (end - now) * share, end > now);
            if (n.holds(to) && builds(n, to)) {
                good = to;
                break;
            }
        }
        if (Double.isNaN(good)) {
            return Optional.empty();
        }
        double bad = now;
        for (int i = 0; i < HALVINGS && Math.abs(good - bad) > step(n); i++) {
            double middle = round(n, (good + bad) / 2, end > now);
            if (middle == good || middle == bad) {
                break;
            }
            if (builds(n, middle)) {
                good = middle;
            } else {
                bad = middle;
            }
        }
        return Optional.of(new Way(Quantity.inSentence(n.label()) + " " + n.words(now) + " → " + n.words(good), n, good, n.set(in.values(), good)));
    }

    private static double step(NumberParam n) {
        return n.unit() == Unit.COUNT ? 1 : 0.1;
    }

    /** To a number somebody would type, away from where it does not work. */
    private static double round(NumberParam n, double v, boolean up) {
        double s = step(n);
        double k = up ? Math.ceil(v / s - 1e-9) : Math.floor(v / s + 1e-9);
        return Math.rint(k) / Math.rint(1 / s);
    }
}
