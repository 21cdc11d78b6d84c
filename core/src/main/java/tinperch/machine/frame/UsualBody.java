package tinperch.machine.frame;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tinperch.catalogue.UsualThing;
import tinperch.machine.space.Neighbour;

/**
 * The outer size of a usual thing somebody begins to name.
 *
 * @param sizeMm width, depth and height of its box as it usually stands
 */
public record UsualBody(UsualThing thing, Neighbour.Form form, List<Double> sizeMm) {
    private static final int LEAST_LETTERS = 3;

    /** The usual thing meant by a name such as "part fan 40 × 10", "17 motor" or "rod 8": the one that shares most words and numbers with it. */
    public static Optional<UsualBody> named(String typed) {
        List<String> words = words(typed);
        if (words.stream().noneMatch(w -> w.length() >= LEAST_LETTERS && Character.isLetter(w.charAt(0)))) {
            return Optional.empty();
        }
        return UsualThing.ALL.stream().filter(t -> body(t).isPresent() && words.contains(t.kind()))
                .max(Comparator.comparingInt(t -> shared(t, words))).flatMap(UsualBody::body);
    }

    private static List<String> words(String s) {
        return List.of(s.toLowerCase(Locale.ROOT).strip().split("[^\\p{L}0-9.]+|(?<=[0-9])x(?=[0-9])"));
    }

    private static int shared(UsualThing t, List<String> words) {
        List<String> own = words(t.name());
        return (int) words.stream().filter(own::contains).count();
    }

    private static Optional<UsualBody> body(UsualThing t) {
        return switch (t.kind()) {
            case "fan" -> Optional.of(box(t, "frame", "depth", "frame"));
            case "motor" -> Optional.of(box(t, "face", "length", "face"));
            case "board" -> Optional.of(box(t, "length", "width", "tallest"));
            case "profile" -> Optional.of(new UsualBody(t, Neighbour.Form.PROFILE, List.of(mm(t, "width"), mm(t, "height"), 300.0)));
            case "rod" -> Optional.of(new UsualBody(t, Neighbour.Form.CYLINDER, List.of(mm(t, "diameter"), mm(t, "diameter"), mm(t, "length"))));
            case "bearing" -> Optional.of(new UsualBody(t, Neighbour.Form.CYLINDER, List.of(mm(t, "outer"), mm(t, "outer"), mm(t, "width"))));
            default -> Optional.empty();
        };
    }

    private static UsualBody box(UsualThing t, String wide, String deep, String high) {
        return new UsualBody(t, Neighbour.Form.BOX, List.of(mm(t, wide), mm(t, deep), mm(t, high)));
    }

    private static double mm(UsualThing t, String cell) {
        return t.size(cell).orElse(10);
    }

    /** "Usual: 40 mm fan, 10 thick". */
    public String words() {
        return "Usual: " + thing.name();
    }
}
