package tinperch.solid;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.simplify.TopologyPreservingSimplifier;

/**
 * Letters for printing, drawn with one stroke width that a nozzle can follow. Glyphs stand on a grid four wide and six
 * high in {@code strokes.txt}.
 */
public final class Lettering {
    private static final double GRID_HEIGHT = 6;
    private static final double ADVANCE = 5.8;
    private static final double NEAR_MM = 1e-4;
    private static final GeometryFactory JTS = new GeometryFactory();
    private static final Map<Character, List<double[]>> GLYPHS = read();

    private Lettering() {}

    private static Map<Character, List<double[]>> read() {
        Map<Character, List<double[]>> glyphs = new HashMap<>();
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Lettering.class.getResourceAsStream("strokes.txt"), StandardCharsets.UTF_8))) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (line.isBlank() || line.startsWith("#")) {
                    continue;
                }
                List<double[]> strokes = new ArrayList<>();
                for (String stroke : line.substring(2).split(";")) {
                    if (!stroke.isBlank()) {
                        strokes.add(java.util.Arrays.stream(stroke.strip().split("[ ,]+"))
                                .mapToDouble(Double::parseDouble).toArray());
                    }
                }
                glyphs.put(line.charAt(0), strokes);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return glyphs;
    }

    /** Width a text takes at the given height, stroke included, mm. */
    public static double widthMm(String text, double heightMm, double strokeMm) {
        return text.isEmpty() ? 0 : ((text.length() - 1) * ADVANCE + 4) * (heightMm - strokeMm) / GRID_HEIGHT + strokeMm;
    }

    /**
     * Outlines of a text whose lower left corner is at zero; characters without a glyph are left blank.
     *
     * @param heightMm height over all
     * @param strokeMm stroke width; at least two line widths to print well
     */
    public static List<Profile> outlines(String text, double heightMm, double strokeMm) {
        double k = (heightMm - strokeMm) / GRID_HEIGHT;
        List<Profile> all = new ArrayList<>();
        String upper = text.toUpperCase(Locale.ROOT);
        for (int i = 0; i < upper.length(); i++) {
            List<LineString> lines = new ArrayList<>();
            for (double[] s : GLYPHS.getOrDefault(upper.charAt(i), List.of())) {
                Coordinate[] c = new Coordinate[s.length / 2];
                for (int p = 0; p < c.length; p++) {
                    c[p] = new Coordinate(strokeMm / 2 + k * (s[2 * p] + i * ADVANCE), strokeMm / 2 + k * s[2 * p + 1]);
                }
                lines.add(JTS.createLineString(c));
            }
            if (!lines.isEmpty()) {
                Geometry inked = JTS.createMultiLineString(lines.toArray(LineString[]::new))
                        .buffer(strokeMm / 2, 2, BufferParameters.CAP_ROUND);
                // Strokes that meet leave points a rounding apart, which nothing can be engraved along.
                all.addAll(Profile.allOf(TopologyPreservingSimplifier.simplify(inked, NEAR_MM)));
            }
        }
        return all;
    }
}
