package tinperch.solid.kernel;

import java.util.Arrays;

/** Finds pairs of edges of an arrangement whose boxes overlap: all pairs when few, a grid of cells when many. */
final class EdgeGrid {
    private static final int FEW = 24;

    interface PairTask {
        void accept(int e, int f);
    }

    private final Arrangement in;
    private int[] members = new int[32];
    private int count;

    EdgeGrid(Arrangement in) {
        this.in = in;
    }

    void add(int e) {
        if (count == members.length) {
            members = Arrays.copyOf(members, 2 * count);
        }
        members[count++] = e;
    }

    void eachNearPair(PairTask task) {
        double[] box = new double[4 * count];
        double tol = in.tol();
        double minX = Double.POSITIVE_INFINITY;
        double minY = Double.POSITIVE_INFINITY;
        double maxX = Double.NEGATIVE_INFINITY;
        double maxY = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < count; i++) {
            int a = in.from(members[i]);
            int b = in.to(members[i]);
            box[4 * i] = Math.min(in.x(a), in.x(b)) - tol;
            box[4 * i + 1] = Math.min(in.y(a), in.y(b)) - tol;
            box[4 * i + 2] = Math.max(in.x(a), in.x(b)) + tol;
            box[4 * i + 3] = Math.max(in.y(a), in.y(b)) + tol;
            minX = Math.min(minX, box[4 * i]);
            minY = Math.min(minY, box[4 * i + 1]);
            maxX = Math.max(maxX, box[4 * i + 2]);
            maxY = Math.max(maxY, box[4 * i + 3]);
        }
        if (count <= FEW) {
            for (int i = 0; i < count; i++) {
                for (int j = i + 1; j < count; j++) {
                    if (overlap(box, i, j)) {
                        task.accept(members[i], members[j]);
                    }
                }
            }
            return;
        }
        int cells = (int) Math.ceil(Math.sqrt(count));
        double sx = cells / Math.max(maxX - minX, 1e-9);
        double sy = cells / Math.max(maxY - minY, 1e-9);
        int[] start = new int[cells * cells + 1];
        int[] range = new int[4 * count];
        for (int i = 0; i < count; i++) {
            range[4 * i] = clamp((int) ((box[4 * i] - minX) * sx), cells);
            range[4 * i + 1] = clamp((int) ((box[4 * i + 1] - minY) * sy), cells);
            range[4 * i + 2] = clamp((int) ((box[4 * i + 2] - minX) * sx), cells);
            range[4 * i + 3] = clamp((int) ((box[4 * i + 3] - minY) * sy), cells);
            for (int cy = range[4 * i + 1]; cy <= range[4 * i + 3]; cy++) {
                for (int cx = range[4 * i]; cx <= range[4 * i + 2]; cx++) {
                    start[cy * cells + cx + 1]++;
                }
            }
        }
        for (int c = 0; c < cells * cells; c++) {
            start[c + 1] += start[c];
        }
        int[] fill = start.clone();
        int[] inCell = new int[start[cells * cells]];
        for (int i = 0; i < count; i++) {
            for (int cy = range[4 * i + 1]; cy <= range[4 * i + 3]; cy++) {
                for (int cx = range[4 * i]; cx <= range[4 * i + 2]; cx++) {
                    inCell[fill[cy * cells + cx]++] = i;
                }
            }
        }
        for (int cy = 0; cy < cells; cy++) {
            for (int cx = 0; cx < cells; cx++) {
                int c = cy * cells + cx;
                for (int p = start[c]; p < start[c + 1]; p++) {
                    int i = inCell[p];
                    for (int q = p + 1; q < start[c + 1]; q++) {
                        int j = inCell[q];
                        // A pair sharing several cells is looked at in the first of them only.
                        if (overlap(box, i, j)
                                && Math.max(range[4 * i], range[4 * j]) == cx
                                && Math.max(range[4 * i + 1], range[4 * j + 1]) == cy) {
                            task.accept(members[i], members[j]);
                        }
                    }
                }
            }
        }
    }

    private static int clamp(int c, int cells) {
        return Math.max(0, Math.min(cells - 1, c));
    }

    private static boolean overlap(double[] box, int i, int j) {
        return box[4 * i] <= box[4 * j + 2] && box[4 * j] <= box[4 * i + 2]
                && box[4 * i + 1] <= box[4 * j + 3] && box[4 * j + 1] <= box[4 * i + 3];
    }
}
