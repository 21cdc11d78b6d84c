package tinperch.solid.kernel;

import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Tolerances;

/**
 * What one evaluation leaves for the next of nearly the same tree: the faces found in each plane and the triangles of each
 * face. A plane is taken from memory only when the same leaf faces make it up and every leaf that reaches them is the
 * same, so a mesh made with a memory equals one made without. Holds one tree's worth; give each part its own. Safe on any thread.
 */
public final class PlaneMemory {
    private volatile Last last;
    private final boolean keeps;

    /** An empty memory. */
    public PlaneMemory() {
        this(null, true);
    }

    private PlaneMemory(Last last, boolean keeps) {
        this.last = last;
        this.keeps = keeps;
    }

    /** What is remembered now, to be read by whoever tries something out: it does not take the place of what was. */
    public PlaneMemory lent() {
        return new PlaneMemory(last, false);
    }

    /** All that an evaluation leaves. */
    record Last(TreeLogic tree, Tolerances tol, List<PlaneGroups.Group> groups, int[][] present, List<List<PlaneEvaluation.Found>> found,
            List<EdgeMending.Face> faces, Cut[] cuts) {}

    /** The triangles of a face as places in its rings, and the corners they were made for. */
    record Cut(double[] corners, int[] triangles) {}

    /** Begins an evaluation: compares leaves. */
    Recall begin(TreeLogic now, Tolerances with) {
        return new Recall(last, now, with);
    }

    /** Ends an evaluation that succeeded with what it made; one that did not leaves nothing new behind. */
    void end(Last made) {
        if (keeps) {
            last = made;
        }
    }

    /** What can be used again for one evaluation. */
    static final class Recall {
        private record Entry(PlaneGroups.Group group, int[] present, List<PlaneEvaluation.Found> found) {}

        private final boolean[] unchanged;
        private final Map<Long, Entry> planes = new HashMap<>();
        private final Map<PlaneEvaluation.Found, Cut> cuts = new IdentityHashMap<>();

        private Recall(Last last, TreeLogic now, Tolerances with) {
            unchanged = new boolean[now.leaves().size()];
            if (last == null || !with.equals(last.tol) || !now.hasShapeOf(last.tree)) {
                return;
            }
            int same = 0;
            for (int l = 0; l < unchanged.length; l++) {
                unchanged[l] = now.leaves().get(l).equals(last.tree.leaves().get(l));
                same += unchanged[l] ? 1 : 0;
            }
            if (2 * same < unchanged.length) {
                // Hardly a plane would be the same: looking them up would cost more than it saves.
                return;
            }
            for (int i = 0; i < last.groups.size(); i++) {
                planes.put(key(last.groups.get(i)), new Entry(last.groups.get(i), last.present[i], last.found.get(i)));
            }
            for (int f = 0; f < last.cuts.length; f++) {
                cuts.put(last.faces.get(f).found, last.cuts[f]);
            }
        }

        /** The faces of a plane as found last time, or null. */
        List<PlaneEvaluation.Found> faces(PlaneGroups.Group g, int[] present) {
            Entry e = planes.get(key(g));
            if (e == null || e.group.d != g.d || !e.group.n.equals(g.n) || e.group.members.size() != g.members.size()
                    || !Arrays.equals(e.present, present)) {
                return null;
            }
            for (int l : present) {
                if (!unchanged[l]) {
                    return null;
                }
            }
            for (int i = 0; i < g.members.size(); i++) {
                if (!Arrays.equals(e.group.members.get(i), g.members.get(i))) {
                    return null;
                }
            }
            return e.found;
        }

        private static long key(PlaneGroups.Group g) {
            int[] first = g.members.get(0);
            return (long) first[0] << 32 | first[1];
        }

        /** The triangles of a face made last time for just these corners, or null. */
        Cut cut(PlaneEvaluation.Found face, double[] corners) {
            Cut c = cuts.get(face);
            return c != null && Arrays.equals(c.corners, corners) ? c : null;
        }
    }
}
