package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** An arm on one post; the bed moves below it. */
final class CantileverFrame extends NamedFrame {
    CantileverFrame() {
        super("cantilever", "Arm on one post", Machine.Kind.CANTILEVER, Bars.PROFILE);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        double left = -64 - n.barMm();
        return new FrameKit(StartingFrames.of(kind(), n.xMm(), n.yMm(), n.zMm())).movingBed(n).upright("post", left, n).carriageOnBeam("arm", n.xMm(), n.barMm())
                .motor("x motor", "arm", left - 48, 26, 20).motor("z motor", "", left - 48, 26, -70)
                .box("z end switch", "", new Vec3(left - 24, 26, -8), new Vec3(20, 6, 14))
                .access("knob", new Vec3(left - 60, -60, -40), new Vec3(35, 30, 30)).from("bed");
    }
}
