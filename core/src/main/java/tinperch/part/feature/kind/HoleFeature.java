package tinperch.part.feature.kind;

import java.util.List;
import java.util.Optional;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.form.Cavity;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Profile;

/** A round hole for a screw, or of any diameter; right through or to a depth. */
public final class HoleFeature extends NamedKind {
    private static final Card CARD = new Card("hole", "Hole");
    public static final ChoiceParam<Optional<String>> FOR = ChoiceParam.wordsOr("for", CARD, "For", List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8"), "its diameter",
            "A thread lets its screws through (ISO 273 medium); the printer's hole offset is added");
    public static final NumberParam DIAMETER = NumberParam.length("diameter", CARD, "Diameter", 0.5, 200, 5, "Where it is for no screw");
    public static final NumberParam DEPTH = Depth.of(CARD);

    public HoleFeature() {
        super("hole", "Hole", FOR, DIAMETER, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return FOR.of(v).map(t -> "for " + t).orElseGet(() -> "Ø " + DIAMETER.show(v)) + (DEPTH.of(v) > 0 ? ", " + DEPTH.show(v) + " deep" : ", right through");
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        double width = in.get(FOR).map(t -> in.hardware().thread(t).clearanceMm(ScrewThread.Fit.MEDIUM)).orElseGet(() -> in.get(DIAMETER)) + in.holeOffsetMm();
        boolean through = in.get(DEPTH) <= 0;
        double depth = through ? on.depthMm() : in.get(DEPTH);
        Leaf cut = Leaf.extrusion(feature.id(), Profile.hole(0, 0, width, 48), on.at(), -Depth.cutMm(in, DEPTH, on), 1);
        return new Made(List.of(), List.of(cut), List.of(new Cavity(feature.id(), feature.id(), feature.name(),
                in.get(FOR).isEmpty() ? Cavity.Purpose.POCKET : Cavity.Purpose.CLEARANCE, on.inward(), width, 0, depth, through, 0, List.of())));
    }
}
