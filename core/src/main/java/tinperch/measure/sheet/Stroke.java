package tinperch.measure.sheet;

import java.util.List;
import tinperch.quantity.Table;

/**
 * One line of a kind's picture, in a box 100 wide and 70 high with y downwards; one row of {@code pictures.csv}.
 *
 * @param form line (x1 y1 to x2 y2), box (corner x y, width, height), ring (middle x y, radius), dash (a line, broken)
 */
public record Stroke(String kind, Form form, double a, double b, double c, double d) {
    /** How the numbers are meant. */
    public enum Form { LINE, BOX, RING, DASH }

    static final List<Stroke> ALL = Table.read(Stroke.class, "pictures.csv", Stroke.class);
}
