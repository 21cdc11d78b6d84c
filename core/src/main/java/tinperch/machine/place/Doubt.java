package tinperch.machine.place;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import tinperch.machine.space.Distance;
import tinperch.quantity.Quantity;

/**
 * Distances that cannot all be true.
 *
 * @param distances the one that disagrees with the others, or all of a loop when any of them may be wrong
 * @param byMm by how much the one disagrees with what the others say, mm
 * @param times how many of its own standard deviations that is
 * @param swapped whether it would agree with its ends the other way round
 */
public record Doubt(List<Distance> distances, double byMm, double times, boolean swapped) {
    public Doubt {
        distances = List.copyOf(distances);
    }

    /** In a sentence. */
    public String words(Function<Distance, String> name) {
        if (distances.size() == 1) {
            return "“" + name.apply(distances.get(0)) + "” disagrees with the other readings by " + Quantity.mm(byMm)
                    + (swapped ? "; its ends look swapped." : "; read it again, or leave the reading out.");
        }
        return "These cannot all be true, they miss each other by " + Quantity.mm(byMm) + ": "
                + distances.stream().map(d -> "“" + name.apply(d) + "”").collect(Collectors.joining(", ")) + ". Read one of them again.";
    }
}
