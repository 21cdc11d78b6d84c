package tinperch.workshop.store;

import java.nio.file.Path;
import java.util.Locale;

/** Where the owner's data lives. {@code TINPERCH_HOME} overrides; otherwise the place the system keeps user data. */
public final class DataFolder {
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
}
