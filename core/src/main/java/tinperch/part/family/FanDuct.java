package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.FanRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.DuctTube;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.AirPath;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
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
 * A duct from an axial fan to a slot, or to two: a plate the fan is screwed to, and a tube that leads from its round opening smoothly to a slot beside it, with
 * the outlet turned so that the air goes where it is wanted. The fan lies under z = 0 and blows up; the outlet is moved and turned along x,
 * two of them stand side by side along y.
 */
public final class FanDuct implements PartFamily {
    private static final Card PLATE_CARD = new Card("plate", "Plate");
    private static final Card FAN_CARD = new Card("fan", "Holds: the fan");
    private static final Card DUCT = new Card("duct", "Duct");
    private static final Card OUTLET = new Card("outlet", "Reaches: the outlet");

    public static final NumberParam PLATE = NumberParam.length("plate.thickness", PLATE_CARD, "Plate", 1, 20, 8, "An insert needs its length, a millimetre below and a ledge");
    public static final NumberParam RIM = NumberParam.length("plate.rim", PLATE_CARD, "Rim round the fan", 0, 20, 1, "How far the plate stands out beyond the fan's frame, each side");
    public static final NumberParam INLET = NumberParam.length("plate.inlet", PLATE_CARD, "Inlet Ø", 5, 120, 36, "A little less than the fan's opening leaves plastic round the screws");
    public static final ScrewBlock FAN_SCREWS = new ScrewBlock("fan", "fan", FAN_CARD, SeatKind.INSERT, 0, 10, 16);
    public static final NumberParam WALL = NumberParam.length("duct.wall", DUCT, "Duct wall", 0.4, 10, 1.6, "Four lines of a 0.4 mm nozzle; a slanted wall is thinner than this across");
    public static final NumberParam LENGTH = NumberParam.length("duct.length", DUCT, "Length", 10, 250, 40, "From the plate to the middle of the outlet, along the fan's axis");
    public static final NumberParam OFFSET = NumberParam.length("duct.offset", DUCT, "Offset", -150, 150, 12, "From the fan's axis to the middle of the outlet, along x");
    public static final NumberParam WIDTH = NumberParam.length("outlet.width", OUTLET, "Slot width", 3, 150, 36, "Along y");
    public static final NumberParam HEIGHT = NumberParam.length("outlet.height", OUTLET, "Slot height", 2, 100, 19, "Across the width");
    public static final NumberParam TILT = NumberParam.angle("outlet.tilt", OUTLET, "Outlet turned", -75, 75, 20, "From the fan's axis towards +x; the air leaves that way");

    public static final Role<FanRef> FAN = new Role<>("fan", FanRef.KIND, "fan", "the axial fan with its holes and its opening", false, "fan-40x10");

    public static final NumberParam OUTLETS = NumberParam.count("outlet.count", OUTLET, "Slots", 1, 2, 1, "Two lead the air to either side of the nozzle");
    public static final NumberParam APART = NumberParam.length("outlet.apart", OUTLET, "Slots apart", 5, 300, 60, "From middle to middle along y, where there are two");

    private static final String AIR = "air";
    private static final int SIDES = DuctTube.SIDES;

    @Override
    public String id() {
        return "fan-duct";
    }

    @Override
    public String title() {
        return "Fan duct";
    }

    @Override
    public String purpose() {
        return "Leads an axial fan's air smoothly to a slot beside it, turned to where it is wanted.";
    }

