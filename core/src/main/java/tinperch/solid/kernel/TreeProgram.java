package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Solid;

/** The tree flattened: its leaves in order, and for any subset of leaves that matter a short program that decides "inside". */
final class TreeProgram {
    private static final int AND = -1;
    private static final int OR = -2;
    private static final int AND_NOT = -3;

    private final Solid root;
    private final List<Leaf> leaves = new ArrayList<>();
    private final List<Boolean> positive = new ArrayList<>();

    TreeProgram(Solid root) {
        this.root = root;
        collect(root, true);
    }

    private void collect(Solid s, boolean adds) {
        if (s instanceof Leaf leaf) {
            leaves.add(leaf);
            positive.add(adds);
        } else if (s instanceof Solid.Union u) {
            u.parts().forEach(p -> collect(p, adds));
        } else if (s instanceof Solid.Intersection i) {
            i.parts().forEach(p -> collect(p, adds));
        } else if (s instanceof Solid.Difference d) {
            collect(d.body(), adds);
            d.cuts().forEach(c -> collect(c, !adds));
        }
    }

    List<Leaf> leaves() {
        return leaves;
    }

    /** Whether leaf {@code i} adds material (under an even number of subtractions). */
    boolean adds(int i) {
        return positive.get(i);
    }

    /**
     * The program over the leaves present; all others count as empty.
     *
     * @param local for each leaf of the tree its place among those present, or -1
     * @return postfix code, or null when the result is empty whatever the present leaves say
     */
    int[] folded(int[] local) {
        Writer w = new Writer(local);
        return w.write(root) ? Arrays.copyOf(w.code, w.length) : null;
    }

    private static final class Writer {
        private final int[] local;
        private int[] code = new int[32];
        private int length;
        private int leaf;

        Writer(int[] local) {
            this.local = local;
        }

        /** Writes code for the node; false when it is empty (then nothing was written). */
        boolean write(Solid s) {
            if (s instanceof Leaf) {
                int l = local[leaf++];
                if (l >= 0) {
                    put(l);
                }
                return l >= 0;
            }
            if (s instanceof Solid.Union u) {
                boolean any = false;
                for (Solid p : u.parts()) {
                    if (write(p)) {
                        if (any) {
                            put(OR);
                        }
                        any = true;
                    }
                }
                return any;
            }
            if (s instanceof Solid.Intersection i) {
                int start = length;
                boolean all = !i.parts().isEmpty();
                boolean first = true;
                for (Solid p : i.parts()) {
                    boolean some = write(p);
                    all &= some;
                    if (some && !first) {
                        put(AND);
                    }
                    first = false;
                }
                if (!all) {
                    length = start;
                }
                return all;
            }
            Solid.Difference d = (Solid.Difference) s;
            int start = length;
            boolean some = write(d.body());
            for (Solid c : d.cuts()) {
                if (write(c)) {
                    put(AND_NOT);
                }
            }
            if (!some) {
                length = start;
            }
            return some;
        }

        private void put(int op) {
            if (length == code.length) {
                code = Arrays.copyOf(code, 2 * length);
            }
            code[length++] = op;
        }
    }

    /** Runs a program: a point is inside leaf {@code i} when {@code winding[i] > 0}. */
    static boolean inside(int[] code, int[] winding, boolean[] stack) {
        int top = 0;
        for (int op : code) {
            switch (op) {
                case AND -> {
                    top--;
                    stack[top - 1] &= stack[top];
                }
                case OR -> {
                    top--;
                    stack[top - 1] |= stack[top];
                }
                case AND_NOT -> {
                    top--;
                    stack[top - 1] &= !stack[top];
                }
                default -> stack[top++] = winding[op] > 0;
            }
        }
        return stack[0];
    }
}
