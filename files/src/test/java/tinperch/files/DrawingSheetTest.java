package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;
import tinperch.files.pdf.DrawingSheet;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.solid.view.HiddenLines;

/** A part on paper, read and measured by a PDF library. */
public class DrawingSheetTest {
    private static List<HiddenLines.Piece> box(double w, double h) {
        return List.of(new HiddenLines.Piece(0, 0, w, 0, true), new HiddenLines.Piece(w, 0, w, h, true), new HiddenLines.Piece(w, h, 0, h, true), new HiddenLines.Piece(0, h, 0, 0, true));
    }

    private static byte[] drawn(String title, double w, double d, double h, List<String> list) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DrawingSheet.write(new DrawingSheet.Content(title, box(w, d), box(w, h), box(d, h), List.of(Dimension.across(View.TOP, 0, 0, 0, w, 0, 0, -14, null),
                Dimension.up(View.SIDE, 0, d, 0, 0, d, h, 8, null)), list, List.of("PETG")), out);
        return out.toByteArray();
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            assertEquals(d.getNumberOfPages(), 1);
            return new PDFTextStripper().getText(d);
        }
    }

    private static double paperMm(byte[] pdf) throws IOException {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            return d.getPage(0).getMediaBox().getWidth() / 72 * 25.4;
        }
    }

    @Test
    public void itSaysItsNumbersItsScaleAndWhatBelongsToIt() throws IOException {
        String said = text(drawn("Plate R3", 60, 40, 5.25, List.of("1 × Plate, PETG", "4 × nut M3 (ISO 4032)")));
        // Words that stand upright are told letter by letter.
        said = said.replaceAll("\\s", "");
        for (String part : List.of("PlateR3", "60", "5.25", "1:1", "thirdangle", "4×nutM3(ISO4032)", "fromtheright")) {
            assertTrue(said.contains(part), part + " is missing in " + said);
        }
    }

    /** ISO 5455: a part of 25 is drawn twice as large, one of 700 at a fifth on A3. */
    @Test
    public void theScaleIsTheLargestThatFits() throws IOException {
        byte[] small = drawn("S", 25, 20, 5, List.of());
        assertTrue(text(small).contains("2:1"), text(small));
        assertEquals(paperMm(small), 297, 0.1);
        byte[] large = drawn("L", 700, 300, 60, List.of());
        assertTrue(text(large).contains("1:5"), text(large));
        assertEquals(paperMm(large), 420, 0.1);
        assertTrue(text(drawn("H", 30_000, 8000, 10, List.of())).contains("1:50"), "what fits nowhere is drawn as small as there is");
    }

    /** Ten pixels a millimetre: the front view, a single rectangle 60 wide, is measured on the picture. */
    @Test
    public void atOneToOneItCanBeMeasured() throws IOException {
        BufferedImage image;
        try (PDDocument d = Loader.loadPDF(drawn("P", 60, 40, 20, List.of()))) {
            image = new PDFRenderer(d).renderImageWithDPI(0, 254);
        }
        // The lowest long line above the title's frame is the front view's lower edge.
        List<Integer> wide = new ArrayList<>();
        for (int y = image.getHeight() - 320; y > 0 && wide.isEmpty(); y--) {
            int run = 0;
            int most = 0;
            for (int x = 200; x < 2000; x++) {
                run = (image.getRGB(x, y) & 0xff) < 128 ? run + 1 : 0;
                most = Math.max(most, run);
            }
            if (most > 300) {
                wide.add(most);
            }
        }
        assertEquals(wide.get(0) / 10.0, 60, 0.6);
    }

    @Test
    public void namesThatAreLongOrInAnotherScriptStopNothing() throws IOException {
        String said = text(drawn("部品 " + "a very long name ".repeat(30), 60, 40, 5, List.of("x".repeat(500))));
        assertTrue(said.contains("??") && said.contains("…"), said);
        byte[] nothing = drawn("", 0, 0, 0, List.of());
        assertTrue(text(nothing).contains("mm"));
    }

    @Test
    public void theSamePartGivesTheSameFile() throws IOException {
        assertEquals(drawn("P", 60, 40, 5, List.of("x")), drawn("P", 60, 40, 5, List.of("x")));
    }
}
