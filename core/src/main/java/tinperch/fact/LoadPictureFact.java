package tinperch.fact;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.material.Material;
import tinperch.part.form.Lie;
import tinperch.part.form.Piece;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.strength.SectionWalk.Station;
import tinperch.upgrade.Case;

/**
 * The part in its place with all axes at zero, cut into the bands its sections stand for between a load and where it is held: how much of what it may bear each section bears. Of several loads on a piece the one
 * that asks most of it is drawn. Empty where nothing was walked through.
 */
public final class LoadPictureFact implements Fact<Optional<LoadPictureFact.Picture>> {
    public static final LoadPictureFact PICTURE = new LoadPictureFact();

    private LoadPictureFact() {}

    /**
     * What is drawn.
     *
     * @param mesh its faces keep the names of the drawing's features
     * @param shares of what is allowed, by face; NaN where no section stands
     */
    public record Picture(Mesh mesh, List<Double> shares) {
        public Picture {
            shares = List.copyOf(shares);
        }

        /** The largest share. */
        public double worst() {
            return shares.stream().filter(Double::isFinite).mapToDouble(Double::doubleValue).max().orElse(0);
        }
    }

    /** Sections of one walk: where each band ends along it, and the share of each. */
    private record Bands(Placement toPiece, Vec3 from, Vec3 along, double[] ends, double[] shares) {
        double at(Vec3 v) {
            return toPiece.point(v.x(), v.y(), v.z()).minus(from).dot(along);
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(StrengthFact.STRENGTH.inputs(c, facts), Optional.ofNullable(c.part().material()), PlacedFact.PLACED.inputs(c, facts), c.recipe().lies());
    }

    @Override
    public Optional<Picture> compute(Case c, Facts facts) {
        Optional<PlacedFact.Placed> placed = facts.get(PlacedFact.PLACED);
        Optional<Placement> place = RestFact.inMachine(c, facts);
        Optional<Material> material = Material.find(c.part().material());
        DrawingFact.Drawing drawing = facts.get(DrawingFact.DRAWING);
        Map<String, Bands> bands = new HashMap<>();
        if (placed.isPresent() && place.isPresent() && material.isPresent() && drawing != null) {
            facts.get(StrengthFact.STRENGTH).stream().filter(b -> b.walk().isPresent()).sorted(Comparator.comparingDouble(b -> worst(b, c.lie(b.piece().id()), material.get())))
                    .forEach(b -> bands.put(b.piece().id(), bands(b, place.get(), c.lie(b.piece().id()), material.get())));
        }
        if (bands.isEmpty()) {
            return Optional.empty();
        }
        Mesh whole = placed.get().part().drawn();
        List<String> pieceOf = whole.faces().stream().map(f -> drawing.pieceOf(f.feature()).map(Piece::id).orElse("")).toList();
        Cutting cut = new Cutting(whole);
        for (int t = 0; t < whole.triangleCount(); t++) {
            facts.stop().check();
            Mesh.Face face = whole.faces().get(whole.faceOf(t));
            List<Vec3> corners = List.of(whole.point(whole.corner(t, 0)), whole.point(whole.corner(t, 1)), whole.point(whole.corner(t, 2)));
            Bands b = bands.get(pieceOf.get(whole.faceOf(t)));
            if (b == null) {
                cut.add(corners, face, Double.NaN);
            } else {
                cut.into(b, corners, face);
            }
        }
        return Optional.of(cut.picture());
    }

    private static double worst(StrengthFact.Borne b, Lie lie, Material m) {
        return b.walk().orElseThrow().stations().stream().mapToDouble(s -> s.stressMPa() / StrengthFact.allowedMPa(b.load(), s, lie, m)).max().orElse(0);
    }

    private static Bands bands(StrengthFact.Borne b, Placement place, Lie lie, Material m) {
        List<Station> all = b.walk().orElseThrow().stations();
        double[] ends = new double[all.size() + 1];
        double[] shares = new double[all.size()];
        for (int i = 0; i < all.size(); i++) {
            // Half way to the next on either side; the first and the last reach as far out as in.
            double before = i > 0 ? all.get(i - 1).alongMm() : 0;
            ends[i] = i > 0 ? (before + all.get(i).alongMm()) / 2 : 0;
            shares[i] = all.get(i).stressMPa() / StrengthFact.allowedMPa(b.load(), all.get(i), lie, m);
        }
        double last = all.get(all.size() - 1).alongMm();
        ends[all.size()] = last + Math.max(0, last - ends[all.size() - 1]);
        return new Bands(place.times(b.piece().place()).inverse(), b.load().at(), all.get(0).normal(), ends, shares);
    }

    /** Triangles cut along the ends of bands. */
    private static final class Cutting {
        private static final double ON_MM = 1e-9;

        private final List<Vec3> points = new ArrayList<>();
        private final List<int[]> triangles = new ArrayList<>();
        private final List<Mesh.Face> faces = new ArrayList<>();
        private final List<Double> shares = new ArrayList<>();

        /** Its points come first, so that edges between them stay where they are. */
        Cutting(Mesh whole) {
            for (int i = 0; i < whole.pointCount(); i++) {
                points.add(whole.point(i));
            }
        }

        void add(List<Vec3> ring, Mesh.Face of, double share) {
            int first = points.size();
            points.addAll(ring);
            for (int i = 1; i + 1 < ring.size(); i++) {
                triangles.add(new int[] {first, first + i, first + i + 1, faces.size()});
            }
            faces.add(new Mesh.Face(of.feature(), of.normal(), of.offset(), List.of()));
            shares.add(share);
        }

        void into(Bands b, List<Vec3> ring, Mesh.Face of) {
            List<Vec3> rest = ring;
            for (int i = 0; i < b.ends.length && rest.size() > 2; i++) {
                List<Vec3> below = half(rest, b, b.ends[i], -1);
                if (below.size() > 2) {
                    add(below, of, i == 0 ? Double.NaN : b.shares[i - 1]);
                }
                double end = b.ends[i];
                // What lies in the plane itself belongs to the band before it alone.
                rest = rest.stream().allMatch(v -> b.at(v) <= end + ON_MM) ? List.of() : half(rest, b, end, 1);
            }
            if (rest.size() > 2) {
                add(rest, of, Double.NaN);
            }
        }

        /** What of a ring lies on one side of a plane across the walk (Sutherland and Hodgman). */
        private static List<Vec3> half(List<Vec3> ring, Bands b, double at, int side) {
            List<Vec3> out = new ArrayList<>();
            for (int i = 0; i < ring.size(); i++) {
                Vec3 p = ring.get(i);
                Vec3 q = ring.get((i + 1) % ring.size());
                double dp = side * (b.at(p) - at);
                double dq = side * (b.at(q) - at);
                if (dp >= 0) {
                    out.add(p);
                }
                if (dp > 0 && dq < 0 || dp < 0 && dq > 0) {
                    out.add(p.plus(q.minus(p).times(dp / (dp - dq))));
                }
            }
            return out;
        }

        Picture picture() {
            double[] xyz = new double[3 * points.size()];
            for (int i = 0; i < points.size(); i++) {
                xyz[3 * i] = points.get(i).x();
                xyz[3 * i + 1] = points.get(i).y();
                xyz[3 * i + 2] = points.get(i).z();
            }
            return new Picture(new Mesh(xyz, triangles.stream().flatMapToInt(t -> java.util.Arrays.stream(t, 0, 3)).toArray(), triangles.stream().mapToInt(t -> t[3]).toArray(), faces), shares);
        }
    }
}
