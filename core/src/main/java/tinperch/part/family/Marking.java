package tinperch.part.family;

import java.util.List;
import java.util.Optional;
import tinperch.part.Parameter;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Lettering;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** The mark a revision is told by, engraved into the first free place of a flat upper side that is large enough. */
final class Marking {
    static final String KEY = "mark.height";
    static final double DEPTH_MM = 0.6;
    /** Two lines of a 0.4 mm nozzle and a little: strokes that print. */
    private static final double STROKE_MM = 0.9;
    /** Smaller letters run together. */
    private static final double LEAST_MM = 4;
    /** How far above the surface the cutters stand, so that they cut it. */
    private static final double ABOVE_MM = 0.4;

    /** A flat that tells where there is room. */
    interface Flat {
        /** Lower left corner of a free rectangle, empty when there is none. */
        Optional<double[]> freePlace(double widthMm, double heightMm);
    }

    private Marking() {}

    static Parameter parameter(String group) {
        return Parameter.number(KEY, group, "Mark height", Unit.MM, 0, 20, 6, "Height of the engraved revision mark; 0 leaves it out");
    }

    /**
     * Cuts the mark, smaller than asked for where there is no room for more.
     *
     * @param topMm height of the flat
     * @param where its name
     * @return where it went, or empty
     */
    static Optional<String> engrave(String mark, double heightMm, double topMm, String where, Flat flat, List<Solid> cuts) {
        if (mark.isEmpty()) {
            return Optional.empty();
        }
        for (double size = heightMm; size >= LEAST_MM; size--) {
            Optional<double[]> place = flat.freePlace(Lettering.widthMm(mark, size, STROKE_MM), size);
            if (place.isPresent()) {
                int n = 0;
                for (Profile p : Lettering.outlines(mark, size, STROKE_MM)) {
                    cuts.add(Leaf.extrusion("mark " + ++n, p, Placement.at(place.get()[0], place.get()[1], 0), topMm - DEPTH_MM,
                            topMm + ABOVE_MM));
                }
                return Optional.of("engraved " + Quantity.mm(size) + " high on " + where);
            }
        }
        return Optional.empty();
    }
}
