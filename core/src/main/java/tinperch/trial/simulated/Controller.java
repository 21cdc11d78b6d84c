package tinperch.trial.simulated;

/** What decides the duty of a heater: on and off about its target, or in proportion to what is missing, how long and how fast. */
final class Controller {
    private static final double HYSTERESIS_K = 1;

    private final boolean relay;
    private final double p;
    private final double i;
    private final double d;
    private double sum;
    private double last = Double.NaN;
    private boolean on;

    private Controller(boolean relay, double p, double i, double d) {
        this.relay = relay;
        this.p = p;
        this.i = i;
        this.d = d;
    }

    static Controller relay() {
        return new Controller(true, 0, 0, 0);
    }

    /** @param p duty for a kelvin missing, {@code i} for a kelvin second, {@code d} for a kelvin a second it falls */
    static Controller pid(double p, double i, double d) {
        return new Controller(false, p, i, d);
    }

    /** 0 to 1. */
    double duty(double seenC, double targetC, double dtS) {
        if (targetC <= 0) {
            sum = 0;
            on = false;
            return 0;
        }
        double missing = targetC - seenC;
        if (relay) {
            on = missing > HYSTERESIS_K || on && missing > -HYSTERESIS_K;
            return on ? 1 : 0;
        }
        double falls = Double.isNaN(last) ? 0 : (last - seenC) / dtS;
        last = seenC;
        double duty = p * missing + sum + d * falls;
        // What is at its stop is not summed up further.
        if (duty > 0 && duty < 1 || duty >= 1 && missing < 0 || duty <= 0 && missing > 0) {
            sum += i * missing * dtS;
        }
        return Math.max(0, Math.min(1, duty));
    }
}
