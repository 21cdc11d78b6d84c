package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.heat.HeatMap;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** The part in its place with all axes at zero, its surface in the small flat pieces whose temperature was reckoned; empty where none was. */
public final class HeatPictureFact implements Fact<Optional<HeatPictureFact.Picture>> {
    public static final HeatPictureFact PICTURE = new HeatPictureFact();

    private HeatPictureFact() {}

    /**
     * What is drawn.
     *
     * @param mesh one face a small piece of the surface
     * @param faces what is known of each face, by its number
     * @param hottestC of all, {@code roomC} of the air around
     */
    public record Picture(Mesh mesh, List<Face> faces, double hottestC, double roomC) {
        public Picture {
            faces = List.copyOf(faces);
        }

        /** The hottest place. */
        public Optional<HeatMap.Patch> hottest() {
            return faces.stream().flatMap(f -> f.patch().stream()).max(java.util.Comparator.comparingDouble(HeatMap.Patch::tempC));
        }
    }

    /**
     * A face of the picture.
     *
     * @param pieceId of the piece it is on
     * @param toPiece from the picture's coordinates to the piece's as it lies on the bed
     * @param patch empty where the piece is too far from anything hot
     */
    public record Face(String pieceId, Placement toPiece, Optional<HeatMap.Patch> patch) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return HeatFact.FINE.inputs(c, facts);
    }

    @Override
    public Optional<Picture> compute(Case c, Facts facts) {
        Optional<HeatFact.Answer> heat = facts.get(HeatFact.FINE);
        Optional<Placement> place = RestFact.inMachine(c, facts);
        if (heat.isEmpty() || place.isEmpty()) {
            return Optional.empty();
        }
        Vec3 home = c.machine().surroundings().shift(c.site().orElseThrow().group(), c.machine().surroundings().home());
        List<Vec3> points = new ArrayList<>();
        List<int[]> triangles = new ArrayList<>();
        List<Integer> faceOf = new ArrayList<>();
        List<Mesh.Face> flats = new ArrayList<>();
        List<Face> faces = new ArrayList<>();
        for (HeatFact.Warm w : heat.get().pieces()) {
            Placement back = w.place().moved(home.times(-1)).inverse();
            for (HeatMap.Piece p : w.map().pieces()) {
                HeatMap.Patch patch = w.map().patches().get(p.patch());
                int first = points.size();
                p.corners().forEach(v -> points.add(v.minus(home)));
                for (int i = 1; i + 1 < p.corners().size(); i++) {
                    triangles.add(new int[] {first, first + i, first + i + 1});
                    faceOf.add(flats.size());
                }
                Vec3 n = normal(p.corners()).orElse(patch.normal());
                flats.add(new Mesh.Face("", n, n.dot(points.get(first)), List.of()));
                faces.add(new Face(w.piece().id(), back, Optional.of(patch)));
            }
        }
        for (MeshesFact.Made m : facts.get(MeshesFact.BARE).pieces()) {
            if (heat.get().pieces().stream().noneMatch(w -> w.piece().id().equals(m.piece().id()))) {
                Placement at = place.get().times(m.piece().place());
                Mesh cold = m.mesh().placed(at);
                int first = points.size();
                for (int i = 0; i < cold.pointCount(); i++) {
                    points.add(cold.point(i));
                }
                for (int t = 0; t < cold.triangleCount(); t++) {
                    triangles.add(new int[] {first + cold.corner(t, 0), first + cold.corner(t, 1), first + cold.corner(t, 2)});
                    faceOf.add(flats.size() + cold.faceOf(t));
                }
                for (Mesh.Face f : cold.faces()) {
                    flats.add(new Mesh.Face("", f.normal(), f.offset(), List.of()));
                    faces.add(new Face(m.piece().id(), at.inverse(), Optional.empty()));
                }
            }
        }
        double hottest = heat.get().pieces().stream().mapToDouble(w -> w.map().hottest().tempC()).max().orElse(heat.get().roomC());
        return Optional.of(new Picture(mesh(points, triangles, faceOf, flats), faces, hottest, heat.get().roomC()));
    }

    private static Mesh mesh(List<Vec3> points, List<int[]> triangles, List<Integer> faceOf, List<Mesh.Face> flats) {
        double[] xyz = new double[3 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            xyz[3 * i] = points.get(i).x();
            xyz[3 * i + 1] = points.get(i).y();
            xyz[3 * i + 2] = points.get(i).z();
        }
        return new Mesh(xyz, triangles.stream().flatMapToInt(java.util.Arrays::stream).toArray(), faceOf.stream().mapToInt(Integer::intValue).toArray(), flats);
    }

    private static Optional<Vec3> normal(List<Vec3> ring) {
        Vec3 sum = Vec3.ZERO;
        for (int i = 1; i + 1 < ring.size(); i++) {
            sum = sum.plus(ring.get(i).minus(ring.get(0)).cross(ring.get(i + 1).minus(ring.get(0))));
        }
        return sum.length() > 1e-12 ? Optional.of(sum.unit()) : Optional.empty();
    }
}
