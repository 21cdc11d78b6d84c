package tinperch.workshop.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
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
 * One workshop file. Confirmed edits survive a killed process (write-ahead log, full synchronisation). A damaged file is
 * never written to: a copy is read as far as it goes and shown read-only. Safe on any thread.
 */
public final class WorkshopStore implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(WorkshopStore.class);

    private static final String MACHINE = "machine";
    private static final String UPGRADE = "upgrade";

    private final Connection connection;
    private final Jdbi jdbi;
    private final FileChannel lock;
    private final String notice;
    private final WorkshopState salvaged;
    private final Map<String, Writing.Written> written = new HashMap<>();

    private WorkshopStore(Connection connection, FileChannel lock, String notice, WorkshopState salvaged) {
        this.connection = connection;
        this.jdbi = connection == null ? null : Jdbi.create(connection);
        this.lock = lock;
        this.notice = notice;
        this.salvaged = salvaged;
    }

    /**
     * Opens a workshop file, making an empty one when there is none.
     *
     * @throws StoreFault when another window has it open or the folder cannot be used
     */
    public static WorkshopStore open(Path file) {
        FileChannel lock = lock(file);
        try {
            if (Files.exists(file) && Files.size(file) > 0) {
                Optional<String> damage = Salvage.damage(file);
                if (damage.isPresent()) {
                    return salvage(file, damage.get(), lock);
                }
            }
            SQLiteDataSource source = source(file);
            try {
                Flyway.configure().dataSource(source).locations("classpath:tinperch/workshop/migrations")
                        .loggers("slf4j").load().migrate();
            } catch (FlywayException e) {
                LOG.warn("Migration of {} failed", file, e);
                return salvage(file, "it was made by a newer version or changed by something else", lock);
            }
            return new WorkshopStore(source.getConnection(), lock, null, null);
        } catch (IOException | SQLException e) {
            throw new StoreFault("The workshop file " + file + " cannot be opened (" + e.getMessage()
                    + "). Nothing was changed. Check that the folder may be written to.", e);
        }
    }

    private static WorkshopStore salvage(Path file, String damage, FileChannel lock) throws IOException {
        WorkshopState state = Salvage.read(file);
        String notice = "The workshop file " + file + " is damaged: " + damage + ". It has not been changed. "
                + "You are looking at what could still be read (" + state.machines().size() + " machines, "
                + state.upgrades().size() + " upgrades, " + state.revisions().size()
                + " revisions); edits in this window are not kept. Put a backup in its place, or move the file away to start anew.";
        return new WorkshopStore(null, lock, notice, state);
    }

    private static FileChannel lock(Path file) {
        Path path = file.resolveSibling(file.getFileName() + ".lock");
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            FileChannel channel = FileChannel.open(path, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock held = channel.tryLock();
            if (held == null) {
                channel.close();
                throw new IOException("locked");
            }
            return channel;
        } catch (java.nio.channels.OverlappingFileLockException | IOException e) {
            if (e instanceof java.nio.file.FileSystemException) {
                throw new StoreFault("The folder of " + file + " cannot be written to. Nothing was changed. "
                        + "Choose another folder with TINPERCH_HOME.", e);
            }
            throw new StoreFault("This workshop is open in another window. Use that one, or close it first.", e);
        }
    }

    static SQLiteDataSource source(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.enforceForeignKeys(true);
        config.setBusyTimeout(5000);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        return source;
    }

    /** What is wrong with the file, in a sentence; empty when it is sound. */
    public Optional<String> notice() {
        return Optional.ofNullable(notice);
    }

    /** The one connection; tests use it to make the disk refuse. */
    Connection connection() {
        return connection;
    }

    /** Whether nothing is written to it. */
    public boolean isReadOnly() {
        return jdbi == null;
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
                return new Rows(records(h, MACHINE, items), records(h, UPGRADE, items),
                        h.createQuery("SELECT body FROM revision ORDER BY upgrade_id, part_id, number").mapTo(String.class).map(b -> new Rows.Stored(b, List.of())).list(),
                        drawer(h.createQuery("SELECT thread, lengths FROM drawer").mapToMap(String.class).list()));
            });
            WorkshopState state = rows.state(lost -> {
                throw new StoreFault("A row of the workshop file cannot be read: " + lost, null);
            });
            if (rows.isOld()) {
                save(WorkshopState.EMPTY, state);
            }
            return state;
        });
    }

    private static List<Rows.Stored> records(Handle h, String table, Map<String, List<Body.Row>> items) {
        return h.createQuery("SELECT id, body FROM " + table + " ORDER BY position").map((r, c) ->
                new Rows.Stored(r.getString(2), items.getOrDefault(table + "/" + r.getString(1), List.of()))).list();
    }

    static ScrewDrawer drawer(List<Map<String, String>> rows) {
        ScrewDrawer drawer = new ScrewDrawer(Map.of());
        for (Map<String, String> row : rows) {
            List<Double> lengths = new ArrayList<>();
            for (String s : row.get("lengths").split(" ")) {
                if (!s.isBlank()) {
                    lengths.add(Double.parseDouble(s));
                }
            }
            drawer = drawer.with(row.get("thread"), lengths);
        }
        return drawer;
    }

    /**
     * Writes what differs between two states, all or nothing.
     *
     * @throws StoreFault when the disk refuses
     */
    public synchronized void save(WorkshopState before, WorkshopState after) {
        guarded(() -> {
            jdbi.useTransaction(h -> new Writing(h, written).differences(before, after));
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
        return jdbi == null ? Optional.empty() : guarded(() -> jdbi.withHandle(h -> h.createQuery("SELECT body FROM mesh WHERE id = :id")
                .bind("id", id).mapTo(byte[].class).findFirst()));
    }

    /** A preference kept in it; empty when it was never set. */
    public synchronized Optional<String> preference(String name) {
        if (jdbi == null) {
            return Optional.empty();
        }
        return guarded(() -> jdbi.withHandle(h -> h.createQuery("SELECT value FROM preference WHERE name = :n")
                .bind("n", name).mapTo(String.class).findFirst()));
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
            throw new StoreFault("The edit is not on disk: " + what + ". It stays in this window; make room or give the "
                    + "file back its write permission and try again.", e);
        }
    }

    @Override
    public synchronized void close() {
        try {
            if (connection != null) {
                connection.close();
            }
            if (lock != null) {
                lock.close();
            }
        } catch (SQLException | IOException e) {
            LOG.warn("The workshop file did not close cleanly", e);
        }
    }
}
