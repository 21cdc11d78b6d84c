package tinperch.part;

import java.util.ArrayList;
import java.util.List;
import tinperch.measure.MeasuredPattern;

/**
 * Holes a part has to meet, about the pattern's own centre.
 *
 * @param name what it belongs to
 * @param holes at least one
 */
public record HolePattern(String name, List<Hole> holes) {
    public HolePattern {
        holes = List.copyOf(holes);
    }

    /** A hole with its label ("A") and place about the pattern's centre, mm. */
    public record Hole(String label, double x, double y) {}

    /** The measured four holes moved so that their middle is at zero. */
    public static HolePattern of(String name, MeasuredPattern measured) {
        double cx = 0;
        double cy = 0;
        for (int i = 0; i < 4; i++) {
            cx += measured.xMm(i) / 4;
            cy += measured.yMm(i) / 4;
        }
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            holes.add(new Hole(String.valueOf((char) ('A' + i)), measured.xMm(i) - cx, measured.yMm(i) - cy));
        }
        return new HolePattern(name, holes);
    }
}
