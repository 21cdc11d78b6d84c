package tinperch.machine.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/**
 * A cable, a hose or a belt: straight from point to point, each point held by something that moves or stands still. Where its points ride
 * on different axes it is longer or shorter as those move.
 *
 * @param holds its points in the order it runs
 * @param acrossMm outer diameter of a cable, width of a belt
 * @param wide the direction the width of a belt lies in
 * @param bendMm the smallest radius a cable may be bent to; 0 for what is usual
 * @param lengthMm how long a cable is from its first point to its last; 0 when nobody has said
 */
public record Run(String id, String name, Kind kind, List<Hold> holds, double acrossMm, Along wide, double bendMm, double lengthMm) {
    /** A belt is about so thick with its teeth, mm (common practice: 1.4 to 1.5). */
    private static final double BELT_THICK_MM = 1.5;
    /** A running belt flaps: it wants so much free around it, mm (common practice). */
    private static final double BELT_FREE_MM = 2;
    private static final double MOST_MM = 1e5;
    private static final int ROUND_SIDES = 10;
    private static final int MOST_POINTS = 100;
    /** Of the outer diameter, for a cable that moves and for one that does not (common practice). */
    private static final double BENDS_MOVED = 10;
    private static final double BENDS_STILL = 5;

    public Run {
        // Files written by hand may lack any of these.
        id = id == null ? "" : id;
        name = name == null ? "" : name;
        kind = kind == null ? Kind.CABLE : kind;
        holds = holds == null ? List.of() : holds.stream().filter(Objects::nonNull).limit(MOST_POINTS).toList();
        wide = wide == null ? Along.Z : wide;
    }

    /** What it is. */
    public enum Kind {
        CABLE("Cable or hose"), BELT("Belt"), FILAMENT("Filament");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * A point of it.
     *
     * @param group what holds it, empty for what stands still
     * @param at with all axes at zero, mm
     */
    public record Hold(String group, Vec3 at) {
        public Hold {
            group = group == null ? "" : group;
            at = at == null ? Vec3.ZERO : at;
        }
    }

    /** Why it cannot be, in a sentence; empty when it can. */
    Optional<String> objection() {
        if (name.isBlank()) {
            return Optional.of("A cable or belt needs a name, such as “head cable”.");
        }
        if (holds.size() < 2) {
            return Optional.of("A cable or belt runs from one point to another: give it two points or more.");
        }
        if (!(acrossMm > 0 && acrossMm <= MOST_MM)) {
            return Optional.of((kind == Kind.BELT ? "How wide is the belt?" : kind == Kind.CABLE ? "How thick is the cable?" : "How thick is the filament?") + " It must be more than 0 mm.");
        }
        if (!(lengthMm >= 0 && lengthMm <= MOST_MM && bendMm >= 0 && bendMm <= MOST_MM)) {
            return Optional.of("Length and bend radius are 0 (not said) or so many millimetres; the old ones stay.");
        }
        for (int i = 1; i < holds.size(); i++) {
            if (holds.get(i).equals(holds.get(i - 1))) {
                return Optional.of("Its points " + i + " and " + (i + 1) + " are the same (" + Quantity.mm(holds.get(i).at().x()) + ", " + Quantity.mm(holds.get(i).at().y()) + ", "
                        + Quantity.mm(holds.get(i).at().z()) + "); leave one out.");
            }
        }
        return Optional.empty();
    }

    /** Whether its points move apart. */
    public boolean isMoved() {
        return holds.stream().map(Hold::group).distinct().count() > 1;
    }

    /** The smallest radius it may be bent to, said or usual, mm: ten times the outer diameter where it moves, else five (common practice); a belt and filament have none. */
    public double wantedBendMm() {
        return kind != Kind.CABLE ? 0 : bendMm > 0 ? bendMm : acrossMm * (isMoved() ? BENDS_MOVED : BENDS_STILL);
    }

    /** Another, so long. */
    public Run withLength(double mm) {
        return new Run(id, name, kind, holds, acrossMm, wide, bendMm, mm);
    }

    /** Whether it takes no more points. */
    public boolean isFull() {
        return holds.size() >= MOST_POINTS;
    }

    /** With one more point, as the so-manieth, from 0. */
    public Run with(int point, Hold hold) {
        List<Hold> more = new ArrayList<>(holds);
        more.add(point, hold);
        return new Run(id, name, kind, more, acrossMm, wide, bendMm, lengthMm);
    }

    /** Without one of its points. */
    public Run without(int point) {
        List<Hold> left = new ArrayList<>(holds);
        left.remove(point);
        return new Run(id, name, kind, left, acrossMm, wide, bendMm, lengthMm);
    }

    /** How far it is turned at all of its points together with the axes where they are, rad. */
    public double turnedRad(Surroundings space, Map<String, Double> pose) {
        List<Vec3> p = points(space, pose);
        double sum = 0;
        for (int i = 1; i + 1 < p.size(); i++) {
            sum += turnRad(p.get(i).minus(p.get(i - 1)), p.get(i + 1).minus(p.get(i)));
        }
        return sum;
    }

    /** From one way into the next, rad; 0 where one of them has no length. */
    static double turnRad(Vec3 in, Vec3 out) {
        return in.length() < 1e-6 || out.length() < 1e-6 ? 0 : Math.atan2(in.cross(out).length(), in.dot(out));
    }

    /** Its points with the axes where they are. */
    public List<Vec3> points(Surroundings space, Map<String, Double> pose) {
        return holds.stream().map(h -> h.at().plus(space.shift(h.group(), pose))).toList();
    }

    /** Its shape with the axes where they are: a bar from point to point. Points that fall together are left out. */
    public Mesh mesh(Surroundings space, Map<String, Double> pose) {
        List<Vec3> points = points(space, pose);
        List<Mesh> bars = new ArrayList<>();
        for (int i = 1; i < points.size(); i++) {
            Vec3 way = points.get(i).minus(points.get(i - 1));
            if (way.length() > 1e-3) {
                Vec3 dir = way.unit();
                Vec3 hint = Math.abs(dir.dot(wide.direction())) < 0.99 ? wide.direction() : Math.abs(dir.x()) < 0.9 ? Vec3.X : Vec3.Y;
                Profile section = kind == Kind.BELT ? Profile.rectangle(0, 0, acrossMm, BELT_THICK_MM) : Profile.disc(0, 0, acrossMm, ROUND_SIDES);
                bars.add(SolidKernel.evaluate(Leaf.extrusion(name, section, Placement.along(points.get(i - 1), dir, hint), 0, way.length()), Tolerances.USUAL));
            }
        }
        return Mesh.gathered(bars);
    }

    /** As something that stands there with the axes where they are, so that a part's distance from it can be told. */
    public Neighbour standing(Mesh mesh) {
        Bounds b = mesh.bounds();
        return new Neighbour(id, name, "", kind == Kind.BELT ? Neighbour.Kind.SOLID : Neighbour.Kind.CABLE, Neighbour.Form.MODEL, b.min(), b.size(), "z", kind == Kind.BELT ? BELT_FREE_MM : 0, 0);
    }
}
