package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.space.Along;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Two rods cross over the carriage, one moves along x, the other along y; the bed goes down. */
final class CrossingGantriesFrame extends NamedFrame {
    CrossingGantriesFrame() {
        super("crossing-gantries", "Crossing gantries", Machine.Kind.CUBE, Bars.ROD);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        double r = n.barMm();
        double x = n.xMm();
        double y = n.yMm();
        double low = -n.zMm() - 70;
        Surroundings axes = Surroundings.NONE.with(new Axis("x", Vec3.X, 0, x, false, 1)).with(new Axis("y", Vec3.Y, 0, y, false, 2))
                .with(new Axis("z", Vec3.Z.times(-1), 0, n.zMm(), false, 3));
        FrameKit k = new FrameKit(axes).group("bed", "z").group("x gantry", "x").group("y gantry", "y").group("carriage", "x", "y");
        Shell.around(k, x, y, low, 100 + 2 * r);
        return k.bed(n, 100)
                .rod("rod along y", "x gantry", new Vec3(-r / 2, -60, 44), new Vec3(r, y + 120, r), "y").rod("rod along x", "y gantry", new Vec3(-60, -r / 2, 50 + r), new Vec3(x + 120, r, r), "x")
                .box("carriage", "carriage", new Vec3(-18, -18, 18), new Vec3(36, 36, 20)).hotEnd("carriage")
                .belt("belt along y", "", Along.Z, new Vec3(-64, -56, 56), new Vec3(-76, y + 56, 56)).belt("belt along x", "", Along.Z, new Vec3(-56, -64, 48), new Vec3(x + 56, -76, 48)).from("bed");
    }
}
