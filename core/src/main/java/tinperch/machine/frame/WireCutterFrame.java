package tinperch.machine.frame;

import java.util.List;
import tinperch.machine.Machine;
import tinperch.machine.space.Along;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Two towers on rails left and right hold a hot wire between them; y is the way from one to the other, which nothing travels. */
final class WireCutterFrame extends NamedFrame {
    WireCutterFrame() {
        super("wire-cutter", "Hot wire between two towers", Machine.Kind.WIRE_CUTTER, Bars.PROFILE);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        double bar = n.barMm();
        Surroundings axes = Surroundings.NONE.with(new Axis("x", Vec3.X, 0, n.xMm(), false, 1)).with(new Axis("y", Vec3.Z, 0, n.zMm(), false, 2))
                .with(new Axis("u", Vec3.X, 0, n.xMm(), false, 3)).with(new Axis("v", Vec3.Z, 0, n.zMm(), false, 4))
                .with(new Group("left tower", List.of("x"))).with(new Group("right tower", List.of("u")))
                .with(new Group("left carriage", List.of("x", "y"))).with(new Group("right carriage", List.of("u", "v")));
        FrameKit k = new FrameKit(axes);
        for (boolean left : new boolean[] {true, false}) {
            String side = left ? "left" : "right";
            double in = left ? 0 : n.yMm();
            double out = left ? -1 : 1;
            k.profile(side + " rail", "", new Vec3(-80, left ? in - 60 - bar : in + 60, -30 - bar), new Vec3(n.xMm() + 160, bar, bar), "x")
                    .profile(side + " tower", side + " tower", new Vec3(-bar / 2, left ? in - 60 - bar : in + 60, -24), new Vec3(bar, bar, n.zMm() + 90), "z")
                    .box(side + " wire holder", side + " carriage", new Vec3(-20, left ? in - 54 : in + 24, -8), new Vec3(40, 30, 16))
                    .belt(side + " belt", "", Along.Y, new Vec3(-82, in + out * (60 + bar / 2), -27), new Vec3(n.xMm() + 82, in + out * (60 + bar / 2), -33 - bar))
                    .motor(side + " rail motor", "", n.xMm() + 84, in + out * 60 - (left ? 44 : 0), -30 - 42.3);
        }
        return k.from("left rail");
    }
}
