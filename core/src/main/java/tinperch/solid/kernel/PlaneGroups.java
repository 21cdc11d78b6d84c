package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Leaf;
import tinperch.solid.Vec3;

/**
 * Room 1: which leaf faces lie in one plane. Faces join the first group whose plane all their corners lie on within the
 * tolerance, whichever way they look.
 */
final class PlaneGroups {
    private static final double CELL_MM = 1.37e-3;

    /** A plane {@code n · p = d} and the faces on it, as pairs (leaf, face). */
    static final class Group {
        final Vec3 n;
        final double d;
        final List<int[]> members = new ArrayList<>();

        Group(Vec3 n, double d) {
            this.n = n;
            this.d = d;
        }
    }

    private PlaneGroups() {}

    static List<Group> of(List<Leaf> leaves, double planeTol) {
        List<Group> groups = new ArrayList<>();
        Map<Long, List<Group>> byOffset = new HashMap<>();
        for (int l = 0; l < leaves.size(); l++) {
            Leaf leaf = leaves.get(l);
            for (int f = 0; f < leaf.faces().size(); f++) {
                Leaf.Face face = leaf.faces().get(f);
                Group g = find(byOffset, leaf, face, planeTol);
                if (g == null) {
                    g = new Group(face.normal(), face.offset());
                    groups.add(g);
                    byOffset.computeIfAbsent(cell(g.d), k -> new ArrayList<>(2)).add(g);
                }
                g.members.add(new int[] {l, f});
            }
        }
        return groups;
    }

    private static Group find(Map<Long, List<Group>> byOffset, Leaf leaf, Leaf.Face face, double tol) {
        Group g = look(byOffset, leaf, face, face.offset(), tol);
        return g != null ? g : look(byOffset, leaf, face, -face.offset(), tol);
    }

    private static Group look(Map<Long, List<Group>> byOffset, Leaf leaf, Leaf.Face face, double offset, double tol) {
        // A tilt within tolerance over the face moves the offset at most by about tol · distance / size; 1e-4 covers it.
        long last = cell(offset + 1e-4);
        for (long c = cell(offset - 1e-4); c <= last; c++) {
            for (Group g : byOffset.getOrDefault(c, List.of())) {
                if (Math.abs(Math.abs(g.n.dot(face.normal())) - 1) < 1e-6 && onPlane(g, leaf, face, tol)) {
                    return g;
                }
            }
        }
        return null;
    }

    private static boolean onPlane(Group g, Leaf leaf, Leaf.Face face, double tol) {
        for (int[] ring : face.rings()) {
            for (int i : ring) {
                double s = g.n.x() * leaf.corner(i, 0) + g.n.y() * leaf.corner(i, 1) + g.n.z() * leaf.corner(i, 2) - g.d;
                if (Math.abs(s) > tol) {
                    return false;
                }
            }
        }
        return true;
    }

    private static long cell(double d) {
        return (long) Math.floor(d / CELL_MM + 0.37);
    }
}
