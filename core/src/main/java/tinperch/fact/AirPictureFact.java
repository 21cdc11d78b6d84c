package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.form.AirPath;
import tinperch.part.form.PartForm;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.shape.Loft;
import tinperch.upgrade.Case;

/**
 * The ways air takes through a part, drawn as arrows in the machine with all axes at zero: from before the fan's intake along the middle of the duct out of its outlet. The middle is that of the duct's own
 * skin, cut square to the straight way between its ends. Empty where the part leads none, or has no site.
 */
public final class AirPictureFact implements Fact<Optional<AirPictureFact.Picture>> {
    public static final AirPictureFact PICTURE = new AirPictureFact();
    private static final int CUTS = 14;
    private static final double THICK_MM = 2;
    private static final double HEAD_MM = 6;
    private static final double BEFORE_MM = 14;
    private static final double BEYOND_MM = 22;
    private static final int SIDES = 10;
    private static final int SMOOTHED = 6;

    private AirPictureFact() {}

    /**
     * What is drawn.
     *
     * @param arrows their faces are named by the way they are of
     * @param ways the middle of each way, in the assembly's coordinates
     */
    public record Picture(Mesh arrows, List<Way> ways) {
        public Picture {
            ways = List.copyOf(ways);
        }
    }

    /** A way and the points it goes by, from before the intake to beyond the outlet. */
    public record Way(AirPath air, List<Vec3> points) {
        public Way {
            points = List.copyOf(points);
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), facts.get(FormFact.FORM).form().map(PartForm::air).orElse(List.of()), facts.get(FormFact.FORM).form().map(PartForm::mount), c.site());
    }

    @Override
    public Optional<Picture> compute(Case c, Facts facts) {
        List<AirPath> air = facts.get(FormFact.FORM).form().map(PartForm::air).orElse(List.of());
        Optional<Placement> place = RestFact.inMachine(c, facts);
        if (air.isEmpty() || place.isEmpty()) {
            return Optional.empty();
        }
        List<Way> ways = new ArrayList<>();
        List<Mesh> arrows = new ArrayList<>();
        for (AirPath a : air) {
            facts.stop().check();
            Way w = new Way(a, points(a, facts));
            ways.add(w);
            arrow(w, place.get(), arrows);
        }
        return Optional.of(new Picture(Mesh.gathered(arrows), ways));
    }

    private static List<Vec3> points(AirPath a, Facts facts) {
        Vec3 out = a.outlet().origin();
        List<Vec3> all = new ArrayList<>();
        a.intake().ifPresent(i -> {
            all.add(i.at().point(0, 0, BEFORE_MM));
            all.add(i.at().origin());
        });
        if (!a.inside().isEmpty()) {
            for (MeshesFact.Made m : facts.get(MeshesFact.BARE).pieces()) {
                all.addAll(middle(m.mesh().placed(m.piece().place()), a, all.isEmpty() ? null : all.get(all.size() - 1)));
            }
        }
        if (all.isEmpty()) {
            all.add(a.outlet().point(0, 0, -BEFORE_MM));
        }
        all.add(out);
        all.add(a.outlet().point(0, 0, BEYOND_MM));
        return smooth(all, a.intake().isPresent() ? 2 : 1);
    }

    /** Air goes round corners: but for its first points and its last two, each lies between its neighbours. */
    private static List<Vec3> smooth(List<Vec3> points, int first) {
        List<Vec3> now = points;
        for (int pass = 0; pass < SMOOTHED; pass++) {
            List<Vec3> next = new ArrayList<>(now);
            for (int i = first; i < now.size() - 2; i++) {
                next.set(i, now.get(i - 1).times(0.25).plus(now.get(i).times(0.5)).plus(now.get(i + 1).times(0.25)));
            }
            now = next;
        }
        return now;
    }

    /** Middles of cuts through the duct's skin, on the straight way from one end of it to the outlet. */
    private static List<Vec3> middle(Mesh mesh, AirPath a, Vec3 from) {
        Vec3 out = a.outlet().origin();
        List<int[]> skin = new ArrayList<>();
        Vec3 far = from;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            if (mesh.faces().get(mesh.faceOf(t)).feature().equals(a.inside())) {
                skin.add(new int[] {mesh.corner(t, 0), mesh.corner(t, 1), mesh.corner(t, 2)});
                for (int k = 0; from == null && k < 3; k++) {
                    Vec3 v = mesh.point(mesh.corner(t, k));
                    far = far == null || v.minus(out).length() > far.minus(out).length() ? v : far;
                }
            }
        }
        if (skin.isEmpty() || far == null || far.minus(out).length() < 1) {
            return List.of();
        }
        Vec3 along = out.minus(far).unit();
        double length = out.minus(far).length();
        List<Vec3> all = new ArrayList<>();
        for (int i = 0; i < CUTS; i++) {
            cut(mesh, skin, far.plus(along.times(length * (i + 0.5) / CUTS)), along).ifPresent(all::add);
        }
        return all;
    }

    /** The middle of all lines in which triangles meet a plane, by their lengths. */
    private static Optional<Vec3> cut(Mesh mesh, List<int[]> triangles, Vec3 on, Vec3 normal) {
        Vec3 sum = Vec3.ZERO;
        double weight = 0;
        for (int[] t : triangles) {
            List<Vec3> ends = new ArrayList<>();
            for (int k = 0; k < 3; k++) {
                Vec3 p = mesh.point(t[k]);
                Vec3 q = mesh.point(t[(k + 1) % 3]);
                double dp = p.minus(on).dot(normal);
                double dq = q.minus(on).dot(normal);
                if (dp > 0 != dq > 0) {
                    ends.add(p.plus(q.minus(p).times(dp / (dp - dq))));
                }
            }
            if (ends.size() == 2) {
                double length = ends.get(0).minus(ends.get(1)).length();
                sum = sum.plus(ends.get(0).plus(ends.get(1)).times(length / 2));
                weight += length;
            }
        }
        return weight > 0 ? Optional.of(sum.times(1 / weight)) : Optional.empty();
    }

    private static void arrow(Way w, Placement place, List<Mesh> to) {
        List<Vec3> p = w.points().stream().map(v -> place.point(v.x(), v.y(), v.z())).toList();
        for (int i = 1; i < p.size(); i++) {
            Vec3 way = p.get(i).minus(p.get(i - 1));
            if (way.length() > 0.2) {
                boolean last = i == p.size() - 1;
                Placement at = Placement.along(p.get(i - 1), way.unit(), Math.abs(way.unit().z()) < 0.9 ? Vec3.Z : Vec3.X);
                double shaft = last ? Math.max(0.1, way.length() - HEAD_MM) : way.length();
                to.add(SolidKernel.evaluate(Leaf.extrusion(w.air().label(), Profile.disc(0, 0, THICK_MM, SIDES), at, 0, shaft), Tolerances.USUAL));
                if (last) {
                    Placement head = at.moved(way.unit().times(shaft));
                    to.add(SolidKernel.evaluate(Loft.between(w.air().label(), Profile.disc(0, 0, HEAD_MM, SIDES), head, Profile.disc(0, 0, 0.3, SIDES), head.moved(way.unit().times(HEAD_MM))), Tolerances.USUAL));
                }
            }
        }
    }
}
