package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.Way;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Port;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A plate that bolts to a pattern on the machine and carries a tool, blower or board on a second pattern. The machine's side is
 * z = 0, the tool's side is up; the middle of the plate is x = y = 0.
 */
public final class ToolCarriagePlate implements PartFamily {
    private static final Card BODY = new Card("body", "Body");
    private static final Card MACHINE = new Card("mount", "Holds: machine side");
    private static final Card TOOL = new Card("tool", "Holds: tool side");
    private static final Card REACHES = new Card("reaches", "Reaches");

    public static final NumberParam WIDTH = NumberParam.length("plate.width", BODY, "Plate width", 10, 400, 80, "Along x");
    public static final NumberParam HEIGHT = NumberParam.length("plate.height", BODY, "Plate height", 10, 400, 70, "Along y");
    public static final NumberParam THICKNESS = NumberParam.length("plate.thickness", BODY, "Plate thickness", 1, 60, 6, "Along z");
    public static final NumberParam CORNER = NumberParam.length("plate.corner", BODY, "Corner radius", 0, 100, 5, "Rounds the four corners");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", MACHINE, SeatKind.LOOSE_NUT, 0, 3, 16);
    public static final ScrewBlock CARRIED = new ScrewBlock("tool", "tool-side", TOOL, SeatKind.INSERT, 5, 3, 8);
    public static final NumberParam OPENING = NumberParam.length("opening.diameter", REACHES, "Opening Ø", 0, 300, 0,
            "Round opening behind the tool, for air or a nozzle; 0 for none");
    public static final NumberParam OPENING_X = NumberParam.length("opening.x", REACHES, "Opening centre x", -200, 200, 0, "From the middle of the tool pattern");
    public static final NumberParam OPENING_Y = NumberParam.length("opening.y", REACHES, "Opening centre y", -200, 200, 0, "From the middle of the tool pattern");

    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes the plate bolts to", false, "holes-60x50");
    public static final Role<HolesRef> TOOL_SIDE = new Role<>("tool", HolesRef.KIND, "tool side", "the holes of what it carries", false, "holes-32x32");

    private static final List<Param<?>> PARAMS = params(List.of(WIDTH, HEIGHT, THICKNESS, CORNER, Marking.HEIGHT), MOUNT.params(), CARRIED.params(),
            List.of(OPENING, OPENING_X, OPENING_Y));

    @SafeVarargs
    private static List<Param<?>> params(List<? extends Param<?>>... groups) {
        List<Param<?>> all = new ArrayList<>();
        for (List<? extends Param<?>> g : groups) {
            all.addAll(g);
        }
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
    public Does does() {
        return Does.CARRIES;
    }

    @Override
    public String above() {
        return "from the tool side";
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(MACHINE_SIDE, TOOL_SIDE);
    }

    @Override
    public List<Param<?>> params() {
        return PARAMS;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(BODY)) {
            return Quantity.plain(WIDTH.of(v), Unit.MM) + " × " + Quantity.plain(HEIGHT.of(v), Unit.MM) + " × " + Quantity.mm(THICKNESS.of(v));
        }
        if (card.equals(REACHES)) {
            return OPENING.of(v) > 0 ? "opening Ø " + Quantity.mm(OPENING.of(v)) : "no opening";
        }
        if (card.equals(Marking.CARD)) {
            return Marking.HEIGHT.of(v) > 0 ? "at most " + Marking.HEIGHT.show(v) + " high" : "none";
        }
        ScrewBlock row = card.equals(MACHINE) ? MOUNT : CARRIED;
        return row.thread.of(v) + "×" + Quantity.plain(row.length.of(v), Unit.MM) + " into " + row.seat.show(v)
                + (row.standoff.of(v) > 0 ? ", standing off " + row.standoff.show(v) : ", flat on the plate");
    }

