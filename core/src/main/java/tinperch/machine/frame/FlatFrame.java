package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Along;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** A flat frame of four profiles, a gantry over it, a head that does not go up: cutters with light, plotters. */
final class FlatFrame extends NamedFrame {
    FlatFrame() {
        super("flat", "Flat frame with a gantry", Machine.Kind.LASER, Bars.PROFILE);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        double bar = n.barMm();
        double left = -70 - bar;
        double right = n.xMm() + 70;
        double front = -60 - bar;
        double back = n.yMm() + 90 + bar;
        return new FrameKit(StartingFrames.of(kind(), n.xMm(), n.yMm(), n.zMm()))
                .box("cutting bed", "", new Vec3(-10, -10, -26), new Vec3(n.xMm() + 20, n.yMm() + 20, 6))
                .profile("left rail", "", new Vec3(left, front + bar, 0), new Vec3(bar, back - front - bar, bar), "y")
                .profile("right rail", "", new Vec3(right, front + bar, 0), new Vec3(bar, back - front - bar, bar), "y")
                .profile("front bar", "", new Vec3(left, front, 0), new Vec3(right + bar - left, bar, bar), "x")
                .profile("rear bar", "", new Vec3(left, back, 0), new Vec3(right + bar - left, bar, bar), "x")
                .profile("gantry beam", "gantry", new Vec3(-64, 26, bar + 8), new Vec3(n.xMm() + 128, bar, bar), "x")
                .box("head", "carriage", new Vec3(-20, -20, 5), new Vec3(40, 40, 2 * bar + 40)).motor("x motor", "gantry", -64, 26, 2 * bar + 10)
                .belt("x belt", "gantry", Along.Y, new Vec3(-60, 23, 1.5 * bar + 3), new Vec3(n.xMm() + 60, 23, 1.5 * bar + 13))
                .access("lid swing", new Vec3(left, front, 2 * bar + 110), new Vec3(right + bar - left, back + bar - front, 300)).from("cutting bed");
    }
}
