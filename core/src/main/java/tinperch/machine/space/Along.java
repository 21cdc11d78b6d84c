package tinperch.machine.space;

import tinperch.solid.Vec3;

/** A direction distances are read along. */
public enum Along {
    X(Vec3.X, "left side", "right side"), Y(Vec3.Y, "front", "back"), Z(Vec3.Z, "underside", "top");

    private final Vec3 direction;
    private final String low;
    private final String high;

    Along(Vec3 direction, String low, String high) {
        this.direction = direction;
        this.low = low;
        this.high = high;
    }

    /** Unit, the way numbers grow. */
    public Vec3 direction() {
        return direction;
    }

    /** How far a vector goes along it, mm. */
    public double of(Vec3 v) {
        return v.dot(direction);
    }

    /** What a face is called, "underside". */
    public String word(End.Where where) {
        return switch (where) {
            case LOW -> low;
            case HIGH -> high;
            case MIDDLE -> "middle";
            case HOLE -> "hole";
        };
    }
}
