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
    private final Map<Long, Entry> planes = new HashMap<>();
    private final Map<PlaneEvaluation.Found, Cut> cuts = new IdentityHashMap<>();

    /** What the last evaluation left, as it came; sorted into the maps when the next one can use it. */
    private List<PlaneGroups.Group> groups = List.of();
    private int[][] present = new int[0][];
    private List<List<PlaneEvaluation.Found>> found = List.of();
    private List<EdgeMending.Face> faces = List.of();
    private Cut[] made = new Cut[0];

    /** Begins an evaluation: compares leaves. */
    void begin(TreeLogic now, Tolerances with) {
        planes.clear();
        cuts.clear();
        unchanged = new boolean[now.leaves().size()];
        if (tree == null || !with.equals(tol) || !now.hasShapeOf(tree)) {
            return;
        }
        int same = 0;
        for (int l = 0; l < unchanged.length; l++) {
            unchanged[l] = now.leaves().get(l).isSame(tree.leaves().get(l));
            same += unchanged[l] ? 1 : 0;
        }
        if (2 * same < unchanged.length) {
            // Hardly a plane would be the same: looking them up would cost more than it saves.
            return;
        }
        for (int i = 0; i < groups.size(); i++) {
            planes.put(key(groups.get(i)), new Entry(groups.get(i), present[i], found.get(i)));
        }
        for (int f = 0; f < made.length; f++) {
            cuts.put(faces.get(f).found, made[f]);
        }
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

    private static long key(PlaneGroups.Group g) {
        int[] first = g.members.get(0);
        return (long) first[0] << 32 | first[1];
    }

    /** The triangles of a face made last time for just these corners, or null. */
    Cut recallCut(PlaneEvaluation.Found face, double[] corners) {
        Cut c = cuts.get(face);
        return c != null && Arrays.equals(c.corners, corners) ? c : null;
    }

    /** Ends an evaluation that succeeded with what it made; one that did not leaves nothing new behind. */
    void end(TreeLogic done, Tolerances with, List<PlaneGroups.Group> allGroups, int[][] allPresent,
            List<List<PlaneEvaluation.Found>> allFound, List<EdgeMending.Face> allFaces, Cut[] allCuts) {
        tree = done;
        tol = with;
        groups = allGroups;
        present = allPresent;
        found = allFound;
        faces = allFaces;
        made = allCuts;
    }
}
