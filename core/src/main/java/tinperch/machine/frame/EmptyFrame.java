package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Surroundings;

/** Only axes: for machines that are like no other. */
final class EmptyFrame implements Frame {
    @Override
    public String id() {
        return "empty";
    }

    @Override
    public String label() {
        return "Only axes, nothing around";
    }

    @Override
    public Machine.Kind kind() {
        return Machine.Kind.OTHER;
    }

    @Override
    public Bars bars() {
        return Bars.NONE;
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        return StartingFrames.of(kind(), n.xMm(), n.yMm(), n.zMm());
    }
}
