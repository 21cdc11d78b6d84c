package tinperch.solid;

/**
 * The lengths below which the kernel treats things as one. Passed in, never global.
 *
 * @param planeMm two faces whose corners lie within this of one plane share it
 * @param weldMm points nearer than this are one point; well below {@code planeMm}
 */
public record Tolerances(double planeMm, double weldMm) {
    /** Fits parts of 1 to 1000 mm: far above rounding (1e-12), far below anything a printer can make (1e-2). */
    public static final Tolerances USUAL = new Tolerances(1e-6, 2e-7);

    public Tolerances scaled(double k) {
        return new Tolerances(planeMm * k, weldMm * k);
    }
}
