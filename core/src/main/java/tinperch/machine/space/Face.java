package tinperch.machine.space;

import java.util.Optional;
import tinperch.solid.Vec3;

/**
 * One of the six faces of the box of a neighbour, as one points at it.
 *
 * @param neighbourId whose
 * @param high whether it is the one farther along
 */
public record Face(String neighbourId, Along along, boolean high) {

    /** The face that looks a way; empty when it looks along none of x, y and z. */
    public static Optional<Face> looking(String neighbourId, Vec3 outward) {
        for (Along a : Along.values()) {
            if (Math.abs(a.of(outward)) > 0.999) {
                return Optional.of(new Face(neighbourId, a, a.of(outward) > 0));
            }
        }
        return Optional.empty();
    }

    /** The way it looks, unit. */
    public Vec3 outward() {
        return along.direction().times(high ? 1 : -1);
    }

    /** As an end of a distance. */
    public End end() {
        return new End(neighbourId, high ? End.Where.HIGH : End.Where.LOW);
    }

    /** Its middle with all axes at zero, mm. */
    public Vec3 middle(Neighbour n) {
        return n.corner().plus(n.size().times(0.5)).plus(outward().times(along.of(n.size()) / 2));
    }

    /** "hot block, underside". */
    public String words(Neighbour n) {
        return end().words(along, n.name());
    }
}
