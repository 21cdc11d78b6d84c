package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.desktop.sheet.Turntable;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.view.FeatureEdges;
import java.util.function.BiConsumer;
import tinperch.desktop.look.Theme;

/** A machine's neighbours on the turntable, shifted as its axes move. */
final class SceneTable {
    private final Turntable table;
    private final List<Neighbour> solids = new ArrayList<>();
    /** A new list each time: a picture of the one before may still be painted. */
    private List<FeatureEdges.Edge> edges = List.of();
    private Surroundings shown = Surroundings.NONE;
    private Map<String, Shape> shapes = Map.of();
    private Mesh gathered;
    private int[] firstPoint;
    private int[] firstFace;
    private Bounds reach;
    private final Map<Run, Line> lines = new HashMap<>();

    /** A cable or a belt where its points are. */
    private record Line(List<Vec3> points, Mesh mesh) {}

    /** @param chosen told the id of a neighbour clicked on, empty for none, and the way the face looks */
    SceneTable(Theme theme, BiConsumer<String, Vec3> chosen) {
        table = new Turntable(theme, "zones and lines", face -> chosen.accept(face.feature().strip(), face.normal()));
        table.setPrefHeight(310);
        table.setMinHeight(200);
    }

    Turntable node() {
        return table;
    }

    /** Lights up a neighbour; none when the id is empty. */
    void light(String id) {
        table.light(id.isEmpty() ? "" : feature(id));
    }

    /** Features are lit by how their names begin; the blank keeps n1 from lighting n12. */
    static String feature(String id) {
        return id + " ";
    }

    /** Takes the shapes of a machine's neighbours: all that is solid as one mesh with the axes at zero, to be shifted as they move. */
    void take(Surroundings next, Map<String, Shape> nextShapes) {
        shown = next;
        shapes = nextShapes;
        reach = next.reach().orElse(null);
        List<Mesh> meshes = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<Integer> points = new ArrayList<>();
        List<Integer> faces = new ArrayList<>();
        solids.clear();
        lines.keySet().retainAll(next.runs());
        List<FeatureEdges.Edge> all = new ArrayList<>();
        int point = 0;
        int face = 0;
        for (Neighbour n : shown.neighbours()) {
            if (isZone(n)) {
                continue;
            }
            Shape shape = shapes.get(n.id());
            Mesh m = shape.drawn();
            int before = point;
            shape.edges().forEach(e -> all.add(e.moved(before, feature(n.id()))));
            solids.add(n);
            meshes.add(m);
            names.add(feature(n.id()));
            points.add(point);
            faces.add(face);
            point += m.pointCount();
            face += m.faces().size();
        }
        edges = all;
        gathered = Mesh.gathered(meshes, java.util.Collections.nCopies(meshes.size(), Vec3.ZERO), names);
        firstPoint = points.stream().mapToInt(Integer::intValue).toArray();
        firstFace = faces.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Zones are seen through. */
    private static boolean isZone(Neighbour n) {
        return !n.isMatter() && n.kind() != Neighbour.Kind.CABLE;
    }

    void show(Map<String, Double> pose) {
        if (gathered.triangleCount() == 0) {
            table.show(null, List.of(), List.of(), null);
            return;
        }
        List<Mesh> zones = new ArrayList<>(shown.neighbours().stream().filter(SceneTable::isZone).map(n -> Mesh.gathered(
                List.of(shapes.get(n.id()).drawn()), List.of(shown.shift(n.group(), pose)), List.of(n.id()))).toList());
        for (Run r : shown.runs()) {
            // Most stay as they are while an axis moves.
            Line known = lines.get(r);
            List<Vec3> points = r.points(shown, pose);
            if (known == null || !known.points.equals(points)) {
                known = new Line(points, r.mesh(shown, pose));
                lines.put(r, known);
            }
            zones.add(known.mesh);
        }
        table.showMoving(gathered.partsMoved(firstPoint, firstFace, solids.stream().map(n -> shown.shift(n.group(), pose)).toList()),
                edges, zones, reach);
    }
}
