package tinperch.solid;

import java.util.Arrays;
import java.util.List;

/**
 * The edges of a leaf: for each the two corners and the two faces that meet there. Making it proves the leaf closed: every
 * directed edge of a face has its opposite in another.
 */
public final class LeafEdges {
    private final int[] table;
    private final double[] planes;
    private final boolean convex;

    private LeafEdges(int[] table, double[] planes, boolean convex) {
        this.table = table;
        this.planes = planes;
        this.convex = convex;
    }

    static LeafEdges of(String feature, double[] xyz, List<Leaf.Face> faces) {
        int count = 0;
        for (Leaf.Face f : faces) {
            for (int[] r : f.rings()) {
                count += r.length;
            }
        }
        // Directed edges chained by their lower corner; few meet in a corner, so looking along the chain is quick.
        int[] head = new int[xyz.length / 3];
        Arrays.fill(head, -1);
        int[] next = new int[count];
        int[] high = new int[count];
        int[] face = new int[count];
        boolean[] up = new boolean[count];
        int[] table = new int[2 * count];
        int made = 0;
        int n = 0;
        int waiting = 0;
        for (int f = 0; f < faces.size(); f++) {
            for (int[] ring : faces.get(f).rings()) {
                int a = ring[ring.length - 1];
                for (int b : ring) {
                    int low = Math.min(a, b);
                    int before = -1;
                    int e = head[low];
                    while (e >= 0 && !(high[e] == Math.max(a, b) && up[e] != a < b)) {
                        before = e;
                        e = next[e];
                    }
                    if (e >= 0) {
                        if (before < 0) {
                            head[low] = next[e];
                        } else {
                            next[before] = next[e];
                        }
                        if (4 * made + 4 > table.length) {
                            throw open(feature);
                        }
                        table[4 * made] = low;
                        table[4 * made + 1] = high[e];
                        table[4 * made + 2] = up[e] ? face[e] : f;
                        table[4 * made + 3] = up[e] ? f : face[e];
                        made++;
                        waiting--;
                    } else {
                        next[n] = head[low];
                        high[n] = Math.max(a, b);
                        face[n] = f;
                        up[n] = a < b;
                        head[low] = n++;
                        waiting++;
                    }
                    a = b;
                }
            }
        }
        if (waiting != 0) {
            throw open(feature);
        }
        double[] planes = new double[4 * faces.size()];
        for (int f = 0; f < faces.size(); f++) {
            planes[4 * f] = faces.get(f).normal().x();
            planes[4 * f + 1] = faces.get(f).normal().y();
            planes[4 * f + 2] = faces.get(f).normal().z();
            planes[4 * f + 3] = faces.get(f).offset();
        }
        return new LeafEdges(Arrays.copyOf(table, 4 * made), planes, isConvex(table, made, xyz, faces));
    }

    private static SolidException open(String feature) {
        return new SolidException("The faces of “" + feature + "” do not close; an edge has no neighbour.", List.of(feature));
    }

    /** Convex everywhere along its edges, in one piece (Euler's count) and without holes in faces. */
    private static boolean isConvex(int[] table, int edges, double[] xyz, List<Leaf.Face> faces) {
        boolean[] used = new boolean[xyz.length / 3];
        int corners = 0;
        for (Leaf.Face f : faces) {
            if (f.rings().length > 1) {
                return false;
            }
            for (int i : f.rings()[0]) {
                corners += used[i] ? 0 : 1;
                used[i] = true;
            }
        }
        if (corners - edges + faces.size() != 2) {
            return false;
        }
        for (int e = 0; e < edges; e++) {
            int a = 3 * table[4 * e];
            int b = 3 * table[4 * e + 1];
            Vec3 n = faces.get(table[4 * e + 2]).normal();
            Vec3 m = faces.get(table[4 * e + 3]).normal();
            double turn = (n.y() * m.z() - n.z() * m.y()) * (xyz[b] - xyz[a])
                    + (n.z() * m.x() - n.x() * m.z()) * (xyz[b + 1] - xyz[a + 1])
                    + (n.x() * m.y() - n.y() * m.x()) * (xyz[b + 2] - xyz[a + 2]);
            // Two triangles of one flat face turn by rounding only.
            if (turn < -1e-9) {
                return false;
            }
        }
        return true;
    }

    public int count() {
        return table.length / 4;
    }

    /** The corner with the lower number. */
    public int low(int edge) {
        return table[4 * edge];
    }

    /** The corner with the higher number. */
    public int high(int edge) {
        return table[4 * edge + 1];
    }

    /** The face whose ring runs from the lower corner to the higher. */
    public int along(int edge) {
        return table[4 * edge + 2];
    }

    /** The face whose ring runs back. */
    public int against(int edge) {
        return table[4 * edge + 3];
    }

    /** Height of a point over the plane of a face, mm; positive outside. */
    public double height(int face, double x, double y, double z) {
        int i = 4 * face;
        return planes[i] * x + planes[i + 1] * y + planes[i + 2] * z - planes[i + 3];
    }

    /** Whether the leaf is convex; false when in doubt. */
    public boolean convex() {
        return convex;
    }
}
