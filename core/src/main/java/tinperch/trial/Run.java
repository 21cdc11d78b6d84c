package tinperch.trial;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What was recorded at one go. Its samples are kept by the workshop under its id.
 *
 * @param start when it began, on the clock of the place
 * @param lengthS from its first sample to its last, s
 * @param channels in the order of a row's values
 * @param source where it comes from: a file's name, a port
 * @param simulated whether no real machine stands behind it
 * @param note under what conditions, in the owner's words
 */
public record Run(String id, String name, LocalDateTime start, double lengthS, List<Channel> channels, String source, boolean simulated, String note) {
    public Run {
        name = name == null ? "" : name;
        start = start == null ? LocalDateTime.of(2000, 1, 1, 0, 0) : start;
        lengthS = lengthS >= 0 && Double.isFinite(lengthS) ? lengthS : 0;
        channels = channels == null ? List.of() : List.copyOf(channels);
        source = source == null ? "" : source;
        note = note == null ? "" : note;
    }

    /** Under another name. */
    public Run withName(String next) {
        return new Run(id, next, start, lengthS, channels, source, simulated, note);
    }

    /** With other words on its conditions. */
    public Run withNote(String next) {
        return new Run(id, name, start, lengthS, channels, source, simulated, next);
    }

    /** Of a length, with what is kept of its channels; of those there is nothing of, nothing. */
    public Run lasting(double seconds, List<Optional<Kept>> kept) {
        List<Channel> all = new ArrayList<>();
        for (int i = 0; i < channels.size(); i++) {
            Channel c = channels.get(i);
            all.add(c.isTemperature() && i < kept.size() ? kept.get(i).map(c::keeping).orElse(c) : c);
        }
        return new Run(id, name, start, seconds, all, source, simulated, note);
    }

    /** With a channel changed. */
    public Run with(Channel next) {
        List<Channel> all = new ArrayList<>(channels);
        all.replaceAll(c -> c.id().equals(next.id()) ? next : c);
        return new Run(id, name, start, lengthS, all, source, simulated, note);
    }

    /** Its first channel of a kind; empty when it has none. */
    public Optional<Channel> first(Channel.Kind kind) {
        return channels.stream().filter(c -> c.kind() == kind).findFirst();
    }
}
