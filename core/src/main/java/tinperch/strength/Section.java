package tinperch.strength;

import java.util.List;
import tinperch.solid.Profile;

/**
 * Values of a flat section: area, middle and second moments about it, exact for polygons by Green's theorem.
 *
 * @param areaMm2 area, {@code x} and {@code y} its centroid, mm
 * @param ixxMm4 ∫ y² dA about the centroid, {@code iyyMm4} ∫ x² dA, {@code ixyMm4} ∫ x y dA
 * @param outline its corners, x and y in turn, to look for the farthest from the neutral line
 */
public record Section(double areaMm2, double x, double y, double ixxMm4, double iyyMm4, double ixyMm4, List<Double> outline) {
    public Section {
        outline = List.copyOf(outline);
    }

    /** Of a profile with its holes. */
    public static Section of(Profile p) {
        double a = 0;
        double sx = 0;
        double sy = 0;
        double xx = 0;
        double yy = 0;
        double xy = 0;
        List<Double> corners = new java.util.ArrayList<>();
        for (int r = 0; r < p.ringCount(); r++) {
            double[] ring = p.ring(r);
            // Outlines count whole and holes are taken away, whichever way round they run.
            double sign = Profile.area(ring) > 0 == (r == 0) ? 1 : -1;
            int n = ring.length / 2;
            for (int i = 0; i < n; i++) {
                double x0 = ring[2 * i];
                double y0 = ring[2 * i + 1];
                double x1 = ring[2 * ((i + 1) % n)];
                double y1 = ring[2 * ((i + 1) % n) + 1];
                double c = sign * (x0 * y1 - x1 * y0);
                a += c / 2;
                sx += c * (x0 + x1) / 6;
                sy += c * (y0 + y1) / 6;
                xx += c * (y0 * y0 + y0 * y1 + y1 * y1) / 12;
                yy += c * (x0 * x0 + x0 * x1 + x1 * x1) / 12;
                xy += c * (x0 * y1 + 2 * x0 * y0 + 2 * x1 * y1 + x1 * y0) / 24;
                if (r == 0) {
                    corners.add(x0);
                    corners.add(y0);
                }
            }
        }
        double cx = sx / a;
        double cy = sy / a;
        return new Section(a, cx, cy, xx - a * cy * cy, yy - a * cx * cx, xy - a * cx * cy, corners);
    }

    /**
     * Largest stress from an axial force and a bending moment, MPa: σ = N/A + (Mx Iyy + My Ixy) y/D − (My Ixx + Mx Ixy) x/D, D = Ixx Iyy − Ixy² (unsymmetrical bending, any textbook of
     * strength of materials).
     *
     * @param axialN along the section's normal, {@code mxNmm} and {@code myNmm} about the section's x and y
     */
    public double stressMPa(double axialN, double mxNmm, double myNmm) {
        double d = ixxMm4 * iyyMm4 - ixyMm4 * ixyMm4;
        double most = Math.abs(axialN / areaMm2);
        for (int i = 0; i + 1 < outline.size(); i += 2) {
            double px = outline.get(i) - x;
            double py = outline.get(i + 1) - y;
            most = Math.max(most, Math.abs(axialN / areaMm2 + ((mxNmm * iyyMm4 + myNmm * ixyMm4) * py - (myNmm * ixxMm4 + mxNmm * ixyMm4) * px) / d));
        }
        return most;
    }

    /** What bending moments bend, as the work of a second pair on it: (m · I⁻¹ · M), 1/mm of curvature for a modulus of 1 MPa. */
    double bends(double mx, double my, double mx2, double my2) {
        double d = ixxMm4 * iyyMm4 - ixyMm4 * ixyMm4;
        return (mx2 * (iyyMm4 * mx + ixyMm4 * my) + my2 * (ixyMm4 * mx + ixxMm4 * my)) / d;
    }

    /** Torsion constant of a solid section, J ≈ A⁴/(40 Ip) (Saint-Venant's approximation, value from memory; a thin open one has less), mm⁴. */
    double torsionMm4() {
        return Math.pow(areaMm2, 4) / (40 * (ixxMm4 + iyyMm4));
    }

    /** Radius of the circle that has the area, mm. */
    double radiusMm() {
        return Math.sqrt(areaMm2 / Math.PI);
    }
}
