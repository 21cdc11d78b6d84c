package tinperch.part;

import java.util.List;
import java.util.Optional;
import tinperch.solid.Bounds;
import tinperch.solid.Solid;

/**
 * What a family makes of its values, before any triangle is computed.
 *
 * @param bounds outer size of the part as printed, mm
 * @param held what stands against the part when it is mounted, roughly: for the eye, not for judging
 * @param markPlace where the revision mark went, or empty when there was no room
 */
public record PartForm(Solid solid, Bounds bounds, List<ScrewStack> stacks, List<Seat> seats,
        List<Dimension> dimensions, List<Solid> held, Optional<String> markPlace) {
    public PartForm {
        stacks = List.copyOf(stacks);
        seats = List.copyOf(seats);
        dimensions = List.copyOf(dimensions);
        held = List.copyOf(held);
    }
}
