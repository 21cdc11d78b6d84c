package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Vec3;

/** Skins stacks of rings: sides between neighbouring levels, flat caps at both ends. */
final class Tube {
    private Tube() {}

    /**
     * A closed leaf.
     *
     * @param stacks for the outline and each hole its rings from bottom to top; material on the left seen from the top
     * @param mirrored whether the points come from a mirror image
     */
    static Leaf closed(String feature, List<List<Vec3[]>> stacks, boolean mirrored) {
        List<Vec3> points = new ArrayList<>();
        List<int[][]> faces = new ArrayList<>();
        int[][] bottom = new int[stacks.size()][];
        int[][] top = new int[stacks.size()][];
        for (int s = 0; s < stacks.size(); s++) {
            List<Vec3[]> stack = stacks.get(s);
            int n = stack.get(0).length;
            int[] below = null;
            for (Vec3[] ring : stack) {
                int[] here = new int[n];
                for (int i = 0; i < n; i++) {
                    here[i] = points.size();
                    points.add(ring[i]);
                }
                if (below != null) {
                    for (int i = 0; i < n; i++) {
                        int j = (i + 1) % n;
                        side(points, faces, below[i], below[j], here[j], here[i]);
                    }
                }
                below = here;
            }
            top[s] = below;
            bottom[s] = new int[n];
            int first = below[0] - n * (stack.size() - 1);
            for (int i = 0; i < n; i++) {
                bottom[s][n - 1 - i] = first + i;
            }
        }
        faces.add(bottom);
        faces.add(top);
        if (mirrored) {
            faces.forEach(Tube::reverse);
        }
        double[] xyz = new double[3 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            xyz[3 * i] = points.get(i).x();
            xyz[3 * i + 1] = points.get(i).y();
            xyz[3 * i + 2] = points.get(i).z();
        }
        return Leaf.of(feature, xyz, faces);
    }

    /** A side face; when its corners are not in one plane two triangles along the diagonal that stands out. */
    private static void side(List<Vec3> p, List<int[][]> faces, int a, int b, int c, int d) {
        Vec3 ac = p.get(c).minus(p.get(a));
        Vec3 bd = p.get(d).minus(p.get(b));
        Vec3 n = ac.cross(bd);
        double off = Math.abs(n.dot(p.get(b).minus(p.get(a)))) / Math.max(1e-300, n.length());
        if (off < 1e-10) {
            faces.add(new int[][] {{a, b, c, d}});
        } else if (p.get(b).minus(p.get(a)).cross(ac).dot(p.get(d).minus(p.get(a))) < 0) {
            faces.add(new int[][] {{a, b, c}});
            faces.add(new int[][] {{a, c, d}});
        } else {
            faces.add(new int[][] {{a, b, d}});
            faces.add(new int[][] {{b, c, d}});
        }
    }

    static void reverse(int[][] rings) {
        for (int[] r : rings) {
            for (int i = 0, j = r.length - 1; i < j; i++, j--) {
                int t = r[i];
                r[i] = r[j];
                r[j] = t;
            }
        }
    }
}
