package tinperch.part.mark;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.quantity.Quantity;
import tinperch.solid.Lettering;
import tinperch.solid.Mesh;
import tinperch.solid.Profile;
import tinperch.solid.kernel.Engraver;

/** The mark a revision is told by, engraved into the largest flat of a piece that looks up and has room for it. */
public final class Marking {
    public static final Card CARD = new Card("mark", "Mark");
    /** Height of the letters; every family has it. */
    public static final NumberParam HEIGHT = NumberParam.length("mark.height", CARD, "Mark height", 0, 20, 6,
            "Height of the engraved revision mark; 0 leaves it out");
    static final double DEPTH_MM = 0.6;
    /** Two lines of a 0.4 mm nozzle and a little: strokes that print. */
    private static final double STROKE_MM = 0.9;
    /** Smaller letters run together. */
    private static final double LEAST_MM = 4;

    private Marking() {}

    /**
     * A mark on a piece.
     *
     * @param outlines of its letters
     * @param topMm height of the flat it is cut into
     * @param heightMm of its letters
     */
    public record Mark(List<Profile> outlines, double topMm, double heightMm) {
        public Mark {
            outlines = List.copyOf(outlines);
        }

        /** The mesh with this mark in it; empty when it cannot be cut. */
        public Optional<Mesh> in(Mesh mesh) {
            return Engraver.engrave(mesh, outlines, topMm, DEPTH_MM, "mark");
        }

        /** Where it went, in words. */
        public String words() {
            return "engraved " + Quantity.mm(heightMm) + " high";
        }
    }

    /** A mark on the largest flat of a mesh that has room for it, smaller than asked for where there is no room for more; empty where there is none. */
    public static Optional<Mark> on(Mesh mesh, String text, double heightMm) {
        if (text.isEmpty() || heightMm < LEAST_MM) {
            return Optional.empty();
        }
        List<FlatTop> flats = FlatTop.of(mesh);
        for (double size = heightMm; size >= LEAST_MM; size--) {
            for (FlatTop flat : flats) {
                Optional<double[]> place = flat.freePlace(Lettering.widthMm(text, size, STROKE_MM), size);
                if (place.isPresent()) {
                    return Optional.of(cut(text, size, place.get(), flat.heightMm()));
                }
            }
        }
        return Optional.empty();
    }

    private static Mark cut(String text, double size, double[] at, double top) {
        List<Profile> moved = new ArrayList<>();
        for (Profile p : Lettering.outlines(text, size, STROKE_MM)) {
            double[][] rings = new double[p.ringCount()][];
            for (int r = 0; r < rings.length; r++) {
                rings[r] = p.ring(r).clone();
                for (int i = 0; i < rings[r].length; i++) {
                    rings[r][i] += at[i % 2];
                }
            }
            moved.add(Profile.trusted(rings));
        }
        return new Mark(moved, top, size);
    }
}
