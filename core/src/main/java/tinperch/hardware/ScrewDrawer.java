package tinperch.hardware;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The screw lengths the owner has at hand, by thread. These come first; ISO 888 lengths are what a shop would sell.
 *
 * @param lengthsMm for each thread its lengths, sorted
 */
public record ScrewDrawer(Map<String, List<Double>> lengthsMm) {
    public ScrewDrawer {
        Map<String, List<Double>> copy = new TreeMap<>();
        lengthsMm.forEach((thread, list) -> copy.put(thread, list.stream().sorted().distinct().toList()));
        lengthsMm = java.util.Collections.unmodifiableMap(copy);
    }

    /** Lengths at hand of a thread, shortest first, mm. */
    public List<Double> lengths(String thread) {
        return lengthsMm.getOrDefault(thread, List.of());
    }

    /** The shortest length at hand within the closed range. */
    public Optional<Double> shortestWithin(String thread, double fromMm, double toMm) {
        return lengths(thread).stream().filter(l -> l >= fromMm - 1e-9 && l <= toMm + 1e-9).findFirst();
    }

    /** Whether a screw is at hand. */
    public boolean has(String thread, double lengthMm) {
        return lengths(thread).stream().anyMatch(l -> Math.abs(l - lengthMm) < 1e-6);
    }

    /** With other lengths of a thread. */
    public ScrewDrawer with(String thread, List<Double> lengths) {
        Map<String, List<Double>> copy = new TreeMap<>(lengthsMm);
        copy.put(thread, lengths);
        return new ScrewDrawer(copy);
    }
}
