package tinperch.solid.kernel;

import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;

/** Finds the leaves near a box: a binary tree of bounds over the leaves in their order, so answers come out in order too. */
final class LeafIndex {
    /** Six numbers a node: min x, y, z, max x, y, z; an empty node holds nothing. */
    private final double[] box;
    private final int base;

    LeafIndex(List<Leaf> leaves) {
        base = Integer.highestOneBit(Math.max(1, 2 * leaves.size() - 1));
        box = new double[12 * base];
        for (int n = 0; n < 2 * base; n++) {
            for (int a = 0; a < 3; a++) {
                box[6 * n + a] = Double.POSITIVE_INFINITY;
                box[6 * n + 3 + a] = Double.NEGATIVE_INFINITY;
            }
        }
        for (int i = 0; i < leaves.size(); i++) {
            Bounds b = leaves.get(i).bounds();
            double[] six = {b.min().x(), b.min().y(), b.min().z(), b.max().x(), b.max().y(), b.max().z()};
            System.arraycopy(six, 0, box, 6 * (base + i), 6);
        }
        for (int n = base - 1; n > 0; n--) {
            for (int a = 0; a < 3; a++) {
                box[6 * n + a] = Math.min(box[12 * n + a], box[12 * n + 6 + a]);
                box[6 * n + 3 + a] = Math.max(box[12 * n + 3 + a], box[12 * n + 9 + a]);
            }
        }
    }

    /** Marks the leaves whose bounds come within {@code slackMm} of a box. */
    void mark(Bounds b, double slackMm, boolean[] marks) {
        mark(1, b.min().x() - slackMm, b.min().y() - slackMm, b.min().z() - slackMm, b.max().x() + slackMm,
                b.max().y() + slackMm, b.max().z() + slackMm, marks);
    }

    private void mark(int node, double x0, double y0, double z0, double x1, double y1, double z1, boolean[] marks) {
        int i = 6 * node;
        if (box[i] > x1 || box[i + 1] > y1 || box[i + 2] > z1 || box[i + 3] < x0 || box[i + 4] < y0 || box[i + 5] < z0) {
            return;
        }
        if (node >= base) {
            marks[node - base] = true;
        } else {
            mark(2 * node, x0, y0, z0, x1, y1, z1, marks);
            mark(2 * node + 1, x0, y0, z0, x1, y1, z1, marks);
        }
    }
}
