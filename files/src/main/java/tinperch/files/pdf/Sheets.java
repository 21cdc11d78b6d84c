package tinperch.files.pdf;

/**
 * How a drawing is spread over sheets of paper: margins no printer can reach, and strips that neighbours share.
 *
 * @param widthMm of the paper as it lies, {@code heightMm} likewise
 * @param columns how many side by side, {@code rows} how many one above the other
 */
record Sheets(double widthMm, double heightMm, int columns, int rows) {
    static final double MARGIN_MM = 10;
    static final double OVERLAP_MM = 10;
    /** ISO 216 A4. */
    private static final double SHORT_MM = 210;
    private static final double LONG_MM = 297;

    /** The way to lay A4 that takes fewest sheets; upright where both take as many. */
    static Sheets of(double drawingWidthMm, double drawingHeightMm) {
        Sheets upright = of(SHORT_MM, LONG_MM, drawingWidthMm, drawingHeightMm);
        Sheets lying = of(LONG_MM, SHORT_MM, drawingWidthMm, drawingHeightMm);
        return lying.count() < upright.count() ? lying : upright;
    }

    private static Sheets of(double w, double h, double drawingW, double drawingH) {
        return new Sheets(w, h, needed(drawingW, w - 2 * MARGIN_MM), needed(drawingH, h - 2 * MARGIN_MM));
    }

    private static int needed(double drawing, double room) {
        return drawing <= room ? 1 : 1 + (int) Math.ceil((drawing - room) / (room - OVERLAP_MM) - 1e-9);
    }

    int count() {
        return columns * rows;
    }

    /** How far the next sheet's drawing begins after this one's, mm. */
    double stepXMm() {
        return widthMm - 2 * MARGIN_MM - OVERLAP_MM;
    }

    double stepYMm() {
        return heightMm - 2 * MARGIN_MM - OVERLAP_MM;
    }
}
