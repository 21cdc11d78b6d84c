package tinperch.machine.frame;

import java.util.List;
import tinperch.machine.Machine;

/** All frames there are. */
public final class Frames {
    public static final List<Frame> ALL = List.of(new MovingBedFrame(), new CantileverFrame(), new EnclosedCubeFrame(), new CrossingGantriesFrame(),
            new WireCutterFrame(), new FlatFrame(), new EmptyFrame());

    private Frames() {}

    /** The one usual for a kind of machine. */
    public static Frame of(Machine.Kind kind) {
        return ALL.stream().filter(f -> f.kind() == kind).findFirst().orElseThrow();
    }
}
