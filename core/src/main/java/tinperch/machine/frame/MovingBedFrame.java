package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** The bed moves to and fro, a beam between two uprights goes up, a carriage runs along it on grooved wheels. */
final class MovingBedFrame extends NamedFrame {
    MovingBedFrame() {
        super("moving-bed", "Moving bed between two uprights", Machine.Kind.MOVING_BED, Bars.PROFILE);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        double bar = n.barMm();
        double left = -64 - bar;
        double right = n.xMm() + 64;
        return new FrameKit(StartingFrames.of(kind(), n.xMm(), n.yMm(), n.zMm())).movingBed(n).upright("left upright", left, n).upright("right upright", right, n)
                .profile("top beam", "", new Vec3(left, 26, n.zMm() + 120), new Vec3(right + bar - left, bar, bar), "x")
                .carriageOnBeam("gantry", n.xMm(), bar).motor("x motor", "gantry", left - 48, 26, 20).motor("z motor", "", left - 48, 26, -70)
                .box("z end switch", "", new Vec3(left - 24, 26, -8), new Vec3(20, 6, 14))
                .box("supply", "", new Vec3(right + bar + 6, 70, -70), new Vec3(50, 215, 115))
                .access("supply switch", new Vec3(right + bar + 56, 110, -30), new Vec3(60, 40, 40))
                .box("screen", "", new Vec3(n.xMm() + 70, -150, -70), new Vec3(95, 30, 60)).from("bed");
    }
}
