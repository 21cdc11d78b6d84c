package tinperch.hardware;

import java.util.List;

/**
 * A metric coarse thread with the standard parts that go with it; lengths in mm, areas in mm².
 *
 * @param name designation, "M3"
 * @param diameterMm nominal diameter
 * @param pitchMm ISO 261 coarse
 * @param clearanceFineMm ISO 273 fine series; medium and coarse follow
 * @param tapDrillMm core hole for cutting the thread
 * @param capHeadMm cap head diameter and height, ISO 4762
 * @param buttonHeadMm button head diameter and height, ISO 7380-1; 0 where not made
 * @param sunkHeadMm countersunk head of 90°: diameter where its cone would end sharp, and height; ISO 10642, ISO 2009 below M3
 * @param nutAcrossFlatsMm ISO 4032, with its height; thin nut ISO 4035
 * @param washerOuterMm ISO 7089, with its thickness
 * @param stressAreaMm2 tensile stress area, ISO 898-1
 * @param shortestMm shortest and longest cap screw shops keep (common practice; the short threads as in ISO 4762)
 */
public record ScrewThread(
        String name, double diameterMm, double pitchMm,
        double clearanceFineMm, double clearanceMediumMm, double clearanceCoarseMm, double tapDrillMm,
        double capHeadMm, double capHeadHeightMm, double buttonHeadMm, double buttonHeadHeightMm,
        double sunkHeadMm, double sunkHeadHeightMm,
        double nutAcrossFlatsMm, double nutHeightMm, double thinNutHeightMm,
        double washerInnerMm, double washerOuterMm, double washerThicknessMm, double stressAreaMm2, double shortestMm, double longestMm) {

    /** Lengths shops keep in this thread, shortest first: those of ISO 888 that are made in it. */
    public List<Double> soldLengthsMm() {
        return HardwareTables.PREFERRED_LENGTHS_MM.stream().filter(l -> l >= shortestMm && l <= longestMm).toList();
    }

    /** Head diameter and height; falls back to the cap head where no button head is made. */
    public double headDiameterMm(Head head) {
        return head == Head.BUTTON && buttonHeadMm > 0 ? buttonHeadMm : capHeadMm;
    }

    /** Height of a head of a form, mm. */
    public double headHeightMm(Head head) {
        return head == Head.BUTTON && buttonHeadMm > 0 ? buttonHeadHeightMm : capHeadHeightMm;
    }

    /** Diameter of the hole that lets it through, mm (ISO 273). */
    public double clearanceMm(Fit fit) {
        return switch (fit) {
            case FINE -> clearanceFineMm;
            case MEDIUM -> clearanceMediumMm;
            case COARSE -> clearanceCoarseMm;
        };
    }

    /** Screw head forms. */
    public enum Head { CAP, BUTTON }

    /** ISO 273 series of clearance holes. */
    public enum Fit { FINE, MEDIUM, COARSE }
}
