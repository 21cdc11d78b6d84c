package tinperch.part.feature.kind;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.shape.Profiles;

/** A straight slot with round ends, for adjustment. */
public final class SlotFeature implements FeatureKind {
    private static final Card CARD = new Card("slot", "Slot");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 0.5, 300, 10, "Between the middles of its ends");
    public static final NumberParam WIDTH = NumberParam.length("width", CARD, "Width", 0.5, 100, 3.4, "Across; the printer's hole offset is added");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise on the face");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 0, 300, 0, "From the face; 0 goes right through");

    @Override
    public String id() {
        return "slot";
    }

    @Override
    public String title() {
        return "Slot";
    }

    @Override
    public List<Param<?>> params() {
        return List.of(LENGTH, WIDTH, TURN, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " × " + WIDTH.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Placement at, double depthMm) {
        double depth = in.get(DEPTH) > 0 ? in.get(DEPTH) : depthMm + 1;
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), Profiles.slot(0, 0, in.get(LENGTH), in.get(WIDTH) + in.holeOffsetMm(), 12),
                Turned.on(at, in.get(TURN)), -depth, 1)), List.of());
    }
}
