package tinperch.machine.space;

import java.util.Optional;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * Something near which a part has to live; only as much of it as matters.
 *
 * @param group what it moves with, empty for what stands still
 * @param corner lowest corner of its box with all axes at zero
 * @param size of its box; a cylinder fills the box's cross-section
 * @param along for a cylinder or a profile the direction of its axis, for a plate the way it faces, for a model where its
 *     own z points: x, y or z
 * @param clearanceMm what it wants to have free around it
 * @param tempC its temperature when it is a hot one
 * @param of for a plate the sheet its holes were read on, for a model its id; empty for the others
 * @param turnDeg for a model the turn about {@code along}, degrees
 * @param way for access where a hand or a tool comes from, for a cone where it opens to, for a solid box where it blows to when it is a fan: x, -x, y, -y, z, -z; empty where that does not matter
 * @param sock whether a soft insulating sock covers a hot one
 */
public record Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
        double clearanceMm, double tempC, String of, double turnDeg, String way, boolean sock) {
    /** What a hand or a tool wants free before what it must get to, where nothing else is said (value from memory). */
    private static final double HAND_MM = 100;

    public Neighbour {
        // Kept by an earlier version, or written by hand, they may be missing.
        of = of == null ? "" : of;
        way = way == null || !way.matches("-?[xyz]") ? "" : way;
    }

    /** One that no sock covers. */
    public Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
            double clearanceMm, double tempC, String of, double turnDeg, String way) {
        this(id, name, group, kind, form, corner, size, along, clearanceMm, tempC, of, turnDeg, way, false);
    }

    /** One that has no way. */
    public Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
            double clearanceMm, double tempC, String of, double turnDeg) {
        this(id, name, group, kind, form, corner, size, along, clearanceMm, tempC, of, turnDeg, "", false);
    }

    /** One that needs no sheet and no model. */
    public Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
            double clearanceMm, double tempC) {
        this(id, name, group, kind, form, corner, size, along, clearanceMm, tempC, "", 0, "", false);
    }

    /** What it means for a part. */
    public enum Kind {
        SOLID("Solid"), HOT("Hot"), ACCESS("Access"), CABLE("Cable run"), LIGHT("Light or air");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Its rough shape. */
    public enum Form {
        BOX("Box"), CYLINDER("Rod"), PROFILE("Profile"), PLATE("Plate with holes"), MODEL("Downloaded model"), CONE("Cone");

        private final String label;

        Form(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Whether one can run into it; zones and cables can be crossed. */
    public boolean isMatter() {
        return kind == Kind.SOLID || kind == Kind.HOT;
    }

    public Neighbour sized(Vec3 next) {
        return new Neighbour(id, name, group, kind, form, corner, next, along, clearanceMm, tempC, of, turnDeg, way, sock);
    }

    /** The same again, beside it to the right. */
    public Neighbour again(String freshId) {
        return new Neighbour(freshId, name + ", copy", group, kind, form, corner.plus(Vec3.X.times(size.x() + 5)), size, along, clearanceMm, tempC, of, turnDeg, way, sock);
    }

    /** Moving with another group. */
    public Neighbour in(String other) {
        return new Neighbour(id, name, other, kind, form, corner, size, along, clearanceMm, tempC, of, turnDeg, way, sock);
    }

    /** With its lowest corner elsewhere. */
    public Neighbour at(Vec3 next) {
        return new Neighbour(id, name, group, kind, form, next, size, along, clearanceMm, tempC, of, turnDeg, way, sock);
    }

    /** Its box with its group shifted. */
    public Bounds bounds(Vec3 shift) {
        Vec3 at = corner.plus(shift);
        return new Bounds(at, at.plus(size));
    }

    /** With another way. */
    public Neighbour going(String next) {
        return new Neighbour(id, name, group, kind, form, corner, size, along, clearanceMm, tempC, of, turnDeg, next, sock);
    }

    /** With a sock over it, or without. */
    public Neighbour socked(boolean next) {
        return new Neighbour(id, name, group, kind, form, corner, size, along, clearanceMm, tempC, of, turnDeg, way, next);
    }

    /** The direction {@code way} names; empty where it has none. */
    public Optional<Vec3> towards() {
        return way.isEmpty() ? Optional.empty() : Optional.of(axis(way.substring(way.length() - 1)).times(way.startsWith("-") ? -1 : 1));
    }

    /** Where it blows to; empty where it is no fan. */
    public Optional<Vec3> blows() {
        return kind == Kind.SOLID && form == Form.BOX ? towards() : Optional.empty();
    }

    /** The box of access with what a hand or a tool needs before it: so far as it says to want free, else 100 mm. */
    public Neighbour reached() {
        if (kind != Kind.ACCESS || way.isEmpty()) {
            return this;
        }
        double mm = clearanceMm > 0 ? clearanceMm : HAND_MM;
        Vec3 w = towards().orElseThrow();
        Vec3 longer = new Vec3(Math.abs(w.x()), Math.abs(w.y()), Math.abs(w.z())).times(mm);
        return at(corner.plus(way.startsWith("-") ? w.times(mm) : Vec3.ZERO)).sized(size.plus(longer));
    }

    private static Vec3 axis(String name) {
        return name.equals("x") ? Vec3.X : name.equals("y") ? Vec3.Y : Vec3.Z;
    }

    /** The direction {@code along} names. */
    public Vec3 direction() {
        return axis(along);
    }
}
