package tinperch.solid.view;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;

/**
 * Draws a scene into an ARGB picture by a z-buffer: flat shading, feature edges, one feature lit up, ghosts seen through, a
 * section. Where a section opens a closed solid the first surface seen looks away from the eye: there the cut face is
 * painted. Keeps the face under every pixel, so that a click finds its feature. The picture is drawn in bands, one to a
 * hand. Reused from frame to frame; not for several threads at once.
 */
public final class Rasteriser {
    private static final int BANDS = 2;
    private static final int HATCH_PX = 5;

    /**
     * Colours as 0xRRGGBB.
     *
     * @param body of the part, {@code lit} of the feature lit up, {@code edge} of its edges
     * @param cut of cut faces, {@code ghost} of ghosts
     * @param background behind it, 0xAARRGGBB
     * @param edgePx thickness of edges, 1 or more
     */
    public record Paint(int body, int lit, int edge, int cut, int ghost, int background, int edgePx) {}

    private final Hands hands;
    private int width;
    private int height;
    private int[] argb = new int[0];
    private float[] depth = new float[0];
    private int[] faceAt = new int[0];
    private int[] shade = new int[0];

    /** Points of a mesh on the screen: x, y in pixels, z towards the eye and the side of the section in mm. */
    private static final class Shown {
        private float[] x = new float[0];
        private float[] y = new float[0];
        private float[] z = new float[0];
        private float[] side = new float[0];
    }

    private final Shown part = new Shown();
    private final Shown ghost = new Shown();
    /** Depth of the section plane over the screen: {@code z = a + b x + c y}; NaN when it is not seen from in front. */
    private final float[] plane = new float[3];

    public Rasteriser(Hands hands) {
        this.hands = hands;
    }

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

    /** Draws a scene; the picture is then in {@link #argb()}. */
    public void draw(Scene scene, Camera camera, int w, int h, Paint paint) {
        resize(w, h);
        project(scene.mesh(), camera, scene.cut(), part);
        placePlane(camera, scene.cut());
        Vec3 toEye = camera.toEye();
        shade = shades(scene.mesh(), camera, paint, scene.lit(), scene.cut().isPresent(), scene.tint());
        float bias = (float) (1.6 / camera.pxPerMm());
        hands.each(BANDS, band -> {
            int top = h * band / BANDS;
            int end = h * (band + 1) / BANDS;
            Arrays.fill(argb, top * w, end * w, paint.background);
            Arrays.fill(depth, top * w, end * w, Float.NEGATIVE_INFINITY);
            Arrays.fill(faceAt, top * w, end * w, -1);
            for (int t = 0; t < scene.mesh().triangleCount(); t++) {
                int f = scene.mesh().faceOf(t);
                if (shade[f] != 0) {
                    fill(scene.mesh(), t, shade[f], f, top, end);
                }
            }
            for (FeatureEdges.Edge e : scene.edges()) {
                if ((e.sharp() || e.isOutline(toEye)) && (e.left().dot(toEye) > 0 || e.right().dot(toEye) > 0)) {
                    line(e.a(), e.b(), paint, bias, top, end);
                }
            }
        });
        for (Mesh g : scene.ghosts()) {
            project(g, camera, Optional.empty(), ghost);
            int[] veil = shades(g, camera, new Paint(paint.ghost, 0, 0, 0, 0, 0, 1), "", false, Scene.PLAIN);
            hands.each(BANDS, band -> {
                for (int t = 0; t < g.triangleCount(); t++) {
                    if (veil[g.faceOf(t)] != 0) {
                        veil(g, t, veil[g.faceOf(t)], h * band / BANDS, h * (band + 1) / BANDS);
                    }
                }
            });
        }
    }

    private void resize(int w, int h) {
        width = w;
        height = h;
        // Room for the largest picture so far: one draws for several turntables in turn.
        if (argb.length < w * h) {
            argb = new int[w * h];
            depth = new float[w * h];
            faceAt = new int[w * h];
        }
    }

