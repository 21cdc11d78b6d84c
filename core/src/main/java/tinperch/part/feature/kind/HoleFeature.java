package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.block.LyingHole;
import tinperch.part.block.ScrewRow;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.form.Cavity;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** A round hole for a screw, or of any diameter; right through or to a depth; its screw's head may be let in, round or as a cone of 90°. */
public final class HoleFeature extends NamedKind {
    private static final Card CARD = new Card("hole", "Hole");
    public static final ChoiceParam<Optional<String>> FOR = ChoiceParam.wordsOr("for", CARD, "For", List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8"), "its diameter",
            "A thread lets its screws through (ISO 273 medium); the printer's hole offset is added");
    public static final NumberParam DIAMETER = NumberParam.length("diameter", CARD, "Diameter", 0.5, 200, 5, "Where it is for no screw");
    public static final NumberParam DEPTH = Depth.of(CARD);
    public static final ChoiceParam<LetIn> HEAD = ChoiceParam.of("head", CARD, "Head let in", LetIn.NONE, LetIn::label, "A cap head (ISO 4762) or a countersunk one of 90° (ISO 10642, ISO 2009 below M3)");
    public static final NumberParam BELOW = NumberParam.length("head.below", CARD, "Below the face", 0, 100, 0, "How far under the face the head's top lies");
    public static final NumberParam SKIN = NumberParam.length("head.skin", CARD, "Skin", 0, 1, 0, "One layer left over a let-in head that is printed face down, so that the bridge over it has no hole; it is drilled out");
    public static final NumberParam LEAD_IN = NumberParam.length("lead-in", CARD, "Lead-in", 0, 5, 0, "Chamfer of 45° at its mouth, where no head is let in");
    public static final SwitchParam ROOF = new SwitchParam("roof", CARD, "Roof where it lies", false, "A lying hole prints rounder with a roof of 45° over it");
    public static final NumberParam SCREW = NumberParam.length("screw.length", CARD, "Its screw's length", 0, 200, 0, "Judged and put on the parts list, where it is for a thread and right through; 0 for none");
    public static final NumberParam CLAMPS = NumberParam.length("screw.clamps", CARD, "It clamps besides", 0, 100, 3, "Thickness of what it holds behind the part");
    public static final ChoiceParam<SeatKind> INTO = ChoiceParam.of("screw.into", CARD, "Its screw goes into", SeatKind.LOOSE_NUT, SeatKind::label, "Behind what it clamps").only(List.of(SeatKind.LOOSE_NUT, SeatKind.TAPPED));
    private static final double BEYOND_MM = 1;

    /** What of the screw's head goes into the face. */
    public enum LetIn {
        NONE("no"), CAP("cap head"), SUNK("countersunk head");

        private final String label;

        LetIn(String label) {
            this.label = label;
        }

        String label() {
            return label;
        }
    }

    public HoleFeature() {
        super("hole", "Hole", FOR, DIAMETER, DEPTH, HEAD, BELOW, SKIN, LEAD_IN, ROOF, SCREW, CLAMPS, INTO);
    }

