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
import tinperch.part.block.BraceJoint;
import tinperch.part.block.Dovetails;
import tinperch.part.block.Hand;
import tinperch.part.block.HexBushes;
import tinperch.part.block.PostHug;
import tinperch.part.block.ScrewBlock;
import tinperch.part.block.ScrewRow;
import tinperch.part.block.StandingRow;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Held;
import tinperch.part.form.Joint;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
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
import tinperch.solid.shape.Pattern;
import tinperch.solid.shape.Profiles;

/**
 * A brace from a post down to what the machine stands on: a wall screwed to the post's holes, a bar on the ground, and one or two arms between
 * them. It lies on the bed as the triangle it is, so that layers run along the arms; x leads away from the post's face, y up the post from the
 * ground, z across. Too large for a bed it is made of two pieces that slide into each other by tapered dovetails.
 */
public final class FrameBrace implements PartFamily {
    private static final Card WALL_CARD = new Card("wall", "Wall on the post");
    private static final Card POST_CARD = new Card("post", "Holds: the post");
    private static final Card ARM_CARD = new Card("arm", "Arms");
    private static final Card GROUND_CARD = new Card("ground", "Stands: on the ground");
    private static final Card HUG_CARD = new Card("hug", "Adapter round the post");
    private static final Card BUSH_CARD = new Card("bush", "Bushes");
    private static final Card JOINT_CARD = new Card("joint", "In pieces");

    public static final NumberParam WALL = NumberParam.length("wall.thickness", WALL_CARD, "Wall", 2, 40, 6, "Between the post and the screws' heads");
    public static final NumberParam EDGE = NumberParam.length("wall.edge", WALL_CARD, "Beyond the holes", 3, 60, 8, "From the outermost holes' middles to the wall's edge");
    public static final NumberParam LIP = NumberParam.length("wall.lip", WALL_CARD, "Lip along the post", 0, 40, 0, "How far an edge reaches round the post's side, to keep it in line; 0 for none");
    public static final NumberParam LIP_PLAY = NumberParam.length("wall.lip.play", WALL_CARD, "Lip's play", 0, 2, 0.05, "Between lip and post, beside half of the printer's slot fit; 0.1 to 0.2 a side together for profiles (common practice)");
    public static final NumberParam POST_WIDTH = NumberParam.length("post.width", WALL_CARD, "Post's width", 5, 200, 40, "Of the face it is screwed to, across");
    public static final ChoiceParam<Hand> HAND = Hand.param("wall.hand", WALL_CARD,
            "Of the machine, seen from in front; bind each side to its own readings, they are seldom mirror images");
    public static final ScrewBlock POST_SCREWS = new ScrewBlock("post", "post", POST_CARD, SeatKind.LOOSE_NUT, 0, 3, 16);
    public static final SwitchParam REUSE = new SwitchParam("post.reuse", POST_CARD, "The screws that were there", false, "Their length is given: the heads are let in as deep as it asks");
    public static final SwitchParam ROOFS = new SwitchParam("post.roofs", POST_CARD, "Holes with a roof", true, "Lying holes print rounder with a roof of 45° over them");
    public static final NumberParam HEIGHT = NumberParam.length("arm.height", ARM_CARD, "Height", 20, 600, 120, "From the ground to the middle of the post's holes");
    public static final NumberParam REACH = NumberParam.length("arm.reach", ARM_CARD, "Reach", 20, 400, 100, "From the post's face to the foot's end");
    public static final NumberParam ARM = NumberParam.length("arm.width", ARM_CARD, "Arm's width", 4, 80, 16, "In the plane of the triangle, measured upright");
    public static final NumberParam THICK = NumberParam.length("arm.thickness", ARM_CARD, "Arm's thickness", 2, 80, 14, "Across; as it lies on the bed this is its height");
    public static final SwitchParam INNER = new SwitchParam("arm.inner", ARM_CARD, "A second arm inside", false, "From half way up the wall to half way out");
    public static final NumberParam BAR = NumberParam.length("ground.bar", GROUND_CARD, "Bar on the ground", 3, 60, 14, "Height of the bar from post to foot");
    public static final BraceJoint JOINT = new BraceJoint(JOINT_CARD);
    public static final PostHug HUG = new PostHug(HUG_CARD);
    public static final HexBushes BUSHES = new HexBushes(BUSH_CARD);
    public static final Dovetails DOVETAILS = new Dovetails(JOINT_CARD);