    private void project(Mesh mesh, Camera camera, Optional<Scene.Cut> cut, Shown to) {
        int n = mesh.pointCount();
        if (to.x.length < n) {
            to.x = new float[n];
            to.y = new float[n];
            to.z = new float[n];
            to.side = new float[n];
        }
        Vec3 r = camera.right();
        Vec3 u = camera.up();
        Vec3 e = camera.toEye();
        Vec3 c = camera.target();
        double k = camera.pxPerMm();
        Vec3 m = cut.map(Scene.Cut::normal).orElse(Vec3.ZERO);
        double d = cut.map(Scene.Cut::offset).orElse(0.0);
        for (int i = 0; i < n; i++) {
            double x = mesh.x(i) - c.x();
            double y = mesh.y(i) - c.y();
            double z = mesh.z(i) - c.z();
            to.x[i] = (float) (width / 2.0 + k * (x * r.x() + y * r.y() + z * r.z()));
            to.y[i] = (float) (height / 2.0 - k * (x * u.x() + y * u.y() + z * u.z()));
            to.z[i] = (float) (x * e.x() + y * e.y() + z * e.z());
            to.side[i] = (float) (mesh.x(i) * m.x() + mesh.y(i) * m.y() + mesh.z(i) * m.z() - d);
        }
    }

    private void placePlane(Camera camera, Optional<Scene.Cut> cut) {
        plane[0] = Float.NaN;
        if (cut.isEmpty() || cut.get().normal().dot(camera.toEye()) < 1e-3) {
            return;
        }
        // A point on the screen is target + right·sx + up·sy + toEye·z; put into the plane and solved for z.
        Vec3 n = cut.get().normal();
        double e = n.dot(camera.toEye());
        double perX = -n.dot(camera.right()) / e / camera.pxPerMm();
        double perY = n.dot(camera.up()) / e / camera.pxPerMm();
        double middle = (cut.get().offset() - n.dot(camera.target())) / e;
        plane[0] = (float) (middle - perX * width / 2.0 - perY * height / 2.0);
        plane[1] = (float) perX;
        plane[2] = (float) perY;
    }

