package tinperch.workshop.store;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import tinperch.workshop.WorkshopState;

/**
 * Opens a workshop file, one step after another, each with its own way to fail. Until all of it has been read through on a copy and found sound
 * the file itself is only looked at.
 */
final class Opening {
    private static final Logger LOG = LoggerFactory.getLogger(Opening.class);
    private static final byte[] MAGIC = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
    /** So many of its first bytes alike, it was a database before bits fell over. */
    private static final int LIKE_MAGIC = 12;
    /** Files open in this process, by what they are, not by what they are called. */
    private static final Set<Object> OPEN = ConcurrentHashMap.newKeySet();
    private static final int MOST_SAID = 6;

    private final Path file;
    private final boolean begin;
    private final LocalDateTime now;
    private final List<String> notes = new ArrayList<>();
    private Object key;
    private boolean sweep;

    private Opening(Path file, boolean begin, LocalDateTime now) {
        this.file = file;
        this.begin = begin;
        this.now = now;
    }

    /**
     * Opens.
     *
     * @param begin whether an empty workshop may take the place of a file without bytes, or of one that is gone though backups of it are there
     * @throws StoreFault when it cannot be shown at all
     */
    static WorkshopStore open(Path asked, boolean begin, LocalDateTime now) {
        Opening o = new Opening(real(asked), begin, now);
        boolean done = false;
        try {
            WorkshopStore store = o.steps();
            done = !store.isReadOnly();
            return store;
        } catch (IOException | SQLException | FlywayException e) {
            throw o.fault(e);
        } finally {
            if (!done) {
                release(o.key);
            }
        }
    }

    /** Lets others open it again. */
    static void release(Object key) {
        if (key != null) {
            OPEN.remove(key);
        }
    }

    /** The file itself, whatever names lead to it. */
    private static Path real(Path asked) {
        try {
            return asked.toRealPath();
        } catch (IOException e) {
            Path absolute = asked.toAbsolutePath().normalize();
            try {
                return absolute.getParent() == null ? absolute : absolute.getParent().toRealPath().resolve(absolute.getFileName());
            } catch (IOException none) {
                return absolute;
            }
        }
    }

    private StoreFault fault(Exception e) {
        return switch (StoreFault.kindOf(e)) {
            case LOCKED -> locked(e);
            case FULL -> new StoreFault(StoreFault.Kind.FULL, "There is no room left on the disk of " + file + ". The file was not changed. Make room, then open it again.", e);
            case NOT_WRITABLE -> notWritable(e);
            default -> new StoreFault(StoreFault.Kind.DISK, "The workshop file " + file + " cannot be opened (" + e.getMessage() + "). It was not changed.", e);
        };
    }

    private StoreFault locked(Exception e) {
        return new StoreFault(StoreFault.Kind.LOCKED, "The workshop " + file + " is open in another window. Use that one, or close it first.", e);
    }

    private StoreFault notWritable(Exception e) {
        return new StoreFault(StoreFault.Kind.NOT_WRITABLE, "The folder of " + file + " cannot be written to. Nothing was changed. Give it back its write permission, or choose another with TINPERCH_HOME.", e);
    }

    private WorkshopStore steps() throws IOException, SQLException {
        if (Files.isDirectory(file)) {
            throw new StoreFault(StoreFault.Kind.NOT_OURS, file + " is a folder, not a workshop file. Nothing was changed.", null);
        }
        boolean fresh = !Files.exists(file);
        DataFolder.ownIfOurs(file.getParent());
        if (fresh) {
            create();
        }
        claim();
        if (!fresh && Files.size(file) == 0 && !begin) {
            throw new StoreFault(StoreFault.Kind.EMPTY, "The workshop file " + file + " is empty: it has no bytes at all, as after a copy that did not end. Nothing was changed. " + backups()
                    + "Begin an empty workshop only if there was nothing in it.", null);
        }
        if (fresh || Files.size(file) == 0) {
            return connect(true, null);
        }
        return look();
    }

