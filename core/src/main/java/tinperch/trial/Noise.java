package tinperch.trial;

/** How much samples that follow each other closely are worth. */
final class Noise {
    /** Samples more alike than this are hardly more than one. */
    private static final double MOST = 0.98;

    private Noise() {}

    /** So many independent values have the same information: n (1 − r) / (1 + r) with the correlation r of each deviation with the next; at least 1, at most n. */
    static double independent(double[] deviations) {
        double with = 0;
        double all = 0;
        for (int i = 0; i < deviations.length; i++) {
            all += deviations[i] * deviations[i];
            with += i + 1 < deviations.length ? deviations[i] * deviations[i + 1] : 0;
        }
        double r = all > 0 ? Math.max(0, Math.min(MOST, with / all)) : 0;
        return Math.max(1, deviations.length * (1 - r) / (1 + r));
    }
}
