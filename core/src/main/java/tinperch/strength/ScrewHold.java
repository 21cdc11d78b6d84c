package tinperch.strength;

import tinperch.hardware.ScrewThread;

/** What screws in plastic hold, and how tight that makes them. All estimates for solid plastic. */
public final class ScrewHold {
    /** Of a tightening torque the thread's and the head's friction leave F = T / (K·d) (common handbook value for dry steel: 0.2). */
    private static final double NUT_FACTOR = 0.2;
    /** Sheared, ductile plastic bears this share of what it bears pulled (von Mises: 1/√3). */
    private static final double SHEARED = 1 / Math.sqrt(3);
    /** What a steel screw of class 8.8 bears for good, MPa (ISO 898-1: proof stress 580 to M16), and the share of it that is used (common practice). */
    private static final double PROOF_MPA = 580;
    private static final double OF_PROOF = 0.75;
    private static final double MM_PER_M = 1000;

    private ScrewHold() {}

    /**
     * Under a head, a washer or a round nut, N.
     *
     * @param outerMm of what bears, {@code boreMm} of the hole under it
     * @param share of that ring that lies on plastic
     * @param bearsMPa what the plastic bears
     */
    public static double underHeadN(double outerMm, double boreMm, double share, double bearsMPa) {
        return Math.max(0, Math.PI / 4 * (outerMm * outerMm - boreMm * boreMm)) * share * bearsMPa;
    }

    /** Under a hexagon nut, N: its six-sided face without the hole. */
    public static double underNutN(double acrossFlatsMm, double boreMm, double share, double bearsMPa) {
        return Math.max(0, Math.sqrt(3) / 2 * acrossFlatsMm * acrossFlatsMm - Math.PI / 4 * boreMm * boreMm) * share * bearsMPa;
    }

    /** What a thread or an insert holds against being pulled out, N: the plastic is sheared on a cylinder around it. */
    public static double pullOutN(double outerMm, double lengthMm, double bearsMPa) {
        return Math.PI * outerMm * lengthMm * bearsMPa * SHEARED;
    }

    /** What the steel itself bears for good, N. */
    public static double steelN(ScrewThread t) {
        return OF_PROOF * PROOF_MPA * t.stressAreaMm2();
    }

    /** The torque that clamps so hard, Nm. */
    public static double torqueNm(ScrewThread t, double clampN) {
        return NUT_FACTOR * t.diameterMm() / MM_PER_M * clampN;
    }
}
