package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.air.UsualFan;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.FanRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.bind.TipRef;
import tinperch.part.block.DuctOutlets;
import tinperch.part.block.DuctTube;
import tinperch.part.block.Gathered;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.SlottedTab;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
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
import tinperch.solid.Vec3;

/**
 * A duct from an axial fan to a slot, to two, or to a ring: a plate the fan is screwed to, and a tube that leads from its round opening smoothly to a slot beside it, with
 * the outlet turned so that the air goes where it is wanted. The fan lies under z = 0 and blows up; the outlet is moved and turned along x,
 * two of them stand side by side along y. Aimed, it leads to where the tip of a nozzle is. A bracket with upright slots holds it where holes are bound.
 */
public final class FanDuct implements PartFamily {
    private static final Card PLATE_CARD = new Card("plate", "Plate");
    private static final Card FAN_CARD = new Card("fan", "Holds: the fan");
    private static final Card DUCT = new Card("duct", "Duct");
    private static final Card OUTLET = new Card("outlet", "Reaches: the outlet");
    private static final Card TAB_CARD = new Card("tab", "Holds: machine side");

    public static final NumberParam PLATE = NumberParam.length("plate.thickness", PLATE_CARD, "Plate", 1, 20, 8, "An insert needs its length, a millimetre below and a ledge");
    public static final NumberParam RIM = NumberParam.length("plate.rim", PLATE_CARD, "Rim round the fan", 0, 20, 1, "How far the plate stands out beyond the fan's frame, each side");
    public static final NumberParam INLET = NumberParam.length("plate.inlet", PLATE_CARD, "Inlet Ø", 5, 120, 36, "A little less than the fan's opening leaves plastic round the screws");
    public static final ScrewBlock FAN_SCREWS = new ScrewBlock("fan", "fan", FAN_CARD, SeatKind.INSERT, 0, 10, 16);
    public static final DuctOutlets OUTLETS = new DuctOutlets(DUCT, OUTLET);
    public static final SlottedTab TAB = new SlottedTab(TAB_CARD);

