package tinperch.files.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Locale;
import tinperch.files.FileFault;
import tinperch.part.flat.FlatOutline;
import tinperch.part.flat.RoundHole;

/**
 * Writes a plate's outline and holes at full size on A4, over several sheets where one is too small: to be glued on and drilled
 * through. A line of 100 mm tells whether the printer kept the size; crosses in the strips neighbouring sheets share tell how they lie.
 */
public final class DrillTemplate {
    private static final double CHECK_MM = 100;
    private static final double FOOT_MM = 22;
    /** Around the plate, so that its outline is not cut by the edge of the paper. */
    private static final double ROUND_MM = 1;
    private static final double CROSS_MM = 4;
    private static final double ARM_MM = 3;
    /** A plate larger than this is no work for glued paper. */
    private static final int MOST_SHEETS = 60;

    private final FlatOutline plate;
    private final double[] frame;
    private final Sheets sheets;
    private Pen pen;

    private DrillTemplate(FlatOutline plate) {
        this.plate = plate;
        double[] f = plate.frame().orElse(new double[4]);
        frame = new double[] {f[0] - ROUND_MM, f[1] - ROUND_MM, f[2] + ROUND_MM, f[3] + ROUND_MM};
        sheets = Sheets.of(Math.max(frame[2] - frame[0], CHECK_MM + 2 * ROUND_MM), frame[3] - frame[1] + FOOT_MM);
    }

    /**
     * Writes it; the stream is left open.
     *
     * @throws FileFault when it would take more paper than anybody glues
     */
    public static void write(FlatOutline plate, String title, OutputStream out) throws IOException {
        DrillTemplate t = new DrillTemplate(plate);
        if (t.sheets.count() > MOST_SHEETS) {
            throw new FileFault("A template of " + t.sheets.count() + " sheets is more than anybody glues together. Write the DXF instead.");
        }
        t.document(title, out);
    }

    private void document(String title, OutputStream out) throws IOException {
        Pen.document(title, drawing -> {
            pen = drawing;
            for (int row = 0; row < sheets.rows(); row++) {
                for (int column = 0; column < sheets.columns(); column++) {
                    int c = column;
                    int r = row;
                    pen.page(sheets.widthMm(), sheets.heightMm(), p -> sheet(title, c, r));
                }
            }
        }, out);
    }

    /** One sheet; rows count from the top. */
    private void sheet(String title, int column, int row) throws IOException {
        double m = Sheets.MARGIN_MM;
        double x = m - column * sheets.stepXMm() - frame[0];
        double y = sheets.heightMm() - m + row * sheets.stepYMm() - frame[3];
        pen.within(m, m, sheets.widthMm() - 2 * m, sheets.heightMm() - 2 * m, x, y, p -> {
            pen.width(0.15, 0);
            for (double[] r : plate.outlines()) {
                pen.ring(r);
            }
            for (double[] r : plate.cutouts()) {
                pen.ring(r);
            }
            for (RoundHole h : plate.holes()) {
                hole(h);
            }
            foot(title);
        });
        crosses(column, row);
        pen.write(m, m - 5, 3, "Sheet " + (row * sheets.columns() + column + 1) + " of " + sheets.count()
                + (sheets.count() > 1 ? " · row " + (row + 1) + ", column " + (column + 1) + " · lay the crosses over each other" : ""));
    }

    private void foot(String title) throws IOException {
        double y = frame[1] - 8;
        pen.width(0.15, 0);
        double x = frame[0] + ROUND_MM;
        pen.line(x, y, x + CHECK_MM, y);
        pen.line(x, y - 1.5, x, y + 1.5);
        pen.line(x + CHECK_MM, y - 1.5, x + CHECK_MM, y + 1.5);
        pen.write(x + 1, y + 1.5, 3, "Measure this line: 100 mm. Print at 100 %, not fitted to the page.");
        pen.write(x, y - 6, 4, title);
        pen.write(x, y - FOOT_MM + 11, 3, "Seen from above as the piece lies on the bed. Centre-punch, drill small first, clear away from cables.");
    }

    private void hole(RoundHole h) throws IOException {
        double r = h.diameterMm() / 2;
        pen.circle(h.xMm(), h.yMm(), r);
        double arm = r + ARM_MM;
        pen.line(h.xMm() - arm, h.yMm(), h.xMm() + arm, h.yMm());
        pen.line(h.xMm(), h.yMm() - arm, h.xMm(), h.yMm() + arm);
        pen.write(h.xMm() + r * 0.75 + 0.8, h.yMm() + r * 0.75 + 0.8, 2.5, String.format(Locale.ROOT, "Ø%s", diameter(h.diameterMm())));
    }

    private static String diameter(double mm) {
        return java.math.BigDecimal.valueOf(mm).setScale(2, java.math.RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
    }

    /** Crosses in the middle of the strips shared with the sheets to the left, right, above and below. */
    private void crosses(int column, int row) throws IOException {
        double w = sheets.widthMm();
        double h = sheets.heightMm();
        double in = Sheets.MARGIN_MM + Sheets.OVERLAP_MM / 2;
        for (double share : new double[] {0.2, 0.8}) {
            double y = Sheets.MARGIN_MM + share * (h - 2 * Sheets.MARGIN_MM);
            double x = Sheets.MARGIN_MM + share * (w - 2 * Sheets.MARGIN_MM);
            if (column > 0) {
                cross(in, y);
            }
            if (column < sheets.columns() - 1) {
                cross(w - in, y);
            }
            if (row > 0) {
                cross(x, h - in);
            }
            if (row < sheets.rows() - 1) {
                cross(x, in);
            }
        }
    }

    private void cross(double x, double y) throws IOException {
        pen.width(0.1, 0);
        pen.line(x - CROSS_MM, y, x + CROSS_MM, y);
        pen.line(x, y - CROSS_MM, x, y + CROSS_MM);
    }
}
