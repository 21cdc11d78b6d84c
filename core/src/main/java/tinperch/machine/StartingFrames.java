package tinperch.machine;

import java.util.List;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Axes and groups as machines of a kind usually have them, to start from. */
public final class StartingFrames {
    private StartingFrames() {}

    /** For a machine's kind and usable size; travel equals the usable size. */
    public static Surroundings of(Machine m) {
        return of(m.kind(), Math.max(50, m.usableMm().x()), Math.max(50, m.usableMm().y()), Math.max(50, m.usableMm().z()));
    }

    /** For a kind of machine with travels of its own, mm. */
    public static Surroundings of(Machine.Kind kind, double x, double y, double z) {
        Axis ax = new Axis("x", Vec3.X, 0, x, false, 1);
        Axis ay = new Axis("y", Vec3.Y, 0, y, false, 2);
        Axis az = new Axis("z", Vec3.Z, 0, z, false, 3);
        return switch (kind) {
            // The bed carries the part to the nozzle: forward when y grows.
            case MOVING_BED -> new Surroundings(List.of(ax, new Axis("y", Vec3.Y.times(-1), 0, y, false, 2), az),
                    List.of(new Group("bed", List.of("y")), new Group("gantry", List.of("z")),
                            new Group("carriage", List.of("x", "z"))), List.of());
            case CANTILEVER -> new Surroundings(List.of(ax, new Axis("y", Vec3.Y.times(-1), 0, y, false, 2), az),
                    List.of(new Group("bed", List.of("y")), new Group("arm", List.of("z")),
                            new Group("carriage", List.of("x", "z"))), List.of());
            case LASER -> new Surroundings(List.of(ax, ay), List.of(new Group("gantry", List.of("y")),
                    new Group("carriage", List.of("x", "y"))), List.of());
            case OTHER -> new Surroundings(List.of(ax, ay, az), List.of(new Group("carriage", List.of("x", "y", "z"))), List.of());
            case CUBE -> new Surroundings(List.of(ax, ay, new Axis("z", Vec3.Z.times(-1), 0, z, false, 3)),
                    List.of(new Group("bed", List.of("z")), new Group("gantry", List.of("y")),
                            new Group("carriage", List.of("x", "y"))), List.of());
            case WIRE_CUTTER -> new Surroundings(List.of(ax, ay, new Axis("u", Vec3.X, 0, x, false, 3),
                    new Axis("v", Vec3.Y, 0, y, false, 4)),
                    List.of(new Group("left carriage", List.of("x", "y")), new Group("right carriage", List.of("u", "v"))),
                    List.of());
        };
    }
}
