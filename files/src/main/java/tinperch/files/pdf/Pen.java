package tinperch.files.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import org.apache.pdfbox.util.Matrix;

/** Draws on the pages of a document that is to be printed at full size; all lengths are millimetres from the page's lower left corner. */
final class Pen {
    private static final float POINTS_PER_MM = (float) (72 / 25.4);

    private final PDDocument document;
    private final PDFont font;
    private PDPageContentStream page;

    private Pen(PDDocument document, PDFont font) {
        this.document = document;
        this.font = font;
    }

    /** What is drawn. */
    interface Drawn {
        void with(Pen pen) throws IOException;
    }

    /** Writes a document; the stream is left open. The same drawing gives the same file. */
    static void document(String title, Drawn pages, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument(); InputStream letters = Pen.class.getResourceAsStream("Lato-Regular.ttf")) {
            document.setDocumentId(0L);
            PDFont font = PDType0Font.load(document, letters);
            PDViewerPreferences wish = new PDViewerPreferences(document.getDocumentCatalog().getCOSObject());
            wish.setPrintScaling(PDViewerPreferences.PRINT_SCALING.None);
            document.getDocumentCatalog().setViewerPreferences(wish);
            PDDocumentInformation about = new PDDocumentInformation();
            about.setTitle(title);
            about.setProducer("Tin Perch");
            document.setDocumentInformation(about);
            pages.with(new Pen(document, font));
            document.save(out);
        }
    }

    /** Draws a page. */
    void page(double widthMm, double heightMm, Drawn drawn) throws IOException {
        PDPage paper = new PDPage(new PDRectangle((float) widthMm * POINTS_PER_MM, (float) heightMm * POINTS_PER_MM));
        document.addPage(paper);
        try (PDPageContentStream content = new PDPageContentStream(document, paper)) {
            page = content;
            page.transform(Matrix.getScaleInstance(POINTS_PER_MM, POINTS_PER_MM));
            drawn.with(this);
        }
    }

    /** Draws within a rectangle only, moved. */
    void within(double x, double y, double widthMm, double heightMm, double moveX, double moveY, Drawn drawn) throws IOException {
        page.saveGraphicsState();
        page.addRect((float) x, (float) y, (float) widthMm, (float) heightMm);
        page.clip();
        page.transform(Matrix.getTranslateInstance((float) moveX, (float) moveY));
        drawn.with(this);
        page.restoreGraphicsState();
    }

    /** How wide lines are from now on; {@code dashMm} 0 draws them through. */
    void width(double mm, double dashMm) throws IOException {
        page.setLineWidth((float) mm);
        page.setLineDashPattern(dashMm > 0 ? new float[] {(float) dashMm, (float) dashMm * 0.6f} : new float[0], 0);
    }

    void line(double x0, double y0, double x1, double y1) throws IOException {
        page.moveTo((float) x0, (float) y0);
        page.lineTo((float) x1, (float) y1);
        page.stroke();
    }

    void ring(double[] r) throws IOException {
        outline(r);
        page.closeAndStroke();
    }

    /** A ring filled black. */
    void fill(double[] r) throws IOException {
        outline(r);
        page.fill();
    }

    private void outline(double[] r) throws IOException {
        page.moveTo((float) r[0], (float) r[1]);
        for (int i = 2; i < r.length; i += 2) {
            page.lineTo((float) r[i], (float) r[i + 1]);
        }
    }

    void circle(double x, double y, double r) throws IOException {
        double k = r * 0.5522847498;
        page.moveTo((float) (x + r), (float) y);
        curve(x, y, r, k, k, r, 0, r);
        curve(x, y, -k, r, -r, k, -r, 0);
        curve(x, y, -r, -k, -k, -r, 0, -r);
        curve(x, y, k, -r, r, -k, r, 0);
        page.stroke();
    }

    private void curve(double x, double y, double x1, double y1, double x2, double y2, double x3, double y3) throws IOException {
        page.curveTo((float) (x + x1), (float) (y + y1), (float) (x + x2), (float) (y + y2), (float) (x + x3), (float) (y + y3));
    }

    /** Words from their left end on. */
    void write(double x, double y, double heightMm, String text) throws IOException {
        write(x, y, heightMm, 0, text);
    }

    /** Words turned anticlockwise. */
    void write(double x, double y, double heightMm, double turnDeg, String text) throws IOException {
        page.beginText();
        page.setFont(font, (float) heightMm);
        page.setTextMatrix(Matrix.getRotateInstance(Math.toRadians(turnDeg), (float) x, (float) y));
        page.showText(spelled(text));
        page.endText();
    }

    /** How long words are, mm. */
    double lengthMm(double heightMm, String text) throws IOException {
        return font.getStringWidth(spelled(text)) / 1000 * heightMm;
    }

    /** Letters the font does not have are marked: a name in another script must not stop the drawing. */
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
