package tinperch.practice;

import static tinperch.practice.Bench.foot;
import static tinperch.practice.Bench.solid;

import java.util.ArrayList;
import java.util.List;
import tinperch.machine.space.Along;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** What is run into. */
final class MotionRows {
    private static final Bounds FOOT = Bench.bounds(foot());

    private MotionRows() {}

    private static Neighbour bracket(double overlapMm) {
        return solid("lower bracket", "", new Vec3(80, -10, FOOT.min().z() + overlapMm - 30), new Vec3(40, 40, 30));
    }

    private static Neighbour rod(double gapMm) {
        return solid("rod", "", new Vec3(60, FOOT.max().y() + gapMm, -40), new Vec3(30, 8, 180));
    }

    private static Case belt(double gapMm) {
        // Wide in y, it runs along x above the foot with its thickness up.
        double z = FOOT.max().z() + gapMm + 0.75;
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m, List.of(), List.of(new Run("belt", "belt", Run.Kind.BELT, List.of(new Run.Hold("carriage", new Vec3(-80, 4, z)), new Run.Hold("carriage", new Vec3(80, 4, z))), 40, Along.Y, 0, 0)));
    }

    /** Where the key of a gear's set screw comes from, so far beside the foot's middle. */
    private static Neighbour keyway(double x) {
        return new Neighbour("key to the gear", "key to the gear", "carriage", Neighbour.Kind.ACCESS, Neighbour.Form.BOX, new Vec3(x - 1.5, 2, -60), new Vec3(3, 3, 50), "z", 0, 0, "", 0, "-z");
    }

    /** A gantry's end whose pulley a cover shuts in on all sides but towards the block, or on one only. */
    private static Case pulley(boolean shut) {
        List<Neighbour> walls = new ArrayList<>(List.of(Bench.solid("cover", "carriage", new Vec3(11, 7, -14), new Vec3(2, 14, 28))));
        if (shut) {
            walls.add(Bench.solid("cover above", "carriage", new Vec3(-21, 7, 12), new Vec3(34, 14, 2)));
            walls.add(Bench.solid("cover below", "carriage", new Vec3(-21, 7, -14), new Vec3(34, 14, 2)));
            walls.add(Bench.solid("cover on top", "carriage", new Vec3(-70, 18, -60), new Vec3(140, 3, 120)));
        }
        return Bench.on("gantry-end", Bench.PLAIN, "PETG", walls.toArray(Neighbour[]::new));
    }

    /** A roof over the foot that leaves room for a key alone, and walls that leave it no swing. */
    private static Neighbour[] walls() {
        List<Neighbour> all = new ArrayList<>();
        double top = Bench.bounds(foot()).max().y();
        all.add(Bench.solid("roof", "carriage", new Vec3(-100, top + 45, -100), new Vec3(200, 3, 200)));
        Bounds b = Bench.bounds(foot());
        for (int side : new int[] {-1, 1}) {
            all.add(Bench.solid("side " + side, "carriage", new Vec3(side > 0 ? b.max().x() + 1 : b.min().x() - 3, top, -100), new Vec3(2, 45, 200)));
            all.add(Bench.solid("end " + side, "carriage", new Vec3(-100, top, side > 0 ? b.max().z() + 1 : b.min().z() - 3), new Vec3(200, 45, 2)));
        }
        return all.toArray(Neighbour[]::new);
    }

    private static Neighbour button(double x) {
        return new Neighbour("home button", "home button", "carriage", Neighbour.Kind.ACCESS, Neighbour.Form.BOX, new Vec3(x, 0, -5), new Vec3(10, 4, 10), "z", 40, 0, "", 0, "y");
    }

    /** A board behind the foot between five walls, or without the upper one. */
    private static Neighbour[] bay(boolean roofed) {
        double y = FOOT.max().y() + 2;
        List<Neighbour> all = new java.util.ArrayList<>(List.of(solid("board", "carriage", new Vec3(-10, y, -10), new Vec3(20, 20, 20)), solid("left wall", "carriage", new Vec3(-14, y, -10), new Vec3(4, 20, 20)),
                solid("right wall", "carriage", new Vec3(10, y, -10), new Vec3(4, 20, 20)), solid("floor", "carriage", new Vec3(-10, y, -14), new Vec3(20, 20, 4)), solid("back", "carriage", new Vec3(-10, y + 20, -10), new Vec3(20, 4, 20))));
        if (roofed) {
            all.add(solid("roof", "carriage", new Vec3(-10, y, 10), new Vec3(20, 20, 4)));
        }
        return all.toArray(new Neighbour[0]);
    }

    static List<Row> rows() {
        return List.of(
                Row.of("P19", "housing meets the lower bracket at the lowest position", () -> foot(bracket(2)), () -> foot(bracket(-6)), "motion.lower bracket.part", "runs into lower bracket").measures(-2, 0.3),
                Row.of("P20", "homing z while x is at home: it meets the pulley", () -> foot(solid("pulley", "", new Vec3(-10, -10, 50), new Vec3(20, 20, 10))), () -> foot(solid("pulley", "", new Vec3(120, -10, 50), new Vec3(20, 20, 10))),
                        "homing.pulley.part", "While z homes, with x at home, .* runs into pulley").cures(),
                Row.of("P21", "a stock part meets a rod over some of x", () -> foot(rod(-1.5)), () -> foot(rod(12)), "motion.rod", "runs into rod").measures(-1.5, 0.3),
                Row.of("P22", "a belt 0.3 mm above a bracket", () -> belt(0.3), () -> belt(4), "rest.belt.part", "0.3 mm between .* and belt, 2 mm wanted").measures(0.3, 0.02),
                Row.of("P25", "it stands on the home button", () -> foot(button(-5)), () -> foot(button(60)), "rest.home button.part", "of “home button”, which must stay free"),
                Row.of("P15", "the key's way to a gear's set screw was drawn, and it goes through the foot", () -> foot(keyway(0)), () -> foot(keyway(60)), "rest.key to the gear.part", "of “key to the gear”, which must stay free").cures(),
                Row.of("P15b", "a pulley's set screw that a cover shuts in once the motor is mounted", () -> pulley(true), () -> pulley(false), "key.2", "A key in the set screw of the pulley turns 0° only.*straight and to turn by 60°"),
                Row.of("P15c", "a wall beside heads that leaves a key no swing", () -> foot(walls()), () -> foot(), "access.", "turns \\d+° only"),
                Row.of("P25b", "a board in its bay can only come out where the foot stands", () -> foot(bay(true)), () -> foot(bay(false)), "out.board", "board cannot be taken out any more with it on .* drawn out to the front, straight").measures(2, 0.1));
    }
}
