package tinperch.strength;

/**
 * A ring that snaps over a bead on a tube.
 *
 * @param interferenceMm bead's diameter less the ring's
 * @param diameterMm of the ring's inside
 * @param ringMm how thick the ring is across, {@code highMm} along the tube
 * @param wallMm of the tube
 * @param slit whether the ring is open at one place
 */
public record RingSnap(double interferenceMm, double diameterMm, double ringMm, double highMm, double wallMm, boolean slit) {
    /** A bead rises at 45°. */
    public static final double LEAD_DEG = 45;
    /** [3·(1 − ν²)]^¼ with ν = 0.35. */
    private static final double SHELL = Math.pow(3 * (1 - 0.35 * 0.35), 0.25);

    private double radiusMm() {
        return diameterMm / 2;
    }

    /** Strain for each mm of interference: stretched, 1/d; slit, bent to a wider circle, (t/2)·Δr/r² about its middle. */
    public double strainPerMm() {
        double r = radiusMm() + ringMm / 2;
        return slit ? ringMm / 4 / (r * r) : 1 / diameterMm;
    }

    /**
     * What ring and bead press against each other with, all round together, N. A closed ring under a line load q widens by q·r²/(E·A), and a long tube under one narrows by q·λ·r²/(2·E·t), λ = [3(1 − ν²)]^¼/√(r·t) (handbook: thin ring;
     * beam on an elastic foundation); both give together. A slit ring is spread at its ends by F = E·I·δ/(3·π·r³) (Castigliano, thin ring), where the gap grows by δ = π·interference; it touches there and opposite, with four such forces.
     */
    public double squeezeN(double modulusMPa) {
        if (slit) {
            double r = radiusMm() + ringMm / 2;
            double i = highMm * Math.pow(ringMm, 3) / 12;
            return 4 * modulusMPa * i * Math.PI * interferenceMm / (3 * Math.PI * Math.pow(r, 3));
        }
        double r = radiusMm();
        double lambda = SHELL / Math.sqrt(r * wallMm);
        double q = interferenceMm / 2 * modulusMPa / (r * r) / (1 / (ringMm * highMm) + lambda / (2 * wallMm));
        return q * Math.PI * diameterMm;
    }
}
