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
 * same, so a mesh made with a memory equals one made without. Holds one tree's worth; give each part its own.
 */
public final class PlaneMemory {
    private record Entry(PlaneGroups.Group group, int[] present, List<PlaneEvaluation.Found> found) {}

    /** The triangles of a face as places in its rings, and the corners they were made for. */
    record Cut(double[] corners, int[] triangles) {}

    private TreeLogic tree;
    private Tolerances tol;
    private boolean[] unchanged = new boolean[0];
    private Map<Long, Entry> planes = new HashMap<>();
    private Map<PlaneEvaluation.Found, Cut> cuts = new IdentityHashMap<>();
    private Map<Long, Entry> nextPlanes;
    private Map<PlaneEvaluation.Found, Cut> nextCuts;

    /** Begins an evaluation: compares leaves. */
    void begin(TreeLogic now, Tolerances with) {
        boolean comparable = tree != null && with.equals(tol) && now.hasShapeOf(tree);
        unchanged = new boolean[now.leaves().size()];
        for (int l = 0; comparable && l < unchanged.length; l++) {
            unchanged[l] = now.leaves().get(l).isSame(tree.leaves().get(l));
        }
        if (!comparable) {
            planes = new HashMap<>();
            cuts = new IdentityHashMap<>();
        }
        tree = null;
        tol = with;
        nextPlanes = new HashMap<>(2 * planes.size());
        nextCuts = new IdentityHashMap<>(2 * cuts.size());
    }

    /** The faces of a plane as found last time, or null. */
    List<PlaneEvaluation.Found> recall(PlaneGroups.Group g, int[] present) {
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

    void keep(PlaneGroups.Group g, int[] present, List<PlaneEvaluation.Found> found) {
        nextPlanes.put(key(g), new Entry(g, present, found));
    }

    private static long key(PlaneGroups.Group g) {
        int[] first = g.members.get(0);
        return (long) first[0] << 32 | first[1];
    }

    /** The triangles of a face made last time for just these corners, or null. */
    Cut recallCut(PlaneEvaluation.Found face, double[] corners) {
        Cut c = cuts.get(face);
        return c != null && Arrays.equals(c.corners, corners) ? c : null;
    }

    void keepCut(PlaneEvaluation.Found face, Cut cut) {
        nextCuts.put(face, cut);
    }

    /** Ends an evaluation that succeeded; one that did not leaves nothing behind. */
    void end(TreeLogic done) {
        tree = done;
        planes = nextPlanes;
        cuts = nextCuts;
    }
}