    /** Large enough for both patterns; then with the heads on the machine's side, then with the tool turned. */
    @Override
    public List<Values> starts(Refs refs) {
        double w = 20;
        double h = 20;
        for (Role<HolesRef> role : List.of(MACHINE_SIDE, TOOL_SIDE)) {
            double[] half = refs.of(role).map(HolesRef::halfExtentMm).orElse(new double[2]);
            w = Math.max(w, half[0]);
            h = Math.max(h, half[1]);
        }
        Values first = Values.START.with(WIDTH, Math.ceil(2 * w + 20)).with(HEIGHT, Math.ceil(2 * h + 20));
        Values inserts = first.with(MOUNT.seat, SeatKind.INSERT).with(THICKNESS, 8.0).with(MOUNT.length, 8.0);
        return List.of(first, inserts, first.with(CARRIED.turn, 45.0), first.with(CARRIED.turn, 90.0));
    }

    @Override
    public List<Way> ways(PartInputs in) {
        Values v = in.values();
        List<Way> all = new ArrayList<>();
        if (MOUNT.seat.of(v) == SeatKind.LOOSE_NUT) {
            all.add(new Way("heads on the machine's side, inserts in the plate", v.with(MOUNT.seat, SeatKind.INSERT)
                    .with(THICKNESS, Math.max(8, THICKNESS.of(v))).with(MOUNT.length, 8.0)));
        }
        for (ScrewBlock row : List.of(CARRIED, MOUNT)) {
            for (double by : new double[] {90, 45}) {
                double turned = row.turn.of(v) + by;
                all.add(new Way("turn the " + row.label.replace("-side", " side") + " by " + Quantity.show(by, Unit.DEG),
                        v.with(row.turn, turned > 180 ? turned - 360 : turned)));
            }
            for (double by : new double[] {4, -4, 8, -8}) {
                double x = row.x.of(v) + by;
                if (row.x.holds(x)) {
                    all.add(new Way("move the " + row.label.replace("-side", " side") + " to x " + Quantity.mm(x), v.with(row.x, x)));
                }
            }
        }
        return all;
    }

