package tinperch.machine.frame;

import java.util.List;
import tinperch.catalogue.UsualThing;
import tinperch.machine.space.Along;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Neighbour.Form;
import tinperch.machine.space.Neighbour.Kind;
import tinperch.machine.space.Run;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Puts the things of a frame up, one after the other. Sizes and places are lowest corner and extent, mm. */
final class FrameKit {
    /** Behind the tip, the carriage's plate; behind that, room for wheels, and the beam. */
    private static final double PLATE_MM = 14;
    private static final double BEAM_MM = 26;
    private static final double BEAM_UP_MM = 30;
    private static final double WHEEL_MM = 24;
    private static final double PAPER_MM = 0.2;
    /** Width of belts and how far their two strands are apart, mm (common practice). */
    private static final double BELT_MM = 6;
    private static final double STRANDS_MM = 10;

    private Surroundings space;
    private int number;

    FrameKit(Surroundings axes) {
        space = axes;
    }

    /** Side of a usual thing's face or its length, mm. */
    static double usual(String id, String cell) {
        return UsualThing.byId(id).orElseThrow().size(cell).orElseThrow();
    }

    FrameKit group(String name, String... axes) {
        space = space.with(new Group(name, java.util.List.of(axes)));
        return this;
    }

    private FrameKit put(String name, String group, Kind kind, Form form, Vec3 at, Vec3 size, String along, double clearance, double temp) {
        space = space.with(new Neighbour("f" + ++number, name, group, kind, form, at, size, along, clearance, temp));
        return this;
    }

    FrameKit box(String name, String group, Vec3 at, Vec3 size) {
        return put(name, group, Kind.SOLID, Form.BOX, at, size, "z", 2, 0);
    }

    FrameKit hot(String name, String group, Vec3 at, Vec3 size, double tempC, double clearance) {
        return put(name, group, Kind.HOT, Form.BOX, at, size, "z", clearance, tempC);
    }

    FrameKit access(String name, Vec3 at, Vec3 size) {
        return put(name, "", Kind.ACCESS, Form.BOX, at, size, "z", 0, 0);
    }

    FrameKit profile(String name, String group, Vec3 at, Vec3 size, String along) {
        return put(name, group, Kind.SOLID, Form.PROFILE, at, size, along, 2, 0);
    }

    FrameKit rod(String name, String group, Vec3 at, Vec3 size, String along) {
        return put(name, group, Kind.SOLID, Form.CYLINDER, at, size, along, 2, 0);
    }

    /** A belt round two pulleys, in the plane of two of its corners that lie across from each other; its width lies along a direction. */
    FrameKit belt(String name, String group, Along wide, Vec3 from, Vec3 to) {
        // It runs the longer way there, turns, and runs back.
        Vec3 way = to.minus(from);
        Along far = java.util.Arrays.stream(Along.values()).max(java.util.Comparator.comparingDouble(a -> Math.abs(a.of(way)))).orElseThrow();
        Vec3 along = far.direction().times(far.of(way));
        List<Vec3> corners = List.of(from, from.plus(along), to, to.minus(along), from);
        space = space.with(new Run("l" + ++number, name, Run.Kind.BELT, corners.stream().map(p -> new Run.Hold(group, p)).toList(), BELT_MM, wide, 0, 0));
        return this;
    }

    /** A step motor of the usual size, standing on its face. */
    FrameKit motor(String name, String group, double x, double y, double z) {
        double face = usual("motor-17", "face");
        return box(name, group, new Vec3(x, y, z), new Vec3(face, face, usual("motor-17", "length")));
    }

    /** Hot block and nozzle over the tip. */
    FrameKit hotEnd(String group) {
        return hot("hot block", group, new Vec3(-10, -10, 4), new Vec3(20, 20, 12), 210, 3).rod("nozzle", group, new Vec3(-3, -3, 0), new Vec3(6, 6, 4), "z");
    }

    /** A beam along x with a plate on three grooved wheels before it, and the hot end on that. */
    FrameKit carriageOnBeam(String beamGroup, double travelMm, double bar) {
        double wide = 10;
        double y = BEAM_MM + bar / 2 - wide / 2;
        double top = BEAM_UP_MM + bar;
        double apart = Math.min(STRANDS_MM, bar - 2) / 2;
        Vec3 wheel = new Vec3(WHEEL_MM, wide, WHEEL_MM);
        return profile("gantry beam", beamGroup, new Vec3(-60, BEAM_MM, BEAM_UP_MM), new Vec3(travelMm + 120, bar, bar), "x")
                .box("carriage plate", "carriage", new Vec3(-30, PLATE_MM, 8), new Vec3(60, 6, top + WHEEL_MM - 8))
                .rod("upper wheel, left", "carriage", new Vec3(-30, y, top), wheel, "y").rod("upper wheel, right", "carriage", new Vec3(6, y, top), wheel, "y")
                .rod("lower wheel", "carriage", new Vec3(-12, y, BEAM_UP_MM - WHEEL_MM), wheel, "y")
                .belt("x belt", beamGroup, Along.Y, new Vec3(-50, BEAM_MM - BELT_MM / 2, BEAM_UP_MM + bar / 2 - apart), new Vec3(travelMm + 50, BEAM_MM - BELT_MM / 2, BEAM_UP_MM + bar / 2 + apart))
                .box("x end switch", beamGroup, new Vec3(-58, BEAM_MM, top), new Vec3(20, 6, 10)).hotEnd("carriage");
    }

    /** A bed a sheet of paper below the tip. */
    FrameKit bed(FrameNumbers n, double tempC) {
        return hot("bed", "bed", new Vec3(-5, -5, -4 - PAPER_MM), new Vec3(n.xMm() + 10, n.yMm() + 10, 4), tempC, 5);
    }

    /** A bed that moves along y on a base rail, with its motor behind. */
    FrameKit movingBed(FrameNumbers n) {
        double bar = n.barMm();
        double mx = n.xMm() / 2;
        double my = n.yMm() / 2;
        return bed(n, 60)
                .box("bed carriage", "bed", new Vec3(mx - 19, my - 19, -20), new Vec3(38, 38, 8))
                .profile("base rail", "", new Vec3(mx - bar, -my - 70, -24 - bar), new Vec3(2 * bar, 2 * my + 140, bar), "y")
                .belt("y belt", "", Along.X, new Vec3(mx, -my - 72, -22), new Vec3(mx, my + 72, -27 - bar))
                .motor("y motor", "", mx - 21, my + 74, -70);
    }

    /** An upright at the left or the right, outside of the beam's end, from the foot to above the travel. */
    FrameKit upright(String name, double x, FrameNumbers n) {
        return profile(name, "", new Vec3(x, BEAM_MM - n.barMm() / 2, -70), new Vec3(n.barMm(), 2 * n.barMm(), n.zMm() + 190), "z");
    }

    /** All of it, measured from a thing. */
    Surroundings from(String name) {
        return space.measuredFrom(space.neighbours().stream().filter(x -> x.name().equals(name)).findFirst().orElseThrow().id());
    }
}
