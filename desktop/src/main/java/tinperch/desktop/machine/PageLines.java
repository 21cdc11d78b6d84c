package tinperch.desktop.machine;

import java.time.LocalDate;
import java.util.Arrays;
import tinperch.desktop.desk.Page;
import tinperch.machine.Machine;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;

/** What a page of a machine holds, in a few words. */
final class PageLines {
    private PageLines() {}

    static String of(Page page, Machine m) {
        return switch (page) {
            case SHEET -> {
                int due = m.book().due(LocalDate.now()).size();
                yield m.state().label().toLowerCase(java.util.Locale.ROOT) + (due == 0 ? "" : ", " + due + " due");
            }
            case SURROUNDINGS -> surroundings(m);
            case READINGS -> count(m.sheets().size(), "sheet", "no sheet yet");
            case MODELS -> count(m.models().size(), "file", "none yet");
            case TEMPERATURES -> count(m.runs().size(), "run", "nothing recorded");
            case BOOK -> count(m.book().components().size(), "component", "nothing fitted yet");
        };
    }

    private static String surroundings(Machine m) {
        int things = m.surroundings().neighbours().size();
        if (things == 0) {
            return m.surroundings().axes().isEmpty() ? "not begun" : "only its axes";
        }
        Places places = m.places();
        long usual = m.surroundings().neighbours().stream().filter(n -> Arrays.stream(Along.values()).noneMatch(a -> places.of(n.id(), a).isKnown())).count();
        return count(things, "thing", "") + (places.doubts().isEmpty() ? usual == 0 ? "" : ", " + usual + " not measured" : ", a reading disagrees");
    }

    private static String count(int n, String one, String none) {
        return n == 0 ? none : n + " " + one + (n == 1 ? "" : "s");
    }
}
