package tinperch.desktop.machine;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Vec3;

/** The six ways along the axes of a machine's space, in words. */
final class Ways {
    private static final Map<String, Vec3> ALL = new LinkedHashMap<>();

    static {
        ALL.put("to the right", Vec3.X);
        ALL.put("to the left", Vec3.X.times(-1));
        ALL.put("to the back", Vec3.Y);
        ALL.put("to the front", Vec3.Y.times(-1));
        ALL.put("up", Vec3.Z);
        ALL.put("down", Vec3.Z.times(-1));
    }

    private Ways() {}

    static List<String> words() {
        return List.copyOf(ALL.keySet());
    }

    static Vec3 of(String words) {
        return ALL.get(words);
    }

    /** In words; "slanted" for any other way. */
    static String words(Vec3 way) {
        return ALL.entrySet().stream().filter(e -> e.getValue().minus(way).length() < 1e-6).map(Map.Entry::getKey).findFirst()
                .orElse("slanted");
    }
}
