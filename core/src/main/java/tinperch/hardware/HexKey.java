package tinperch.hardware;

import java.util.List;
import tinperch.quantity.Table;

/**
 * An L-shaped hexagon key, a row of {@code keys.csv} (ISO 2936, values from memory).
 *
 * @param acrossMm over its flats, {@code shortMm} and {@code longMm} its arms
 */
public record HexKey(double acrossMm, double shortMm, double longMm) {
    private static final List<HexKey> ALL = Table.read(HexKey.class, "keys.csv", HexKey.class);
    private static final List<Socket> SOCKETS = Table.read(HexKey.class, "sockets.csv", Socket.class);
    /** The next flats are so far round: a key that turns less is of no use. */
    public static final double FLATS_DEG = 60;

    /** Which keys the sockets of a thread's screws take, a row of {@code sockets.csv}. */
    private record Socket(String thread, double capMm, double buttonMm, double setMm) {}

    /** The one for a screw's head; the largest for threads that are in no table. */
    public static HexKey of(String thread, ScrewThread.Head head) {
        return SOCKETS.stream().filter(s -> s.thread.equals(thread)).findFirst().map(s -> across(head == ScrewThread.Head.CAP ? s.capMm : s.buttonMm)).orElse(ALL.get(ALL.size() - 1));
    }

    /** The one for a set screw; the largest for threads that are in no table. */
    public static HexKey ofSetScrew(String thread) {
        return SOCKETS.stream().filter(s -> s.thread.equals(thread)).findFirst().map(s -> across(s.setMm)).orElse(ALL.get(ALL.size() - 1));
    }

    private static HexKey across(double mm) {
        return ALL.stream().filter(k -> k.acrossMm >= mm - 1e-9).findFirst().orElse(ALL.get(ALL.size() - 1));
    }
}
