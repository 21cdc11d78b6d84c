package tinperch.trial;

import tinperch.measure.Spread;

/**
 * Two steady values against each other.
 *
 * @param difference after less before
 * @param halfWidth half of its interval (95 %, Welch's degrees of freedom), with what a sensor reads differently when it is put there again
 */
public record Comparison(double difference, double halfWidth) {
    /** A sensor taken off and put back reads differently by up to so much, K (common practice, value from memory). */
    public static final double PUT_BACK_K = 0.5;

    /** What is said of it. */
    public enum Says {
        BETTER("better"), WORSE("worse"), CANNOT_TELL("cannot tell");

        private final String label;

        Says(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * Of two runs.
     *
     * @param putBack what the instrument itself may differ by between them, in the channel's unit
     */
    public static Comparison of(Steady before, Steady after, double putBack) {
        double a = square(before.deviation()) / before.worth();
        double b = square(after.deviation()) / after.worth();
        double freedom = a + b == 0 ? 1e6 : square(a + b) / (square(a) / Math.max(1, before.worth() - 1) + square(b) / Math.max(1, after.worth() - 1));
        double noise = Spread.studentT((int) Math.max(1, Math.min(10_000, Math.round(freedom)))) * Math.sqrt(a + b);
        return new Comparison(after.mean() - before.mean(), Math.hypot(noise, putBack));
    }

    /** @param lowerIsBetter as with a contact's temperature */
    public Says says(boolean lowerIsBetter) {
        if (Math.abs(difference) <= halfWidth) {
            return Says.CANNOT_TELL;
        }
        return difference < 0 == lowerIsBetter ? Says.BETTER : Says.WORSE;
    }

    private static double square(double x) {
        return x * x;
    }
}
