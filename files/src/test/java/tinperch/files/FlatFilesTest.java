package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import tinperch.files.dxf.DxfFile;
import tinperch.files.pdf.DrillTemplate;
import tinperch.files.svg.SvgFile;
import tinperch.part.flat.FlatOutline;
import tinperch.part.flat.RoundHole;

/** A plate on paper, in a cutter's file and in a picture: at full size, whoever reads it. */
public class FlatFilesTest {
    private static final double[] WINDOW = {10, 10, 10, 16, 18, 16, 18, 10};

    private static double[] rectangle(double w, double h) {
        return new double[] {-w / 2, -h / 2, w / 2, -h / 2, w / 2, h / 2, -w / 2, h / 2};
    }

    private static FlatOutline plate(double w, double h) {
        return new FlatOutline(2, List.of(rectangle(w, h)), List.of(WINDOW), List.of(new RoundHole(-20, 5, 3.4, "A"), new RoundHole(w / 2 - 12, -h / 2 + 15, 6.5, "B")));
    }

    // ---- DXF ----

    /** Group codes and values, two lines each, as R12 has them. */
    private static List<String[]> pairs(FlatOutline o, String title) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DxfFile.write(o, title, out);
        String[] lines = out.toString(StandardCharsets.US_ASCII).split("\r\n");
        assertEquals(lines.length % 2, 0);
        List<String[]> all = new ArrayList<>();
        for (int i = 0; i < lines.length; i += 2) {
            all.add(new String[] {lines[i].strip(), lines[i + 1]});
        }
        return all;
    }

    private static List<String> values(List<String[]> pairs, String after, int code) {
        List<String> found = new ArrayList<>();
        String now = "";
        for (String[] p : pairs) {
            if (p[0].equals("0")) {
                now = p[1];
            } else if (now.equals(after) && p[0].equals(Integer.toString(code))) {
                found.add(p[1]);
            }
        }
        return found;
    }

    @Test
    public void aDxfIsR12WithOutlineHolesAndAHundredMillimetres() throws IOException {
        List<String[]> p = pairs(plate(60, 40), "Plate für A");
        assertTrue(p.stream().anyMatch(x -> x[0].equals("1") && x[1].equals("AC1009")));
        assertEquals(p.get(p.size() - 1)[1], "EOF");
        assertEquals(values(p, "CIRCLE", 40), List.of("1.7", "3.25"));
        assertEquals(values(p, "CIRCLE", 10), List.of("-20.0", "18.0"));
        assertEquals(values(p, "CIRCLE", 8), List.of("HOLES", "HOLES"));
        assertEquals(values(p, "POLYLINE", 8), List.of("OUTLINE", "CUTOUTS"));
        assertEquals(values(p, "POLYLINE", 70), List.of("1", "1"), "closed");
        assertEquals(values(p, "SEQEND", 8).size(), 2, "R12 wants the end of each said");
        assertEquals(values(p, "VERTEX", 10).subList(0, 4), List.of("-30.0", "30.0", "30.0", "-30.0"));
        List<String> x0 = values(p, "LINE", 10);
        List<String> x1 = values(p, "LINE", 11);
        assertTrue(java.util.stream.IntStream.range(0, x0.size()).anyMatch(i -> Double.parseDouble(x1.get(i)) - Double.parseDouble(x0.get(i)) == 100));
        assertEquals(values(p, "TEXT", 1), List.of("100 mm", "Plate f?r A"));
    }

    // ---- SVG ----

    @Test
    public void anSvgIsInMillimetresAndUpsideUp() throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SvgFile.write(plate(60, 40), "a <b> & \u0001c", out);
        Document d = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(out.toByteArray()));
        Element svg = d.getDocumentElement();
        String[] box = svg.getAttribute("viewBox").split(" ");
        assertEquals(svg.getAttribute("width"), box[2] + "mm");
        assertEquals(svg.getAttribute("height"), box[3] + "mm");
        Element a = (Element) d.getElementsByTagName("circle").item(0);
        Element b = (Element) d.getElementsByTagName("circle").item(1);
        assertEquals(Double.parseDouble(a.getAttribute("r")), 1.7);
        assertEquals(Double.parseDouble(b.getAttribute("cx")) - Double.parseDouble(a.getAttribute("cx")), 38, 1e-9);
        // The second lies lower on the plate; in a picture y runs down.
        assertEquals(Double.parseDouble(b.getAttribute("cy")) - Double.parseDouble(a.getAttribute("cy")), 10, 1e-9);
        assertEquals(d.getElementsByTagName("path").getLength(), 2);
        assertEquals(d.getElementsByTagName("title").item(0).getTextContent(), "a <b> & c");
    }

    // ---- the drill template ----

    private static byte[] template(FlatOutline o) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        DrillTemplate.write(o, "Plate 板 R3", out);
        return out.toByteArray();
    }

    @DataProvider
    public Object[][] sizes() {
        // A4 is 210×297 with margins of 10 mm and 10 mm shared: 190×277, then 180 or 267 more a sheet (ISO 216).
        return new Object[][] {{60, 40, 1}, {186, 250, 1}, {240, 150, 1}, {240, 240, 2}, {400, 300, 4}, {30, 20, 1}};
    }

    @Test(dataProvider = "sizes")
    public void aPlateTakesAsManySheetsAsItMust(double w, double h, int sheets) throws IOException {
        try (PDDocument d = Loader.loadPDF(template(plate(w, h)))) {
            assertEquals(d.getNumberOfPages(), sheets);
            assertEquals(d.getDocumentCatalog().getViewerPreferences().getPrintScaling(), "None");
            String text = new PDFTextStripper().getText(d);
            assertTrue(text.contains("Plate ? R3") && text.contains("Sheet 1 of " + sheets) && text.contains("Ø3.4"), text);
        }
        assertEquals(template(plate(w, h)), template(plate(w, h)), "the same plate, the same file");
    }

    /** At 300 dots an inch 100 mm are 1181 of them, and so are the 100 mm between two holes. */
    @Test
    public void onPaperItHasFullSize() throws IOException {
        FlatOutline o = new FlatOutline(1, List.of(rectangle(130, 60)), List.of(), List.of(new RoundHole(-50, 0, 8, "A"), new RoundHole(50, 0, 8, "B")));
        try (PDDocument d = Loader.loadPDF(template(o))) {
            BufferedImage page = new PDFRenderer(d).renderImageWithDPI(0, 300);
            assertEquals(page.getWidth(), 210 / 25.4 * 300, 1);
            assertEquals(page.getHeight(), 297 / 25.4 * 300, 1);
            // Across the middle of the plate: left edge, cross and rim of A, of B, right edge.
            double mm = 300 / 25.4;
            int y = (int) ((10 + 1 + 30 + 0.9) * mm);
            List<Integer> dark = new ArrayList<>();
            for (int x = 0; x < page.getWidth(); x++) {
                if ((page.getRGB(x, y) & 0xFF) < 140 && (dark.isEmpty() || x - dark.get(dark.size() - 1) > 4)) {
                    dark.add(x);
                }
            }
            // 0.9 mm below the middle a circle of 4 mm is 3.897 mm wide each way: edge, rim, upright arm, rim; twice; edge.
            assertEquals(dark.size(), 8, dark.toString());
            assertEquals(dark.get(7) - dark.get(0), 130 * mm, 2);
            assertEquals(dark.get(5) - dark.get(2), 100 * mm, 2, "from hole to hole");
            assertEquals(dark.get(3) - dark.get(1), 2 * 3.897 * mm, 3, "the hole's width there");
        }
    }

    /** A hole on the strip two sheets share is on both, as far from their crosses. */
    @Test
    public void neighbouringSheetsShareAStrip() throws IOException {
        try (PDDocument d = Loader.loadPDF(template(plate(240, 240)))) {
            double mm = 150 / 25.4;
            BufferedImage left = new PDFRenderer(d).renderImageWithDPI(0, 150);
            BufferedImage right = new PDFRenderer(d).renderImageWithDPI(1, 150);
            boolean lying = left.getWidth() > left.getHeight();
            // The crosses stand in the middle of the shared strips, which lie on opposite edges of the two sheets.
            double a = (lying ? left.getHeight() : left.getWidth()) - 15 * mm;
            double b = 15 * mm;
            assertTrue(hasLine(left, lying, a) && hasLine(right, lying, b), "crosses");
        }
    }

    private static boolean hasLine(BufferedImage page, boolean level, double at) {
        int along = level ? page.getWidth() : page.getHeight();
        for (double share : new double[] {0.2, 0.8}) {
            double mm = 150 / 25.4;
            int mid = (int) (10 * mm + share * (along - 20 * mm));
            int seen = 0;
            for (int off = -2; off <= 2; off++) {
                int dark = 0;
                for (int k = (int) (-3 * mm); k < 3 * mm; k++) {
                    int x = level ? mid + k : (int) at + off;
                    int y = level ? (int) at + off : mid + k;
                    dark += (page.getRGB(x, y) & 0xFF) < 200 ? 1 : 0;
                }
                seen = Math.max(seen, dark);
            }
            if (seen < 5 * mm) {
                return false;
            }
        }
        return true;
    }

    @Test
    public void nobodyGluesAHundredSheets() {
        FileFault e = expectThrows(FileFault.class, () -> template(plate(3000, 3000)));
        assertTrue(e.getMessage().contains("Write the DXF instead"), e.getMessage());
    }
}
