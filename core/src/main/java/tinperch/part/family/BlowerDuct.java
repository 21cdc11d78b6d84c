package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.air.UsualFan;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.BlowerRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.bind.TipRef;
import tinperch.part.block.DuctOutlets;
import tinperch.part.block.DuctTube;
import tinperch.part.block.Gathered;
import tinperch.part.block.SlottedTab;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Reach;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;

/**
 * A duct on the square outlet of a radial fan: a socket the outlet is pushed into, and a tube that leads on to a slot, to two, or to a ring round the
 * nozzle. The fan is under z = 0 and blows up; its intake looks along x. A bracket with upright slots holds it where holes are bound.
 */
public final class BlowerDuct implements PartFamily {
    private static final Card SOCKET_CARD = new Card("socket", "Holds: the fan");
    private static final Card DUCT = new Card("duct", "Duct");
    private static final Card OUTLET = new Card("outlet", "Reaches: the outlet");
    private static final Card TAB_CARD = new Card("tab", "Holds: machine side");

    public static final NumberParam DEPTH = NumberParam.length("socket.depth", SOCKET_CARD, "Socket", 3, 40, 8, "How far the fan's outlet goes in");
    public static final NumberParam PLAY = NumberParam.length("socket.play", SOCKET_CARD, "Play", -0.2, 1, 0.1, "On the outlet's width, beside what the printer needs between flat walls");
    public static final NumberParam RIM = NumberParam.length("socket.wall", SOCKET_CARD, "Socket's wall", 0.8, 10, 2, "Round the fan's outlet");
    public static final NumberParam LEDGE = NumberParam.length("socket.ledge", SOCKET_CARD, "Ledge", 0.3, 5, 0.9, "What the outlet's rim stops at; as wide as that rim is thick, so that nothing is in the air's way");
    public static final DuctOutlets OUTLETS = new DuctOutlets(DUCT, OUTLET);
    public static final SlottedTab TAB = new SlottedTab(TAB_CARD);

    public static final Role<BlowerRef> FAN = new Role<>("fan", BlowerRef.KIND, "fan", "the radial fan with its outlet", false, "blower-50");
    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes or threads its bracket is screwed to", true, "pair-20");
    public static final Role<TipRef> AIM = new Role<>("aim", TipRef.KIND, "nozzle", "what the air is aimed at: its tip", true, "");

    /** Of a radial fan's housing its intake is about so much across (common practice, value from memory). */
    private static final double INTAKE = 0.6;
    /** From the ledge to where the tube leaves the socket. */
    private static final double LEAST_MM = 1.5;

    @Override
    public String id() {
        return "blower-duct";
    }

    @Override
    public String title() {
        return "Radial fan's duct";
    }

