package tinperch.solid;

import java.util.Arrays;

/**
 * For every directed edge of a triangle list its opposite. Edge {@code k} of triangle {@code t} runs from corner {@code k}
 * to corner {@code k + 1} and has the number {@code 3 t + k}.
 */
public final class Neighbours {
    private static final int CROWDED = 64;

    private final int[] opposite;
    private final int open;

    private Neighbours(int[] opposite, int open) {
        this.opposite = opposite;
        this.open = open;
    }

    static Neighbours of(int[] triangles, int points) {
        int n = triangles.length;
        int[] to = new int[n];
        int[] starting = new int[points];
        int most = 0;
        for (int e = 0; e < n; e++) {
            to[e] = triangles[e % 3 == 2 ? e - 2 : e + 1];
            most = Math.max(most, ++starting[triangles[e]]);
        }
        // Edges chained by the corner they start from; where many start from one, by both their corners.
        boolean crowded = most > CROWDED;
        int[] head = new int[crowded ? Integer.highestOneBit(Math.max(8, n)) * 2 : points];
        int[] next = new int[n];
        Arrays.fill(head, -1);
        for (int e = n - 1; e >= 0; e--) {
            int slot = slot(triangles[e], to[e], crowded, head.length);
            next[e] = head[slot];
            head[slot] = e;
        }
        int[] opposite = new int[n];
        Arrays.fill(opposite, -1);
        int open = 0;
        for (int e = 0; e < n; e++) {
            int a = triangles[e];
            int b = to[e];
            if (a > b) {
                // Looked at from its opposite.
                continue;
            }
            int back = -1;
            int backs = 0;
            for (int f = head[slot(b, a, crowded, head.length)]; f >= 0; f = next[f]) {
                if (to[f] == a && triangles[f] == b) {
                    back = f;
                    backs++;
                }
            }
            int forths = 0;
            for (int f = head[slot(a, b, crowded, head.length)]; f >= 0; f = next[f]) {
                forths += to[f] == b && triangles[f] == a ? 1 : 0;
            }
            if (backs == 1 && forths == 1) {
                opposite[e] = back;
                opposite[back] = e;
            }
        }
        for (int o : opposite) {
            open += o < 0 ? 1 : 0;
        }
        return new Neighbours(opposite, open);
    }

    private static int slot(int from, int to, boolean crowded, int slots) {
        if (!crowded) {
            return from;
        }
        long h = from * 0x9E3779B97F4A7C15L + to * 0xC2B2AE3D27D4EB4FL;
        h ^= h >>> 29;
        h *= 0xBF58476D1CE4E5B9L;
        return (int) (h ^ h >>> 32) & slots - 1;
    }

    /** The edge running back along this one, or -1 when there is none or more than one. */
    public int opposite(int edge) {
        return opposite[edge];
    }

    /** The triangle across an edge, or -1. */
    public int across(int edge) {
        return opposite[edge] < 0 ? -1 : opposite[edge] / 3;
    }

    /** Number of directed edges without exactly one opposite. */
    public int open() {
        return open;
    }
}
