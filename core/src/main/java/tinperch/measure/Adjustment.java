package tinperch.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * Weighted least squares over linear observations, with the test of each against all the others (adjustment of observations; the test
 * is Baarda's data snooping: a residual over its own standard deviation). Redundant readings check each other; one that nothing checks
 * has redundancy 0 and is never called wrong. Immutable.
 */
public final class Adjustment {
    /** A normalised residual beyond this stands out: one in a thousand of good readings does (Baarda; normal distribution, two-sided). */
    public static final double STANDS_OUT = 3.29;
    /** Less redundancy than this is none. */
    private static final double CHECKED = 1e-6;

    private final List<Observation> observations;
    private final double[] x;
    private final double[] sigma;
    private final double[] residual;
    private final double[] redundancy;

    /** A factor of an unknown. */
    public record Term(int unknown, double factor) {}

    /**
     * One observed sum.
     *
     * @param terms whose sum was observed
     * @param value observed
     * @param sigma its standard deviation, larger than 0
     */
    public record Observation(List<Term> terms, double value, double sigma) {
        public Observation {
            terms = List.copyOf(terms);
            if (!(sigma > 0) || !Double.isFinite(value)) {
                throw new IllegalArgumentException("An observation has a value and a standard deviation above zero.");
            }
        }
    }

    private Adjustment(List<Observation> observations, double[] x, Cofactors q) {
        this.observations = List.copyOf(observations);
        this.x = x;
        sigma = IntStream.range(0, x.length).mapToDouble(i -> Math.sqrt(q.of(i, i))).toArray();
        residual = new double[observations.size()];
        redundancy = new double[observations.size()];
        for (int i = 0; i < residual.length; i++) {
            Observation o = observations.get(i);
            double is = 0;
            double spread = 0;
            for (Term s : o.terms) {
                is += s.factor * x[s.unknown];
                for (Term t : o.terms) {
                    spread += s.factor * t.factor * q.of(s.unknown, t.unknown);
                }
            }
            residual[i] = is - o.value;
            redundancy[i] = Math.max(0, 1 - spread / (o.sigma * o.sigma));
        }
    }

    /**
     * Adjusts.
     *
     * @param unknowns how many there are
     * @throws IllegalArgumentException when the observations do not determine every unknown
     */
    public static Adjustment of(int unknowns, List<Observation> observations) {
        if (unknowns == 0) {
            return new Adjustment(observations, new double[0], new Cofactors(new double[0][], new double[0]));
        }
        double[][] n = new double[unknowns][unknowns];
        double[] b = new double[unknowns];
        for (Observation o : observations) {
            double w = 1 / (o.sigma * o.sigma);
            for (Term s : o.terms) {
                b[s.unknown] += w * s.factor * o.value;
                for (Term t : o.terms) {
                    n[s.unknown][t.unknown] += w * s.factor * t.factor;
                }
            }
        }
        try {
            // Scaled to ones on the diagonal: weights may differ by many orders.
            double[] scale = new double[unknowns];
            for (int i = 0; i < unknowns; i++) {
                scale[i] = 1 / Math.sqrt(n[i][i]);
                if (!Double.isFinite(scale[i])) {
                    throw new IllegalArgumentException("Nothing was observed of unknown " + i + ".");
                }
            }
            for (int i = 0; i < unknowns; i++) {
                b[i] *= scale[i];
                for (int k = 0; k < unknowns; k++) {
                    n[i][k] *= scale[i] * scale[k];
                }
            }
            CholeskyDecomposition c = new CholeskyDecomposition(new Array2DRowRealMatrix(n, false), 1e-9, 1e-12);
            RealVector y = c.getSolver().solve(new ArrayRealVector(b, false));
            double[] x = new double[unknowns];
            for (int i = 0; i < unknowns; i++) {
                x[i] = y.getEntry(i) * scale[i];
            }
            return new Adjustment(observations, x, new Cofactors(c.getL().getData(), scale));
        } catch (MathRuntimeException e) {
            throw new IllegalArgumentException("The observations do not determine every unknown.", e);
        }
    }

    /** Entries of the inverse of the normal matrix, as far as they are asked for: few are, and the whole would take most of the time. */
    private static final class Cofactors {
        /** Columns of the inverse of the lower triangle. */
        private final double[][] column;
        private final double[] scale;

        Cofactors(double[][] lower, double[] scale) {
            this.scale = scale;
            int n = lower.length;
            column = new double[n][n];
            for (int j = 0; j < n; j++) {
                double[] c = column[j];
                c[j] = 1 / lower[j][j];
                for (int i = j + 1; i < n; i++) {
                    double sum = 0;
                    for (int k = j; k < i; k++) {
                        sum -= lower[i][k] * c[k];
                    }
                    c[i] = sum / lower[i][i];
                }
            }
        }

        double of(int i, int j) {
            double sum = 0;
            for (int k = Math.max(i, j); k < column.length; k++) {
                sum += column[i][k] * column[j][k];
            }
            return sum * scale[i] * scale[j];
        }
    }

    /** The most likely value of an unknown. */
    public double value(int unknown) {
        return x[unknown];
    }

    /** Its standard deviation, from those of the observations. */
    public double sigma(int unknown) {
        return sigma[unknown];
    }

    /** Adjusted less observed. */
    public double residual(int observation) {
        return residual[observation];
    }

    /** How far an observation is checked by the others: 0 not at all, 1 wholly. All of them add up to the degrees of freedom. */
    public double redundancy(int observation) {
        return redundancy[observation];
    }

    /** A residual over its own standard deviation; 0 for an observation that nothing checks. */
    public double normalised(int observation) {
        double r = redundancy[observation];
        return r < CHECKED ? 0 : residual[observation] / (observations.get(observation).sigma * Math.sqrt(r));
    }

    /**
     * Observations that cannot well be true beside the others, the worst first; only the first is to be believed before the rest is adjusted
     * without it. Those as bad as the first cannot be told from it.
     */
    public List<Integer> suspects() {
        List<Integer> all = new ArrayList<>(IntStream.range(0, residual.length).filter(i -> Math.abs(normalised(i)) > STANDS_OUT).boxed().toList());
        all.sort(Comparator.comparingDouble(i -> -Math.abs(normalised(i))));
        return all;
    }
}
