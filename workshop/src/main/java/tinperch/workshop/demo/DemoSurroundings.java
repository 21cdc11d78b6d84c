package tinperch.workshop.demo;

import tinperch.machine.Machine;
import tinperch.machine.StartingFrames;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Neighbour.Form;
import tinperch.machine.space.Neighbour.Kind;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** What stands around the axes of the club's machines, as far as it matters for their parts. */
final class DemoSurroundings {
    private Surroundings space;
    private int number;

    private DemoSurroundings(Surroundings start) {
        space = start;
    }

    static Surroundings of(Machine m) {
        DemoSurroundings d = new DemoSurroundings(StartingFrames.of(m));
        switch (m.id()) {
            case "avocet" -> d.avocet();
            case "turnstone" -> d.turnstone();
            case "curlew" -> d.curlew();
            default -> d.ruff();
        }
        return d.space;
    }

    private void avocet() {
        space = space.with(new Axis("x", Vec3.X, 0, 230, false, 1)).with(new Axis("y", Vec3.Y.times(-1), 0, 230, false, 2))
                .with(new Axis("z", Vec3.Z, 0, 250, false, 3));
        // The right upright's holes lie almost 6 mm lower: readings of September.
        profile("left upright", -62, 128, -20, 20, 40, 400, "z");
        profile("right upright", 272, 128, -20, 20, 40, 394, "z");
        profile("top beam", -62, 128, 380, 354, 40, 20, "x");
        box("supply", "", Kind.SOLID, 296, 80, -20, 50, 180, 110, 10, 0);
        box("supply switch", "", Kind.ACCESS, 346, 120, 20, 60, 40, 40, 0, 0);
        box("bed", "bed", Kind.HOT, -5, 115, -8, 240, 240, 8, 5, 90);
        rod("bed cable", "bed", Kind.CABLE, 110, 355, -30, 12, 60, 12, "y", 5);
        box("gantry beam", "gantry", Kind.SOLID, -30, 152, 40, 290, 20, 20, 2, 0);
        site("carriage front", "carriage", 0, 120, 46, Vec3.Y.times(-1), 0.3, "avocet-blower.mount");
        site("left upright, outer face", "", -62, 148, 260, Vec3.X.times(-1), 0.8, "");
        box("hot block", "carriage", Kind.HOT, -11, 104, 3, 22, 18, 12, 3, 240);
        box("carriage", "carriage", Kind.SOLID, -30, 120, 18, 60, 24, 58, 2, 0);
        space = space.with(new Neighbour("n" + ++number, "blower", "carriage", Kind.SOLID, Form.MODEL, new Vec3(-5.5, 52, 32),
                new Vec3(15, 50, 50), "x", 2, 0, "model-blower", 0));
    }

    private void turnstone() {
        box("post", "", Kind.SOLID, -60, 40, -10, 30, 40, 210, 3, 0);
        box("bed", "bed", Kind.SOLID, -2, 60, -4, 124, 124, 4, 5, 0);
        box("arm", "arm", Kind.SOLID, -60, 62, 30, 190, 16, 16, 2, 0);
        box("hot block", "carriage", Kind.HOT, -9, 46, 2, 18, 14, 11, 3, 220);
        box("fan", "carriage", Kind.SOLID, -15, 34, 14, 30, 10, 30, 2, 0);
        box("knob", "", Kind.ACCESS, -95, 45, 30, 35, 30, 30, 0, 0);
        site("post, outer face", "", -60, 60, 120, Vec3.X.times(-1), 0.5, "turnstone-post");
    }

    private void curlew() {
        box("left wall", "", Kind.SOLID, -75, -70, -330, 6, 440, 470, 3, 0);
        box("right wall", "", Kind.SOLID, 365, -70, -330, 6, 440, 470, 3, 0);
        box("rear wall", "", Kind.SOLID, -69, 364, -330, 434, 6, 470, 3, 0);
        box("lid", "", Kind.SOLID, -75, -70, 142, 446, 440, 6, 20, 0);
        box("door swing", "", Kind.ACCESS, -75, -170, -330, 446, 100, 470, 0, 0);
        box("bed", "bed", Kind.HOT, -10, -10, -8, 310, 310, 8, 5, 110);
        rod("gantry rod", "gantry", Kind.SOLID, -60, 8, 38, 420, 10, 10, "x", 2);
        box("hot block", "carriage", Kind.HOT, -12, -10, 2, 24, 20, 12, 3, 275);
        box("tool plate", "carriage", Kind.SOLID, -28, -32, 16, 56, 34, 70, 2, 0);
        box("lamp light", "", Kind.LIGHT, 60, 240, 60, 170, 90, 66, 0, 0);
        site("roof rail", "", 150, 300, 142, Vec3.Z.times(-1), 0.5, "curlew-lamp.mount");
    }

    private void ruff() {
        space = space.with(new Axis("x", Vec3.X, 0, 500, false, 1)).with(new Axis("u", Vec3.X, 0, 500, false, 3))
                .with(new Axis("y", Vec3.Z, 0, 300, false, 2)).with(new Axis("v", Vec3.Z, 0, 300, false, 4));
        profile("left rail", -40, -60, -20, 600, 20, 20, "x");
        profile("right rail", -40, 640, -20, 600, 20, 20, "x");
        space = space.with(new Neighbour("n" + ++number, "left tower", "left carriage", Kind.SOLID, Form.PLATE, new Vec3(-30, -36, 6),
                new Vec3(60, 30, 50), "y", 3, 0, "ruff-left-tower", 0));
        site("left tower, inner face", "left carriage", 0, -6, 31, Vec3.Y, 0.4, "ruff-left-tower");
        box("right tower", "right carriage", Kind.SOLID, -30, 606, 6, 60, 30, 50, 3, 0);
        box("foam block", "", Kind.SOLID, 80, 60, 0, 360, 480, 120, 5, 0);
        box("stop switch", "", Kind.ACCESS, 560, 250, -20, 60, 100, 60, 0, 0);
        box("rear panel", "", Kind.SOLID, 600, 400, 40, 3, 160, 160, 0, 0);
        site("rear panel, fume opening", "", 603, 480, 120, Vec3.X, 0.5, "ruff-opening");
    }

    private void box(String name, String group, Kind kind, double x, double y, double z, double w, double d, double h,
            double clearance, double temp) {
        space = space.with(new Neighbour("n" + ++number, name, group, kind, Form.BOX, new Vec3(x, y, z), new Vec3(w, d, h), "z",
                clearance, temp));
    }

    private void profile(String name, double x, double y, double z, double w, double d, double h, String along) {
        space = space.with(new Neighbour("n" + ++number, name, "", Kind.SOLID, Form.PROFILE, new Vec3(x, y, z), new Vec3(w, d, h),
                along, 3, 0));
    }

    private void site(String name, String group, double x, double y, double z, Vec3 facing, double half, String sheet) {
        space = space.with(new Site("s" + ++number, name, group, new Vec3(x, y, z), facing, 0, half, sheet));
    }

    private void rod(String name, String group, Kind kind, double x, double y, double z, double w, double d, double h, String along,
            double clearance) {
        space = space.with(new Neighbour("n" + ++number, name, group, kind, Form.CYLINDER, new Vec3(x, y, z), new Vec3(w, d, h),
                along, clearance, 0));
    }
}
