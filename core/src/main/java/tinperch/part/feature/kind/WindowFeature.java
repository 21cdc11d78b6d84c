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
import tinperch.solid.Profile;

/** A rectangular window right through, or a pocket. */
public final class WindowFeature implements FeatureKind {
    private static final Card CARD = new Card("window", "Window");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 0.5, 400, 15, "To the right along the face");
    public static final NumberParam WIDTH = NumberParam.length("width", CARD, "Width", 0.5, 400, 10, "Upwards along the face");
    public static final NumberParam CORNER = NumberParam.length("corner", CARD, "Corner radius", 0, 100, 1, "Round corners tear less easily");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 0, 300, 0, "From the face; 0 goes right through");

    @Override
    public String id() {
        return "window";
    }

    @Override
    public String title() {
        return "Window";
    }

    @Override
    public List<Param<?>> params() {
        return List.of(LENGTH, WIDTH, CORNER, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " × " + WIDTH.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Placement at, double depthMm) {
        double depth = in.get(DEPTH) > 0 ? in.get(DEPTH) : depthMm + 1;
        double corner = Math.min(in.get(CORNER), Math.min(in.get(LENGTH), in.get(WIDTH)) / 2 - 0.01);
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), Profile.roundedRectangle(0, 0, in.get(LENGTH), in.get(WIDTH), corner, 6), at, -depth, 1)), List.of());
    }
}
