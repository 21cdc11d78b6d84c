package tinperch.measure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;

/**
 * Where the four holes are, from the distances between them: hole A at the origin, B on the x axis, the rest by weighted
 * least squares over all measured pairs (weights from the intervals). Two neighbouring sides are enough to start; until a
 * diagonal is read the corner is taken as square and {@link #squareAssumed} says so.
 */
public final class MeasuredPattern {
    /** How strongly "a rectangle" pulls where nothing was measured, against a reading good to 0.05 mm. */
    private static final double PULL = 1e-3;
    private static final int MOST_SOLVED = 200;
    private static final Map<Map<String, List<Reading>>, Optional<MeasuredPattern>> SOLVED = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Map<String, List<Reading>>, Optional<MeasuredPattern>> eldest) {
            return size() > MOST_SOLVED;
        }
    });

    private final double[] xMm;
    private final double[] yMm;
    private final double diameterMm;
    private final double halfWidthMm;
    private final boolean squareAssumed;
    private final Map<HolePair, Double> residualsMm;

    private MeasuredPattern(double[] xMm, double[] yMm, double diameterMm, double halfWidthMm, boolean squareAssumed,
            Map<HolePair, Double> residualsMm) {
        this.xMm = xMm;
        this.yMm = yMm;
        this.diameterMm = diameterMm;
        this.halfWidthMm = halfWidthMm;
        this.squareAssumed = squareAssumed;
        this.residualsMm = residualsMm;
    }

    /** The pattern of a sheet, or empty when too little was read (one horizontal and one vertical side are needed). */
    public static Optional<MeasuredPattern> of(PatternSheet sheet) {
        // Every edit of a part asks for the patterns it stands on; the same readings give the same pattern.
        Optional<MeasuredPattern> known = SOLVED.get(sheet.readings());
        if (known == null) {
            known = solved(sheet);
            SOLVED.put(sheet.readings(), known);
        }
        return known;
    }

    private static Optional<MeasuredPattern> solved(PatternSheet sheet) {
        Map<HolePair, PatternSheet.Derived> known = new EnumMap<>(HolePair.class);
        for (HolePair p : HolePair.values()) {
            sheet.derived(p).ifPresent(d -> known.put(p, d));
        }
        double width = first(known, HolePair.AB, HolePair.DC);
        double height = first(known, HolePair.AD, HolePair.BC);
        if (Double.isNaN(width) || Double.isNaN(height)) {
            return Optional.empty();
        }
        double[] q = solve(known, width, height);
        double[] x = {0, q[0], q[1], q[3]};
        double[] y = {0, 0, q[2], q[4]};
        Map<HolePair, Double> residuals = new EnumMap<>(HolePair.class);
        known.forEach((p, d) -> residuals.put(p, distance(x, y, p) - d.centreMm()));
        double diameter = known.values().stream().mapToDouble(PatternSheet.Derived::diameterMm).average().orElseThrow();
        double half = known.values().stream().mapToDouble(PatternSheet.Derived::halfWidthMm).max().orElseThrow();
        boolean assumed = !known.containsKey(HolePair.AC) && !known.containsKey(HolePair.BD);
        return Optional.of(new MeasuredPattern(x, y, diameter, half, assumed, residuals));
    }

    private static double first(Map<HolePair, PatternSheet.Derived> known, HolePair a, HolePair b) {
        return known.containsKey(a) ? known.get(a).centreMm() : known.containsKey(b) ? known.get(b).centreMm() : Double.NaN;
    }

    /** Unknowns: Bx, Cx, Cy, Dx, Dy. */
    private static double[] solve(Map<HolePair, PatternSheet.Derived> known, double width, double height) {
        List<HolePair> pairs = new ArrayList<>(known.keySet());
        int n = pairs.size();
        boolean leans = pairs.contains(HolePair.AC) || pairs.contains(HolePair.BD);
        double[] weights = new double[n + 3];
        double[] target = new double[n + 3];
        for (int i = 0; i < n; i++) {
            PatternSheet.Derived d = known.get(pairs.get(i));
            weights[i] = 1 / (d.halfWidthMm() * d.halfWidthMm());
            target[i] = d.centreMm();
        }
        for (int i = n; i < n + 3; i++) {
            weights[i] = PULL * PULL / (0.05 * 0.05);
        }
        // A diagonal that was read tells the corner: "square" is no longer assumed, only that opposite sides are parallel where nothing else is known.
        weights[n + 2] *= leans ? 1e-6 : 1;
        LeastSquaresOptimizer.Optimum best = new LevenbergMarquardtOptimizer().optimize(new LeastSquaresBuilder()
                .start(new double[] {width, width, height, 0, height})
                .target(target)
                .weight(new DiagonalMatrix(weights))
                .model(p -> values(p, pairs), p -> jacobian(p, pairs))
                .maxEvaluations(500).maxIterations(200)
                .build());
        return best.getPoint().toArray();
    }

    private static double[] values(double[] q, List<HolePair> pairs) {
        double[] x = {0, q[0], q[1], q[3]};
        double[] y = {0, 0, q[2], q[4]};
        double[] v = new double[pairs.size() + 3];
        for (int i = 0; i < pairs.size(); i++) {
            v[i] = distance(x, y, pairs.get(i));
        }
        // Pulls: a parallelogram, and a square corner at A.
        v[pairs.size()] = q[1] - q[0] - q[3];
        v[pairs.size() + 1] = q[2] - q[4];
        v[pairs.size() + 2] = q[3];
        return v;
    }

    private static double[][] jacobian(double[] q, List<HolePair> pairs) {
        double[][] j = new double[pairs.size() + 3][5];
        double[] base = values(q, pairs);
        for (int k = 0; k < 5; k++) {
            double[] moved = q.clone();
            moved[k] += 1e-6;
            double[] there = values(moved, pairs);
            for (int i = 0; i < base.length; i++) {
                j[i][k] = (there[i] - base[i]) / 1e-6;
            }
        }
        return j;
    }

    private static double distance(double[] x, double[] y, HolePair p) {
        return Math.hypot(x[p.second()] - x[p.first()], y[p.second()] - y[p.first()]);
    }

    /** Position of hole {@code i} (0 = A … 3 = D), hole A at zero, mm. */
    public double xMm(int i) {
        return xMm[i];
    }

    public double yMm(int i) {
        return yMm[i];
    }

    /** Centres A to D. */
    public List<double[]> centres() {
        List<double[]> all = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            all.add(new double[] {xMm[i], yMm[i]});
        }
        return all;
    }

    /** Centre distance of a pair after the fit, read or not, mm. */
    public double distanceMm(HolePair pair) {
        return distance(xMm, yMm, pair);
    }

    /** Mean hole diameter over all pairs, mm. Calipers read holes small by 0.02…0.1 mm (common practice). */
    public double diameterMm() {
        return diameterMm;
    }

    /** Largest 95 % half width among the centre distances, mm. */
    public double halfWidthMm() {
        return halfWidthMm;
    }

    /** True until a diagonal has been read: the corner angle is then an assumption. */
    public boolean squareAssumed() {
        return squareAssumed;
    }

    /** Fitted minus measured for each measured pair, mm. */
    public Map<HolePair, Double> residualsMm() {
        return java.util.Collections.unmodifiableMap(residualsMm);
    }

    /** The pair that fits worst when it fits worse than its readings explain: some hole was misread. */
    public Optional<HolePair> doubtful() {
        return residualsMm.entrySet().stream()
                .filter(e -> Math.abs(e.getValue()) > Math.max(0.1, 2 * halfWidthMm))
                .max((a, b) -> Double.compare(Math.abs(a.getValue()), Math.abs(b.getValue())))
                .map(Map.Entry::getKey);
    }

    /** Angle at hole A away from square, degrees; positive when the corner is open. */
    public double skewDeg() {
        return Math.toDegrees(Math.atan2(yMm[3], xMm[3])) - 90;
    }
}
