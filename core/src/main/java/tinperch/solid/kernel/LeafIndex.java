package tinperch.solid.kernel;

import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;

/** Finds the leaves near a box: a binary tree of bounds over the leaves in their order, so answers come out in order too. */
final class LeafIndex {
    private final Bounds[] bounds;
    private final int base;

    LeafIndex(List<Leaf> leaves) {
        base = Integer.highestOneBit(Math.max(1, 2 * leaves.size() - 1));
        bounds = new Bounds[2 * base];
        for (int i = 0; i < leaves.size(); i++) {
            bounds[base + i] = leaves.get(i).bounds();
        }
        for (int i = base - 1; i > 0; i--) {
            Bounds a = bounds[2 * i];
            Bounds b = bounds[2 * i + 1];
            bounds[i] = a == null ? b : b == null ? a : a.with(b);
        }
    }

    /** Marks the leaves whose bounds come within {@code slackMm} of a box. */
    void mark(Bounds box, double slackMm, boolean[] marks) {
        mark(1, box, slackMm, marks);
    }

    private void mark(int node, Bounds box, double slackMm, boolean[] marks) {
        if (bounds[node] == null || !bounds[node].overlaps(box, slackMm)) {
            return;
        }
        if (node >= base) {
            marks[node - base] = true;
        } else {
            mark(2 * node, box, slackMm, marks);
            mark(2 * node + 1, box, slackMm, marks);
        }
    }
}
