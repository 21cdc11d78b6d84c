package tinperch.workshop.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** Backups of a workshop file in a folder beside it: at most one a day, one before every change of schema, the last ten. */
public final class Backups {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final int KEPT = 10;
    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

    private final Path folder;
    private final String stem;

    /** @param file the workshop file they are of */
    public Backups(Path file) {
        folder = DataFolder.beside(file.toAbsolutePath(), ".backups");
        stem = file.getFileName().toString().replaceFirst("\\.db$", "") + "-";
    }

    /**
     * One of them.
     *
     * @param at when it was made
     */
    public record Backup(Path file, LocalDateTime at) {}

    /** What is in one: all that could be read, and the bytes of the models' meshes. */
    public record Content(WorkshopState state, List<MeshBlob> meshes) {}

    /** All there are, newest first. */
    public List<Backup> list() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (var files = Files.list(folder)) {
            List<Backup> all = new ArrayList<>();
            for (Path p : files.toList()) {
                String name = p.getFileName().toString();
                if (name.startsWith(stem) && name.endsWith(".db")) {
                    try {
                        all.add(new Backup(p, LocalDateTime.parse(name.substring(stem.length(), name.length() - 3).replaceFirst("\\.\\d+$", ""), STAMP)));
                    } catch (DateTimeParseException e) {
                        LOG.debug("{} is no backup of ours", p);
                    }
                }
            }
            all.sort(Comparator.comparing(Backup::at).reversed().thenComparing(b -> b.file().toString(), Comparator.reverseOrder()));
            return all;
        } catch (IOException e) {
            LOG.warn("Backups cannot be listed", e);
            return List.of();
        }
    }

    /** Whether none was made today. */
    boolean isDue(LocalDateTime now) {
        return list().stream().noneMatch(b -> b.at().toLocalDate().equals(now.toLocalDate()));
    }

    /**
     * Keeps a copy that was read through and found sound as a backup.
     *
     * @throws IOException when the disk refuses; nothing is left half written then
     */
    void keep(PrivateCopy copy, LocalDateTime now) throws IOException {
        DataFolder.make(folder);
        Path to = folder.resolve(stem + STAMP.format(now) + ".db");
        for (int i = 2; Files.exists(to); i++) {
            to = folder.resolve(stem + STAMP.format(now) + "." + i + ".db");
        }
        try {
            copy.whole();
        } catch (SQLException e) {
            throw new IOException(e.getMessage(), e);
        }
        Files.copy(copy.db(), DataFolder.beside(to, ".part"));
        Files.move(DataFolder.beside(to, ".part"), to);
        DataFolder.own(to);
        List<Backup> all = list();
        for (Backup old : all.subList(Math.min(KEPT, all.size()), all.size())) {
            Files.deleteIfExists(old.file());
        }
    }

    /**
     * Reads a backup.
     *
     * @return empty when it is damaged or cannot be read
     */
    public Optional<Content> read(Backup backup) {
        try (PrivateCopy copy = PrivateCopy.of(backup.file(), false)) {
            Checked c = Checked.of(copy);
            return c.schema() == 0 || !c.isSound() || c.schema() > WorkshopStore.SCHEMA ? Optional.empty() : Optional.of(new Content(c.state(), meshes(copy)));
        } catch (IOException | SQLException e) {
            LOG.warn("{} cannot be read", backup.file(), e);
            return Optional.empty();
        }
    }

    private static List<MeshBlob> meshes(PrivateCopy copy) throws SQLException {
        List<MeshBlob> all = new ArrayList<>();
        try (Connection c = copy.connect(); Statement s = c.createStatement(); ResultSet t = s.executeQuery("SELECT name FROM sqlite_master WHERE name = 'mesh'")) {
            if (!t.next()) {
                return all;
            }
            try (ResultSet r = s.executeQuery("SELECT id, body FROM mesh")) {
                while (r.next()) {
                    all.add(new MeshBlob(r.getString(1), r.getBytes(2)));
                }
            }
        }
        return all;
    }

    /**
     * Puts a backup in the place of a workshop file that is gone or has no bytes.
     *
     * @throws StoreFault when there is something in the file, or the disk refuses
     */
    public static void putBack(Backup backup, Path file) {
        try {
            if (Files.exists(file) && Files.size(file) > 0) {
                throw new StoreFault(StoreFault.Kind.DISK, "There is something in " + file + " after all; it was left as it is.", null);
            }
            Path part = DataFolder.beside(file, ".part");
            Files.copy(backup.file(), part, StandardCopyOption.REPLACE_EXISTING);
            DataFolder.own(part);
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            throw new StoreFault(StoreFault.kindOf(e), "The backup could not be put in its place (" + e.getMessage() + "). It is still there: " + backup.file(), e);
        }
    }

    /** What differs between two states, in sentences: what one has and the other has not, and what is not the same in both. */
    public static List<String> differences(WorkshopState now, WorkshopState then) {
        List<String> all = new ArrayList<>();
        compare("machine", byId(now.machines(), Machine::id), byId(then.machines(), Machine::id), Machine::name, all);
        compare("upgrade", byId(now.upgrades(), Upgrade::id), byId(then.upgrades(), Upgrade::id), Upgrade::name, all);
        int fewer = now.revisions().size() - then.revisions().size();
        if (fewer != 0) {
            all.add(Math.abs(fewer) + (Math.abs(fewer) == 1 ? " kept revision " : " kept revisions ") + (fewer > 0 ? "less" : "more"));
        }
        if (!now.drawer().equals(then.drawer())) {
            all.add("other screws in the drawer");
        }
        return all;
    }

    private static <T> Map<String, T> byId(List<T> all, Function<T, String> id) {
        Map<String, T> map = new LinkedHashMap<>();
        all.forEach(x -> map.put(id.apply(x), x));
        return map;
    }

    private static <T> void compare(String what, Map<String, T> now, Map<String, T> then, Function<T, String> name, List<String> all) {
        now.forEach((id, x) -> {
            if (!then.containsKey(id)) {
                all.add("the " + what + " “" + name.apply(x) + "” is not in it");
            } else if (!x.equals(then.get(id))) {
                all.add("the " + what + " “" + name.apply(then.get(id)) + "” is as it was then");
            }
        });
        then.forEach((id, x) -> {
            if (!now.containsKey(id)) {
                all.add("the " + what + " “" + name.apply(x) + "” is in it");
            }
        });
    }
}
