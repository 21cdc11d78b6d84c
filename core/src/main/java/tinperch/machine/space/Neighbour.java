package tinperch.machine.space;

import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;

/**
 * Something near which a part has to live; only as much of it as matters.
 *
 * @param group what it moves with, empty for what stands still
 * @param corner lowest corner of its box with all axes at zero
 * @param size of its box; a cylinder fills the box's cross-section
 * @param along for a cylinder the direction of its axis: x, y or z
 * @param clearanceMm what it wants to have free around it
 * @param tempC its temperature when it is a hot one
 */
public record Neighbour(String id, String name, String group, Kind kind, Form form, Vec3 corner, Vec3 size, String along,
        double clearanceMm, double tempC) {
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
        BOX("Box"), CYLINDER("Cylinder");

        private final String label;

        Form(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Its box with its group shifted. */
    public Bounds bounds(Vec3 shift) {
        Vec3 at = corner.plus(shift);
        return new Bounds(at, at.plus(size));
    }

    /** Its shape with all axes at zero. */
    public Leaf solid() {
        if (form == Form.BOX) {
            return Leaf.extrusion(name, Profile.rectangle(corner.x() + size.x() / 2, corner.y() + size.y() / 2, size.x(), size.y()),
                    Placement.HERE, corner.z(), corner.z() + size.z());
        }
        Vec3 dir = along.equals("x") ? Vec3.X : along.equals("y") ? Vec3.Y : Vec3.Z;
        double length = size.dot(dir);
        double across = Math.min(dir == Vec3.X ? size.y() : size.x(), dir == Vec3.Z ? size.y() : size.z());
        Vec3 middle = corner.plus(size.times(0.5)).minus(dir.times(length / 2));
        return Leaf.extrusion(name, Profile.disc(0, 0, across, 48),
                Placement.along(middle, dir, dir == Vec3.X ? Vec3.Y : Vec3.X), 0, length);
    }
}
