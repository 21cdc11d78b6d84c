package tinperch.workshop.log;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/**
 * The file with the samples of all runs. What is recorded is written every second, so that a killed process loses no more; a run that is taken from
 * a file is there as a whole or not at all. Safe on any thread.
 */
public final class LogStore implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(LogStore.class);
    /** Number of the schema this version writes. */
    private static final int SCHEMA = 1;

    private final Path file;
    private final SQLiteDataSource source;
    private final Connection reading;
    private int mostPages;

    private LogStore(Path file, SQLiteDataSource source, Connection reading) {
        this.file = file;
        this.source = source;
        this.reading = reading;
    }

    /**
     * Opens the file, or makes it.
     *
     * @throws LogFault when it cannot be opened, is none of ours or of a newer version
     */
    public static LogStore open(Path file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setJournalMode(SQLiteConfig.JournalMode.WAL);
        config.setSynchronous(SQLiteConfig.SynchronousMode.NORMAL);
        config.setBusyTimeout(5000);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + file.toAbsolutePath());
        try {
            Connection c = source.getConnection();
            try {
                begin(c);
                LogStore store = new LogStore(file, source, c);
                store.mend();
                return store;
            } catch (SQLException | LogFault e) {
                c.close();
                throw e;
            }
        } catch (SQLException e) {
            throw new LogFault("The samples in " + file + " cannot be opened (" + e.getMessage() + "). The workshop itself is not touched; its curves are missing until the file can be read. Move that file away and a new one is begun.", e);
        }
    }

    private static void begin(Connection c) throws SQLException {
        try (Statement s = c.createStatement()) {
            int version = s.executeQuery("PRAGMA user_version").getInt(1);
            if (version > SCHEMA) {
                throw new LogFault("The samples were written by a newer version; they are left alone. Update Tin Perch to see them.", null);
            }
            s.execute("CREATE TABLE IF NOT EXISTS run (id TEXT PRIMARY KEY, channels INTEGER NOT NULL, whole INTEGER NOT NULL) WITHOUT ROWID");
            s.execute("CREATE TABLE IF NOT EXISTS chunk (run TEXT NOT NULL, no INTEGER NOT NULL, n INTEGER NOT NULL, first REAL NOT NULL, last REAL NOT NULL, far BLOB, middle BLOB, near BLOB, body BLOB NOT NULL, PRIMARY KEY (run, no))");
            s.execute("CREATE TABLE IF NOT EXISTS piece (run TEXT NOT NULL, no INTEGER NOT NULL, n INTEGER NOT NULL, body BLOB NOT NULL, PRIMARY KEY (run, no))");
            s.execute("PRAGMA user_version = " + SCHEMA);
        }
    }

    /** Where it lies. */
    public Path file() {
        return file;
    }

    /** Runs whose recording was cut off are made whole of what is there. */
    private void mend() throws SQLException {
        List<String> cut = new ArrayList<>();
        try (Statement s = reading.createStatement(); ResultSet r = s.executeQuery("SELECT id FROM run WHERE whole = 0")) {
            while (r.next()) {
                cut.add(r.getString(1));
            }
        }
        for (String id : cut) {
            LOG.info("the recording {} was cut off; what is there is kept", id);
            Tail tail = tail(id);
            try (RunWriter w = new RunWriter(connect(), id, channels(id), tail.chunks)) {
                w.takeUp(tail.rows);
                w.whole();
            }
        }
    }

    /** What of a run is not in whole chunks yet. */
    record Tail(int chunks, Bands rows) {}

    Tail tail(String id) throws SQLException {
        synchronized (reading) {
            int channels = channels(id);
            int chunks;
            try (PreparedStatement s = reading.prepareStatement("SELECT COUNT(*) FROM chunk WHERE run = ?")) {
                s.setString(1, id);
                chunks = s.executeQuery().getInt(1);
            }
            Bands rows = new Bands(channels);
            try (PreparedStatement s = reading.prepareStatement("SELECT n, body FROM piece WHERE run = ? ORDER BY no")) {
                s.setString(1, id);
                ResultSet r = s.executeQuery();
                while (r.next()) {
                    rows.addAll(Packed.rows(r.getBytes(2), r.getInt(1), channels));
                }
            }
            return new Tail(chunks, rows);
        }
    }

    private int channels(String id) throws SQLException {
        synchronized (reading) {
            try (PreparedStatement s = reading.prepareStatement("SELECT channels FROM run WHERE id = ?")) {
                s.setString(1, id);
                ResultSet r = s.executeQuery();
                return r.next() ? r.getInt(1) : 0;
            }
        }
    }

    private Connection connect() throws SQLException {
        Connection c = source.getConnection();
        if (mostPages > 0) {
            try (Statement s = c.createStatement()) {
                s.execute("PRAGMA max_page_count = " + mostPages);
            }
        }
        return c;
    }

    /** Lets the file grow no larger for writers begun from now on: tests fill a disk so. */
    void mostPages(int pages) {
        mostPages = pages;
    }

    /**
     * Begins a run. Nobody sees it before it is whole, or for what is recorded before it is written the first time.
     *
     * @throws LogFault when the disk refuses
     */
    public RunWriter begin(String id, int channels) {
        try {
            Connection c = connect();
            try {
                return RunWriter.begun(c, id, channels);
            } catch (SQLException e) {
                c.close();
                throw e;
            }
        } catch (SQLException e) {
            throw refused(e);
        }
    }

    static LogFault refused(SQLException e) {
        String m = String.valueOf(e.getMessage());
        return new LogFault(m.contains("FULL") || m.contains("disk is full") ? "The disk is full. What was recorded before is there; make room, then record again."
                : "The samples could not be written (" + m + "). What was written before is there.", e);
    }

    /** Whether there are samples of a run. */
    public boolean has(String id) {
        try {
            return channels(id) > 0;
        } catch (SQLException e) {
            return false;
        }
    }

    /**
     * The samples of a run.
     *
     * @throws LogFault when there are none of it, or they cannot be read
     */
    public RunReader read(String id) {
        try {
            int channels = channels(id);
            if (channels == 0) {
                throw new LogFault("The samples of this run are not in " + file.getFileName() + ". What was reckoned from them stays; import the log again to see its curves.", null);
            }
            return new RunReader(this, reading, id, channels);
        } catch (SQLException e) {
            throw new LogFault("The samples of this run cannot be read (" + e.getMessage() + ").", e);
        }
    }

    @Override
    public void close() {
        synchronized (reading) {
            try {
                reading.close();
            } catch (SQLException e) {
                LOG.warn("the samples' file did not close", e);
            }
        }
    }
}
