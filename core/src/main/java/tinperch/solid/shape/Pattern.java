package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;

/** Many from one: placements in a row, round an axis, on a grid, mirrored; and solids put there. */
public final class Pattern {
    private static final int MOST = 10_000;

    private Pattern() {}

    /** {@code count} placements, the first here, each {@code step} from the one before. */
    public static List<Placement> linear(int count, Vec3 step) {
        check(count);
        List<Placement> all = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            all.add(Placement.at(step.x() * i, step.y() * i, step.z() * i));
        }
        return all;
    }

    /** Rows of columns; the first placement is here. */
    public static List<Placement> grid(int columns, Vec3 columnStep, int rows, Vec3 rowStep) {
        check((long) columns * rows);
        List<Placement> all = new ArrayList<>(columns * rows);
        for (int r = 0; r < rows; r++) {
            for (int c = 0; c < columns; c++) {
                Vec3 o = columnStep.times(c).plus(rowStep.times(r));
                all.add(Placement.at(o.x(), o.y(), o.z()));
            }
        }
        return all;
    }

    /** {@code count} placements turned about an axis, evenly over {@code sweepDeg} (360 for all the way round). */
    public static List<Placement> circular(int count, Vec3 point, Vec3 axis, double sweepDeg) {
        check(count);
        List<Placement> all = new ArrayList<>(count);
        boolean whole = Math.abs(Math.abs(sweepDeg) - 360) < 1e-9;
        double step = Math.toRadians(sweepDeg) / (whole ? count : Math.max(1, count - 1));
        for (int i = 0; i < count; i++) {
            all.add(Placement.turn(point, axis, i * step));
        }
        return all;
    }

    /** The same solid at each placement, joined; copies are named after the feature and their number. */
    public static Solid of(Solid one, List<Placement> places) {
        List<Solid> all = new ArrayList<>(places.size());
        for (int i = 0; i < places.size(); i++) {
            all.add(placed(one, places.get(i), " " + (i + 1)));
        }
        return new Solid.Union(all);
    }

    /** The mirror image in the plane through {@code point} with unit normal {@code n}. */
    public static Solid mirrored(Solid one, Vec3 point, Vec3 n) {
        return placed(one, Placement.HERE.mirrored(point, n.unit()), "");
    }

    /** A tree moved as a whole; {@code suffix} is added to the names of its features. */
    public static Solid placed(Solid s, Placement place, String suffix) {
        if (s instanceof Leaf leaf) {
            return leaf.placed(leaf.feature() + suffix, place);
        }
        if (s instanceof Solid.Union u) {
            return new Solid.Union(u.parts().stream().map(p -> placed(p, place, suffix)).toList());
        }
        if (s instanceof Solid.Intersection i) {
            return new Solid.Intersection(i.parts().stream().map(p -> placed(p, place, suffix)).toList());
        }
        Solid.Difference d = (Solid.Difference) s;
        return new Solid.Difference(placed(d.body(), place, suffix),
                d.cuts().stream().map(c -> placed(c, place, suffix)).toList());
    }

    private static void check(long count) {
        if (count < 1 || count > MOST) {
            throw new SolidException("A pattern of " + count + " cannot be made; use 1 to " + MOST + ".");
        }
    }
}