    private WorkshopStore look() throws IOException, SQLException {
        byte[] head = PrivateCopy.head(file, MAGIC.length);
        int alike = alike(head);
        if (alike < LIKE_MAGIC) {
            throw new StoreFault(StoreFault.Kind.NOT_OURS, file + " is no workshop file: it does not begin as one does. It has not been changed. " + backups() + "Move it away, or open another.", null);
        }
        if (isLocked()) {
            throw locked(null);
        }
        PrivateCopy.sweep(file);
        PrivateCopy copy = PrivateCopy.of(file, true);
        boolean kept = false;
        try {
            if (alike < MAGIC.length) {
                copy.begin(MAGIC);
            }
            Checked seen = Checked.of(copy);
            if (!seen.isSound() && Files.exists(DataFolder.beside(file, "-wal")) && withoutLog().isSound()) {
                setLogAside();
                return look();
            }
            if (seen.schema() == 0) {
                throw new StoreFault(StoreFault.Kind.NOT_OURS, file + " is a database of another program. It has not been changed. Move it away, or open another.", null);
            }
            if (alike < MAGIC.length && seen.isSound()) {
                kept = true;
                return readOnly(copy, seen, "is damaged: its first bytes are not what they were. All of it could still be read", "Put a backup in its place.");
            }
            if (seen.schema() > WorkshopStore.SCHEMA) {
                kept = true;
                return readOnly(copy, seen, "was written by a newer version of this application", "Open it with that version to go on working.");
            }
            if (!seen.isSound()) {
                kept = true;
                return readOnly(copy, seen, "is damaged: " + seen.damage().map(d -> d + (seen(seen) ? "; " : "")).orElse("") + said(seen.lost()), backups().isEmpty()
                        ? "Put a backup in its place, or move the file away to start anew." : backups());
            }
            if (!Files.isWritable(file) || !Files.isWritable(file.getParent())) {
                kept = true;
                return readOnly(copy, seen, "may not be written to", "Give the file and its folder back their write permission.");
            }
            if (!seen.missing().isEmpty()) {
                notes.add("Not in the workshop file any more: " + said(seen.missing()) + ". What is made of it cannot be drawn; bring the model in again.");
            }
            boolean old = seen.schema() < WorkshopStore.SCHEMA;
            if (old || new Backups(file).isDue(now)) {
                try {
                    new Backups(file).keep(copy, now);
                    // What is swept is in the backup just made; the very first opening sweeps nothing.
                    sweep = new Backups(file).list().size() > 1;
                } catch (IOException e) {
                    LOG.warn("No backup could be made", e);
                    if (old) {
                        kept = true;
                        return readOnly(copy, seen, "is of an earlier version and cannot be brought up to date: no backup could be made (" + why(e) + ")", "Make room, then open it again.");
                    }
                    notes.add("Today's backup could not be made: " + why(e) + ".");
                }
            }
            try {
                return connect(old, seen);
            } catch (SQLException | FlywayException e) {
                StoreFault.Kind kind = StoreFault.kindOf(e);
                if (kind == StoreFault.Kind.LOCKED) {
                    throw locked(e);
                }
                LOG.warn("{} cannot be written to", file, e);
                kept = true;
                return readOnly(copy, seen, kind == StoreFault.Kind.FULL ? "is on a disk that is full" : kind == StoreFault.Kind.NOT_WRITABLE ? "may not be written to" : "cannot be written to (" + e.getMessage() + ")",
                        kind == StoreFault.Kind.FULL ? "Make room, then open it again." : "Give the file and its folder back their write permission.");
            }
        } finally {
            if (!kept) {
                copy.close();
            }
        }
    }

    private static boolean seen(Checked c) {
        return !c.lost().isEmpty();
    }

    private static String why(Exception e) {
        return StoreFault.kindOf(e) == StoreFault.Kind.FULL ? "the disk is full" : StoreFault.kindOf(e) == StoreFault.Kind.NOT_WRITABLE ? "its folder may not be written to" : String.valueOf(e.getMessage());
    }

    private static String said(List<String> all) {
        return String.join("; ", all.subList(0, Math.min(MOST_SAID, all.size()))) + (all.size() > MOST_SAID ? " and " + (all.size() - MOST_SAID) + " more" : "");
    }

    private String backups() {
        List<Backups.Backup> all = new Backups(file).list();
        return all.isEmpty() ? "" : "The newest backup is of " + DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", java.util.Locale.ENGLISH).format(all.get(0).at()) + " (" + all.get(0).file() + "). ";
    }

