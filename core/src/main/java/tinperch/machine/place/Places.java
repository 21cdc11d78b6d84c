package tinperch.machine.place;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Along;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Where all neighbours of a machine are and how that is known, from what was read face to face. */
public final class Places {
    /** Moves of less are rounding, mm. */
    private static final double SAME_MM = 1e-9;

    private final Surroundings space;
    private final Map<Along, Network> networks = new EnumMap<>(Along.class);

    private Places(Surroundings space, End.Holes holes) {
        this.space = space;
        for (Along a : Along.values()) {
            networks.put(a, new Network(space, a, holes));
        }
    }

    /** Solves. */
    public static Places of(Surroundings space, End.Holes holes) {
        return new Places(space, holes);
    }

    /** The place of a neighbour along a direction. */
    public Place of(String neighbourId, Along along) {
        return networks.get(along).places().get(neighbourId);
    }

    /** The neighbour that all is measured from; empty for none. */
    public String datumId() {
        return space.datumId();
    }

    /** Readings that cannot all be true, along all directions. */
    public List<Doubt> doubts() {
        return networks.values().stream().flatMap(n -> n.doubts().stream()).toList();
    }

    /** The surroundings with every neighbour where its readings put it. */
    public Surroundings settled() {
        List<Neighbour> next = new ArrayList<>();
        boolean moved = false;
        for (Neighbour n : space.neighbours()) {
            Vec3 at = new Vec3(mm(n, Along.X), mm(n, Along.Y), mm(n, Along.Z));
            boolean same = at.distanceTo(n.corner()) < SAME_MM;
            moved |= !same;
            next.add(same ? n : n.at(at));
        }
        return moved ? space.withPlaced(next) : space;
    }

    private double mm(Neighbour n, Along along) {
        return of(n.id(), along).mm();
    }

    /**
     * The one reading that would settle most.
     *
     * @param neighbourId the one to read to
     * @param settles how many neighbours it would tie to what all is measured from
     */
    public record Next(String neighbourId, Along along, int settles) {}

    /** What to read next: the reading that ties most to what all is measured from; empty when all is tied. */
    public Optional<Next> next() {
        Next best = null;
        for (Along a : Along.values()) {
            Map<String, Integer> sizes = networks.get(a).looseSets();
            for (Map.Entry<String, Integer> e : sizes.entrySet()) {
                if (best == null || e.getValue() > best.settles) {
                    best = new Next(e.getKey(), a, e.getValue());
                }
            }
        }
        return Optional.ofNullable(best);
    }
}