    public static final Role<FanRef> FAN = new Role<>("fan", FanRef.KIND, "fan", "the axial fan with its holes and its opening", false, "fan-40x10");

    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes or threads its bracket is screwed to", true, "pair-20");
    public static final Role<TipRef> AIM = new Role<>("aim", TipRef.KIND, "nozzle", "what the air is aimed at: its tip", true, "");

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
        return List.of(FAN, MACHINE_SIDE, AIM);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(PLATE, RIM, INLET));
        all.addAll(FAN_SCREWS.params());
        all.addAll(OUTLETS.params());
        all.addAll(TAB.params());
        all.add(Marking.HEIGHT);
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
            return OUTLETS.length.show(v) + " long, wall " + OUTLETS.wall.show(v);
        }
        if (card.equals(TAB_CARD)) {
            return TAB.screws.thread.of(v) + " in slots of " + TAB.screws.slot.show(v) + " where holes are bound";
        }
        return card.equals(OUTLET) ? OUTLETS.summary(v) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** As wide as the fan, with a slot that lets its air out. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(FAN).filter(f -> f.ringMm() > 10).map(f -> {
            double slot = Math.floor(f.ringMm() * 0.95);
            double height = Math.ceil(0.62 * Math.PI * f.ringMm() * f.ringMm() / 4 / slot);
            return List.of(Values.START.with(INLET, f.ringMm() - 2).with(OUTLETS.width, slot).with(OUTLETS.height, height).with(OUTLETS.length, Math.max(OUTLETS.length.start(), Math.ceil(f.ringMm())))
                    .with(FAN_SCREWS.held, f.depthMm()).with(FAN_SCREWS.length, Math.ceil((f.depthMm() + 6) / 2) * 2));
        }).orElse(List.of(Values.START));
    }

    @Override
    public PartForm form(PartInputs in) {
        FanRef fan = in.get(FAN);
        HolesRef holes = fan.holes().orElseThrow(() -> new PartProblem("The holes of “" + fan.name() + "” are not known; read them from outside to outside and inside to inside."));
        double plate = in.get(PLATE);
        double inlet = in.get(INLET) / 2;
        double wall = in.get(OUTLETS.wall);
        double half = fan.frameMm() / 2 + in.get(RIM);
        if (inlet + wall > half) {
            throw new PartProblem(INLET, "An inlet of Ø " + Quantity.mm(2 * inlet) + " with walls of " + Quantity.mm(wall) + " is wider than the plate of " + Quantity.mm(2 * half)
                    + "; make it at most " + Quantity.mm(Math.floor(2 * (half - wall))) + ", or the rim wider.");
        }
        ScrewRow row = new ScrewRow(FAN_SCREWS, in, holes, "part", PLATE, false);
        double standoff = row.standoffMm();
        Optional<SlottedTab.Made> tab = in.refs().of(MACHINE_SIDE).map(m -> TAB.of(in, m, -half, half));
        PartForm.Mount mount = tab.map(SlottedTab.Made::mount).orElseGet(() -> new PartForm.Mount(Placement.at(0, 0, -standoff), false));
        DuctOutlets.Made outlets = OUTLETS.of(in, new Vec3(0, 0, plate), in.refs().of(AIM), mount.frame());
        outlets.clearOf(plate, "plate", in.refs().of(AIM));
        DuctTube.Section opening = DuctTube.Section.circle(2 * inlet);
        Gathered all = new Gathered().body(Leaf.extrusion("plate", Profile.roundedRectangle(0, 0, 2 * half, 2 * half, Math.min(3, half / 3), 6), Placement.HERE, 0, plate))
                .bodies(outlets.bodies(opening, plate / 2)).row(row, 0);
        // Its polygon goes round the circle.
        all.cuts(outlets.air(DuctTube.Section.circle(2 * inlet / Math.cos(Math.PI / SIDES)), -1 - standoff));
        all.holding(new Held(fan.name(), Leaf.extrusion("fan", Profile.of(Profile.rectangle(0, 0, fan.frameMm(), fan.frameMm()).ring(0), Profile.hole(0, 0, Math.max(2, fan.ringMm()), SIDES).ring(0)),
                Placement.HERE, -standoff - fan.depthMm(), -standoff), 0));
        tab.ifPresent(all::tab);
        all.reach(new Reach("plate", Vec3.Z, new Lever(PLATE, 1, "plate")), new Reach("duct", Vec3.ZERO, new Lever(OUTLETS.wall, 1, "duct wall")));
        for (Vec3 side : List.of(Vec3.X, Vec3.X.times(-1), Vec3.Y, Vec3.Y.times(-1))) {
            all.reach(new Reach("plate", side, new Lever(RIM, 1, "rim")));
        }
        double ring = fan.ringMm() > 0 ? fan.ringMm() : 2 * inlet;
        return PartForm.of(all.piece("duct"), all.screws(), all.held(), dimensions(in, outlets, half), Optional.of(mount)).withAir(List.of(outlets.path("air of the " + fan.name(), Math.PI * ring * ring / 4)
                .from(new Placement(new Vec3(0, 0, -standoff - fan.depthMm()), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1)), ring).drivenBy(UsualFan.of(fan.frameMm(), fan.depthMm(), false))));
    }

    private static List<Dimension> dimensions(PartInputs in, DuctOutlets.Made outlets, double half) {
        Vec3 to = outlets.outlet().origin();
        double wide = in.get(OUTLETS.width) / 2;
        boolean free = !outlets.isAimed();
        return List.of(Dimension.across(View.TOP, -half, -half, 0, half, -half, 0, -14, null), Dimension.up(View.TOP, -half, -half, 0, -half, half, 0, -14, null),
                Dimension.up(View.FRONT, -half, 0, 0, -half, 0, in.get(PLATE), -8, PLATE), Dimension.up(View.FRONT, half, 0, in.get(PLATE), to.x(), 0, to.z(), 14, free ? OUTLETS.length : null),
                Dimension.across(View.FRONT, 0, 0, 0, to.x(), 0, to.z(), -12, free ? OUTLETS.offset : null), Dimension.across(View.SIDE, 0, to.y() - wide, to.z(), 0, to.y() + wide, to.z(), 10, OUTLETS.width))
                .stream().filter(d -> d.lengthMm() > 0.01).toList();
    }
}
