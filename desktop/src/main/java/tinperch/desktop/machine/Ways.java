package tinperch.desktop.machine;

import java.util.List;
import tinperch.desktop.look.Choice;
import tinperch.solid.Vec3;

/** The six ways a machine's axes and faces look, as a person beside it says them. */
final class Ways {
    static final List<Choice<Vec3>> ALL = List.of(new Choice<>(Vec3.X, "to the right"), new Choice<>(Vec3.X.times(-1), "to the left"), new Choice<>(Vec3.Y, "to the back"),
            new Choice<>(Vec3.Y.times(-1), "to the front"), new Choice<>(Vec3.Z, "up"), new Choice<>(Vec3.Z.times(-1), "down"));

    /** Where a hand or a tool comes from. */
    static final List<Choice<String>> COMING = List.of(new Choice<>("", "from anywhere"), new Choice<>("-y", "from the front"), new Choice<>("y", "from behind"), new Choice<>("-x", "from the left"),
            new Choice<>("x", "from the right"), new Choice<>("z", "from above"), new Choice<>("-z", "from below"));

    /** Where a cone of air or light opens to. */
    static final List<Choice<String>> OPENING = List.of(new Choice<>("-z", "opens down"), new Choice<>("z", "opens up"), new Choice<>("-y", "opens to the front"), new Choice<>("y", "opens to the back"),
            new Choice<>("-x", "opens to the left"), new Choice<>("x", "opens to the right"));

    /** Where a fan blows to, or that a box is none. */
    static final List<Choice<String>> BLOWING = List.of(new Choice<>("", "no fan"), new Choice<>("-z", "a fan, blows down"), new Choice<>("z", "a fan, blows up"), new Choice<>("-y", "a fan, blows to the front"),
            new Choice<>("y", "a fan, blows to the back"), new Choice<>("-x", "a fan, blows to the left"), new Choice<>("x", "a fan, blows to the right"));

    private Ways() {}

    /** The choice that means a way; one called "slanted" for any other. */
    static Choice<Vec3> of(Vec3 way) {
        return ALL.stream().filter(c -> c.value().minus(way).length() < 1e-6).findFirst().orElse(new Choice<>(way, "slanted"));
    }
}
