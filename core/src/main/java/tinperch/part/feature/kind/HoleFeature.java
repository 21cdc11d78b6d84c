package tinperch.part.feature.kind;

import java.util.List;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.Made;
import tinperch.part.form.Cavity;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;

/** A round hole for a screw, or of any diameter; right through or to a depth. */
public final class HoleFeature implements FeatureKind {
    private static final Card CARD = new Card("hole", "Hole");
    public static final ChoiceParam<String> FOR = ChoiceParam.words("for", CARD, "For", List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8", "its diameter"),
            "A thread lets its screws through (ISO 273 medium); the printer's hole offset is added");
    public static final NumberParam DIAMETER = NumberParam.length("diameter", CARD, "Diameter", 0.5, 200, 5, "Where it is for no screw");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 0, 300, 0, "From the face; 0 goes right through");
    private static final String FREE = "its diameter";

    @Override
    public String id() {
        return "hole";
    }

    @Override
    public String title() {
        return "Hole";
    }

    @Override
    public List<Param<?>> params() {
        return List.of(FOR, DIAMETER, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return (FOR.of(v).equals(FREE) ? "Ø " + DIAMETER.show(v) : "for " + FOR.of(v)) + (DEPTH.of(v) > 0 ? ", " + DEPTH.show(v) + " deep" : ", right through");
    }

    @Override
    public Made make(Feature feature, PartInputs in, Placement at, double depthMm) {
        double width = (in.get(FOR).equals(FREE) ? in.get(DIAMETER) : in.hardware().thread(in.get(FOR)).clearanceMm(ScrewThread.Fit.MEDIUM)) + in.holeOffsetMm();
        boolean through = in.get(DEPTH) <= 0;
        double depth = through ? depthMm : in.get(DEPTH);
        Leaf cut = Leaf.extrusion(feature.id(), Profile.hole(0, 0, width, 48), at, -depth - (through ? 1 : 0), 1);
        Placement inward = new Placement(at.origin(), at.u(), at.v().times(-1), at.w().times(-1));
        return new Made(List.of(), List.of(cut), List.of(new Cavity(feature.id(), feature.id(), feature.name(),
                in.get(FOR).equals(FREE) ? Cavity.Purpose.POCKET : Cavity.Purpose.CLEARANCE, inward, width, 0, depth, through, 0, List.of())));
    }
}
