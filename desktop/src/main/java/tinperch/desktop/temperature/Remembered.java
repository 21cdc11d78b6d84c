package tinperch.desktop.temperature;

import java.io.IOException;
import java.util.Optional;
import tinperch.desktop.desk.Desk;
import tinperch.files.json.Json;
import tinperch.files.log.LogLayout;
import tinperch.workshop.log.Taking;

/** How logs with the same heading were read the last time. */
final class Remembered {
    private Remembered() {}

    private static String key(Taking.Seen seen) {
        LogLayout l = seen.layout();
        String heading = l.headerLines() > 0 && l.headerLines() <= seen.head().size() ? seen.head().get(l.headerLines() - 1) : "columns " + l.fields().size();
        return "log layout " + Integer.toHexString((l.separator() + heading).hashCode());
    }

    static Optional<LogLayout> layout(Desk desk, Taking.Seen seen) {
        return desk.workshop().preference(key(seen)).flatMap(text -> {
            try {
                return Optional.of(Json.read(text, LogLayout.class));
            } catch (IOException | RuntimeException e) {
                return Optional.empty();
            }
        });
    }

    static void keep(Desk desk, Taking.Seen seen, LogLayout layout) {
        desk.workshop().setPreference(key(seen), Json.text(layout));
    }
}
