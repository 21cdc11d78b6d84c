package tinperch.solid.query;

import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * Volume, centroid and inertia of a closed mesh, by summing tetrahedra from one point (exact for polyhedra; the covariance
 * of a tetrahedron as in Blow and Binstock, "How to find the inertia tensor", value from memory).
 *
 * @param volumeMm3 enclosed volume
 * @param centroid centre of mass of the evenly filled solid, mm
 * @param inertiaMm5 second moments about the centroid for density 1: xx, yy, zz, xy, yz, zx, with
 *     {@code xx = ∫(y² + z²)} and {@code xy = −∫x·y}
 */
public record MassProperties(double volumeMm3, Vec3 centroid, double[] inertiaMm5) {

    /** Zero everything for an empty mesh. */
    public static MassProperties of(Mesh m) {
        if (m.triangleCount() == 0) {
            return new MassProperties(0, Vec3.ZERO, new double[6]);
        }
        Vec3 o = m.bounds().centre();
        double six = 0;
        double[] first = new double[3];
        double[][] second = new double[3][3];
        double[][] p = new double[3][3];
        for (int t = 0; t < m.triangleCount(); t++) {
            for (int k = 0; k < 3; k++) {
                int i = m.corner(t, k);
                p[k][0] = m.x(i) - o.x();
                p[k][1] = m.y(i) - o.y();
                p[k][2] = m.z(i) - o.z();
            }
            double det = p[0][0] * (p[1][1] * p[2][2] - p[1][2] * p[2][1])
                    + p[0][1] * (p[1][2] * p[2][0] - p[1][0] * p[2][2])
                    + p[0][2] * (p[1][0] * p[2][1] - p[1][1] * p[2][0]);
            six += det;
            for (int a = 0; a < 3; a++) {
                double sum = p[0][a] + p[1][a] + p[2][a];
                first[a] += det * sum / 24;
                for (int b = a; b < 3; b++) {
                    double sumB = p[0][b] + p[1][b] + p[2][b];
                    double diagonal = p[0][a] * p[0][b] + p[1][a] * p[1][b] + p[2][a] * p[2][b];
                    second[a][b] += det * (sum * sumB + diagonal) / 120;
                }
            }
        }
        double v = six / 6;
        if (!(v > 0)) {
            return new MassProperties(v, o, new double[6]);
        }
        double cx = first[0] / v;
        double cy = first[1] / v;
        double cz = first[2] / v;
        double sxx = second[0][0] - v * cx * cx;
        double syy = second[1][1] - v * cy * cy;
        double szz = second[2][2] - v * cz * cz;
        return new MassProperties(v, o.plus(new Vec3(cx, cy, cz)), new double[] {syy + szz, szz + sxx, sxx + syy,
            -(second[0][1] - v * cx * cy), -(second[1][2] - v * cy * cz), -(second[0][2] - v * cz * cx)});
    }
}