    public static final Role<HolesRef> POST = new Role<>("post", HolesRef.KIND, "post", "the holes in the post's outer face", false, "holes-20x60");
    public static final Role<ProfileRef> PROFILE = new Role<>("profile", ProfileRef.KIND, "post's profile", "the profile the post is made of; its width is taken from it", true, "profile-40");

    @Override
    public String id() {
        return "frame-brace";
    }

    @Override
    public String title() {
        return "Frame brace";
    }

    @Override
    public String purpose() {
        return "Props a swaying post against the ground: a wall on the post's holes, arms, and a bar to stand on.";
    }

    @Override
    public Does does() {
        return Does.HOLDS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(POST, PROFILE);
    }

    @Override
    public String above() {
        return "from the side";
    }

    @Override
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(WALL, EDGE, POST_WIDTH, LIP, LIP_PLAY, HAND));
        all.addAll(POST_SCREWS.params());
        all.addAll(List.of(REUSE, ROOFS, HEIGHT, REACH, ARM, THICK, INNER, BAR));
        all.addAll(JOINT.params());
        all.addAll(HUG.params());
        all.addAll(BUSHES.params());
        all.add(Marking.HEIGHT);
        return all;
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(WALL_CARD)) {
            return HAND.show(v) + ", " + WALL.show(v) + " thick" + (LIP.of(v) > 0 ? ", lip " + LIP.show(v) : "");
        }
        if (card.equals(POST_CARD)) {
            return POST_SCREWS.thread.of(v) + "×" + Quantity.plain(POST_SCREWS.length.of(v), Unit.MM);
        }
        if (card.equals(ARM_CARD)) {
            return HEIGHT.show(v) + " up, " + REACH.show(v) + " out" + (INNER.of(v) ? ", two arms" : "");
        }
        if (card.equals(GROUND_CARD)) {
            return "bar " + BAR.show(v);
        }
        if (card.equals(HUG_CARD)) {
            return HUG.base.of(v) > 0 ? HUG.base.show(v) + " thick, " + HUG.deep.show(v) + " round the post" : "none";
        }
        if (card.equals(BUSH_CARD)) {
            return BUSHES.summary(v);
        }
        return card.equals(JOINT_CARD) ? JOINT.summary(v) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** Steep enough to be stiff, and the wall as thick as its screws want. */
    @Override
    public List<Values> starts(Refs refs) {
        return refs.of(POST).map(h -> {
            double up = upMm(h);
            double thread = h.holes().get(0).diameterMm() > 5 ? 5 : h.holes().get(0).diameterMm() > 4 ? 4 : 3;
            return List.of(Values.START.with(HEIGHT, Math.max(HEIGHT.start(), Math.ceil(up + 60))).with(REACH, Math.max(REACH.start(), Math.ceil((up + 60) * 0.7)))
                    .with(POST_SCREWS.thread, "M" + (int) thread).with(POST_SCREWS.length, thread > 4 ? 20.0 : 16.0).with(EDGE, thread + 4));
        }).orElse(List.of(Values.START));
    }

    /** How far the outermost holes are from the middle, up the post. */
    private static double upMm(HolesRef h) {
        return h.halfExtentMm()[1];
    }

    /** A rectangle from corner to corner. */
    private static Profile box(double x0, double y0, double x1, double y1) {
        return Profile.rectangle((x0 + x1) / 2, (y0 + y1) / 2, x1 - x0, y1 - y0);
    }

    private static Leaf lying(String feature, Profile p, double from, double to) {
        return Leaf.extrusion(feature, p, Placement.HERE, from, to);
    }

    @Override
    public PartForm form(PartInputs inputs) {
        PartInputs in = inputs.get(REUSE) ? inputs.with(POST_SCREWS.lettingIn(inputs, inputs.get(WALL) + inputs.get(POST_SCREWS.standoff), inputs.get(HUG.base))) : inputs;
        ScrewRow row = new ScrewRow(POST_SCREWS, in, in.get(POST), in.get(JOINT.split) ? "wall" : "part", WALL, false);
        double across = row.places().stream().mapToDouble(p -> Math.abs(p[0])).max().orElse(0) + in.get(EDGE);
        double along = row.places().stream().mapToDouble(p -> Math.abs(p[1])).max().orElse(0) + in.get(EDGE);
        double wall = in.get(WALL);
        double high = in.get(HEIGHT);
        double reach = in.get(REACH);
        double arm = in.get(ARM);
        double bar = in.get(BAR);
        double lipMm = in.get(LIP) > 0 ? wall + lipPlay(in) : 0;
        // The post's middle above the bed, and how wide the wall is: as the holes or the post ask.
        double postMm = in.refs().of(PROFILE).map(ProfileRef::widthMm).orElse(in.get(POST_WIDTH));
        double middle = Math.max(across, postMm / 2 + lipMm);
        double deep = middle + Math.max(across, postMm / 2);
        if (high - along - arm < bar + 1) {
            throw new PartProblem(HEIGHT, "There is no room for an arm between the post's holes and the ground; they must be at least "
                    + Quantity.mm(Math.ceil(along + arm + bar + 1)) + " up, or the arm slimmer.");
        }
        if (reach < wall + 2 * arm) {
            throw new PartProblem(REACH, "A brace that reaches " + Quantity.mm(reach) + " has no room for an arm beside its wall of " + Quantity.mm(wall) + "; let it reach at least "
                    + Quantity.mm(Math.ceil(wall + 2 * arm)) + ".");
        }
        if (in.get(THICK) > deep) {
            throw new PartProblem(THICK, "The arm would be thicker than the wall is wide, " + Quantity.mm(deep) + ".");
        }
        // Where the lying wall goes: its x across the post, its y up, its z away from the post.
        Vec3 out = in.get(HAND) == Hand.RIGHT ? Vec3.X : Vec3.X.times(-1);
        StandingRow post = new StandingRow(row, new Placement(new Vec3(0, high, middle), Vec3.Y.cross(out), Vec3.Y, out));
        List<BraceJoint.Arm> arms = new ArrayList<>(List.of(new BraceJoint.Arm("arm", high - along - arm / 2, reach, wall, arm, bar)));
        if (in.get(INNER)) {
            arms.add(new BraceJoint.Arm("inner arm", arms.get(0).fromY() / 2, reach / 2, wall, arm, bar));
        }
        List<Solid> body = new ArrayList<>(List.of(lying("wall", box(0, 0, wall, high + along), 0, deep), lying("bar", box(wall / 2, 0, reach, bar), 0, deep)));
        for (BraceJoint.Arm a : arms) {
            body.add(lying(a.name(), Profiles.hull(List.of(box(wall / 2, a.fromY() - arm / 2, wall, a.fromY() + arm / 2), box(a.toX() - arm, bar / 4, a.toX(), bar / 2))), 0, in.get(THICK)));
        }
        if (lipMm > 0) {
            body.add(lying("lip", box(-in.get(LIP), 0, wall, high + along), 0, middle - postMm / 2 - lipPlay(in)));
        }
        List<Solid> mine = new ArrayList<>(body.stream().map(s -> hand(in, s)).toList());
        mine.addAll(post.bosses());
        double hug = in.get(HUG.base);
        double up = arms.get(0).fromY() - bar / 2;
        List<Joint> joints = new ArrayList<>(List.of(new Joint.Brace("arm", Math.hypot(reach - wall, up), arm * in.get(THICK), Math.toDegrees(Math.atan2(up, reach - wall)), arms.get(0).fromY())));
        Optional<HexBushes.Made> bushes = in.get(BUSHES.on) ? Optional.of(BUSHES.of(in, post, POST_SCREWS, wall + row.standoffMm())) : Optional.empty();
        bushes.ifPresent(b -> joints.addAll(b.joints()));
        Solid whole = new Solid.Difference(new Solid.Union(mine), bushes.map(HexBushes.Made::cuts).orElseGet(() -> post.cuts(0, in.get(ROOFS))));
        List<Cavity> cavities = bushes.map(HexBushes.Made::cavities).orElseGet(post::cavities);
        List<Piece> pieces = new ArrayList<>(in.get(JOINT.split) ? divided(in, whole, arms, post, cavities, deep, joints) : List.of(Piece.only("brace " + HAND.show(in.values()), whole, cavities, reaches(post)).of(HAND.show(in.values()))));
        bushes.ifPresent(b -> pieces.addAll(b.pieces()));
        if (hug > 0) {
            pieces.add(HUG.of(in, post, along, postMm));
        }
        Held standing = new Held("post", hand(in, lying("the post", box(-20 - hug, 0, -row.standoffMm() - hug, high + along + 20), middle - postMm / 2, middle + postMm / 2)), 0, true);
        Placement site = post.up().times(Placement.at(in.get(POST_SCREWS.x), in.get(POST_SCREWS.y), -row.standoffMm() - hug).turnedDeg(in.get(POST_SCREWS.turn)));
        List<Screw> screws = bushes.map(HexBushes.Made::screws).orElseGet(post::screws).stream().map(x -> x.clampingAlso(hug)).toList();
        return new PartForm(pieces, screws, List.of(standing), joints, List.of(), dimensions(in, along, deep), Optional.of(new PartForm.Mount(site, false)));
    }

    private static double lipPlay(PartInputs in) {
        return in.get(LIP_PLAY) + in.fits().slotMm() / 2;
    }

    /** As it is built for the right; for the left its mirror image. */
    private static Solid hand(PartInputs in, Solid right) {
        return in.get(HAND) == Hand.RIGHT ? right : Pattern.mirrored(right, Vec3.ZERO, Vec3.X);
    }

    private static List<Piece> divided(PartInputs in, Solid whole, List<BraceJoint.Arm> arms, StandingRow post, List<Cavity> cavities, double deep, List<Joint> joints) {
        List<Solid> solids = JOINT.divided(in, whole, in.get(REACH), new Dovetails.Bar("bar", 0, in.get(BAR), deep), arms, in.get(THICK), b -> hand(in, b), joints);
        List<Piece> pieces = new ArrayList<>(List.of(new Piece("wall", "wall side " + HAND.show(in.values()), solids.get(0), cavities, Placement.HERE, 1, Vec3.ZERO, reaches(post)).of(HAND.show(in.values()))));
        for (int k = 1; k < solids.size(); k++) {
            boolean last = k == solids.size() - 1;
            String name = (last ? "foot side " : "middle " + (solids.size() > 3 ? k + " " : "")) + HAND.show(in.values());
            pieces.add(new Piece(last ? "foot" : "middle-" + k, name, solids.get(k), List.of(), Placement.HERE, 1, post.up().w().times(40.0 * k), List.of()).of(HAND.show(in.values())));
        }
        return pieces;
    }

    private static List<Reach> reaches(StandingRow post) {
        List<Reach> all = new ArrayList<>(post.reaches());
        all.add(new Reach("wall", post.up().w(), new Lever(WALL, 1, "wall")));
        all.add(new Reach("wall", Vec3.Y, new Lever(EDGE, 1, "beyond the holes")));
        all.add(new Reach("arm", Vec3.Z, new Lever(THICK, 1, "arm's thickness")));
        all.add(new Reach("bar", Vec3.Y, new Lever(BAR, 1, "bar")));
        return all;
    }

    private static List<Dimension> dimensions(PartInputs in, double along, double deep) {
        double high = in.get(HEIGHT);
        double sign = in.get(HAND) == Hand.RIGHT ? 1 : -1;
        double reach = sign * in.get(REACH);
        return List.of(Dimension.across(View.TOP, 0, 0, 0, reach, 0, 0, -14, REACH), Dimension.up(View.TOP, 0, 0, 0, 0, high, 0, -26 * sign, HEIGHT),
                Dimension.up(View.TOP, 0, 0, 0, 0, high + along, 0, -14 * sign, null), Dimension.up(View.TOP, reach, 0, 0, reach, in.get(BAR), 0, 10 * sign, BAR),
                Dimension.up(View.FRONT, reach, 0, 0, reach, 0, in.get(THICK), 10 * sign, THICK), Dimension.up(View.FRONT, 0, 0, 0, 0, 0, deep, -10 * sign, null),
                Dimension.across(View.TOP, 0, high + along, 0, sign * in.get(WALL), high + along, 0, 8, WALL));
    }
}
