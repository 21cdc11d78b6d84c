package tinperch.machine.space;

import java.util.Map;
import java.util.Optional;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * The nearest thing before a face of a thing that is being moved: what somebody with calipers would put one jaw against.
 *
 * @param toId the other
 * @param mine the face of the one moved
 * @param gapMm between the two faces, mm; never negative
 */
public record Facing(String toId, End.Where mine, double gapMm) {

    /**
     * Looks along one direction, both ways, among what stands before it there and is matter; empty when nothing does.
     *
     * @param by how far it has been moved
     * @param pose where the axes stand
     */
    public static Optional<Facing> nearest(Surroundings space, Neighbour moved, Vec3 by, Along along, Map<String, Double> pose) {
        Bounds b = space.bounds(moved.at(moved.corner().plus(by)), pose);
        Facing best = null;
        for (Neighbour o : space.neighbours()) {
            Bounds other = space.bounds(o, pose);
            if (o.id().equals(moved.id()) || !o.isMatter() || !before(b, other, along)) {
                continue;
            }
            double above = along.of(other.min()) - along.of(b.max());
            double below = along.of(b.min()) - along.of(other.max());
            double gap = Math.max(above, below);
            if (gap >= -1e-9 && (best == null || gap < best.gapMm)) {
                best = new Facing(o.id(), above > below ? End.Where.HIGH : End.Where.LOW, Math.max(0, gap));
            }
        }
        return Optional.ofNullable(best);
    }

    private static boolean before(Bounds a, Bounds b, Along along) {
        for (Along o : Along.values()) {
            if (o != along && (o.of(a.max()) <= o.of(b.min()) || o.of(b.max()) <= o.of(a.min()))) {
                return false;
            }
        }
        return true;
    }

    /** How much farther it has to be moved for another gap, mm along. */
    public double toReach(double wantedMm) {
        return mine == End.Where.HIGH ? gapMm - wantedMm : wantedMm - gapMm;
    }
}
