package tinperch.machine.space;

import java.util.Map;

/**
 * A place of all axes that the owner gave a name, "service".
 *
 * @param mm where the axes stand, by name; one not named stays where it is
 */
public record Pose(String name, Map<String, Double> mm) {
    public Pose {
        name = name == null ? "" : name;
        mm = mm == null ? Map.of() : Map.copyOf(mm);
    }
}
