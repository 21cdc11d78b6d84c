package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.block.Dovetails;
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
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A channel in which an upright or a slide of the machine runs: a floor screwed down, two walls with running clearance, their mouths led in. In two
 * pieces for a bed it is too long for. The channel runs along x; its floor lies from z = 0 up.
 */
public final class ChannelGuide implements PartFamily {
    private static final Card CHANNEL = new Card("channel", "Channel");
    private static final Card BASE_CARD = new Card("base", "Holds: machine side");
    private static final Card JOINT_CARD = new Card("joint", "Two pieces");

    public static final NumberParam LENGTH = NumberParam.length("channel.length", CHANNEL, "Length", 10, 800, 120, "Along the way the slide runs");
    public static final NumberParam PLAY = NumberParam.length("channel.play", CHANNEL, "Extra clearance", -0.1, 3, 0.15, "Each side, beside half of the printer's running fit; 0.2 to 0.3 together runs freely and does not rattle (common practice)");
    public static final NumberParam HIGH = NumberParam.length("channel.depth", CHANNEL, "Walls", 2, 120, 12, "Above the floor");
    public static final NumberParam WALL = NumberParam.length("channel.wall", CHANNEL, "Wall", 1.2, 40, 4, "Thickness of each");
    public static final NumberParam FLOOR = NumberParam.length("channel.floor", CHANNEL, "Floor", 1.2, 40, 8, "Heads are let into it where the slide runs over them");
    public static final NumberParam LEAD_IN = NumberParam.length("channel.lead-in", CHANNEL, "Lead-in", 0, 20, 2, "Chamfer of the walls at both mouths");
    public static final NumberParam EDGE = NumberParam.length("channel.edge", CHANNEL, "Beyond the holes", 2, 60, 7, "From the outermost holes to the floor's sides, where the walls do not reach as far");
    public static final ScrewBlock SCREWS = ScrewBlock.letIn("base", "machine-side", BASE_CARD, SeatKind.LOOSE_NUT, 3, 12, 4.5);
    public static final SwitchParam SPLIT = new SwitchParam("joint.split", JOINT_CARD, "In two pieces", false, "For a bed it is too long for; joined by a tapered dovetail in the floor");
    public static final Dovetails DOVETAILS = new Dovetails(JOINT_CARD);

    public static final Role<ProfileRef> SLIDE = new Role<>("slide", ProfileRef.KIND, "slide", "what runs in the channel: its width above all", false, "profile-20");
    public static final Role<HolesRef> BASE = new Role<>("base", HolesRef.KIND, "machine side", "the holes the floor is screwed to", false, "pair-60");

    @Override
    public String id() {
        return "channel-guide";
    }

    @Override
    public String title() {
        return "Channel guide";
    }

