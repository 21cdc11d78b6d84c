package tinperch.strength;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.query.Slicer;

/**
 * A walk through a solid from where a force acts to where it is held: at many sections square to the straight way, what the force does there. Of a section that falls into pieces the one nearest
 * to the way counts alone, so that nothing is carried twice. Bending, axial force, torsion and shear; sections stay flat (Euler and Bernoulli), nothing buckles.
 *
 * @param stations from the force on, evenly
 * @param deflectionMm how far the place of the force goes along the force (unit load method)
 */
public record SectionWalk(List<Station> stations, double deflectionMm) {
    private static final double POISSON = 0.36;
    private static final double LEAST_MM2 = 0.05;

    public SectionWalk {
        stations = List.copyOf(stations);
    }

    /**
     * One section.
     *
     * @param at middle of it
     * @param normal the way the walk goes there
     * @param alongMm how far from the force
     * @param stressMPa what breaks it: bending and axial with shear and torsion, √(σ² + 3 τ²) (von Mises)
     * @param normalMPa of that what pulls across the section
     */
    public record Station(Vec3 at, Vec3 normal, double alongMm, double areaMm2, double stressMPa, double normalMPa) {}

    /** The section with the highest stress for what its material bears there; empty without any. */
    public Optional<Station> weakest(java.util.function.ToDoubleFunction<Station> bearsMPa) {
        return stations.stream().max(java.util.Comparator.comparingDouble(s -> s.stressMPa / bearsMPa.applyAsDouble(s)));
    }

    /** One section that was cut: where it is, and how far from the force. */
    private record Cut(Section section, Vec3 middle, double alongMm) {}

    /** The sections between two places, cut once for whatever force acts there. */
    public static final class Sections {
        private final Vec3 from;
        private final Placement plane;
        private final double stepMm;
        private final List<Cut> cuts;

        private Sections(Vec3 from, Placement plane, double stepMm, List<Cut> cuts) {
            this.from = from;
            this.plane = plane;
            this.stepMm = stepMm;
            this.cuts = cuts;
        }

        /** The same sections for a force that acts elsewhere, on something that hands it on at the place they begin. */
        public Sections acting(Vec3 at) {
            return new Sections(at, plane, stepMm, cuts);
        }

        /**
         * What a force does in them.
         *
         * @param modulusMPa of the material
         */
        public SectionWalk under(Vec3 forceN, double modulusMPa) {
            Vec3 unit = forceN.length() > 0 ? forceN.unit() : Vec3.Z;
            List<Station> all = new ArrayList<>();
            double deflection = 0;
            for (Cut c : cuts) {
                Section k = c.section;
                Acting f = Acting.of(from.minus(c.middle), forceN, plane);
                Acting one = Acting.of(from.minus(c.middle), unit, plane);
                double normal = k.stressMPa(f.axial, f.mx, f.my);
                double shear = 1.5 * f.shear / k.areaMm2() + Math.abs(f.torsion) * k.radiusMm() / k.torsionMm4();
                all.add(new Station(c.middle, plane.w(), c.alongMm, k.areaMm2(), Math.sqrt(normal * normal + 3 * shear * shear), normal));
                double g = modulusMPa / 2 / (1 + POISSON);
                deflection += stepMm * (k.bends(f.mx, f.my, one.mx, one.my) / modulusMPa + f.axial * one.axial / (modulusMPa * k.areaMm2()) + f.torsion * one.torsion / (g * k.torsionMm4()));
            }
            return new SectionWalk(all, deflection);
        }
    }

    /**
     * Cuts.
     *
     * @param from where a force acts, {@code to} where the solid is held
     * @return empty when they are less than a millimetre apart or the way leads through no material
     */
    public static Optional<Sections> sections(Mesh mesh, Vec3 from, Vec3 to, int sections, Stop stop) {
        Vec3 way = to.minus(from);
        double length = way.length();
        if (length < 1) {
            return Optional.empty();
        }
        Vec3 along = way.unit();
        Placement plane = Placement.along(from, along, Math.abs(along.z()) < 0.9 ? Vec3.Z : Vec3.X);
        double[] heights = new double[sections];
        double step = length / sections;
        for (int i = 0; i < sections; i++) {
            heights[i] = (i + 0.5) * step;
        }
        List<List<Profile>> layers = Slicer.layers(mesh, plane, heights);
        List<Cut> cuts = new ArrayList<>();
        for (int i = 0; i < sections; i++) {
            stop.check();
            double height = heights[i];
            nearest(layers.get(i)).map(Section::of).filter(x -> x.areaMm2() > LEAST_MM2 && x.ixxMm4() * x.iyyMm4() - x.ixyMm4() * x.ixyMm4() > 1e-9).ifPresent(k -> cuts.add(new Cut(k, plane.point(k.x(), k.y(), height), height)));
        }
        return cuts.isEmpty() ? Optional.empty() : Optional.of(new Sections(from, plane, step, cuts));
    }

    /**
     * Walks.
     *
     * @param from where the force acts, {@code to} where the solid is held
     * @param forceN the force
     * @param modulusMPa of the material
     * @return empty when they are less than a millimetre apart or the way leads through no material
     */
    public static Optional<SectionWalk> of(Mesh mesh, Vec3 from, Vec3 to, Vec3 forceN, double modulusMPa, int sections, Stop stop) {
        return sections(mesh, from, to, sections, stop).map(s -> s.under(forceN, modulusMPa));
    }

    /** What a force does in a section, in its plane's directions. */
    private record Acting(double axial, double shear, double mx, double my, double torsion) {
        static Acting of(Vec3 arm, Vec3 force, Placement plane) {
            Vec3 m = arm.cross(force);
            double axial = force.dot(plane.w());
            return new Acting(axial, force.minus(plane.w().times(axial)).length(), m.dot(plane.u()), m.dot(plane.v()), m.dot(plane.w()));
        }
    }

    /** The piece of a section that holds the way, else the nearest to it. */
    private static Optional<Profile> nearest(List<Profile> pieces) {
        return pieces.stream().min(java.util.Comparator.comparingDouble(SectionWalk::distance));
    }

    private static double distance(Profile p) {
        double[] ring = p.ring(0);
        boolean inside = false;
        double best = Double.POSITIVE_INFINITY;
        int n = ring.length / 2;
        for (int i = 0; i < n; i++) {
            double x0 = ring[2 * i];
            double y0 = ring[2 * i + 1];
            double x1 = ring[2 * ((i + 1) % n)];
            double y1 = ring[2 * ((i + 1) % n) + 1];
            if (y0 > 0 != y1 > 0 && 0 < x0 + (x1 - x0) * -y0 / (y1 - y0)) {
                inside = !inside;
            }
            double dx = x1 - x0;
            double dy = y1 - y0;
            double t = Math.max(0, Math.min(1, -(x0 * dx + y0 * dy) / Math.max(1e-12, dx * dx + dy * dy)));
            best = Math.min(best, Math.hypot(x0 + t * dx, y0 + t * dy));
        }
        return inside ? 0 : best;
    }
}
