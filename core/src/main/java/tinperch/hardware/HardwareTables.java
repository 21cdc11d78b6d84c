package tinperch.hardware;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/** The standard rows, read once from the tables beside this class. */
public final class HardwareTables {
    /** Preferred lengths of ISO 888 up to 120 mm (values from memory). */
    public static final List<Double> PREFERRED_LENGTHS_MM = List.of(
            2d, 2.5, 3d, 4d, 5d, 6d, 8d, 10d, 12d, 16d, 20d, 25d, 30d, 35d, 40d, 45d, 50d, 55d, 60d, 65d, 70d, 80d, 90d, 100d, 110d, 120d);

    /** The tables that ship with the application. */
    public static final HardwareTables STANDARD = new HardwareTables(
            Table.read(HardwareTables.class, "threads.csv", ScrewThread.class),
            Table.read(HardwareTables.class, "inserts.csv", HeatSetInsert.class));

    private final List<ScrewThread> threads;
    private final List<HeatSetInsert> inserts;

    public HardwareTables(List<ScrewThread> threads, List<HeatSetInsert> inserts) {
        this.threads = List.copyOf(threads);
        this.inserts = List.copyOf(inserts);
    }

    /** All threads, smallest first. */
    public List<ScrewThread> threads() {
        return threads;
    }

    /** All heat-set inserts. */
    public List<HeatSetInsert> inserts() {
        return inserts;
    }

    /** @throws IllegalArgumentException when the table has no such thread */
    public ScrewThread thread(String name) {
        return threads.stream().filter(t -> t.name().equals(name)).findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No thread " + name + " in the table."));
    }

    /** Inserts for a thread, shortest first. */
    public List<HeatSetInsert> insertsFor(String thread) {
        return inserts.stream().filter(i -> i.thread().equals(thread))
                .sorted((a, b) -> Double.compare(a.lengthMm(), b.lengthMm())).toList();
    }

    /** The insert of a thread whose length is nearest to the one asked for. */
    public Optional<HeatSetInsert> insert(String thread, double lengthMm) {
        return insertsFor(thread).stream()
                .min((a, b) -> Double.compare(Math.abs(a.lengthMm() - lengthMm), Math.abs(b.lengthMm() - lengthMm)));
    }
}
