package tinperch.trial.simulated;

import java.util.Locale;
import java.util.Random;
import tinperch.trial.sensor.KType;

/**
 * A logger with two thermocouples of type K that is none: one at a contact that warms to where it will end, one in the room. It reads voltages against a
 * junction in its case, to five microvolts, as real ones do.
 */
public final class SimulatedLogger implements Simulated {
    private static final double CASE_C = 23.5;
    private static final double STEP_MV = 0.005;
    private static final double NOISE_MV = 0.006;

    private final Random dice;
    private final double endC;
    private final double tauS;
    private final double roomC;
    private double nowS;

    /** @param endC what the contact ends at, °C, {@code tauS} its time constant, s */
    public SimulatedLogger(long seed, double endC, double tauS, double roomC) {
        dice = new Random(seed);
        this.endC = endC;
        this.tauS = tauS;
        this.roomC = roomC;
    }

    @Override
    public void pass(double seconds) {
        nowS += seconds;
    }

    @Override
    public String name() {
        return "simulated thermocouple logger";
    }

    @Override
    public String report() {
        return String.format(Locale.ROOT, "T1:%.1f T2:%.1f", read(endC - (endC - roomC) * Math.exp(-nowS / tauS)), read(roomC));
    }

    /** A voltage against the case, with noise and in steps, made a temperature again by the case's own. */
    private double read(double tempC) {
        double mv = KType.millivolts(tempC) - KType.millivolts(CASE_C) + NOISE_MV * dice.nextGaussian();
        return KType.tempC(Math.rint(mv / STEP_MV) * STEP_MV + KType.millivolts(CASE_C));
    }
}
