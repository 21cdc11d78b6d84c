package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeSet;
import tinperch.hardware.ScrewThread;
import tinperch.part.Does;
import tinperch.part.ModelBody;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.Role;
import tinperch.part.form.Lie;
import tinperch.part.form.Cavity;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;

/**
 * A downloaded model made to fit: laid on the side it prints best on, its holes bored for the owner's screws and for the printer
 * that makes it. Everything else stays as it was drawn.
 */
public final class FittedModel implements PartFamily {
    /** A hole counts as one of the size asked for when it is this near, mm: drawn sizes are round numbers. */
    private static final double ALIKE_MM = 0.15;
    /** Bores reach this far beyond the faces the holes end at, so that no skin is left. */
    private static final double BEYOND_MM = 0.01;
    private static final int SIDES = 48;
    private static final Card LIES = new Card("lies", "Lies on");
    private static final Card HOLES = new Card("holes", "Holes");

    /** What holes are bored for; a thread is named by its row of the table, the other two have no thread. */
    public record For(String thread, boolean bored) {
        static final For NOTHING = new For("", false);
        static final For PRINTER = new For("", true);
    }

    public static final ChoiceParam<Lie> DOWN = ChoiceParam.of("base.down", LIES, "The model's", Lie.BOTTOM, Lie::word,
            "The side that lies on the bed; its bottom is where z is least, its front where y is, its left where x is");
    public static final ChoiceParam<For> BORED = new ChoiceParam<>("holes.for", HOLES, "Bored for", purposes(),
            "A thread bores the holes to let its screws through; the printer's hole offset is added to every bore");
    public static final NumberParam ONLY = NumberParam.length("holes.of", HOLES, "Only those of Ø", 0, 100, 0, "As drawn; 0 takes all that are found");
    public static final ChoiceParam<ScrewThread.Fit> FIT = ChoiceParam.of("holes.fit", HOLES, "Fit", ScrewThread.Fit.MEDIUM,
            f -> f.name().toLowerCase(Locale.ROOT), "Series of ISO 273");

    public static final Role<MeshRef> MODEL = new Role<>("model", MeshRef.KIND, "the model", "the downloaded model it is made from", false, "");

    private static List<ChoiceParam.Option<For>> purposes() {
        List<ChoiceParam.Option<For>> all = new ArrayList<>();
        all.add(new ChoiceParam.Option<>(For.NOTHING, "nothing: as drawn", "nothing: as drawn"));
        all.add(new ChoiceParam.Option<>(For.PRINTER, "this printer only", "this printer only"));
        for (ScrewThread t : tinperch.hardware.HardwareTables.STANDARD.threads()) {
            all.add(new ChoiceParam.Option<>(new For(t.name(), true), t.name(), t.name()));
        }
        return all;
    }

    @Override
    public String id() {
        return "fitted-model";
    }

    @Override
    public String title() {
        return "Downloaded model";
    }

    @Override
    public String purpose() {
        return "Somebody else's model, laid as it prints best and bored for your screws and your printer.";
    }

    @Override
    public Does does() {
        return Does.OTHERS;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(MODEL);
    }

