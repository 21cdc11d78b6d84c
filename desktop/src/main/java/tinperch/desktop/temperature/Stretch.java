package tinperch.desktop.temperature;

/**
 * The stretch of time that is looked at.
 *
 * @param fromS s after the run's start, {@code toS} later
 */
record Stretch(double fromS, double toS) {
    private static final double LEAST_S = 2;

    double lengthS() {
        return toS - fromS;
    }

    /** Shorter or longer about a time, within what there is. */
    Stretch zoomed(double factor, double aboutS, Stretch all) {
        double length = Math.max(LEAST_S, Math.min(all.lengthS(), lengthS() * factor));
        double share = (aboutS - fromS) / Math.max(1e-9, lengthS());
        return new Stretch(aboutS - share * length, aboutS + (1 - share) * length).within(all);
    }

    Stretch moved(double byS, Stretch all) {
        return new Stretch(fromS + byS, toS + byS).within(all);
    }

    private Stretch within(Stretch all) {
        double length = Math.min(lengthS(), all.lengthS());
        double from = Math.max(all.fromS, Math.min(all.toS - length, fromS));
        return new Stretch(from, from + length);
    }
}