    @Override
    public Does does() {
        return Does.MOVES_AIR;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(FAN);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(PLATE, RIM, INLET));
        all.addAll(FAN_SCREWS.params());
        all.addAll(List.of(WALL, LENGTH, OFFSET, WIDTH, HEIGHT, TILT, OUTLETS, APART, Marking.HEIGHT));
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(PLATE_CARD)) {
            return PLATE.show(v) + " thick, inlet " + INLET.show(v);
        }
        if (card.equals(FAN_CARD)) {
            return FAN_SCREWS.thread.of(v) + "×" + Quantity.plain(FAN_SCREWS.length.of(v), Unit.MM);
        }
        if (card.equals(DUCT)) {
            return LENGTH.show(v) + " long, wall " + WALL.show(v);
        }
        return card.equals(OUTLET) ? (OUTLETS.of(v) > 1 ? "two of " : "") + WIDTH.show(v) + " × " + HEIGHT.show(v) + ", turned " + TILT.show(v) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** As wide as the fan, with a slot that lets its air out. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(FAN).filter(f -> f.ringMm() > 10).map(f -> {
            double slot = Math.floor(f.ringMm() * 0.95);
            double height = Math.ceil(0.62 * Math.PI * f.ringMm() * f.ringMm() / 4 / slot);
            return List.of(Values.START.with(INLET, f.ringMm() - 2).with(WIDTH, slot).with(HEIGHT, height).with(LENGTH, Math.max(LENGTH.start(), Math.ceil(f.ringMm())))
                    .with(FAN_SCREWS.held, f.depthMm()).with(FAN_SCREWS.length, Math.ceil((f.depthMm() + 6) / 2) * 2));
        }).orElse(List.of(Values.START));
    }

    @Override
    public PartForm form(PartInputs in) {
        FanRef fan = in.get(FAN);
        HolesRef holes = fan.holes().orElseThrow(() -> new PartProblem("The holes of “" + fan.name() + "” are not known; read them from outside to outside and inside to inside."));
        double plate = in.get(PLATE);
        double inlet = in.get(INLET) / 2;
        double wall = in.get(WALL);
        double half = fan.frameMm() / 2 + in.get(RIM);
        if (inlet + wall > half) {
            throw new PartProblem(INLET, "An inlet of Ø " + Quantity.mm(2 * inlet) + " with walls of " + Quantity.mm(wall) + " is wider than the plate of " + Quantity.mm(2 * half)
                    + "; make it at most " + Quantity.mm(Math.floor(2 * (half - wall))) + ", or the rim wider.");
        }
        List<DuctTube> ways = tubes(in);
        DuctTube way = ways.get(0);
        Vec3 lowest = way.to().plus(way.lying(1).u().times(Math.signum(in.get(TILT)) * (in.get(HEIGHT) / 2 + wall)));
        if (lowest.z() < plate + 1) {
            throw new PartProblem(LENGTH, "The edge of an outlet turned by " + TILT.show(in.values()) + " reaches back into the plate; make the duct at least "
                    + Quantity.mm(Math.ceil(in.get(LENGTH) + plate + 1 - lowest.z())) + " long, or turn it less.");
        }
        ScrewRow row = new ScrewRow(FAN_SCREWS, in, holes, "part", PLATE, false);
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("plate", Profile.roundedRectangle(0, 0, 2 * half, 2 * half, Math.min(3, half / 3), 6), Placement.HERE, 0, plate),
                ways.get(0).leaf("duct", inlet + wall, in.get(WIDTH) + 2 * wall, in.get(HEIGHT) + 2 * wall, plate / 2, 0)));
        if (ways.size() > 1) {
            body.add(ways.get(1).leaf("duct", inlet + wall, in.get(WIDTH) + 2 * wall, in.get(HEIGHT) + 2 * wall, plate / 2, 0));
        }
        body.addAll(row.bosses());
        List<Solid> cuts = new ArrayList<>(row.cuts(0));
        ways.forEach(w -> cuts.add(w.leaf(AIR, inlet / Math.cos(Math.PI / SIDES), in.get(WIDTH), in.get(HEIGHT), -1 - row.standoffMm(), 1)));
        double standoff = row.standoffMm();
        Leaf frame = Leaf.extrusion("fan", Profile.of(Profile.rectangle(0, 0, fan.frameMm(), fan.frameMm()).ring(0), Profile.hole(0, 0, Math.max(2, fan.ringMm()), SIDES).ring(0)),
                Placement.HERE, -standoff - fan.depthMm(), -standoff);
        double ring = fan.ringMm() > 0 ? fan.ringMm() : 2 * inlet;
        AirPath air = new AirPath("air of the " + fan.name(), Math.PI * ring * ring / 4, ways.size() * in.get(WIDTH) * in.get(HEIGHT), way.lying(1),
                List.of(new Lever(HEIGHT, ways.size() * in.get(WIDTH), "slot height"), new Lever(WIDTH, ways.size() * in.get(HEIGHT), "slot width")), AIR,
                List.of(new Lever(WALL, 1, "duct wall")));
        List<Reach> reaches = new ArrayList<>(row.reaches());
        reaches.add(new Reach("plate", Vec3.Z, new Lever(PLATE, 1, "plate")));
        for (Vec3 side : List.of(Vec3.X, Vec3.Y)) {
            reaches.add(new Reach("plate", side, new Lever(RIM, 1, "rim")));
            reaches.add(new Reach("plate", side.times(-1), new Lever(RIM, 1, "rim")));
        }
        reaches.add(new Reach("duct", Vec3.ZERO, new Lever(WALL, 1, "duct wall")));
        Piece part = Piece.only("duct", new Solid.Difference(new Solid.Union(body), cuts), row.cavities(), reaches);
        return PartForm.of(part, row.screws(), List.of(new Held(fan.name(), frame, 0)), dimensions(in, way, half),
                Optional.of(new PartForm.Mount(Placement.at(0, 0, -standoff), false))).withAir(List.of(air));
    }

    /** The way of the air, or both. */
    private static List<DuctTube> tubes(PartInputs in) {
        double a = Math.toRadians(in.get(TILT));
        double z = in.get(PLATE);
        Vec3 from = new Vec3(0, 0, z);
        Vec3 out = new Vec3(Math.sin(a), 0, Math.cos(a));
        if (in.get(OUTLETS) < 1.5) {
            return List.of(new DuctTube(from, new Vec3(in.get(OFFSET), 0, z + in.get(LENGTH)), out));
        }
        double least = in.get(WIDTH) + 2 * in.get(WALL);
        if (in.get(APART) < least) {
            throw new PartProblem(APART, "Two slots " + Quantity.mm(in.get(WIDTH)) + " wide with their walls are " + Quantity.mm(least) + " from middle to middle at least; put them farther apart, or make them narrower.");
        }
        return List.of(1, -1).stream().map(side -> new DuctTube(from, new Vec3(in.get(OFFSET), side * in.get(APART) / 2, z + in.get(LENGTH)), out)).toList();
    }

    private static List<Dimension> dimensions(PartInputs in, DuctTube way, double half) {
        double x = way.to().x();
        double y = way.to().y();
        double z = way.to().z();
        double wide = in.get(WIDTH) / 2;
        return List.of(Dimension.across(View.TOP, -half, -half, 0, half, -half, 0, -14, null), Dimension.up(View.TOP, -half, -half, 0, -half, half, 0, -14, null),
                Dimension.up(View.FRONT, -half, 0, 0, -half, 0, in.get(PLATE), -8, PLATE), Dimension.up(View.FRONT, half, 0, in.get(PLATE), x, 0, z, 14, LENGTH),
                Dimension.across(View.FRONT, 0, 0, 0, x, 0, z, -12, OFFSET), Dimension.across(View.SIDE, 0, y - wide, z, 0, y + wide, z, 10, WIDTH));
    }
}
