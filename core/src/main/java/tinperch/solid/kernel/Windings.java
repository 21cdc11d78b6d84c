package tinperch.solid.kernel;

import java.util.Arrays;

/**
 * How each leaf winds about one point, just below and just above the plane. Only the leaves met are kept in mind, so asking
 * costs what is there and not how many leaves the part has.
 */
final class Windings {
    private final int[] minus;
    private final int[] plus;
    private final boolean[] known;
    private final int[] met;
    private final int[] in;
    private int count;

    Windings(int leaves) {
        minus = new int[leaves];
        plus = new int[leaves];
        known = new boolean[leaves];
        met = new int[leaves];
        in = new int[leaves];
    }

    void clear() {
        for (int i = 0; i < count; i++) {
            minus[met[i]] = 0;
            plus[met[i]] = 0;
            known[met[i]] = false;
        }
        count = 0;
    }

    void add(int leaf, int below, int above) {
        if (!known[leaf]) {
            known[leaf] = true;
            met[count++] = leaf;
        }
        minus[leaf] += below;
        plus[leaf] += above;
    }

    /** Puts the leaves met in order; to be called before the questions below. */
    void settle() {
        if (count > 1) {
            Arrays.sort(met, 0, count);
        }
    }

    /** Whether the solid is there just below the plane ({@code present} leads from local to tree numbers). */
    boolean below(TreeLogic tree, int[] present) {
        return inside(tree, present, minus);
    }

    boolean above(TreeLogic tree, int[] present) {
        return inside(tree, present, plus);
    }

    private boolean inside(TreeLogic tree, int[] present, int[] winding) {
        int n = 0;
        for (int i = 0; i < count; i++) {
            if (winding[met[i]] > 0) {
                in[n++] = present[met[i]];
            }
        }
        return tree.inside(in, n);
    }

    /**
     * The first leaf with a face in the plane whose face this is; -1 when none fits.
     *
     * @param want +1 for a face looking up, −1 for one looking down
     * @param flat for each local leaf whether it has a face in this plane
     */
    int owner(int want, TreeLogic tree, int[] present, boolean[] flat) {
        for (int i = 0; i < count; i++) {
            int l = met[i];
            int change = (minus[l] > 0 ? 1 : 0) - (plus[l] > 0 ? 1 : 0);
            if (flat[l] && change * (tree.adds(present[l]) ? 1 : -1) == want) {
                return l;
            }
        }
        return -1;
    }
}