    @Override
    public PartForm form(PartInputs in) {
        double w = in.get(WIDTH) / 2;
        double h = in.get(HEIGHT) / 2;
        double t = in.get(THICKNESS);
        ScrewRow mount = new ScrewRow(MOUNT, in, in.get(MACHINE_SIDE), "part", THICKNESS, false);
        ScrewRow tool = new ScrewRow(CARRIED, in, in.get(TOOL_SIDE), "part", THICKNESS, true);
        requireOnPlate(mount, "machine-side", w, h);
        requireOnPlate(tool, "tool-side", w, h);
        double opening = in.get(OPENING);
        double ox = in.get(CARRIED.x) + in.get(OPENING_X);
        double oy = in.get(CARRIED.y) + in.get(OPENING_Y);
        if (opening > 0 && (Math.abs(ox) + opening / 2 >= w || Math.abs(oy) + opening / 2 >= h)) {
            throw new PartProblem(OPENING, "The opening reaches the plate's edge; make it smaller or the plate larger.");
        }
        List<Solid> body = new ArrayList<>();
        body.add(Leaf.extrusion("plate", Profile.roundedRectangle(0, 0, 2 * w, 2 * h, Math.min(in.get(CORNER), Math.min(w, h) - 0.5), 10),
                Placement.HERE, 0, t));
        body.addAll(mount.bosses());
        body.addAll(tool.bosses());
        List<Solid> cuts = new ArrayList<>(mount.cuts(tool.standoffMm()));
        cuts.addAll(tool.cuts(mount.standoffMm()));
        List<Cavity> cavities = new ArrayList<>(mount.cavities());
        cavities.addAll(tool.cavities());
        if (opening > 0) {
            cuts.add(Leaf.extrusion("opening", Profile.hole(ox, oy, opening, 72), Placement.HERE, -mount.standoffMm() - 1, t + tool.standoffMm() + 1));
        }
        List<Screw> screws = new ArrayList<>(mount.screws());
        screws.addAll(tool.screws());
        Placement site = Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -mount.standoffMm()).turnedDeg(in.get(MOUNT.turn));
        return PartForm.of(Piece.only("plate", new Solid.Difference(new Solid.Union(body), cuts), cavities, reaches(mount, tool)), screws,
                List.of(mount.heldThing().standingThere(), tool.heldThing()), dimensions(in, mount, tool), Optional.of(new PartForm.Mount(site, false)))
                .withPorts(List.of(new Port("tool", "the holes of its tool side", in.get(TOOL_SIDE))));
    }

    private static List<Reach> reaches(ScrewRow mount, ScrewRow tool) {
        List<Reach> all = new ArrayList<>(mount.reaches());
        all.addAll(tool.reaches());
        for (double side : new double[] {1, -1}) {
            all.add(new Reach("plate", Vec3.X.times(side), new Lever(WIDTH, 0.5, "plate width")));
            all.add(new Reach("plate", Vec3.Y.times(side), new Lever(HEIGHT, 0.5, "plate height")));
        }
        all.add(new Reach("plate", Vec3.Z, new Lever(THICKNESS, 1, "plate")));
        all.add(new Reach("opening", Vec3.ZERO, new Lever(OPENING, -0.5, "opening Ø")));
        return all;
    }

    private static void requireOnPlate(ScrewRow row, String label, double halfW, double halfH) {
        for (double[] p : row.places()) {
            double overX = Math.abs(p[0]) + row.cutRadiusMm() - halfW;
            double overY = Math.abs(p[1]) + row.slotMm() / 2 + row.cutRadiusMm() - halfH;
            if (overX > 0 || overY > 0) {
                boolean wide = overX >= overY;
                double needed = Math.ceil(2 * ((wide ? halfW : halfH) + Math.max(overX, overY) + 2));
                throw new PartProblem(wide ? WIDTH : HEIGHT, "A " + label + " hole reaches " + Quantity.mm(Math.max(overX, overY))
                        + " beyond the plate's edge. Make the plate at least " + Quantity.mm(needed) + (wide ? " wide" : " high") + ", or move the pattern.");
            }
        }
    }

    private static List<Dimension> dimensions(PartInputs in, ScrewRow mount, ScrewRow tool) {
        double w = in.get(WIDTH) / 2;
        double h = in.get(HEIGHT) / 2;
        double t = in.get(THICKNESS);
        double top = t + tool.standoffMm();
        List<Dimension> d = new ArrayList<>();
        d.add(Dimension.across(View.TOP, -w, -h, 0, w, -h, 0, -14, WIDTH));
        d.add(Dimension.up(View.TOP, -w, -h, 0, -w, h, 0, -14, HEIGHT));
        double[] a = mount.places().get(0);
        double[] b = mount.places().get(1);
        double[] c = mount.places().get(mount.places().size() - 1);
        d.add(Dimension.across(View.TOP, a[0], a[1], 0, b[0], b[1], 0, -(h + a[1]) - 6, null));
        d.add(Dimension.up(View.TOP, a[0], a[1], 0, c[0], c[1], 0, -(w + a[0]) - 6, null));
        double[] e = tool.places().get(tool.places().size() - 1);
        double[] f = tool.places().get(tool.places().size() - 2);
        d.add(Dimension.across(View.TOP, e[0], e[1], 0, f[0], f[1], 0, h - e[1] + 6, null));
        double[] g = tool.places().get(Math.min(1, tool.places().size() - 1));
        d.add(Dimension.up(View.TOP, f[0], f[1], 0, g[0], g[1], 0, w - f[0] + 6, null));
        d.add(Dimension.up(View.FRONT, w, 0, 0, w, 0, t, 8, THICKNESS));
        if (tool.standoffMm() > 0) {
            double x = tool.places().stream().mapToDouble(p -> p[0]).min().orElse(0) - tool.bossMm() / 2;
            d.add(Dimension.up(View.FRONT, x, 0, t, x, 0, top, -8 - Math.max(0, x + w), CARRIED.standoff));
            double y = tool.places().stream().mapToDouble(p -> p[1]).max().orElse(0);
            d.add(Dimension.across(View.SIDE, 0, y - tool.bossMm() / 2, top, 0, y + tool.bossMm() / 2, top, 7, CARRIED.boss));
        }
        if (mount.standoffMm() > 0) {
            double x = mount.places().stream().mapToDouble(p -> p[0]).min().orElse(0) - mount.bossMm() / 2;
            d.add(Dimension.up(View.FRONT, x, 0, -mount.standoffMm(), x, 0, 0, -8 - Math.max(0, x + w), MOUNT.standoff));
        }
        d.add(Dimension.up(View.SIDE, 0, h, -mount.standoffMm(), 0, h, top, 8, null));
        return d.stream().filter(x -> x.lengthMm() > 0.01).toList();
    }
}