    private void create() throws IOException {
        if (!begin && !new Backups(file).list().isEmpty()) {
            throw new StoreFault(StoreFault.Kind.GONE, "The workshop file " + file + " is gone. " + backups() + "Put that in its place, or begin an empty workshop.", null);
        }
        try {
            DataFolder.make(file.getParent());
            Files.createFile(file);
            DataFolder.own(file);
        } catch (FileAlreadyExistsException e) {
            LOG.debug("{} came into being meanwhile", file);
        } catch (NoSuchFileException e) {
            throw notWritable(e);
        }
        // A log without its file would be taken for the new one's.
        if (Files.exists(DataFolder.beside(file, "-wal"))) {
            setLogAside();
        }
    }

    private void claim() throws IOException {
        Object is = Files.readAttributes(file, BasicFileAttributes.class).fileKey();
        Object mine = is == null ? file : is;
        if (!OPEN.add(mine)) {
            throw locked(null);
        }
        key = mine;
    }

    private static int alike(byte[] head) {
        int n = 0;
        for (int i = 0; i < Math.min(head.length, MAGIC.length); i++) {
            n += head[i] == MAGIC[i] ? 1 : 0;
        }
        return Arrays.equals(head, MAGIC) ? MAGIC.length : n;
    }

    /** Whether somebody else has it: asked without changing anything. */
    private boolean isLocked() {
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        config.setBusyTimeout(300);
        try (Connection c = config.createConnection("jdbc:sqlite:" + file); Statement s = c.createStatement()) {
            s.executeQuery("SELECT count(*) FROM sqlite_master").close();
            return false;
        } catch (SQLException e) {
            return StoreFault.kindOf(e) == StoreFault.Kind.LOCKED;
        }
    }

    private Checked withoutLog() throws IOException {
        try (PrivateCopy copy = PrivateCopy.of(file, false)) {
            return Checked.of(copy);
        }
    }

    /** A log that does not belong to the file, as when a backup was put beside it, is kept but not believed. */
    private void setLogAside() throws IOException {
        String stamp = ".left-" + DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").format(now);
        for (String end : new String[] {"-wal", "-shm"}) {
            Path p = DataFolder.beside(file, end);
            if (Files.exists(p)) {
                Files.move(p, DataFolder.beside(p, stamp), StandardCopyOption.REPLACE_EXISTING);
            }
        }
        notes.add("Beside the workshop file lay a log that does not belong to it, as after a backup was put in its place. It was set aside as “" + file.getFileName() + "-wal" + stamp + "”.");
    }

    private WorkshopStore readOnly(PrivateCopy copy, Checked seen, String what, String then) throws SQLException {
        WorkshopState s = seen.state();
        String notice = "The workshop file " + file + " " + what + ". It has not been changed. You are looking at what could be read (" + s.machines().size() + " machines, "
                + s.upgrades().size() + " upgrades, " + s.revisions().size() + " revisions); edits in this window are not kept. " + then;
        release(key);
        key = null;
        return WorkshopStore.readOnly(file, copy, notice.strip(), s);
    }

    /**
     * Opens it to be written to.
     *
     * @param old whether its schema has to be brought up to date, or made
     * @param seen what its copy holds; null for a new one
     */
    private WorkshopStore connect(boolean old, Checked seen) throws SQLException {
        if (old) {
            Flyway.configure().dataSource(WorkshopStore.source(file, false)).locations("classpath:tinperch/workshop/migrations").loggers("slf4j").load().migrate();
        }
        SQLiteDataSource source = WorkshopStore.source(file, true);
        Connection c = source.getConnection();
        try (Statement s = c.createStatement()) {
            // Held until it is closed, by whatever name others come to the file.
            s.executeQuery("SELECT count(*) FROM sqlite_master").close();
            s.execute("BEGIN IMMEDIATE");
            if (sweep) {
                // Meshes no body names any more; every body has been read and found sound.
                int gone = s.executeUpdate("DELETE FROM mesh WHERE " + java.util.stream.Stream.of("machine", "upgrade", "revision", "item")
                        .map(t -> "NOT EXISTS (SELECT 1 FROM " + t + " WHERE instr(body, mesh.id) > 0)").collect(java.util.stream.Collectors.joining(" AND ")));
                LOG.info("{} meshes nothing names were swept", gone);
            }
            s.execute("COMMIT");
        } catch (SQLException e) {
            c.close();
            throw e;
        }
        DataFolder.own(file);
        DataFolder.own(DataFolder.beside(file, "-wal"));
        return WorkshopStore.writable(file, c, key, notes.isEmpty() ? null : String.join(" ", notes), seen);
    }
}
