package tinperch.workshop.store;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import tinperch.files.model.MeshBlob;
import tinperch.hardware.ScrewDrawer;
import tinperch.workshop.WorkshopState;

/**
 * One workshop file. Confirmed edits survive a killed process (write-ahead log, full synchronisation). A file that is damaged or of a newer
 * version is never written to: a copy is read as far as it goes and shown read-only. Safe on any thread.
 */
public final class WorkshopStore implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(WorkshopStore.class);

    private static final String MACHINE = "machine";
    private static final String UPGRADE = "upgrade";

    /** Number of the schema this version writes. */
    static final int SCHEMA = 6;

    private final Path file;
    private final Connection connection;
    private final Jdbi jdbi;
    private final Object key;
    private final PrivateCopy copy;
    private final String notice;
    private final WorkshopState salvaged;
    private final Map<String, Writing.Written> written = new HashMap<>();
    private final Map<String, Extra> extras = new HashMap<>();
    /** What its copy held when it was read through, until it is loaded. */
    private Checked seen;

    private WorkshopStore(Path file, Connection connection, Object key, PrivateCopy copy, String notice, WorkshopState salvaged) {
        this.file = file;
        this.connection = connection;
        this.jdbi = Jdbi.create(connection);
        this.key = key;
        this.copy = copy;
        this.notice = notice;
        this.salvaged = salvaged;
    }

    /**
     * Opens a workshop file. Where there is none an empty one is made, unless backups say that there was one.
     *
     * @throws StoreFault when another window has it open, it has no bytes, is gone, is none of ours, or the disk refuses
     */
    public static WorkshopStore open(Path file) {
        return Opening.open(file, false, LocalDateTime.now());
    }

    /** The same, but an empty workshop takes the place of a file without bytes or of one that is gone. */
    public static WorkshopStore begin(Path file) {
        return Opening.open(file, true, LocalDateTime.now());
    }

    /** @param seen what a copy of it held just before; null where nothing was looked at */
    static WorkshopStore writable(Path file, Connection connection, Object key, String notice, Checked seen) {
        WorkshopStore store = new WorkshopStore(file, connection, key, null, notice, null);
        store.seen = seen;
        return store;
    }

    static WorkshopStore readOnly(Path file, PrivateCopy copy, String notice, WorkshopState state) throws SQLException {
        return new WorkshopStore(file, copy.connect(), null, copy, notice, state);
    }

    /** @param alone whether nobody else may open it meanwhile */
    static SQLiteDataSource source(Path file, boolean alone) {
        SQLiteConfig config = new SQLiteConfig();
        if (alone) {
            config.setLockingMode(SQLiteConfig.LockingMode.EXCLUSIVE);
        }
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.enforceForeignKeys(true);
        config.setBusyTimeout(alone ? 300 : 5000);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        return source;
    }

    /** Its backups. */
    public Backups backups() {
        return new Backups(file);
    }

    /** What is wrong with the file, in a sentence; empty when it is sound. */
    public Optional<String> notice() {
        return Optional.ofNullable(notice);
    }

    /** The file beside it that samples are kept in; of one that is not written to, a file of its own. */
    public Path logsFile() {
        return DataFolder.beside(copy != null ? copy.db() : file, "-logs.db");
    }

    /** The one connection; tests use it to make the disk refuse. */
    Connection connection() {
        return connection;
    }

    /** Whether nothing is written to it. */
    public boolean isReadOnly() {
        return salvaged != null;
    }

    /** Everything in the file. What was written by an earlier version is brought up to date and written back at once. */
    public synchronized WorkshopState load() {
        if (salvaged != null) {
            return salvaged;
        }
        return guarded(() -> {
            Rows rows = jdbi.withHandle(h -> {
                Map<String, List<Body.Row>> items = new HashMap<>();
                h.createQuery("SELECT kind, owner, field, id, position, body FROM item ORDER BY position").map((r, c) -> items
                        .computeIfAbsent(r.getString(1) + "/" + r.getString(2), k -> new ArrayList<>())
                        .add(new Body.Row(r.getString(3), r.getString(4), r.getInt(5), r.getString(6)))).list();
                ScrewDrawer[] drawer = {new ScrewDrawer(Map.of())};
                h.createQuery("SELECT thread, lengths FROM drawer").map((r, c) -> drawer[0] = drawer(drawer[0], r.getString(1), r.getString(2))).list();
                return new Rows(records(h, MACHINE, items), records(h, UPGRADE, items),
                        h.createQuery("SELECT body FROM revision ORDER BY upgrade_id, part_id, number").mapTo(String.class).map(b -> new Rows.Stored("", b, List.of())).list(), drawer[0]);
            });
            // To make a state of rows takes much longer than to read them; what the copy held was made one of already.
            Checked before = seen;
            seen = null;
            boolean same = before != null && before.rows() != null && before.isSound() && rows.areLike(before.rows());
            Rows made = same ? before.rows() : rows;
            WorkshopState state = same ? before.state() : rows.state(lost -> {
                throw new StoreFault(StoreFault.Kind.DISK, "A row of the workshop file cannot be read: " + lost, null);
            });
            extras.clear();
            extras.putAll(made.extras());
            if (made.isOld() || isUnsummed()) {
                save(WorkshopState.EMPTY, state);
            }
            return state;
        });
    }

    /** Whether nothing was put into it yet; quicker than reading all of it. */
    public synchronized boolean isEmpty() {
        if (salvaged != null) {
            return salvaged.equals(WorkshopState.EMPTY);
        }
        return guarded(() -> jdbi.withHandle(h -> h.createQuery("SELECT EXISTS (SELECT 1 FROM machine) OR EXISTS (SELECT 1 FROM upgrade) OR EXISTS (SELECT 1 FROM revision) "
                + "OR EXISTS (SELECT 1 FROM drawer)").mapTo(Integer.class).one()) == 0);
    }

    private static List<Rows.Stored> records(Handle h, String table, Map<String, List<Body.Row>> items) {
        return h.createQuery("SELECT id, body FROM " + table + " ORDER BY position").map((r, c) ->
                new Rows.Stored(r.getString(1), r.getString(2), items.getOrDefault(table + "/" + r.getString(1), List.of()))).list();
    }

    private boolean isUnsummed() {
        return jdbi.withHandle(h -> h.createQuery("SELECT EXISTS (SELECT 1 FROM machine WHERE sum = '') OR EXISTS (SELECT 1 FROM upgrade WHERE sum = '') OR EXISTS (SELECT 1 FROM revision WHERE sum = '') "
                + "OR EXISTS (SELECT 1 FROM item WHERE sum = '') OR EXISTS (SELECT 1 FROM drawer WHERE sum = '')").mapTo(Integer.class).one()) != 0;
    }

    /** With the lengths at hand of one thread, as they are stored. */
    static ScrewDrawer drawer(ScrewDrawer drawer, String thread, String stored) {
        List<Double> lengths = new ArrayList<>();
        for (String s : stored.split(" ")) {
            if (!s.isBlank()) {
                lengths.add(Double.parseDouble(s));
            }
        }
        return drawer.with(thread, lengths);
    }

    /**
     * Writes what differs between two states, all or nothing.
     *
     * @throws StoreFault when the disk refuses
     */
    public synchronized void save(WorkshopState before, WorkshopState after) {
        guarded(() -> {
            jdbi.useTransaction(h -> new Writing(h, written, extras).differences(before, after));
            return null;
        });
    }

    /** Keeps the bytes of a mesh under its name; once kept they never change. */
    public synchronized void keepMesh(MeshBlob blob) {
        guarded(() -> jdbi.withHandle(h -> h.execute("INSERT INTO mesh (id, body) VALUES (?, ?) ON CONFLICT (id) DO NOTHING",
                blob.id(), blob.bytes())));
    }

    /** The bytes of a kept mesh; empty when it is not there. */
    public synchronized Optional<byte[]> mesh(String id) {
        try {
            return guarded(() -> jdbi.withHandle(h -> h.createQuery("SELECT body FROM mesh WHERE id = :id").bind("id", id).mapTo(byte[].class).findFirst()));
        } catch (StoreFault e) {
            // What is looked at read-only may have no such table.
            if (isReadOnly()) {
                return Optional.empty();
            }
            throw e;
        }
    }

    /** The preferences kept in it, by name; none where nothing is written to. */
    public synchronized Map<String, String> preferences() {
        if (isReadOnly()) {
            return Map.of();
        }
        return guarded(() -> jdbi.withHandle(h -> {
            Map<String, String> all = new HashMap<>();
            h.createQuery("SELECT name, value FROM preference WHERE name IS NOT NULL AND value IS NOT NULL").map((r, c) -> all.put(r.getString(1), r.getString(2))).list();
            return all;
        }));
    }

    /** Keeps a preference. */
    public synchronized void setPreference(String name, String value) {
        guarded(() -> jdbi.withHandle(h -> h.execute("INSERT INTO preference (name, value) VALUES (?, ?) "
                + "ON CONFLICT (name) DO UPDATE SET value = excluded.value", name, value)));
    }

    private static <T> T guarded(Supplier<T> work) {
        try {
            return work.get();
        } catch (JdbiException e) {
            String cause = String.valueOf(e.getCause() == null ? e.getMessage() : e.getCause().getMessage());
            String what = cause.contains("FULL") || cause.contains("full") ? "the disk is full"
                    : cause.contains("READONLY") || cause.contains("readonly") ? "the file may not be written to" : cause;
            throw new StoreFault(StoreFault.kindOf(e), "The edit is not on disk: " + what + ". It stays in this window; make room or give the "
                    + "file back its write permission and try again.", e);
        }
    }

    @Override
    public synchronized void close() {
        try {
            connection.close();
        } catch (SQLException e) {
            LOG.warn("The workshop file did not close cleanly", e);
        }
        Opening.release(key);
        if (copy != null) {
            copy.close();
        }
    }
}