    @Override
    public String purpose() {
        return "Leads a radial fan's air from its outlet to a slot, two slots or a ring at the nozzle.";
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
        List<Param<?>> all = new ArrayList<>(List.of(DEPTH, PLAY, RIM, LEDGE));
        all.addAll(OUTLETS.params());
        all.addAll(TAB.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(SOCKET_CARD)) {
            return DEPTH.show(v) + " deep, wall " + RIM.show(v);
        }
        if (card.equals(DUCT)) {
            return OUTLETS.length.show(v) + " long, wall " + OUTLETS.wall.show(v);
        }
        if (card.equals(TAB_CARD)) {
            return TAB.screws.thread.of(v) + " in slots of " + TAB.screws.slot.show(v) + " where holes are bound";
        }
        return card.equals(OUTLET) ? OUTLETS.summary(v) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** A slot as large as the fan's outlet, wider than high. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(FAN).map(f -> {
            double area = (f.mouthMm() - 2 * LEDGE.start()) * (f.mouthDepthMm() - 2 * LEDGE.start());
            double width = Math.ceil(f.mouthMm() * 1.2);
            return List.of(Values.START.with(OUTLETS.width, width).with(OUTLETS.height, Math.max(2, Math.ceil(10 * area / width) / 10)).with(OUTLETS.length, Math.max(30, Math.ceil(1.5 * f.mouthMm()))));
        }).orElse(List.of(Values.START));
    }

    @Override
    public PartForm form(PartInputs in) {
        BlowerRef fan = in.get(FAN);
        double deep = in.get(DEPTH);
        double ledge = in.get(LEDGE);
        double wide = fan.mouthMm() + in.get(PLAY) + in.fits().slotMm();
        double high = fan.mouthDepthMm() + in.get(PLAY) + in.fits().slotMm();
        if (2 * ledge > Math.min(wide, high) - 2) {
            throw new PartProblem(LEDGE, "A ledge of " + Quantity.mm(ledge) + " all round closes the fan's outlet of " + Quantity.mm(fan.mouthMm()) + " × " + Quantity.mm(fan.mouthDepthMm()) + "; make it narrower.");
        }
        double outerX = high / 2 + in.get(RIM);
        double outerY = wide / 2 + in.get(RIM);
        double top = deep + LEAST_MM;
        Optional<SlottedTab.Made> tab = in.refs().of(MACHINE_SIDE).map(m -> TAB.of(in, m, -outerX, outerY));
        PartForm.Mount mount = tab.map(SlottedTab.Made::mount).orElseGet(() -> new PartForm.Mount(Placement.HERE, false));
        DuctOutlets.Made outlets = OUTLETS.of(in, new Vec3(0, 0, top), in.refs().of(AIM), mount.frame());
        outlets.clearOf(top, "socket", in.refs().of(AIM));
        DuctTube.Section opening = DuctTube.Section.slot(wide - 2 * ledge, high - 2 * ledge);
        Gathered all = new Gathered().body(Leaf.extrusion("socket", Profile.rectangle(0, 0, 2 * outerX, 2 * outerY), Placement.HERE, 0, top)).bodies(outlets.bodies(opening, deep))
                .cut(Leaf.extrusion("fan's outlet", Profile.rectangle(0, 0, high, wide), Placement.HERE, -1, deep)).cuts(outlets.air(opening, deep - 1));
        all.holding(new Held(fan.name(), Leaf.extrusion("fan", Profile.rectangle(0, (fan.frameMm() - fan.mouthMm()) / 2, fan.depthMm(), fan.frameMm()), Placement.HERE, -fan.frameMm() - 0.5, -0.5), 0));
        tab.ifPresent(all::tab);
        all.reach(new Reach("duct", Vec3.ZERO, new Lever(OUTLETS.wall, 1, "duct wall")));
        for (Vec3 side : List.of(Vec3.X, Vec3.X.times(-1), Vec3.Y, Vec3.Y.times(-1))) {
            all.reach(new Reach("socket", side, new Lever(RIM, 1, "socket's wall")));
        }
        return PartForm.of(all.piece("duct"), all.screws(), all.held(), dimensions(in, outlets, outerX, outerY, top), Optional.of(mount))
                .withAir(List.of(outlets.path("air of the " + fan.name(), opening.widthMm() * opening.heightMm())
                        .from(new Placement(new Vec3(fan.depthMm() / 2, (fan.frameMm() - fan.mouthMm()) / 2, -fan.frameMm() / 2), Vec3.Y, Vec3.Z, Vec3.X), INTAKE * fan.frameMm()).drivenBy(UsualFan.of(fan.frameMm(), fan.depthMm(), true))));
    }

    private static List<Dimension> dimensions(PartInputs in, DuctOutlets.Made outlets, double x, double y, double top) {
        Vec3 to = outlets.outlet().origin();
        boolean free = !outlets.isAimed();
        double half = in.get(OUTLETS.width) / 2;
        return List.of(Dimension.across(View.TOP, -x, -y, 0, x, -y, 0, -14, null), Dimension.up(View.TOP, -x, -y, 0, -x, y, 0, -14, null), Dimension.up(View.FRONT, -x, 0, 0, -x, 0, in.get(DEPTH), -8, DEPTH),
                Dimension.up(View.FRONT, x, 0, top, to.x(), 0, to.z(), 14, free ? OUTLETS.length : null), Dimension.across(View.FRONT, 0, 0, 0, to.x(), 0, to.z(), -12, free ? OUTLETS.offset : null),
                Dimension.across(View.SIDE, 0, to.y() - half, to.z(), 0, to.y() + half, to.z(), 10, OUTLETS.width)).stream().filter(d -> d.lengthMm() > 0.01).toList();
    }
}
