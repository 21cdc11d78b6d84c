package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Along;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** A closed box; the carriage runs on rods above, the bed goes down. */
final class EnclosedCubeFrame extends NamedFrame {
    EnclosedCubeFrame() {
        super("enclosed-cube", "Enclosed cube with rods", Machine.Kind.CUBE, Bars.ROD);
    }

    @Override
    public Surroundings put(FrameNumbers n) {
        double r = n.barMm();
        double x = n.xMm();
        double y = n.yMm();
        double low = -n.zMm() - 70;
        double high = 110 + 2 * r;
        FrameKit k = new FrameKit(StartingFrames.of(kind(), x, y, n.zMm()));
        Shell.around(k, x, y, low, high);
        return k.bed(n, 100)
                .rod("left z rod", "", new Vec3(-14 - r, y / 2 - r / 2, low), new Vec3(r, r, n.zMm() + 60), "z")
                .rod("right z rod", "", new Vec3(x + 14, y / 2 - r / 2, low), new Vec3(r, r, n.zMm() + 60), "z")
                .rod("left y rod", "", new Vec3(-60 - r, -60, 40), new Vec3(r, y + 130, r), "y").rod("right y rod", "", new Vec3(x + 60, -60, 40), new Vec3(r, y + 130, r), "y")
                .box("left gantry end", "gantry", new Vec3(-56, 20, 26), new Vec3(14, 26 + r, 28 + 2 * r)).box("right gantry end", "gantry", new Vec3(x + 42, 20, 26), new Vec3(14, 26 + r, 28 + 2 * r))
                .rod("lower x rod", "gantry", new Vec3(-42, 30, 30), new Vec3(x + 84, r, r), "x").rod("upper x rod", "gantry", new Vec3(-42, 30, 50 + r), new Vec3(x + 84, r, r), "x")
                .box("carriage", "carriage", new Vec3(-25, 14, 16), new Vec3(50, 12, 60)).hotEnd("carriage")
                .belt("x belt", "gantry", Along.Z, new Vec3(-41, 28, 40 + r), new Vec3(x + 41, 34 + r, 40 + r))
                .belt("left y belt", "", Along.Z, new Vec3(-56 - r / 2, -58, 44 + r), new Vec3(-64 - r / 2, y + 66, 44 + r)).belt("right y belt", "", Along.Z, new Vec3(x + 64 + r / 2, -58, 44 + r), new Vec3(x + 56 + r / 2, y + 66, 44 + r))
                .from("bed");
    }
}
