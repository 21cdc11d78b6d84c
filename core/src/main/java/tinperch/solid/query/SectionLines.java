package tinperch.solid.query;

import java.util.Arrays;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * The bare lines in which planes cut a mesh, each with the face it is of: for measuring in a section without following its loops.
 * The planes are parallel to the frame's xy plane; a height must not be that of a corner.
 */
public final class SectionLines {
    private final Mesh mesh;
    private final Placement frame;
    private final double[] height;

    /** Lines of one section: x0, y0, x1, y1 in the frame, and their faces. */
    public record Lines(double[] xy, int[] face) {
        public int count() {
            return face.length;
        }
    }

    public SectionLines(Mesh mesh, Placement frame) {
        this.mesh = mesh;
        this.frame = frame;
        height = new double[mesh.pointCount()];
        for (int i = 0; i < height.length; i++) {
            height[i] = mesh.point(i).minus(frame.origin()).dot(frame.w());
        }
    }

    /** Heights of all corners between two heights, each once, ascending. */
    public double[] levels(double fromMm, double toMm) {
        double[] all = Arrays.stream(height).filter(h -> h > fromMm + 1e-6 && h < toMm - 1e-6).sorted().toArray();
        int n = 0;
        for (double h : all) {
            if (n == 0 || h - all[n - 1] > 1e-4) {
                all[n++] = h;
            }
        }
        return Arrays.copyOf(all, n);
    }

    /** The lines at a height. */
    public Lines at(double heightMm) {
        double[] xy = new double[256];
        int[] face = new int[64];
        int n = 0;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            boolean a = height[mesh.corner(t, 0)] >= heightMm;
            boolean b = height[mesh.corner(t, 1)] >= heightMm;
            boolean c = height[mesh.corner(t, 2)] >= heightMm;
            if (a == b && b == c) {
                continue;
            }
            if (n == face.length) {
                face = Arrays.copyOf(face, 2 * n);
                xy = Arrays.copyOf(xy, 8 * n);
            }
            int lone = a == b ? 2 : a == c ? 1 : 0;
            cut(t, lone, (lone + 1) % 3, heightMm, xy, 4 * n);
            cut(t, lone, (lone + 2) % 3, heightMm, xy, 4 * n + 2);
            face[n++] = mesh.faceOf(t);
        }
        return new Lines(Arrays.copyOf(xy, 4 * n), Arrays.copyOf(face, n));
    }

    private void cut(int t, int from, int to, double at, double[] xy, int into) {
        int p = mesh.corner(t, from);
        int q = mesh.corner(t, to);
        double k = (at - height[p]) / (height[q] - height[p]);
        Vec3 d = mesh.point(p).plus(mesh.point(q).minus(mesh.point(p)).times(k)).minus(frame.origin());
        xy[into] = d.dot(frame.u());
        xy[into + 1] = d.dot(frame.v());
    }
}