    @Override
    public String summary(Values v) {
        return FOR.of(v).map(t -> "for " + t).orElseGet(() -> "Ø " + DIAMETER.show(v)) + (DEPTH.of(v) > 0 ? ", " + DEPTH.show(v) + " deep" : ", right through")
                + (HEAD.of(v) == LetIn.NONE ? "" : ", " + HEAD.of(v).label() + " let in");
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Optional<ScrewThread> thread = in.get(FOR).map(t -> in.hardware().thread(t));
        double width = thread.map(t -> t.clearanceMm(ScrewThread.Fit.MEDIUM)).orElseGet(() -> in.get(DIAMETER)) + in.holeOffsetMm();
        boolean through = in.get(DEPTH) <= 0;
        double depth = through ? on.depthMm() : in.get(DEPTH);
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        double head = switch (in.get(HEAD)) {
            case NONE -> 0;
            case CAP -> capHead(feature, in, thread(thread), width, on, cuts, cavities);
            case SUNK -> sunkHead(feature, in, thread(thread), width, on, cuts);
        };
        if (head > 0 && head >= depth) {
            throw new PartProblem(HEAD, "The head of an " + in.get(FOR).orElse("") + " screw reaches " + Quantity.mm(head) + " deep here, and the hole is " + Quantity.mm(depth) + " deep; let it in less, or take a smaller screw.");
        }
        double skin = head > 0 && in.get(HEAD) == LetIn.CAP ? in.get(SKIN) : 0;
        cuts.add(Leaf.extrusion(feature.id(), Profile.hole(0, 0, width, Cones.SIDES), on.at(), -Depth.cutMm(in, DEPTH, on), skin > 0 ? -head - skin : BEYOND_MM));
        Cavity hole = new Cavity(feature.id(), feature.id(), feature.name(), thread.isEmpty() ? Cavity.Purpose.POCKET : Cavity.Purpose.CLEARANCE, on.inward(), width, 0, depth, through, 0, List.of());
        cavities.add(hole);
        if (in.get(HEAD) == LetIn.NONE && in.get(LEAD_IN) > 0) {
            cuts.add(Cones.chamfer(feature.id() + " lead-in", on, width, in.get(LEAD_IN)));
        }
        if (in.get(ROOF)) {
            cavities.stream().filter(LyingHole::lies).map(LyingHole::roof).forEach(cuts::add);
        }
        return new Made(List.of(), cuts, cavities, List.of(), through ? screw(feature, in, thread, width, head, on) : List.of());
    }

    /** Its screw, head on the face or on the floor of its pocket; a countersunk head bears on a cone, which is not judged. */
    private static List<Screw> screw(Feature feature, PartInputs in, Optional<ScrewThread> thread, double boreMm, double headMm, Ground on) {
        if (thread.isEmpty() || in.get(SCREW) <= 0 || in.get(HEAD) == LetIn.SUNK) {
            return List.of();
        }
        return List.of(new Screw(feature.id(), feature.id(), "screws of the " + feature.name(), feature.anchor().pieceId(), thread.get(), ScrewThread.Head.CAP, false, in.get(SCREW), on.inward(), headMm, true,
                "what it holds", in.get(CLAMPS), in.get(INTO), on.depthMm(), boreMm, Optional.empty(), SCREW, List.of(), SCREW, 0));
    }

    private static ScrewThread thread(Optional<ScrewThread> thread) {
        return thread.orElseThrow(() -> new PartProblem(FOR, "A head can be let in when it is said what screw the hole is for."));
    }

    /** A round pocket for the head; answers how deep it is. */
    private static double capHead(Feature feature, PartInputs in, ScrewThread t, double boreMm, Ground on, List<Solid> cuts, List<Cavity> cavities) {
        double width = t.capHeadMm() + ScrewRow.ROUND_HEAD_MM + in.fits().runningMm() + in.holeOffsetMm();
        double depth = t.capHeadHeightMm() + in.get(BELOW);
        cuts.add(Leaf.extrusion(feature.id() + " head", Profile.hole(0, 0, width, Cones.SIDES), on.at(), -depth, BEYOND_MM));
        cavities.add(new Cavity(feature.id() + " head", feature.id(), feature.name() + " head", Cavity.Purpose.HEAD, on.inward(), width, 0, depth, false, boreMm, List.of()));
        return depth;
    }

    /** A cone for the head, with a cylinder over it where it lies below the face; answers how deep both are. */
    private static double sunkHead(Feature feature, PartInputs in, ScrewThread t, double boreMm, Ground on, List<Solid> cuts) {
        // As a running fit a countersunk head lies a little below the face rather than above it.
        double width = t.sunkHeadMm() + in.fits().runningMm() + in.holeOffsetMm();
        double below = in.get(BELOW);
        double cone = (width - boreMm) / 2;
        if (below > 0) {
            cuts.add(Leaf.extrusion(feature.id() + " head", Profile.hole(0, 0, width, Cones.SIDES), on.at(), -below, BEYOND_MM));
            cuts.add(Cones.between(feature.id() + " cone", on, boreMm, -below - cone, width, -below));
        } else {
            cuts.add(Cones.chamfer(feature.id() + " cone", on, boreMm, cone));
        }
        return below + cone;
    }
}