    @Override
    public List<Param<?>> params() {
        return List.of(DOWN, BORED, ONLY, FIT, Marking.HEIGHT);
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(LIES)) {
            return "lies on its " + DOWN.show(v);
        }
        if (card.equals(Marking.CARD)) {
            return Marking.HEIGHT.of(v) > 0 ? "at most " + Marking.HEIGHT.show(v) + " high, where there is room" : "none";
        }
        For wanted = BORED.of(v);
        String of = ONLY.of(v) > 0 ? "Ø " + ONLY.show(v) : "all";
        return !wanted.bored() ? "as drawn" : of + " bored for " + BORED.show(v) + (wanted.thread().isEmpty() ? "" : ", " + FIT.show(v) + " fit");
    }

    @Override
    public PartForm form(PartInputs in) {
        MeshRef ref = in.get(MODEL);
        ModelBody model = in.models().body(ref);
        Placement turned = in.get(DOWN).turn();
        Bounds lying = model.leaf().placed("model", turned).bounds();
        Placement place = new Placement(new Vec3(-lying.centre().x(), -lying.centre().y(), -lying.min().z()), turned.u(), turned.v(), turned.w());
        Leaf body = model.leaf().placed("model", place);
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        for (MeshRounds.Round hole : chosen(ref, model, in)) {
            String name = "hole " + (cuts.size() + 1);
            double width = diameterMm(hole, in);
            Placement mouth = mouth(hole);
            cuts.add(Leaf.extrusion(name, Profile.hole(0, 0, width, SIDES), mouth, -BEYOND_MM, hole.length() + BEYOND_MM).placed(name, place));
            Vec3 at = place.point(mouth.origin().x(), mouth.origin().y(), mouth.origin().z());
            cavities.add(Cavity.hole(name, "holes." + cuts.size(), name, Placement.along(at, turned(place, mouth.w()), turned(place, mouth.u())), width, hole.length()));
        }
        if (!in.get(BORED).bored()) {
            model.rounds().stream().filter(MeshRounds.Round::hole).forEach(h -> cavities.add(drawn(h, place, cavities.size() + 1)));
        }
        Solid solid = cuts.isEmpty() ? body : new Solid.Difference(body, cuts);
        return PartForm.of(Piece.only("model", solid, cavities, List.of()), List.of(), List.of(), dimensions(body.bounds()), Optional.empty());
    }

    private static Cavity drawn(MeshRounds.Round hole, Placement place, int n) {
        Placement mouth = mouth(hole);
        Vec3 at = place.point(mouth.origin().x(), mouth.origin().y(), mouth.origin().z());
        return Cavity.hole("hole " + n, "holes." + n, "hole " + n, Placement.along(at, turned(place, mouth.w()), turned(place, mouth.u())), hole.diameter(), hole.length()).of(Cavity.Purpose.DRAWN);
    }

    /** Where a hole begins, in the model's own coordinates. */
    private static Placement mouth(MeshRounds.Round hole) {
        Vec3 along = hole.axis() == 0 ? Vec3.X : hole.axis() == 1 ? Vec3.Y : Vec3.Z;
        return Placement.along(hole.middle().minus(along.times(hole.length() / 2)), along, hole.axis() == 0 ? Vec3.Y : Vec3.X);
    }

    private static Vec3 turned(Placement place, Vec3 d) {
        return place.point(d.x(), d.y(), d.z()).minus(place.origin());
    }

    private static List<MeshRounds.Round> chosen(MeshRef ref, ModelBody model, PartInputs in) {
        if (!in.get(BORED).bored()) {
            return List.of();
        }
        double of = in.get(ONLY);
        List<MeshRounds.Round> holes = model.rounds().stream().filter(MeshRounds.Round::hole).toList();
        List<MeshRounds.Round> alike = holes.stream().filter(h -> of == 0 || Math.abs(h.diameter() - of) <= ALIKE_MM).toList();
        if (alike.isEmpty()) {
            TreeSet<Double> sizes = new TreeSet<>();
            holes.forEach(h -> sizes.add(Math.round(h.diameter() * 10) / 10.0));
            throw new PartProblem(ONLY, holes.isEmpty() ? "No round hole was found in “" + ref.name() + "”; leave its holes as drawn."
                    : "“" + ref.name() + "” has no hole of Ø " + Quantity.mm(of) + "; it has "
                    + String.join(", ", sizes.stream().map(Quantity::mm).toList()) + ".");
        }
        return alike;
    }

    /** What a hole is bored to, mm: never less than it has. */
    private static double diameterMm(MeshRounds.Round hole, PartInputs in) {
        For wanted = in.get(BORED);
        if (wanted.thread().isEmpty()) {
            return hole.diameter() + Math.max(0, in.holeOffsetMm());
        }
        double clear = in.hardware().thread(wanted.thread()).clearanceMm(in.get(FIT)) + in.holeOffsetMm();
        if (clear < hole.diameter() - ALIKE_MM) {
            throw new PartProblem(ONLY, "A hole of Ø " + Quantity.mm(hole.diameter()) + " is wider than the " + Quantity.mm(clear)
                    + " for " + wanted.thread() + " already; say which holes are meant. Nothing can be made smaller by boring.");
        }
        return Math.max(clear, hole.diameter());
    }

    private static List<Dimension> dimensions(Bounds b) {
        return List.of(Dimension.across(View.TOP, b.min().x(), b.min().y(), 0, b.max().x(), b.min().y(), 0, -8, null),
                Dimension.up(View.TOP, b.min().x(), b.min().y(), 0, b.min().x(), b.max().y(), 0, -8, null),
                Dimension.up(View.FRONT, b.max().x(), 0, b.min().z(), b.max().x(), 0, b.max().z(), 8, null));
    }
}
