package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Surroundings;

/** Only axes: for machines that are like no other. */
final class EmptyFrame extends NamedFrame {
    EmptyFrame() {
        super("empty", "Only axes, nothing around", Machine.Kind.OTHER, Bars.NONE);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        return StartingFrames.of(kind(), n.xMm(), n.yMm(), n.zMm());
    }
}
