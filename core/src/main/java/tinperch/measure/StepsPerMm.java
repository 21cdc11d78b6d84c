package tinperch.measure;

/**
 * Motor steps for a millimetre of movement (common practice; plain kinematics).
 *
 * @param perTurn motor steps for one turn, microsteps and gearing counted: 200 · 16 · ratio
 */
public record StepsPerMm(double perTurn) {

    /** {@code fullSteps} a turn (200 for 1.8° motors), {@code micro} microsteps, {@code ratio} turns of the motor for one of the output. */
    public static StepsPerMm motor(double fullSteps, double micro, double ratio) {
        return new StepsPerMm(fullSteps * micro * ratio);
    }

    /** A belt on a pulley: steps / (pitch · teeth). */
    public double belt(double pitchMm, double teeth) {
        return perTurn / (pitchMm * teeth);
    }

    /** A screw, by its lead (pitch · starts). */
    public double screw(double leadMm) {
        return perTurn / leadMm;
    }

    /** A gear that drives filament, by the diameter at which it bites: steps / (π · d). */
    public double gear(double biteDiameterMm) {
        return perTurn / (Math.PI * biteDiameterMm);
    }

    /** A plunger on a screw, told to a slicer as if it were filament: screw · (filament Ø / bore)². */
    public double plungerAsFilament(double leadMm, double boreMm, double filamentMm) {
        return screw(leadMm) * filamentMm * filamentMm / (boreMm * boreMm);
    }
}
