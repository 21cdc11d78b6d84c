package tinperch.part.family;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.part.Dimension;
import tinperch.part.HolePattern;
import tinperch.part.Parameter;
import tinperch.part.PartFamily;
import tinperch.part.PartForm;
import tinperch.part.PartInputs;
import tinperch.part.PartProblem;
import tinperch.part.Seat;
import tinperch.part.SeatKind;
import tinperch.part.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A plate that bolts to a measured pattern on the machine and carries a tool, blower or board on a second measured
 * pattern. The machine's side is z = 0, the tool's side is up; the middle of the plate is x = y = 0.
 */
public final class ToolCarriagePlate implements PartFamily {
    private static final String BODY = "Body";
    private static final String REACHES = "Reaches";

    private static final List<Parameter> PARAMETERS = parameterList();

    private static List<Parameter> parameterList() {
        List<Parameter> all = new ArrayList<>();
        all.add(Parameter.number("plate.width", BODY, "Plate width", Unit.MM, 10, 400, 80, "Along x"));
        all.add(Parameter.number("plate.height", BODY, "Plate height", Unit.MM, 10, 400, 70, "Along y"));
        all.add(Parameter.number("plate.thickness", BODY, "Plate thickness", Unit.MM, 1, 60, 6, "Along z"));
        all.add(Parameter.number("plate.corner", BODY, "Corner radius", Unit.MM, 0, 100, 5, "Rounds the four corners"));
        all.add(Marking.parameter(BODY));
        all.addAll(ScrewSite.parameters("mount", "Holds: machine side", 0, 0, SeatKind.LOOSE_NUT));
        all.addAll(ScrewSite.parameters("tool", "Holds: tool side", 0, 5, SeatKind.INSERT));
        all.add(Parameter.number("opening.diameter", REACHES, "Opening Ø", Unit.MM, 0, 300, 0,
                "Round opening behind the tool, for air or a nozzle; 0 for none"));
        all.add(Parameter.number("opening.x", REACHES, "Opening centre x", Unit.MM, -200, 200, 0,
                "From the middle of the tool pattern"));
        all.add(Parameter.number("opening.y", REACHES, "Opening centre y", Unit.MM, -200, 200, 0,
                "From the middle of the tool pattern"));
        return List.copyOf(all);
    }

    @Override
    public String id() {
        return "tool-carriage-plate";
    }

    @Override
    public String title() {
        return "Tool carriage plate";
    }

    @Override
    public String purpose() {
        return "Carries a tool, a blower or a board on a pattern of holes the machine already has.";
    }

    @Override
    public String above() {
        return "from the tool side";
    }

    @Override
    public Map<String, String> roles() {
        Map<String, String> roles = new LinkedHashMap<>();
        roles.put("mount", "machine side: the four holes the plate bolts to");
        roles.put("tool", "tool side: the four holes of what it carries");
        return roles;
    }

    @Override
    public List<Parameter> parameters() {
        return PARAMETERS;
    }

    @Override
    public String summary(String group, Values v) {
        if (group.equals(BODY)) {
            return Quantity.plain(v.number("plate.width"), Unit.MM) + " × " + Quantity.plain(v.number("plate.height"), Unit.MM)
                    + " × " + Quantity.mm(v.number("plate.thickness"));
        }
        if (group.equals(REACHES)) {
            double d = v.number("opening.diameter");
            return d > 0 ? "opening Ø " + Quantity.mm(d) : "no opening";
        }
        String site = group.contains("machine") ? "mount" : "tool";
        double standoff = v.number(site + ".standoff");
        return v.choice(site + ".thread") + "×" + Quantity.plain(v.number(site + ".length"), Unit.MM) + " into "
                + v.choice(site + ".seat") + (standoff > 0 ? ", standing off " + Quantity.mm(standoff) : ", flat on the plate");
    }

    /** Large enough for what was measured. */
    @Override
    public Values startAround(Map<String, HolePattern> patterns) {
        double w = 20;
        double h = 20;
        for (HolePattern p : patterns.values()) {
            for (HolePattern.Hole hole : p.holes()) {
                w = Math.max(w, Math.abs(hole.x()));
                h = Math.max(h, Math.abs(hole.y()));
            }
        }
        return start().with("plate.width", Math.ceil(2 * w + 20)).with("plate.height", Math.ceil(2 * h + 20));
    }

    @Override
    public String keyOf(String feature) {
        if (feature.startsWith("plate")) {
            return "plate.thickness";
        }
        if (feature.startsWith("opening")) {
            return "opening.diameter";
        }
        return feature.startsWith("mark") ? Marking.KEY : ScrewSite.keyOf(feature);
    }