    @Override
    public String purpose() {
        return "Guides something that moves in a channel with running clearance, in one piece or two.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(SLIDE, BASE);
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(LENGTH, PLAY, HIGH, WALL, FLOOR, LEAD_IN, EDGE));
        all.addAll(SCREWS.params());
        all.add(SPLIT);
        all.addAll(DOVETAILS.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(CHANNEL)) {
            return LENGTH.show(v) + " long, " + PLAY.show(v) + " more than the running fit each side";
        }
        if (card.equals(BASE_CARD)) {
            return SCREWS.thread.of(v) + "×" + Quantity.plain(SCREWS.length.of(v), Unit.MM);
        }
        return card.equals(JOINT_CARD) ? SPLIT.of(v) ? "dovetail " + DOVETAILS.depth.show(v) + " deep" : "no, one piece" : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** Long enough for its holes; heads under the slide are let in. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(BASE).map(h -> {
            int thread = h.holes().get(0).diameterMm() > 5 ? 5 : h.holes().get(0).diameterMm() > 4 ? 4 : 3;
            return List.of(Values.START.with(SCREWS.thread, "M" + thread).with(SCREWS.length, thread > 3 ? 16.0 : 12.0).with(LENGTH, Math.max(LENGTH.start(), Math.ceil(2 * h.halfExtentMm()[0] + 24)))
                    .with(FLOOR, thread + 5.0).with(SCREWS.recess, thread + 1.5));
        }).orElse(List.of(Values.START));
    }

    @Override
    public PartForm form(PartInputs in) {
        ProfileRef slide = in.get(SLIDE);
        double half = (slide.widthMm() + in.fits().runningMm()) / 2 + in.get(PLAY);
        double out = half + in.get(WALL);
        double floor = in.get(FLOOR);
        double top = floor + in.get(HIGH);
        double length = in.get(LENGTH);
        List<ScrewRow> rows = rows(in);
        double beside = rows.stream().flatMap(r -> r.places().stream()).mapToDouble(p -> Math.abs(p[1])).max().orElse(0);
        double along = rows.stream().flatMap(r -> r.places().stream()).mapToDouble(p -> Math.abs(p[0])).max().orElse(0);
        double reach = rows.get(0).cutRadiusMm() + rows.get(0).slotMm() / 2;
        if (along + reach + 1 > length / 2) {
            throw new PartProblem(LENGTH, "The machine's holes lie up to " + Quantity.mm(along) + " from the middle; the channel must be at least " + Quantity.mm(Math.ceil(2 * (along + reach + 1))) + " long.");
        }
        double head = in.hardware().thread(in.get(SCREWS.thread)).headHeightMm(in.get(SCREWS.head)) + (in.get(SCREWS.washer) ? in.hardware().thread(in.get(SCREWS.thread)).washerThicknessMm() : 0);
        boolean under = rows.stream().flatMap(r -> r.places().stream()).anyMatch(p -> Math.abs(p[1]) < half);
        if (under && rows.get(0).cavities().stream().anyMatch(c -> c.purpose() == Cavity.Purpose.HEAD) && in.get(SCREWS.recess) < head) {
            throw new PartProblem(SCREWS.recess, "The slide runs over the screws and their heads stand " + Quantity.mm(head) + " high; let them in at least " + Quantity.mm(Math.ceil(head * 10) / 10) + ".");
        }
        double floorHalf = Math.max(out, beside + in.get(EDGE));
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("floor", Profile.rectangle(0, 0, length, 2 * floorHalf), Placement.HERE, 0, floor)));
        for (int side = -1; side <= 1; side += 2) {
            body.add(Leaf.extrusion("wall " + (side < 0 ? "front" : "back"), wall(in, half, out, side), Placement.HERE, floor / 2, top));
        }
        List<Solid> cuts = new ArrayList<>();
        List<Screw> screws = new ArrayList<>();
        rows.forEach(r -> {
            body.addAll(r.bosses());
            cuts.addAll(r.cuts(in.get(HIGH)));
            screws.addAll(r.screws());
        });
        Solid whole = new Solid.Difference(new Solid.Union(body), cuts);
        List<Piece> pieces = new ArrayList<>();
        List<Joint> joints = new ArrayList<>();
        if (in.get(SPLIT)) {
            Dovetails.Halves halves = DOVETAILS.divide(in, whole, List.of(new Dovetails.Bar("floor", -floorHalf, floorHalf, floor)), 0, s -> s);
            joints.addAll(halves.joints());
            pieces.add(new Piece("left", "left half", halves.near(), rows.get(0).cavities(), Placement.HERE, 1, Vec3.ZERO, reaches(rows.get(0))));
            pieces.add(new Piece("right", "right half", halves.far(), rows.get(1).cavities(), Placement.HERE, 1, Vec3.X.times(40), reaches(rows.get(1))));
        } else {
            pieces.add(Piece.only("guide", whole, rows.get(0).cavities(), reaches(rows.get(0))));
        }
        joints.add(new Joint.Guide(slide.name(), length, half - slide.widthMm() / 2, slide.known().halfWidthMm(), List.of(new Lever(PLAY, 1, "clearance"))));
        Held runs = new Held(slide.name(), Leaf.extrusion("the slide", Profile.rectangle(0, 0, length + 40, slide.widthMm()), Placement.HERE, floor, floor + Math.max(1, slide.heightMm())), 0, true);
        Placement site = Placement.at(in.get(SCREWS.x), in.get(SCREWS.y), -rows.get(0).standoffMm()).turnedDeg(in.get(SCREWS.turn));
        return new PartForm(pieces, screws, List.of(runs), joints, List.of(), List.of(
                Dimension.across(View.TOP, -length / 2, -floorHalf, 0, length / 2, -floorHalf, 0, -14, LENGTH), Dimension.up(View.SIDE, 0, out, floor, 0, out, top, 8, HIGH),
                Dimension.up(View.SIDE, 0, -floorHalf, 0, 0, -floorHalf, floor, -10, FLOOR), Dimension.up(View.TOP, -length / 2, -half, 0, -length / 2, half, 0, -10, null),
                Dimension.up(View.TOP, length / 2, half, 0, length / 2, out, 0, 10, WALL)), Optional.of(new PartForm.Mount(site, false)));
    }

    /** One row, or one for each half. */
    private static List<ScrewRow> rows(PartInputs in) {
        HolesRef all = in.get(BASE);
        ScrewRow whole = new ScrewRow(SCREWS, in, all, in.get(SPLIT) ? "left" : "part", FLOOR, false);
        if (!in.get(SPLIT)) {
            return List.of(whole);
        }
        List<List<HolesRef.Hole>> halves = List.of(new ArrayList<>(), new ArrayList<>());
        for (int i = 0; i < all.holes().size(); i++) {
            double x = whole.places().get(i)[0];
            if (Math.abs(x) < whole.cutRadiusMm() + 2 * in.get(DOVETAILS.depth)) {
                throw new PartProblem(SPLIT, "Hole " + all.holes().get(i).label() + " lies where the two pieces meet; move the pattern along the channel, or make it in one piece.");
            }
            halves.get(x < 0 ? 0 : 1).add(all.holes().get(i));
        }
        return List.of(half(in, all, halves.get(0), "left"), half(in, all, halves.get(1), "right"));
    }

    private static ScrewRow half(PartInputs in, HolesRef all, List<HolesRef.Hole> holes, String piece) {
        return new ScrewRow(SCREWS, in, new HolesRef(all.name(), holes, all.squareAssumed(), all.known()), piece, FLOOR, false);
    }

    /** A wall from above, its inner edges broken at both mouths. */
    private static Profile wall(PartInputs in, double half, double out, int side) {
        double end = in.get(LENGTH) / 2;
        double lead = Math.min(in.get(LEAD_IN), Math.min((out - half) * 0.6, end / 2));
        double[] xy = lead > 0 ? new double[] {-end, half + lead, -end + lead, half, end - lead, half, end, half + lead, end, out, -end, out}
                : new double[] {-end, half, end, half, end, out, -end, out};
        for (int i = 1; i < xy.length && side < 0; i += 2) {
            xy[i] = -xy[i];
        }
        return Profile.of(xy);
    }

    private static List<Reach> reaches(ScrewRow row) {
        List<Reach> all = new ArrayList<>(row.reaches());
        all.add(new Reach("floor", Vec3.Z, new Lever(FLOOR, 1, "floor")));
        for (Vec3 way : List.of(Vec3.Y, Vec3.Y.times(-1))) {
            all.add(new Reach("floor", way, new Lever(EDGE, 1, "beyond the holes")));
            all.add(new Reach("floor", way.cross(Vec3.Z), new Lever(LENGTH, 0.5, "length")));
        }
        return all;
    }
}
