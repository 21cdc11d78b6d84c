package tinperch.machine.space;

import java.util.Optional;
import tinperch.solid.Vec3;

/**
 * What one jaw of the calipers lies against: a face, the middle or a hole of a neighbour.
 *
 * @param neighbourId whose
 * @param hole its label, "A"; empty unless it is a hole
 */
public record End(String neighbourId, Where where, String hole) {
    public End {
        // Files written by hand may lack any of these.
        neighbourId = neighbourId == null ? "" : neighbourId;
        where = where == null ? Where.LOW : where;
        hole = hole == null ? "" : hole;
    }

    /** An end that is no hole. */
    public End(String neighbourId, Where where) {
        this(neighbourId, where, "");
    }

    /** Which of its places. */
    public enum Where { LOW, MIDDLE, HIGH, HOLE }

    /** Middles of holes, from their neighbour's lowest corner, mm. */
    @FunctionalInterface
    public interface Holes {
        /** No hole is known. */
        Holes NONE = (n, hole) -> Optional.empty();

        Optional<Vec3> of(Neighbour n, String hole);
    }

    /** How far it is from the neighbour's lowest corner along a direction, mm; empty for a hole nobody has read. */
    public Optional<Double> offsetMm(Neighbour n, Along along, Holes holes) {
        return switch (where) {
            case LOW -> Optional.of(0.0);
            case MIDDLE -> Optional.of(along.of(n.size()) / 2);
            case HIGH -> Optional.of(along.of(n.size()));
            case HOLE -> holes.of(n, hole).map(along::of);
        };
    }

    /** "hot block, underside". */
    public String words(Along along, String name) {
        return name + ", " + (where == Where.HOLE ? "hole " + hole : along.word(where));
    }
}
