package tinperch.measure;

import java.util.List;

/**
 * The turn and shift that lay a measured pattern best over a nominal one, by least squares (Kabsch's method, in the plane).
 *
 * @param angleDeg turn of the nominal pattern, {@code dxMm} and {@code dyMm} its shift after the turn
 * @param residualsMm distance left at each hole
 * @param mirroredFitsBetter whether the mirror image fits clearly better: the pattern was read from the other side
 */
public record RigidFit(double angleDeg, double dxMm, double dyMm, double[] residualsMm, boolean mirroredFitsBetter) {

    /**
     * The best fit.
     *
     * @param nominal x, y of each hole, {@code measured} the same holes in the same order
     * @throws IllegalArgumentException when the lists differ in length or hold fewer than two holes
     */
    public static RigidFit of(List<double[]> nominal, List<double[]> measured) {
        if (nominal.size() != measured.size() || nominal.size() < 2) {
            throw new IllegalArgumentException("A fit needs the same two or more holes in both patterns; one label is missing.");
        }
        RigidFit straight = fit(nominal, measured);
        RigidFit flipped = fit(nominal.stream().map(p -> new double[] {-p[0], p[1]}).toList(), measured);
        boolean mirror = nominal.size() > 2 && flipped.worstMm() < 0.5 * straight.worstMm() && straight.worstMm() > 0.2;
        return new RigidFit(straight.angleDeg, straight.dxMm, straight.dyMm, straight.residualsMm, mirror);
    }

    private static RigidFit fit(List<double[]> nominal, List<double[]> measured) {
        double[] a = middle(nominal);
        double[] b = middle(measured);
        double along = 0;
        double across = 0;
        for (int i = 0; i < nominal.size(); i++) {
            double px = nominal.get(i)[0] - a[0];
            double py = nominal.get(i)[1] - a[1];
            double qx = measured.get(i)[0] - b[0];
            double qy = measured.get(i)[1] - b[1];
            along += px * qx + py * qy;
            across += px * qy - py * qx;
        }
        double angle = Math.atan2(across, along);
        double c = Math.cos(angle);
        double s = Math.sin(angle);
        double dx = b[0] - (c * a[0] - s * a[1]);
        double dy = b[1] - (s * a[0] + c * a[1]);
        double[] residuals = new double[nominal.size()];
        for (int i = 0; i < residuals.length; i++) {
            double[] p = nominal.get(i);
            residuals[i] = Math.hypot(c * p[0] - s * p[1] + dx - measured.get(i)[0], s * p[0] + c * p[1] + dy - measured.get(i)[1]);
        }
        return new RigidFit(Math.toDegrees(angle), dx, dy, residuals, false);
    }

    private static double[] middle(List<double[]> points) {
        return new double[] {points.stream().mapToDouble(p -> p[0]).average().orElseThrow(),
            points.stream().mapToDouble(p -> p[1]).average().orElseThrow()};
    }

    /** Where a point of the nominal pattern comes to lie. */
    public double[] place(double[] nominal) {
        double c = Math.cos(Math.toRadians(angleDeg));
        double s = Math.sin(Math.toRadians(angleDeg));
        return new double[] {c * nominal[0] - s * nominal[1] + dxMm, s * nominal[0] + c * nominal[1] + dyMm};
    }

    /** The largest distance left. */
    public double worstMm() {
        double worst = 0;
        for (double r : residualsMm) {
            worst = Math.max(worst, r);
        }
        return worst;
    }
}
