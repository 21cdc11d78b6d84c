package tinperch.solid;

import java.util.Arrays;

/**
 * For every directed edge of a triangle list its opposite. Edge {@code k} of triangle {@code t} runs from corner {@code k}
 * to corner {@code k + 1} and has the number {@code 3 t + k}.
 */
public final class Neighbours {
    private final int[] opposite;
    private final int open;

    private Neighbours(int[] opposite, int open) {
        this.opposite = opposite;
        this.open = open;
    }

    static Neighbours of(int[] triangles, int points) {
        int[] head = new int[points];
        Arrays.fill(head, -1);
        int n = triangles.length;
        int[] next = new int[n];
        int[] to = new int[n];
        for (int t = n - 3; t >= 0; t -= 3) {
            for (int k = 2; k >= 0; k--) {
                int a = triangles[t + k];
                next[t + k] = head[a];
                head[a] = t + k;
                to[t + k] = triangles[k == 2 ? t : t + k + 1];
            }
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
            for (int f = head[b]; f >= 0; f = next[f]) {
                if (to[f] == a) {
                    back = f;
                    backs++;
                }
            }
            int forths = 0;
            for (int f = head[a]; f >= 0; f = next[f]) {
                forths += to[f] == b ? 1 : 0;
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
