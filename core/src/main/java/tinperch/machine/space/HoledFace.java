package tinperch.machine.space;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tinperch.measure.sheet.HolePattern;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;

/**
 * A flat face of a downloaded model with holes of one size in it: somewhere a part can be screwed to.
 *
 * @param at middle of its holes with all axes at zero, mm
 * @param facing the way it looks, unit
 * @param holes about their middle, in the frame of a site there
 */
public record HoledFace(Vec3 at, Vec3 facing, HolePattern holes) {
    /** Holes that end within this of one another end in one face, mm. */
    private static final double FLAT_MM = 0.15;
    /** Holes alike to this are of one size, mm. */
    private static final double ALIKE_MM = 0.15;
    private static final int MOST_HOLES = 36;
    private static final int MOST_FACES = 12;

    /** Where a hole ends in a face. */
    private record Mouth(double plane, MeshRounds.Round hole) {}

    /** All of a mesh that stands where it is with all axes at zero; the most holes first. Only faces that look along x, y or z. */
    public static List<HoledFace> of(Mesh mesh) {
        List<MeshRounds.Round> holes = MeshRounds.of(mesh).stream().filter(MeshRounds.Round::hole).toList();
        List<HoledFace> all = new ArrayList<>();
        for (Along a : Along.values()) {
            for (int side : new int[] {1, -1}) {
                List<Mouth> mouths = new ArrayList<>();
                holes.stream().filter(h -> h.axis() == a.ordinal()).forEach(h -> mouths.add(new Mouth(a.of(h.middle()) + side * h.length() / 2, h)));
                while (!mouths.isEmpty()) {
                    Mouth first = mouths.get(0);
                    List<Mouth> alike = mouths.stream().filter(m -> Math.abs(m.plane - first.plane) < FLAT_MM && Math.abs(m.hole.diameter() - first.hole.diameter()) < ALIKE_MM).toList();
                    mouths.removeAll(alike);
                    if (alike.size() > 1 && alike.size() <= MOST_HOLES) {
                        all.add(face(alike, a, side));
                    }
                }
            }
        }
        all.sort(Comparator.comparingInt(f -> -f.holes.holes().size()));
        return List.copyOf(all.subList(0, Math.min(MOST_FACES, all.size())));
    }

    private static HoledFace face(List<Mouth> alike, Along a, int side) {
        Vec3 facing = a.direction().times(side);
        List<Vec3> at = alike.stream().map(m -> m.hole.middle().plus(a.direction().times(m.plane - a.of(m.hole.middle())))).toList();
        Vec3 middle = at.stream().reduce(Vec3.ZERO, Vec3::plus).times(1.0 / at.size());
        Placement frame = new Site("", "", "", middle, facing, 0, 0, "").frame();
        double[][] local = at.stream().map(p -> frame.local(p)).sorted(Comparator.comparingDouble((Vec3 p) -> Math.rint(p.y() * 10)).thenComparingDouble(Vec3::x))
                .map(p -> new double[] {p.x(), p.y()}).toArray(double[][]::new);
        double diameter = alike.stream().mapToDouble(m -> m.hole.diameter()).average().orElseThrow();
        return new HoledFace(middle, facing, HolePattern.about(diameter, local, false));
    }

    /** A site there. */
    public Site site(String id, Neighbour on) {
        String name = on.name() + ", " + Face.looking(on.id(), facing).map(f -> f.along().word(f.high() ? End.Where.HIGH : End.Where.LOW)).orElse("face");
        return new Site(id, name, on.group(), at, facing, 0, Site.POINTED_MM, "", on.id(), holes, List.of(), false);
    }

    /** "top: 4 holes Ø 4.3 mm, 40 × 40 mm". */
    public String words(Neighbour on) {
        Bounds b = Bounds.of(holes.holes().stream().flatMapToDouble(h -> java.util.stream.DoubleStream.of(h.xMm(), h.yMm(), 0)).toArray());
        return Face.looking(on.id(), facing).map(f -> f.along().word(f.high() ? End.Where.HIGH : End.Where.LOW)).orElse("") + ": " + holes.holes().size() + " holes Ø "
                + Quantity.mm(Math.round(holes.diameterMm() * 100) / 100.0) + ", " + Quantity.fixed(b.size().x(), 1) + " × " + Quantity.fixed(b.size().y(), 1);
    }
}
