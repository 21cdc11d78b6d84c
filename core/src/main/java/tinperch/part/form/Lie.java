package tinperch.part.form;

import java.util.Locale;
import java.util.Map;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/** Which side of a thing lies on the bed when it is printed: its bottom is where z is least, its front where y is, its left where x is. */
public enum Lie {
    BOTTOM(Vec3.X, Vec3.Y), TOP(Vec3.X, Vec3.Y.times(-1)), LEFT(Vec3.Z, Vec3.Y), RIGHT(Vec3.Z.times(-1), Vec3.Y),
    FRONT(Vec3.X, Vec3.Z), BACK(Vec3.X, Vec3.Z.times(-1));

    private final Placement turn;
    private final Vec3 up;

    Lie(Vec3 u, Vec3 v) {
        turn = new Placement(Vec3.ZERO, u, v, u.cross(v));
        up = turn.inverse().turned(Vec3.Z);
    }

    /** Of a piece of which nothing else was said it is the bottom. */
    public static Lie of(String pieceId, Map<String, Lie> said) {
        return said.getOrDefault(pieceId, BOTTOM);
    }

    /** From the thing's own coordinates to those of the bed, z up. */
    public Placement turn() {
        return turn;
    }

    /** Up on the bed, in the thing's own coordinates. */
    public Vec3 up() {
        return up;
    }

    /** How far a thing reaches on the bed that reaches so far in its own coordinates, mm. */
    public Vec3 sizeMm(Vec3 ownMm) {
        Vec3 s = turn.turned(ownMm);
        return new Vec3(Math.abs(s.x()), Math.abs(s.y()), Math.abs(s.z()));
    }

    /** "on its left side". */
    public String where() {
        return switch (this) {
            case BOTTOM -> "as it is drawn";
            case TOP -> "upside down";
            default -> "on its " + word() + " side";
        };
    }

    /** "left". */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
