package tinperch.solid.view;

import java.util.Arrays;
import java.util.List;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/**
 * Draws a mesh into an ARGB picture by a z-buffer: flat shading, feature edges, one feature lit up. Keeps the face under
 * every pixel, so that a click finds its feature. Reused from frame to frame; not for several threads at once.
 */
public final class Rasteriser {
    /**
     * Colours as 0xRRGGBB.
     *
     * @param body of the part, {@code lit} of the feature lit up, {@code edge} of its edges
     * @param background behind it, 0xAARRGGBB
     * @param edgePx thickness of edges, 1 or more
     */
    public record Paint(int body, int lit, int edge, int background, int edgePx) {}

    private int width;
    private int height;
    private int[] argb = new int[0];
    private float[] depth = new float[0];
    private int[] faceAt = new int[0];
    private float[] sx = new float[0];
    private float[] sy = new float[0];
    private float[] sz = new float[0];

    /** The picture of the last call, row by row, 0xAARRGGBB. Not a copy. */
    public int[] argb() {
        return argb;
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    /** The face under a pixel, or -1. */
    public int faceAt(int x, int y) {
        return x < 0 || y < 0 || x >= width || y >= height ? -1 : faceAt[y * width + x];
    }

    /**
     * Draws.
     *
     * @param litFeature features whose name begins with this are lit up; empty for none
     */
    public void draw(Mesh mesh, List<FeatureEdges.Edge> edges, Camera camera, int w, int h, Paint paint, String litFeature) {
        resize(w, h);
        Arrays.fill(argb, paint.background);
        Arrays.fill(depth, Float.NEGATIVE_INFINITY);
        Arrays.fill(faceAt, -1);
        project(mesh, camera);
        int[] colour = shades(mesh, camera, paint, litFeature);
        for (int t = 0; t < mesh.triangleCount(); t++) {
            int f = mesh.faceOf(t);
            if (colour[f] != 0) {
                fill(mesh.corner(t, 0), mesh.corner(t, 1), mesh.corner(t, 2), colour[f], f);
            }
        }
        Vec3 toEye = camera.toEye();
        float bias = (float) (1.6 / camera.pxPerMm());
        for (FeatureEdges.Edge e : edges) {
            if ((e.sharp() || e.isOutline(toEye)) && (e.left().dot(toEye) > 0 || e.right().dot(toEye) > 0)) {
                line(e.a(), e.b(), paint, bias);
            }
        }
    }

    private void resize(int w, int h) {
        if (w != width || h != height) {
            width = w;
            height = h;
            argb = new int[w * h];
            depth = new float[w * h];
            faceAt = new int[w * h];
        }
    }

    private void project(Mesh mesh, Camera camera) {
        int n = mesh.pointCount();
        if (sx.length < n) {
            sx = new float[n];
            sy = new float[n];
            sz = new float[n];
        }
        Vec3 r = camera.right();
        Vec3 u = camera.up();
        Vec3 e = camera.toEye();
        Vec3 c = camera.target();
        double k = camera.pxPerMm();
        for (int i = 0; i < n; i++) {
            double x = mesh.x(i) - c.x();
            double y = mesh.y(i) - c.y();
            double z = mesh.z(i) - c.z();
            sx[i] = (float) (width / 2.0 + k * (x * r.x() + y * r.y() + z * r.z()));
            sy[i] = (float) (height / 2.0 - k * (x * u.x() + y * u.y() + z * u.z()));
            sz[i] = (float) (x * e.x() + y * e.y() + z * e.z());
        }
    }

    /** Colour of each face; 0 for those looking away. */
    private static int[] shades(Mesh mesh, Camera camera, Paint paint, String lit) {
        Vec3 toEye = camera.toEye();
        // Light over the left shoulder.
        Vec3 light = toEye.plus(camera.up().times(0.7)).minus(camera.right().times(0.45)).unit();
        int[] colour = new int[mesh.faces().size()];
        for (int f = 0; f < colour.length; f++) {
            Mesh.Face face = mesh.faces().get(f);
            if (face.normal().dot(toEye) > 1e-6) {
                double shade = 0.42 + 0.58 * Math.max(0, face.normal().dot(light));
                boolean isLit = !lit.isEmpty() && face.feature().startsWith(lit);
                colour[f] = scale(isLit ? paint.lit : paint.body, shade);
            }
        }
        return colour;
    }

    private static int scale(int rgb, double k) {
        int r = (int) Math.min(255, (rgb >> 16 & 255) * k);
        int g = (int) Math.min(255, (rgb >> 8 & 255) * k);
        int b = (int) Math.min(255, (rgb & 255) * k);
        return 0xFF000000 | r << 16 | g << 8 | b;
    }

    private void fill(int a, int b, int c, int colour, int face) {
        float ax = sx[a];
        float ay = sy[a];
        float det = (sx[b] - ax) * (sy[c] - ay) - (sx[c] - ax) * (sy[b] - ay);
        if (det == 0) {
            return;
        }
        int y0 = Math.max(0, (int) Math.ceil(Math.min(ay, Math.min(sy[b], sy[c])) - 0.5f));
        int y1 = Math.min(height - 1, (int) Math.floor(Math.max(ay, Math.max(sy[b], sy[c])) - 0.5f));
        float dzdx = ((sz[b] - sz[a]) * (sy[c] - ay) - (sz[c] - sz[a]) * (sy[b] - ay)) / det;
        float dzdy = ((sz[c] - sz[a]) * (sx[b] - ax) - (sz[b] - sz[a]) * (sx[c] - ax)) / det;
        for (int y = y0; y <= y1; y++) {
            float py = y + 0.5f;
            float lo = Float.POSITIVE_INFINITY;
            float hi = Float.NEGATIVE_INFINITY;
            for (int k = 0; k < 3; k++) {
                int p = k == 0 ? a : k == 1 ? b : c;
                int q = k == 0 ? b : k == 1 ? c : a;
                if (sy[p] <= py != sy[q] <= py) {
                    float x = sx[p] + (py - sy[p]) / (sy[q] - sy[p]) * (sx[q] - sx[p]);
                    lo = Math.min(lo, x);
                    hi = Math.max(hi, x);
                }
            }
            int x0 = Math.max(0, (int) Math.ceil(lo - 0.5f));
            int x1 = Math.min(width - 1, (int) Math.floor(hi - 0.5f));
            float z = sz[a] + dzdx * (x0 + 0.5f - ax) + dzdy * (py - ay);
            int at = y * width + x0;
            for (int x = x0; x <= x1; x++, at++, z += dzdx) {
                if (z > depth[at]) {
                    depth[at] = z;
                    argb[at] = colour;
                    faceAt[at] = face;
                }
            }
        }
    }

    private void line(int a, int b, Paint paint, float bias) {
        float dx = sx[b] - sx[a];
        float dy = sy[b] - sy[a];
        int steps = Math.max(1, Math.min(8192, (int) Math.ceil(Math.max(Math.abs(dx), Math.abs(dy)))));
        for (int i = 0; i <= steps; i++) {
            float t = (float) i / steps;
            int x = Math.round(sx[a] + t * dx - 0.5f);
            int y = Math.round(sy[a] + t * dy - 0.5f);
            float z = sz[a] + t * (sz[b] - sz[a]) + bias;
            for (int k = 0; k < paint.edgePx * paint.edgePx; k++) {
                int px = x + k % paint.edgePx;
                int py = y + k / paint.edgePx;
                if (px >= 0 && py >= 0 && px < width && py < height && z >= depth[py * width + px]) {
                    argb[py * width + px] = 0xFF000000 | paint.edge;
                }
            }
        }
    }
}
