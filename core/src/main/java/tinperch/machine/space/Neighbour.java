package tinperch.machine.space;

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
 */
public record Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
        double clearanceMm, double tempC, String of, double turnDeg) {
    public Neighbour {
        of = of == null ? "" : of;
    }

    /** One that needs no sheet and no model. */
    public Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
            double clearanceMm, double tempC) {
        this(id, name, group, kind, form, corner, size, along, clearanceMm, tempC, "", 0);
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
        BOX("Box"), CYLINDER("Rod"), PROFILE("Profile"), PLATE("Plate with holes"), MODEL("Downloaded model");

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
        return new Neighbour(id, name, group, kind, form, corner, next, along, clearanceMm, tempC, of, turnDeg);
    }

    /** The same again, beside it to the right. */
    public Neighbour again(String freshId) {
        return new Neighbour(freshId, name + ", copy", group, kind, form, corner.plus(Vec3.X.times(size.x() + 5)), size, along, clearanceMm, tempC, of, turnDeg);
    }

    /** With its lowest corner elsewhere. */
    public Neighbour at(Vec3 next) {
        return new Neighbour(id, name, group, kind, form, next, size, along, clearanceMm, tempC, of, turnDeg);
    }

    /** Its box with its group shifted. */
    public Bounds bounds(Vec3 shift) {
        Vec3 at = corner.plus(shift);
        return new Bounds(at, at.plus(size));
    }

    /** The direction {@code along} names. */
    public Vec3 direction() {
        return along.equals("x") ? Vec3.X : along.equals("y") ? Vec3.Y : Vec3.Z;
    }
}
