package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Role;
import tinperch.part.block.BallCup;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.Joint;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
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
import tinperch.solid.shape.Pattern;
import tinperch.solid.shape.Profiles;

/**
 * An arm of ball links between a plate on the machine and a plate for what it carries: put where it is wanted by hand, held by the fingers' friction. The base's underside is z = 0, all links stand upright above it; the head is
 * printed on the face its thing lies on, its cup upwards.
 */
public final class BallArm implements PartFamily {
    private static final Card BASE_CARD = new Card("base", "Base");
    private static final Card FIXED = new Card("mount", "Holds: machine side");
    private static final Card LINKS_CARD = new Card("links", "Ball links");
    private static final Card HEAD_CARD = new Card("head", "Head");
    private static final Card CARRIED_CARD = new Card("carried", "Holds: what it carries");

    public static final NumberParam PLATE = NumberParam.length("base.plate", BASE_CARD, "Plate", 2, 20, 5, "Thickness of the base");
    public static final NumberParam RIM = NumberParam.length("base.rim", BASE_CARD, "Rim", 2, 40, 6, "Round the holes of base and head");
    public static final NumberParam RISE = NumberParam.length("base.rise", BASE_CARD, "Room to tilt", 1, 100, 6, "Under the first cup");
    public static final ScrewBlock MOUNT = new ScrewBlock("mount", "machine-side", FIXED, SeatKind.LOOSE_NUT, 0, 3, 12);
    public static final NumberParam LINKS = NumberParam.count("links.count", LINKS_CARD, "Links", 0, 8, 3, "Between base and head; each makes the arm longer, and the base's ball bears more");
    public static final NumberParam PITCH = NumberParam.length("links.pitch", LINKS_CARD, "From ball to ball", 10, 150, 32, "Middle to middle");
    public static final BallCup CUP = new BallCup(LINKS_CARD);
    public static final NumberParam HEAD = NumberParam.length("head.plate", HEAD_CARD, "Plate", 2, 20, 4, "Thickness of the head");
    public static final ScrewBlock CARRIED = new ScrewBlock("carried", "carried", CARRIED_CARD, SeatKind.LOOSE_NUT, 0, 1.6, 10);

    public static final Role<HolesRef> MACHINE_SIDE = new Role<>("mount", HolesRef.KIND, "machine side", "the holes it is fixed to", false, "pair-40");
    public static final Role<HolesRef> THING = new Role<>("carried", HolesRef.KIND, "what it carries", "the holes of a board, a lamp, a camera", false, "holes-32x32");

    private static final double FLOOR_MM = 1.2;

    @Override
    public String id() {
        return "ball-arm";
    }

    @Override
    public String title() {
        return "Arm of ball links";
    }

    @Override
    public String purpose() {
        return "Carries a board, a lamp or a camera on links that are put by hand and stay by friction.";
    }

