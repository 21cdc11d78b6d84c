package tinperch.machine.space;

import java.util.Map;
import java.util.Optional;

/**
 * How far a thing is moved along one direction so that a face or its middle is in line with another's.
 *
 * @param byMm the whole way from where it was, mm
 * @param mine its own face, {@code theirs} the other's
 * @param toId the other
 */
public record Snap(double byMm, End.Where mine, String toId, End.Where theirs) {
    private static final End.Where[] FACES = {End.Where.LOW, End.Where.MIDDLE, End.Where.HIGH};

    /**
     * The nearest such place; empty when none is near enough.
     *
     * @param byMm how far it has been moved
     * @param pose where the axes stand
     * @param withinMm how far it may be pulled
     */
    public static Optional<Snap> nearest(Surroundings space, Neighbour moved, double byMm, Along along, Map<String, Double> pose, double withinMm) {
        double low = along.of(space.bounds(moved, pose).min()) + byMm;
        Snap best = null;
        for (Neighbour o : space.neighbours()) {
            if (o.id().equals(moved.id())) {
                continue;
            }
            double other = along.of(space.bounds(o, pose).min());
            for (End.Where mine : FACES) {
                for (End.Where theirs : FACES) {
                    // A middle is caught by a middle, a face by a face.
                    if (mine == End.Where.MIDDLE != (theirs == End.Where.MIDDLE)) {
                        continue;
                    }
                    double by = byMm + other + share(theirs) * along.of(o.size()) - low - share(mine) * along.of(moved.size());
                    if (Math.abs(by - byMm) <= withinMm && (best == null || Math.abs(by - byMm) < Math.abs(best.byMm - byMm) - 1e-9)) {
                        best = new Snap(by, mine, o.id(), theirs);
                    }
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static double share(End.Where face) {
        return face == End.Where.LOW ? 0 : face == End.Where.HIGH ? 1 : 0.5;
    }
}
