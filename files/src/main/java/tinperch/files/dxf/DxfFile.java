package tinperch.files.dxf;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import tinperch.part.flat.FlatOutline;
import tinperch.part.flat.RoundHole;

/**
 * Writes a plate's outline and holes as DXF R12 (AC1009) at full size, x to the right and y up, seen from above as it lies on the
 * bed. Layers: OUTLINE, CUTOUTS, HOLES to cut; CENTRES and NOTES to read. R12 knows no unit, so a line of 100 mm stands below.
 */
public final class DxfFile {
    private static final double CHECK_MM = 100;
    private static final double BELOW_MM = 8;
    private static final double TEXT_MM = 3;
    private static final List<String> LAYERS = List.of("OUTLINE", "CUTOUTS", "HOLES", "CENTRES", "NOTES");

    private final StringBuilder to = new StringBuilder();

    private DxfFile() {}

    /** Writes it; the stream is left open. A plate without an outline gives a drawing of the check line alone. */
    public static void write(FlatOutline plate, String title, OutputStream out) throws IOException {
        Writer w = new OutputStreamWriter(out, StandardCharsets.US_ASCII);
        w.write(new DxfFile().drawing(plate, title));
        w.flush();
    }

    private String drawing(FlatOutline plate, String title) {
        double[] f = plate.frame().orElse(new double[4]);
        start("SECTION");
        put(2, "HEADER");
        put(9, "$ACADVER");
        put(1, "AC1009");
        put(9, "$INSUNITS");
        put(70, "4");
        put(9, "$EXTMIN");
        point(10, f[0], f[1]);
        put(30, "0.0");
        put(9, "$EXTMAX");
        point(10, f[2], f[3]);
        put(30, "0.0");
        start("ENDSEC");
        tables();
        start("SECTION");
        put(2, "ENTITIES");
        plate.outlines().forEach(r -> polyline("OUTLINE", r));
        plate.cutouts().forEach(r -> polyline("CUTOUTS", r));
        for (RoundHole h : plate.holes()) {
            start("CIRCLE");
            put(8, "HOLES");
            point(10, h.xMm(), h.yMm());
            put(40, number(h.diameterMm() / 2));
            double arm = h.diameterMm() / 2 + 1;
            line("CENTRES", h.xMm() - arm, h.yMm(), h.xMm() + arm, h.yMm());
            line("CENTRES", h.xMm(), h.yMm() - arm, h.xMm(), h.yMm() + arm);
        }
        double y = f[1] - BELOW_MM;
        line("NOTES", f[0], y, f[0] + CHECK_MM, y);
        line("NOTES", f[0], y - 1, f[0], y + 1);
        line("NOTES", f[0] + CHECK_MM, y - 1, f[0] + CHECK_MM, y + 1);
        text(f[0], y - 2 * TEXT_MM, "100 mm");
        text(f[0], y - 4 * TEXT_MM, title);
        start("ENDSEC");
        start("EOF");
        return to.toString();
    }

    private void tables() {
        start("SECTION");
        put(2, "TABLES");
        start("TABLE");
        put(2, "LTYPE");
        put(70, "1");
        start("LTYPE");
        put(2, "CONTINUOUS");
        put(70, "64");
        put(3, "Solid line");
        put(72, "65");
        put(73, "0");
        put(40, "0.0");
        start("ENDTAB");
        start("TABLE");
        put(2, "LAYER");
        put(70, Integer.toString(LAYERS.size()));
        for (int i = 0; i < LAYERS.size(); i++) {
            start("LAYER");
            put(2, LAYERS.get(i));
            put(70, "0");
            put(62, Integer.toString(i < 3 ? 7 : 8));
            put(6, "CONTINUOUS");
        }
        start("ENDTAB");
        start("ENDSEC");
    }

    private void polyline(String layer, double[] ring) {
        start("POLYLINE");
        put(8, layer);
        put(66, "1");
        point(10, 0, 0);
        put(30, "0.0");
        put(70, "1");
        for (int i = 0; i < ring.length; i += 2) {
            start("VERTEX");
            put(8, layer);
            point(10, ring[i], ring[i + 1]);
        }
        start("SEQEND");
        put(8, layer);
    }

    private void line(String layer, double x0, double y0, double x1, double y1) {
        start("LINE");
        put(8, layer);
        point(10, x0, y0);
        point(11, x1, y1);
    }

    private void text(double x, double y, String text) {
        start("TEXT");
        put(8, "NOTES");
        point(10, x, y);
        put(40, number(TEXT_MM));
        // R12 is ASCII; a sign it has no letter for is marked, not guessed.
        put(1, text.replaceAll("[^\\x20-\\x7E]", "?"));
    }

    private void start(String what) {
        put(0, what);
    }

    private void point(int code, double x, double y) {
        put(code, number(x));
        put(code + 10, number(y));
    }

    private void put(int code, String value) {
        to.append(String.format("%3d\r\n", code)).append(value).append("\r\n");
    }

    private static String number(double mm) {
        String s = BigDecimal.valueOf(mm).setScale(6, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
        return s.indexOf('.') < 0 ? s + ".0" : s;
    }
}