    @Override
    public PartForm form(PartInputs in) {
        Values v = in.values();
        double w = v.number("plate.width") / 2;
        double h = v.number("plate.height") / 2;
        double t = v.number("plate.thickness");
        ScrewSite mount = new ScrewSite("mount", "machine-side", in, t, false);
        ScrewSite tool = new ScrewSite("tool", "tool-side", in, t, true);
        mount.requireOnPlate(w, h);
        tool.requireOnPlate(w, h);
        PlateFace face = new PlateFace(w, h, Math.min(v.number("plate.corner"), Math.min(w, h) - 0.5),
                v.number("opening.diameter") / 2, v.number("tool.x") + v.number("opening.x"),
                v.number("tool.y") + v.number("opening.y"));
        requireOpening(face, mount, tool);

        List<Solid> body = new ArrayList<>();
        body.add(Leaf.extrusion("plate", Profile.roundedRectangle(0, 0, 2 * w, 2 * h, face.cornerMm(), 10),
                Placement.HERE, 0, t));
        mount.addTo(body);
        tool.addTo(body);
        List<Solid> cuts = new ArrayList<>();
        mount.cutFrom(cuts, tool.standoffMm);
        tool.cutFrom(cuts, mount.standoffMm);
        if (face.openingMm() > 0) {
            cuts.add(Leaf.extrusion("opening", Profile.hole(face.openingX(), face.openingY(), 2 * face.openingMm(), 72),
                    Placement.HERE, -mount.standoffMm - 1, t + tool.standoffMm + 1));
        }
        Optional<String> mark = engrave(in.mark(), v.number(Marking.KEY), face, mount, tool, t, cuts);
        Solid solid = new Solid.Difference(new Solid.Union(body), cuts);
        return new PartForm(solid, bounds(face, mount, tool, t), List.of(mount.stack(), tool.stack()),
                List.of(seat(mount, tool, face), seat(tool, mount, face)), dimensions(v, mount, tool, t),
                List.of(mount.heldThing(), tool.heldThing()), mark);
    }

    private static void requireOpening(PlateFace face, ScrewSite... sites) {
        if (face.openingMm() <= 0) {
            return;
        }
        if (Math.abs(face.openingX()) + face.openingMm() >= face.halfWidthMm()
                || Math.abs(face.openingY()) + face.openingMm() >= face.halfHeightMm()) {
            throw new PartProblem("opening.diameter",
                    "The opening reaches the plate's edge; make it smaller or the plate larger.");
        }
        for (ScrewSite s : sites) {
            for (int i = 0; i < s.places().size(); i++) {
                if (face.toOpening(s.places().get(i)) <= s.cavityMm() / 2) {
                    throw new PartProblem("opening.diameter", "The opening runs into the " + s.describe(i)
                            + "; make it smaller or move it.");
                }
            }
        }
    }

    private static Bounds bounds(PlateFace face, ScrewSite mount, ScrewSite tool, double t) {
        double w = face.halfWidthMm();
        double h = face.halfHeightMm();
        for (ScrewSite s : List.of(mount, tool)) {
            for (double[] p : s.places()) {
                if (s.standoffMm > 0) {
                    w = Math.max(w, Math.abs(p[0]) + s.bossMm / 2);
                    h = Math.max(h, Math.abs(p[1]) + s.bossMm / 2);
                }
            }
        }
        return new Bounds(new Vec3(-w, -h, -mount.standoffMm), new Vec3(w, h, t + tool.standoffMm));
    }

    /** The tightest seat of a site. */
    private static Seat seat(ScrewSite site, ScrewSite other, PlateFace face) {
        double r = site.cavityMm() / 2;
        double best = Double.POSITIVE_INFINITY;
        int at = 0;
        String beside = "";
        String key = "";
        double gain = 0;
        boolean inBossOnly = site.seat == SeatKind.INSERT && site.standoffMm >= site.insertHoleDepthMm();
        for (int i = 0; i < site.places().size(); i++) {
            double[] p = site.places().get(i);
            List<Wall> walls = new ArrayList<>();
            if (!inBossOnly) {
                boolean wide = face.halfWidthMm() - Math.abs(p[0]) < face.halfHeightMm() - Math.abs(p[1]);
                walls.add(new Wall(face.toEdge(p) - r, "the plate's edge", wide ? "plate.width" : "plate.height", 0.5));
                if (face.openingMm() > 0) {
                    walls.add(new Wall(face.toOpening(p) - r, "the opening", "opening.diameter", -0.5));
                }
                for (int k = 0; k < other.places().size(); k++) {
                    double[] q = other.places().get(k);
                    walls.add(new Wall(Math.hypot(p[0] - q[0], p[1] - q[1]) - r - other.cavityMm() / 2,
                            "the " + other.describe(k), "", 0));
                }
            }
            if (site.standoffMm > 0) {
                double through = site.seat == SeatKind.INSERT ? r : site.clearanceMm() / 2;
                walls.add(new Wall(site.bossMm / 2 - through, "the outside of its boss", site.key + ".boss", 0.5));
            }
            for (Wall wall : walls) {
                if (wall.mm < best) {
                    best = wall.mm;
                    at = i;
                    beside = wall.beside;
                    key = wall.key;
                    gain = wall.gain;
                }
            }
        }
        return new Seat(site.key, site.describe(at), site.feature(at), site.seat, site.cavityMm(), best, beside, key, gain,
                site.underMm(), site.standoffMm > 0 ? site.key + ".standoff" : "plate.thickness",
                site.standoffMm > 0 ? site.bossMm : 0, site.key + ".boss", site.insert, site.key + ".insert");
    }

