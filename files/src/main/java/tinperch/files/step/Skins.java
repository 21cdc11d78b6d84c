package tinperch.files.step;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** The connected surfaces of a mesh: those around bodies, and those around what is hollow inside one. */
final class Skins {
    private final int[] root;
    private final Map<Integer, Double> volumeMm3 = new HashMap<>();
    private final Map<Integer, Bounds> bounds = new HashMap<>();

    private Skins(int[] root) {
        this.root = root;
    }

    static Skins of(Mesh mesh) {
        int[] root = new int[mesh.pointCount()];
        Arrays.setAll(root, i -> i);
        Skins s = new Skins(root);
        for (int t = 0; t < mesh.triangleCount(); t++) {
            s.join(mesh.corner(t, 0), mesh.corner(t, 1));
            s.join(mesh.corner(t, 0), mesh.corner(t, 2));
        }
        Vec3 o = mesh.bounds().centre();
        Map<Integer, List<Vec3>> points = new HashMap<>();
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0)).minus(o);
            Vec3 b = mesh.point(mesh.corner(t, 1)).minus(o);
            Vec3 c = mesh.point(mesh.corner(t, 2)).minus(o);
            s.volumeMm3.merge(s.of(mesh.corner(t, 0)), a.dot(b.cross(c)) / 6, Double::sum);
        }
        for (int p = 0; p < mesh.pointCount(); p++) {
            points.computeIfAbsent(s.of(p), k -> new ArrayList<>()).add(mesh.point(p));
        }
        points.forEach((k, v) -> s.bounds.put(k, Bounds.of(v.stream().flatMapToDouble(p -> java.util.stream.DoubleStream.of(p.x(), p.y(), p.z())).toArray())));
        return s;
    }

    private void join(int a, int b) {
        root[of(a)] = of(b);
    }

    /** The skin a point is on. */
    int of(int point) {
        int at = point;
        while (root[at] != at) {
            root[at] = root[root[at]];
            at = root[at];
        }
        return at;
    }

    /** Those around bodies. */
    List<Integer> bodies() {
        return volumeMm3.entrySet().stream().filter(e -> e.getValue() > 0).map(Map.Entry::getKey).sorted().toList();
    }

    /** Those around hollows of a body: each belongs to the smallest body whose bounds hold it. */
    List<Integer> voidsOf(int body) {
        return volumeMm3.entrySet().stream().filter(e -> e.getValue() < 0).map(Map.Entry::getKey).sorted()
                .filter(v -> bodies().stream().filter(b -> holds(bounds.get(b), bounds.get(v)))
                        .min((a, b) -> Double.compare(volumeMm3.get(a), volumeMm3.get(b))).filter(b -> b == body).isPresent()).toList();
    }

    private static boolean holds(Bounds outer, Bounds inner) {
        return outer.min().x() <= inner.min().x() && outer.min().y() <= inner.min().y() && outer.min().z() <= inner.min().z()
                && outer.max().x() >= inner.max().x() && outer.max().y() >= inner.max().y() && outer.max().z() >= inner.max().z();
    }
}
