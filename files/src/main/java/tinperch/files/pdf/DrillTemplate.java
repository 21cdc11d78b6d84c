package tinperch.files.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Locale;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.apache.pdfbox.util.Matrix;
import tinperch.files.FileFault;
import tinperch.part.flat.FlatOutline;
import tinperch.part.flat.RoundHole;

/**
 * Writes a plate's outline and holes at full size on A4, over several sheets where one is too small: to be glued on and drilled
 * through. A line of 100 mm tells whether the printer kept the size; crosses in the strips neighbouring sheets share tell how they lie.
 */
public final class DrillTemplate {
    private static final float POINTS_PER_MM = (float) (72 / 25.4);
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
    private PDPageContentStream page;
    private PDFont font;

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
        try (PDDocument document = new PDDocument(); InputStream letters = DrillTemplate.class.getResourceAsStream("Lato-Regular.ttf")) {
            // The same plate gives the same file.
            document.setDocumentId(0L);
            font = PDType0Font.load(document, letters);
            PDViewerPreferences wish = new PDViewerPreferences(document.getDocumentCatalog().getCOSObject());
            wish.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
            document.getDocumentCatalog().setViewerPreferences(wish);
            PDDocumentInformation about = new PDDocumentInformation();
            about.setTitle(title);
            about.setProducer("Tin Perch");
            document.setDocumentInformation(about);
            for (int row = 0; row < sheets.rows(); row++) {
                for (int column = 0; column < sheets.columns(); column++) {
                    PDPage paper = new PDPage(new PDRectangle((float) sheets.widthMm() * POINTS_PER_MM, (float) sheets.heightMm() * POINTS_PER_MM));
                    document.addPage(paper);
                    try (PDPageContentStream content = new PDPageContentStream(document, paper)) {
                        page = content;
                        sheet(title, column, row);
                    }
                }
            }
            document.save(out);
        }
    }

    /** One sheet; rows count from the top. From here on a unit is a millimetre. */
    private void sheet(String title, int column, int row) throws IOException {
        page.transform(Matrix.getScaleInstance(POINTS_PER_MM, POINTS_PER_MM));
        page.saveGraphicsState();
        double m = Sheets.MARGIN_MM;
        page.addRect((float) m, (float) m, (float) (sheets.widthMm() - 2 * m), (float) (sheets.heightMm() - 2 * m));
        page.clip();
        double x = m - column * sheets.stepXMm() - frame[0];
        double y = sheets.heightMm() - m + row * sheets.stepYMm() - frame[3];
        page.transform(Matrix.getTranslateInstance((float) x, (float) y));
        page.setLineWidth(0.15f);
        for (double[] r : plate.outlines()) {
            ring(r);
        }
        for (double[] r : plate.cutouts()) {
            ring(r);
        }
        for (RoundHole h : plate.holes()) {
            hole(h);
        }
        foot(title);
        page.restoreGraphicsState();
        crosses(column, row);
        write(m, m - 5, 3, "Sheet " + (row * sheets.columns() + column + 1) + " of " + sheets.count()
                + (sheets.count() > 1 ? " · row " + (row + 1) + ", column " + (column + 1) + " · lay the crosses over each other" : ""));
    }

    private void foot(String title) throws IOException {
        double y = frame[1] - 8;
        page.setLineWidth(0.15f);
        double x = frame[0] + ROUND_MM;
        line(x, y, x + CHECK_MM, y);
        line(x, y - 1.5, x, y + 1.5);
        line(x + CHECK_MM, y - 1.5, x + CHECK_MM, y + 1.5);
        write(x + 1, y + 1.5, 3, "Measure this line: 100 mm. Print at 100 %, not fitted to the page.");
        write(x, y - 6, 4, title);
        write(x, y - FOOT_MM + 11, 3, "Seen from above as the piece lies on the bed. Centre-punch, drill small first, clear away from cables.");
    }

    private void hole(RoundHole h) throws IOException {
        double r = h.diameterMm() / 2;
        double k = r * 0.5522847498;
        page.moveTo((float) (h.xMm() + r), (float) h.yMm());
        curve(h, r, k, k, r, 0, r);
        curve(h, -k, r, -r, k, -r, 0);
        curve(h, -r, -k, -k, -r, 0, -r);
        curve(h, k, -r, r, -k, r, 0);
        page.stroke();
        double arm = r + ARM_MM;
        line(h.xMm() - arm, h.yMm(), h.xMm() + arm, h.yMm());
        line(h.xMm(), h.yMm() - arm, h.xMm(), h.yMm() + arm);
        write(h.xMm() + r * 0.75 + 0.8, h.yMm() + r * 0.75 + 0.8, 2.5, String.format(Locale.ROOT, "Ø%s", diameter(h.diameterMm())));
    }

    private static String diameter(double mm) {
        return java.math.BigDecimal.valueOf(mm).setScale(2, java.math.RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
    }

    private void curve(RoundHole h, double x1, double y1, double x2, double y2, double x3, double y3) throws IOException {
        page.curveTo((float) (h.xMm() + x1), (float) (h.yMm() + y1), (float) (h.xMm() + x2), (float) (h.yMm() + y2), (float) (h.xMm() + x3), (float) (h.yMm() + y3));
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
        page.setLineWidth(0.1f);
        line(x - CROSS_MM, y, x + CROSS_MM, y);
        line(x, y - CROSS_MM, x, y + CROSS_MM);
    }

    private void ring(double[] r) throws IOException {
        page.moveTo((float) r[0], (float) r[1]);
        for (int i = 2; i < r.length; i += 2) {
            page.lineTo((float) r[i], (float) r[i + 1]);
        }
        page.closeAndStroke();
    }

    private void line(double x0, double y0, double x1, double y1) throws IOException {
        page.moveTo((float) x0, (float) y0);
        page.lineTo((float) x1, (float) y1);
        page.stroke();
    }

    private void write(double x, double y, double heightMm, String text) throws IOException {
        page.beginText();
        page.setFont(font, (float) heightMm);
        page.newLineAtOffset((float) x, (float) y);
        page.showText(spelled(text));
        page.endText();
    }

    /** Letters the font does not have are marked: a name in another script must not stop the template. */
    private String spelled(String text) {
        StringBuilder b = new StringBuilder();
        text.codePoints().forEach(c -> {
            String s = Character.toString(c);
            try {
                font.encode(s);
                b.append(s);
            } catch (IOException | IllegalArgumentException e) {
                b.append('?');
            }
        });
        return b.toString();
    }
}
