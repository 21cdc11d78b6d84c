package tinperch.part.form;

import java.util.List;
import tinperch.solid.Placement;

/**
 * A straight line that something runs or stands along, which must meet its like on the machine.
 *
 * @param label what a finding calls it, "filament's path"
 * @param along z of it is the line, its origin a point of it; in the assembly's coordinates
 * @param moved numbers that move it aside, and which way
 */
public record Track(Kind kind, String label, Placement along, List<Reach> moved) {
    public Track {
        moved = List.copyOf(moved);
    }

    /** What runs along it. */
    public enum Kind {
        /** Filament, towards a hot end. */
        FILAMENT,
        /** The middle of a belt that is held. */
        BELT,
        /** A probe, looking the way it feels. */
        PROBE
    }
}
