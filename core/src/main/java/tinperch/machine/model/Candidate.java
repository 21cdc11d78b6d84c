package tinperch.machine.model;

import java.util.ArrayList;
import java.util.List;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;

/**
 * What can be read on the real thing to check a model: its length along x, y and z, its holes, how far they stand apart.
 *
 * @param kind "length", "hole", "peg" or "holes apart"
 * @param found in the unit of the file
 */
public record Candidate(String kind, double found, String what) {
    private static final int MOST_SPACINGS = 24;
    private static final int MOST_HOLES = 60;

    /**
     * The candidates of a mesh, each size once.
     *
     * @param scale mm for one unit of the file, for the words
     */
    public static List<Candidate> of(Vec3 size, List<MeshRounds.Round> rounds, double scale) {
        List<Candidate> all = new ArrayList<>();
        String[] axes = {"x", "y", "z"};
        double[] lengths = {size.x(), size.y(), size.z()};
        for (int i = 0; i < 3; i++) {
            all.add(new Candidate("length", lengths[i], "length along " + axes[i] + ", " + mm(lengths[i], scale)));
        }
        for (MeshRounds.Round r : rounds) {
            long alike = rounds.stream().filter(o -> o.hole() == r.hole() && Math.abs(o.diameter() - r.diameter()) < 0.005 * r.diameter())
                    .count();
            String kind = r.hole() ? "hole" : "peg";
            add(all, new Candidate(kind, r.diameter(), kind + " Ø " + mm(r.diameter(), scale)
                    + (alike > 1 ? " (" + alike + " of them)" : "")));
        }
        List<MeshRounds.Round> holes = rounds.stream().filter(MeshRounds.Round::hole).limit(MOST_HOLES).toList();
        List<Candidate> apart = new ArrayList<>();
        for (int i = 0; i < holes.size(); i++) {
            for (int j = i + 1; j < holes.size(); j++) {
                if (holes.get(i).axis() == holes.get(j).axis()) {
                    double s = holes.get(i).spacing(holes.get(j));
                    if (s > 0.01 * size.length()) {
                        add(apart, new Candidate("holes apart", s, pair(mm(holes.get(i).diameter(), scale),
                                mm(holes.get(j).diameter(), scale)) + ", " + mm(s, scale) + " apart"));
                    }
                }
            }
        }
        apart.stream().limit(MOST_SPACINGS).forEach(all::add);
        return all;
    }

    /** The same without its size, for a check that shows the size beside it. */
    public String name() {
        return switch (kind) {
            case "length" -> what.substring(0, what.lastIndexOf(", "));
            case "holes apart" -> what.substring(0, what.lastIndexOf(", ")) + " apart";
            default -> kind + " Ø";
        };
    }

    private static void add(List<Candidate> all, Candidate c) {
        if (all.stream().noneMatch(o -> o.kind.equals(c.kind) && Math.abs(o.found - c.found) < 0.002 * c.found)) {
            all.add(c);
        }
    }

    private static String pair(String a, String b) {
        return a.equals(b) ? "two holes Ø " + a : "holes Ø " + a + " and Ø " + b;
    }

    private static String mm(double raw, double scale) {
        return Quantity.mm(raw * scale);
    }
}
