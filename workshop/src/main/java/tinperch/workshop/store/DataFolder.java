package tinperch.workshop.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Where the owner's data lives. {@code TINPERCH_HOME} overrides; otherwise the place the system keeps user data. */
public final class DataFolder {
    private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);

    private DataFolder() {}

    public static Path path() {
        String own = System.getenv("TINPERCH_HOME");
        if (own != null && !own.isBlank()) {
            return Path.of(own);
        }
        String home = System.getProperty("user.home");
        String os = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        if (os.contains("win") && System.getenv("APPDATA") != null) {
            return Path.of(System.getenv("APPDATA"), "TinPerch");
        }
        if (os.contains("mac")) {
            return Path.of(home, "Library", "Application Support", "TinPerch");
        }
        String xdg = System.getenv("XDG_DATA_HOME");
        return (xdg == null || xdg.isBlank() ? Path.of(home, ".local", "share") : Path.of(xdg)).resolve("tinperch");
    }

    /** A file of the same name with something after it, in the same folder. */
    static Path beside(Path file, String end) {
        return file.resolveSibling(file.getFileName() + end);
    }

    /** Makes a folder, for its owner alone where the system knows such a thing. One that is there stays as it is. */
    static void make(Path folder) throws IOException {
        if (Files.isDirectory(folder)) {
            return;
        }
        if (folder.getParent() != null) {
            Files.createDirectories(folder.getParent());
        }
        if (isPosix(folder)) {
            Files.createDirectory(folder, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
        } else {
            Files.createDirectories(folder);
        }
    }

    /** Closes the usual data folder to others, should an earlier version have made it open to them; a folder somebody named is left as it is. */
    static void ownIfOurs(Path folder) {
        try {
            if (isPosix(folder) && Files.isDirectory(folder) && Files.exists(path()) && Files.isSameFile(folder, path())) {
                Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
            }
        } catch (IOException e) {
            LOG.debug("{} keeps its permissions", folder, e);
        }
    }

    /** Lets only its owner read and write a file. */
    static void own(Path file) {
        try {
            if (isPosix(file) && Files.exists(file)) {
                Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
            }
        } catch (IOException e) {
            LOG.debug("{} keeps its permissions", file, e);
        }
    }

    private static boolean isPosix(Path p) {
        return p.getFileSystem().supportedFileAttributeViews().contains("posix");
    }
}