    /** Colour of each face; 0 for those not drawn. Faces looking away are drawn only behind a section, as cut faces. */
    private int[] shades(Mesh mesh, Camera camera, Paint paint, String lit, boolean cut, IntUnaryOperator tint) {
        Vec3 toEye = camera.toEye();
        // Light over the left shoulder.
        Vec3 light = toEye.plus(camera.up().times(0.7)).minus(camera.right().times(0.45)).unit();
        int[] colour = new int[mesh.faces().size()];
        for (int f = 0; f < colour.length; f++) {
            Mesh.Face face = mesh.faces().get(f);
            if (face.normal().dot(toEye) > 1e-6) {
                double shade = 0.42 + 0.58 * Math.max(0, face.normal().dot(light));
                boolean isLit = !lit.isEmpty() && face.feature().startsWith(lit);
                int own = tint.applyAsInt(f);
                colour[f] = scale(isLit ? paint.lit : own >= 0 ? own : paint.body, shade);
            } else if (cut && !Float.isNaN(plane[0])) {
                // The top byte tells a cut face from a seen one.
                colour[f] = paint.cut & 0xFFFFFF | 0x01000000;
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

    private void fill(Mesh mesh, int t, int colour, int face, int top, int end) {
        int a = mesh.corner(t, 0);
        int b = mesh.corner(t, 1);
        int c = mesh.corner(t, 2);
        float[] sx = part.x;
        float[] sy = part.y;
        float ax = sx[a];
        float ay = sy[a];
        float lowY = Math.min(ay, Math.min(sy[b], sy[c]));
        float highY = Math.max(ay, Math.max(sy[b], sy[c]));
        int y0 = Math.max(top, (int) Math.ceil(lowY - 0.5f));
        int y1 = Math.min(end - 1, (int) Math.floor(highY - 0.5f));
        float det = (sx[b] - ax) * (sy[c] - ay) - (sx[c] - ax) * (sy[b] - ay);
        if (y0 > y1 || det == 0) {
            return;
        }
        float[] sz = part.z;
        float[] ss = part.side;
        float dzdx = ((sz[b] - sz[a]) * (sy[c] - ay) - (sz[c] - sz[a]) * (sy[b] - ay)) / det;
        float dzdy = ((sz[c] - sz[a]) * (sx[b] - ax) - (sz[b] - sz[a]) * (sx[c] - ax)) / det;
        float dsdx = ((ss[b] - ss[a]) * (sy[c] - ay) - (ss[c] - ss[a]) * (sy[b] - ay)) / det;
        float dsdy = ((ss[c] - ss[a]) * (sx[b] - ax) - (ss[b] - ss[a]) * (sx[c] - ax)) / det;
        boolean away = colour >>> 24 == 1;
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
            float s = ss[a] + dsdx * (x0 + 0.5f - ax) + dsdy * (py - ay);
            int at = y * width + x0;
            for (int x = x0; x <= x1; x++, at++, z += dzdx, s += dsdx) {
                if (z > depth[at] && !(s > 0)) {
                    faceAt[at] = face;
                    depth[at] = z;
                    argb[at] = colour;
                    if (away) {
                        capPixel(at, x, y, colour);
                    }
                }
            }
        }
    }

    private void capPixel(int at, int x, int y, int colour) {
        boolean stripe = Math.floorMod(x + y, 4 * HATCH_PX) < HATCH_PX;
        argb[at] = stripe ? scale(colour, 0.72) : 0xFF000000 | colour;
    }

    /** Lays a ghost's triangle over what is behind it. */
    private void veil(Mesh mesh, int t, int colour, int top, int end) {
        int a = mesh.corner(t, 0);
        int b = mesh.corner(t, 1);
        int c = mesh.corner(t, 2);
        float[] sx = ghost.x;
        float[] sy = ghost.y;
        float[] sz = ghost.z;
        float det = (sx[b] - sx[a]) * (sy[c] - sy[a]) - (sx[c] - sx[a]) * (sy[b] - sy[a]);
        if (det == 0) {
            return;
        }
        float dzdx = ((sz[b] - sz[a]) * (sy[c] - sy[a]) - (sz[c] - sz[a]) * (sy[b] - sy[a])) / det;
        float dzdy = ((sz[c] - sz[a]) * (sx[b] - sx[a]) - (sz[b] - sz[a]) * (sx[c] - sx[a])) / det;
        int y0 = Math.max(top, (int) Math.ceil(Math.min(sy[a], Math.min(sy[b], sy[c])) - 0.5f));
        int y1 = Math.min(end - 1, (int) Math.floor(Math.max(sy[a], Math.max(sy[b], sy[c])) - 0.5f));
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
            float z = sz[a] + dzdx * (x0 + 0.5f - sx[a]) + dzdy * (py - sy[a]);
            int at = y * width + x0;
            for (int x = x0; x <= x1; x++, at++, z += dzdx) {
                if (z > depth[at]) {
                    argb[at] = over(argb[at], colour);
                }
            }
        }
    }

    /** A quarter of the ghost over what was there; premultiplied, so clear pixels become a quarter ghost. */
    private static int over(int below, int ghost) {
        int out = 0;
        for (int shift = 0; shift < 32; shift += 8) {
            int v = ((below >>> shift & 255) * 3 + (ghost >>> shift & 255)) / 4;
            out |= v << shift;
        }
        return out;
    }

    private void line(int a, int b, Paint paint, float bias, int top, int end) {
        float[] sx = part.x;
        float[] sy = part.y;
        float dx = sx[b] - sx[a];
        float dy = sy[b] - sy[a];
        if (Math.max(sy[a], sy[b]) < top - 2 || Math.min(sy[a], sy[b]) > end + 2) {
            return;
        }
        int steps = Math.max(1, Math.min(8192, (int) Math.ceil(Math.max(Math.abs(dx), Math.abs(dy)))));
        for (int i = 0; i <= steps; i++) {
            float t = (float) i / steps;
            if (part.side[a] + t * (part.side[b] - part.side[a]) > 0) {
                continue;
            }
            int x = Math.round(sx[a] + t * dx - 0.5f);
            int y = Math.round(sy[a] + t * dy - 0.5f);
            float z = part.z[a] + t * (part.z[b] - part.z[a]) + bias;
            for (int k = 0; k < paint.edgePx * paint.edgePx; k++) {
                int px = x + k % paint.edgePx;
                int py = y + k / paint.edgePx;
                if (px >= 0 && py >= top && px < width && py < end && z >= depthAt(px, py)) {
                    argb[py * width + px] = 0xFF000000 | paint.edge;
                }
            }
        }
    }

    /** Depth of what is seen at a pixel: of the cut face where a section shows one. */
    private float depthAt(int x, int y) {
        int at = y * width + x;
        int f = faceAt[at];
        if (f >= 0 && shade[f] >>> 24 == 1) {
            return plane[0] + plane[1] * (x + 0.5f) + plane[2] * (y + 0.5f);
        }
        return depth[at];
    }
}