    @Override
    public Does does() {
        return Does.CARRIES;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(MACHINE_SIDE, THING);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(PLATE, RIM, RISE));
        all.addAll(MOUNT.params());
        all.addAll(List.of(LINKS, PITCH));
        all.addAll(CUP.params());
        all.add(HEAD);
        all.addAll(CARRIED.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(BASE_CARD)) {
            return PLATE.show(v) + " thick";
        }
        if (card.equals(LINKS_CARD)) {
            return LINKS.show(v) + " of " + PITCH.show(v) + ", balls of Ø " + CUP.ball.show(v);
        }
        if (card.equals(HEAD_CARD)) {
            return HEAD.show(v) + " thick";
        }
        ScrewBlock b = card.equals(FIXED) ? MOUNT : CARRIED;
        return card.equals(FIXED) || card.equals(CARRIED_CARD) ? b.thread.of(v) + "×" + Quantity.plain(b.length.of(v), Unit.MM) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    @Override
    public PartForm form(PartInputs in) {
        int links = (int) Math.round(in.get(LINKS));
        double pitch = in.get(PITCH);
        double least = CUP.crownMm(in) + CUP.underMm(in);
        if (links > 0 && pitch < least) {
            throw new PartProblem(PITCH, "Balls of Ø " + CUP.ball.show(in.values()) + " want " + Quantity.mm(Math.ceil(least)) + " from one to the next; lengthen the links or take smaller balls.");
        }
        double first = in.get(PLATE) + CUP.mouthMm(in) + in.get(RISE);
        double last = first + links * pitch;
        ScrewRow mount = new ScrewRow(MOUNT, in, in.get(MACHINE_SIDE), "base", PLATE, false);
        ScrewRow carried = new ScrewRow(CARRIED, in, in.get(THING), "head", HEAD, false);
        List<Piece> pieces = new ArrayList<>();
        List<Held> held = new ArrayList<>(List.of(mount.heldThing().standingThere()));
        pieces.add(new Piece("base", "base", base(in, mount, first), mount.cavities(), Placement.HERE, 1, Vec3.Z.times(-20), reaches(mount, "base plate", PLATE)));
        double middle = in.get(HEAD) + FLOOR_MM + in.get(CUP.ball) / 2;
        double arm = links * pitch + middle;
        List<Joint> joints = new ArrayList<>(CUP.joints(in, "base's ball", arm, links == 0 ? List.of() : List.of(new Lever(LINKS, pitch, "links"), new Lever(PITCH, links, "from ball to ball"))));
        for (int i = 0; i < links; i++) {
            String of = links == 1 ? "" : " " + (i + 1);
            pieces.add(new Piece("link" + of.strip(), "link" + of, CUP.link(in, "link" + of, pitch), List.of(), Placement.at(0, 0, first + i * pitch - CUP.mouthMm(in)), 1, new Vec3(30 * (i + 1), 0, 0),
                    List.of(new Reach("link", Vec3.ZERO, new Lever(CUP.wall, 1, "cup's wall")))));
        }
        Placement over = new Placement(new Vec3(0, 0, last + middle), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1));
        pieces.add(new Piece("head", "head", head(in, carried, middle), carried.cavities(), over, 1, Vec3.Z.times(20), reaches(carried, "head plate", HEAD)));
        Held thing = carried.heldThing();
        held.add(thing.as(Pattern.placed(thing.solid(), over, "")));
        List<Screw> screws = new ArrayList<>(mount.screws());
        screws.addAll(carried.screws());
        return new PartForm(pieces, screws, held, joints, List.of(), dimensions(in, mount, first, last + middle),
                Optional.of(new PartForm.Mount(Placement.at(in.get(MOUNT.x), in.get(MOUNT.y), -mount.standoffMm()).turnedDeg(in.get(MOUNT.turn)), false)));
    }

    private static Profile plate(PartInputs in, ScrewRow row) {
        List<Profile> rims = new ArrayList<>(row.places().stream().map(p -> Profile.disc(p[0], p[1], 2 * (row.cutRadiusMm() + in.get(RIM)), 32)).toList());
        rims.add(Profile.disc(0, 0, 2 * (CUP.outerMm(in) + 1), 48));
        return Profiles.hull(rims);
    }

    private static Solid base(PartInputs in, ScrewRow mount, double middle) {
        clear(in, mount, in.get(CUP.ball) / 2);
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("base plate", plate(in, mount), Placement.HERE, 0, in.get(PLATE)), CUP.post(in, "ball", in.get(PLATE) / 2, middle)));
        body.addAll(mount.bosses());
        return new Solid.Difference(new Solid.Union(body), mount.cuts(0));
    }

    private static Solid head(PartInputs in, ScrewRow carried, double middle) {
        clear(in, carried, CUP.outerMm(in));
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("head plate", plate(in, carried), Placement.HERE, 0, in.get(HEAD)), CUP.cup(in, "cup", in.get(HEAD) / 2, middle)));
        body.addAll(carried.bosses());
        return new Solid.Difference(new Solid.Union(body), carried.cuts(0));
    }

    /** Heads and washers have to find room beside the ball or the cup, and a driver has to come past them. */
    private static void clear(PartInputs in, ScrewRow row, double radius) {
        for (Screw s : row.screws()) {
            double off = Math.hypot(s.axis().origin().x(), s.axis().origin().y()) - s.seatWidthMm() / 2 - radius;
            if (off < 0) {
                throw new PartProblem(CUP.ball, "The screws' heads stand " + Quantity.mm(-off) + " into what rises in the middle of the plate; take smaller balls, a thinner wall, or move the pattern.");
            }
        }
    }

    private static List<Reach> reaches(ScrewRow row, String plate, NumberParam thick) {
        List<Reach> all = new ArrayList<>(row.reaches());
        all.add(new Reach(plate, Vec3.Z, new Lever(thick, 1, "plate")));
        all.add(new Reach(plate, Vec3.ZERO, new Lever(RIM, 1, "rim")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, ScrewRow mount, double first, double top) {
        double half = CUP.outerMm(in) + in.get(RIM);
        List<Dimension> all = new ArrayList<>(List.of(Dimension.up(View.FRONT, half, 0, 0, half, 0, in.get(PLATE), 8, PLATE), Dimension.up(View.FRONT, -half, 0, 0, -half, 0, top, -16, null),
                Dimension.across(View.FRONT, -in.get(CUP.ball) / 2, 0, first, in.get(CUP.ball) / 2, 0, first, 4, CUP.ball)));
        if (in.get(LINKS) > 0.5) {
            all.add(Dimension.up(View.FRONT, half, 0, first, half, 0, first + in.get(PITCH), 18, PITCH));
        }
        return all;
    }
}
