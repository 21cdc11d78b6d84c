package tinperch.workshop.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;
import tinperch.hardware.ScrewDrawer;
import tinperch.workshop.WorkshopState;

/** Tells whether a workshop file is damaged, and reads what can be read from a copy of it. */
final class Salvage {
    private static final Logger LOG = LoggerFactory.getLogger(Salvage.class);
    private static final byte[] MAGIC = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);

    private Salvage() {}

    /** What is wrong with the file, in words; empty when it is sound. The file itself is only read. */
    static Optional<String> damage(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            if (!java.util.Arrays.equals(in.readNBytes(MAGIC.length), MAGIC)) {
                return Optional.of("it does not begin as a workshop file does");
            }
        }
        Path copy = copy(file);
        try (Connection c = readOnly(copy); Statement s = c.createStatement();
                ResultSet r = s.executeQuery("PRAGMA quick_check(1)")) {
            String verdict = r.next() ? r.getString(1) : "no answer";
            return "ok".equals(verdict) ? unreadableRows(c) : Optional.of("its pages do not fit together");
        } catch (SQLException e) {
            LOG.warn("{} does not open", file, e);
            return Optional.of("its inside cannot be read");
        } finally {
            delete(copy);
        }
    }

    /** Sound pages may still hold rows that are not ours. */
    private static Optional<String> unreadableRows(Connection c) {
        if (!has(c, "machine")) {
            return Optional.empty();
        }
        List<String> lost = new ArrayList<>();
        rows(c, lost).state(lost::add);
        return lost.isEmpty() ? Optional.empty() : Optional.of(lost.size() + " of its records cannot be read");
    }

    private static Rows rows(Connection c, List<String> lost) {
        Map<String, List<Body.Row>> items = items(c, lost);
        return new Rows(records(c, "machine", items, lost), records(c, "upgrade", items, lost), records(c, "revision", Map.of(), lost), drawer(c));
    }

    private static boolean has(Connection c, String table) {
        try (Statement s = c.createStatement();
                ResultSet r = s.executeQuery("SELECT 1 FROM sqlite_master WHERE name = '" + table + "'")) {
            return r.next();
        } catch (SQLException e) {
            return false;
        }
    }

    /** All records that can still be read; those whose machine or upgrade is lost are left out. */
    static WorkshopState read(Path file) throws IOException {
        Path copy = copy(file);
        try (Connection c = readOnly(copy)) {
            List<String> lost = new ArrayList<>();
            return rows(c, lost).state(lost::add);
        } catch (SQLException e) {
            LOG.warn("Nothing could be read from {}", file, e);
            return WorkshopState.EMPTY;
        } finally {
            delete(copy);
        }
    }

    private static ScrewDrawer drawer(Connection c) {
        List<Map<String, String>> rows = new ArrayList<>();
        try (Statement s = c.createStatement(); ResultSet r = s.executeQuery("SELECT thread, lengths FROM drawer")) {
            while (r.next()) {
                rows.add(Map.of("thread", r.getString(1), "lengths", r.getString(2)));
            }
            return WorkshopStore.drawer(rows);
        } catch (SQLException | RuntimeException e) {
            return new ScrewDrawer(Map.of());
        }
    }

    private static List<Rows.Stored> records(Connection c, String table, Map<String, List<Body.Row>> items, List<String> lost) {
        List<Rows.Stored> out = new ArrayList<>();
        // Revisions have nothing of the kind, and no id of their own.
        String id = items.isEmpty() ? "''" : "id";
        try (Statement s = c.createStatement(); ResultSet r = s.executeQuery("SELECT body, " + id + " FROM " + table)) {
            while (r.next()) {
                out.add(new Rows.Stored(String.valueOf(r.getString(1)), items.getOrDefault(table + "/" + r.getString(2), List.of())));
            }
        } catch (SQLException e) {
            lost.add(table);
        }
        return out;
    }

    /** Things that are rows of their own, by their owner; none in files of before. */
    private static Map<String, List<Body.Row>> items(Connection c, List<String> lost) {
        Map<String, List<Body.Row>> all = new HashMap<>();
        if (!has(c, "item")) {
            return all;
        }
        try (Statement s = c.createStatement(); ResultSet r = s.executeQuery("SELECT kind, owner, field, id, position, body FROM item ORDER BY position")) {
            while (r.next()) {
                all.computeIfAbsent(r.getString(1) + "/" + r.getString(2), k -> new ArrayList<>())
                        .add(new Body.Row(String.valueOf(r.getString(3)), String.valueOf(r.getString(4)), r.getInt(5), String.valueOf(r.getString(6))));
            }
        } catch (SQLException e) {
            lost.add("item");
        }
        return all;
    }

    private static Path copy(Path file) throws IOException {
        Path folder = Files.createTempDirectory("tinperch-copy");
        Path copy = folder.resolve("copy.db");
        Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
        Path wal = file.resolveSibling(file.getFileName() + "-wal");
        if (Files.exists(wal)) {
            Files.copy(wal, folder.resolve("copy.db-wal"));
        }
        return copy;
    }

    private static Connection readOnly(Path copy) throws SQLException {
        SQLiteConfig config = new SQLiteConfig();
        config.setBusyTimeout(2000);
        SQLiteDataSource source = new SQLiteDataSource(config);
        source.setUrl("jdbc:sqlite:" + copy);
        return source.getConnection();
    }

    private static void delete(Path copy) {
        try (var list = Files.list(copy.getParent())) {
            for (Path p : list.toList()) {
                Files.deleteIfExists(p);
            }
            Files.deleteIfExists(copy.getParent());
        } catch (IOException e) {
            LOG.debug("A temporary copy was left behind", e);
        }
    }
}