    private record Wall(double mm, String beside, String key, double gain) {}

    /** Cuts the mark into the first free place on the tool side. */
    private static Optional<String> engrave(String mark, double heightMm, PlateFace face, ScrewSite mount, ScrewSite tool,
            double t, List<Solid> cuts) {
        if (t <= 2 * Marking.DEPTH_MM) {
            return Optional.empty();
        }
        List<double[]> keepOff = new ArrayList<>();
        for (ScrewSite s : List.of(mount, tool)) {
            double radius = Math.max(s.cavityMm() / 2, s.thread.washerOuterMm() / 2);
            if (s == tool && s.standoffMm > 0) {
                radius = Math.max(radius, s.bossMm / 2);
            }
            for (double[] p : s.places()) {
                keepOff.add(new double[] {p[0], p[1], radius + 1});
            }
        }
        if (face.openingMm() > 0) {
            keepOff.add(new double[] {face.openingX(), face.openingY(), face.openingMm() + 1});
        }
        return Marking.engrave(mark, heightMm, t, "the tool side", (width, height) -> face.freePlace(width, height, keepOff), cuts);
    }

    private static List<Dimension> dimensions(Values v, ScrewSite mount, ScrewSite tool, double t) {
        double w = v.number("plate.width") / 2;
        double h = v.number("plate.height") / 2;
        double top = t + tool.standoffMm;
        List<Dimension> d = new ArrayList<>();
        d.add(line(Dimension.View.TOP, -w, -h, 0, w, -h, 0, -14, true, "plate.width"));
        d.add(line(Dimension.View.TOP, -w, -h, 0, -w, h, 0, -14, false, "plate.height"));
        double[] a = mount.places().get(0);
        double[] b = mount.places().get(1);
        double[] c = mount.places().get(mount.places().size() - 1);
        d.add(line(Dimension.View.TOP, a[0], a[1], 0, b[0], b[1], 0, -(h + a[1]) - 6, true, ""));
        d.add(line(Dimension.View.TOP, a[0], a[1], 0, c[0], c[1], 0, -(w + a[0]) - 6, false, ""));
        double[] e = tool.places().get(tool.places().size() - 1);
        double[] f = tool.places().get(tool.places().size() - 2);
        d.add(line(Dimension.View.TOP, e[0], e[1], 0, f[0], f[1], 0, h - e[1] + 6, true, ""));
        double[] g = tool.places().get(1);
        d.add(line(Dimension.View.TOP, f[0], f[1], 0, g[0], g[1], 0, w - f[0] + 6, false, ""));
        d.add(line(Dimension.View.FRONT, w, 0, 0, w, 0, t, 8, false, "plate.thickness"));
        if (tool.standoffMm > 0) {
            double x = tool.places().stream().mapToDouble(p -> p[0]).min().orElse(0) - tool.bossMm / 2;
            d.add(line(Dimension.View.FRONT, x, 0, t, x, 0, top, -8 - Math.max(0, x + w), false, "tool.standoff"));
            double y = tool.places().stream().mapToDouble(p -> p[1]).max().orElse(0);
            d.add(line(Dimension.View.SIDE, 0, y - tool.bossMm / 2, top, 0, y + tool.bossMm / 2, top, 7, true, "tool.boss"));
        }
        if (mount.standoffMm > 0) {
            double x = mount.places().stream().mapToDouble(p -> p[0]).min().orElse(0) - mount.bossMm / 2;
            d.add(line(Dimension.View.FRONT, x, 0, -mount.standoffMm, x, 0, 0, -8 - Math.max(0, x + w), false,
                    "mount.standoff"));
        }
        d.add(line(Dimension.View.SIDE, 0, h, -mount.standoffMm, 0, h, top, 8, false, ""));
        return d;
    }

    private static Dimension line(Dimension.View view, double x0, double y0, double z0, double x1, double y1, double z1,
            double out, boolean along, String key) {
        return new Dimension(view, new Vec3(x0, y0, z0), new Vec3(x1, y1, z1), out, along,
                key.isEmpty() ? Optional.empty() : Optional.of(key));
    }
}
