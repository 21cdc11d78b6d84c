package tinperch.workshop.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/** A copy of a workshop file with what its log holds, in a folder only its owner may look into; gone when closed. */
final class PrivateCopy implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(PrivateCopy.class);

    private static final String LOOK = ".look-";

    private final Path folder;
    private final Path db;

    private PrivateCopy(Path folder) {
        this.folder = folder;
        db = folder.resolve("copy.db");
    }

    /**
     * Copies a file, beside it where that may be written to, else where the system keeps such things.
     *
     * @param withLog whether what its log (-wal) holds counts
     */
    static PrivateCopy of(Path file, boolean withLog) throws IOException {
        try {
            // Its name cannot be guessed and its owner alone may enter.
            return in(Files.createTempDirectory(file.getParent(), LOOK), file, withLog);
        } catch (IOException e) {
            // No room there, or no right to write: the copy may lie elsewhere.
            LOG.debug("No copy beside {}", file, e);
            return in(Files.createTempDirectory("tinperch-look"), file, withLog);
        }
    }

    private static PrivateCopy in(Path folder, Path file, boolean withLog) throws IOException {
        PrivateCopy copy = new PrivateCopy(folder);
        try {
            Files.copy(file, copy.db);
            Path log = DataFolder.beside(file, "-wal");
            if (withLog && Files.exists(log)) {
                Files.copy(log, DataFolder.beside(copy.db, "-wal"));
            }
            return copy;
        } catch (IOException e) {
            copy.close();
            throw e;
        }
    }

    /** The copy itself. */
    Path db() {
        return db;
    }

    /** Sets the magic words a workshop file begins with right, where a bit of them fell over. */
    void begin(byte[] magic) throws IOException {
        try (var out = java.nio.channels.FileChannel.open(db, java.nio.file.StandardOpenOption.WRITE)) {
            out.write(java.nio.ByteBuffer.wrap(magic), 0);
        }
    }

    Connection connect() throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setBusyTimeout(2000);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + db);
        return source.getConnection();
    }

    /** Makes one file of it, with what its log held. */
    void whole() throws SQLException {
        try (Connection c = connect(); Statement s = c.createStatement()) {
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
            s.execute("PRAGMA journal_mode = DELETE");
        }
    }

    @Override
    public void close() {
        try (var list = Files.list(folder)) {
            for (Path p : list.toList()) {
                Files.deleteIfExists(p);
            }
            Files.deleteIfExists(folder);
        } catch (IOException e) {
            LOG.debug("A temporary copy was left behind", e);
        }
    }

    /** Takes copies away that a killed process left. */
    static void sweep(Path file) {
        try (var list = Files.list(file.getParent())) {
            for (Path p : list.filter(f -> f.getFileName().toString().startsWith(LOOK)).toList()) {
                new PrivateCopy(p).close();
            }
        } catch (IOException e) {
            LOG.debug("Old copies stay", e);
        }
    }

    /** The first bytes of a file. */
    static byte[] head(Path file, int bytes) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(bytes);
        }
    }
}
