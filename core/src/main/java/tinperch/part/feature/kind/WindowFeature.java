package tinperch.part.feature.kind;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Profile;

/** A rectangular window right through, or a pocket. */
public final class WindowFeature extends NamedKind {
    private static final Card CARD = new Card("window", "Window");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 0.5, 400, 15, "To the right along the face");
    public static final NumberParam WIDTH = NumberParam.length("width", CARD, "Width", 0.5, 400, 10, "Upwards along the face");
    public static final NumberParam CORNER = NumberParam.length("corner", CARD, "Corner radius", 0, 100, 1, "Round corners tear less easily");
    public static final NumberParam DEPTH = Depth.of(CARD);

    public WindowFeature() {
        super("window", "Window", LENGTH, WIDTH, CORNER, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " × " + WIDTH.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        double corner = Math.min(in.get(CORNER), Math.min(in.get(LENGTH), in.get(WIDTH)) / 2 - 0.01);
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), Profile.roundedRectangle(0, 0, in.get(LENGTH), in.get(WIDTH), corner, 6), on.at(), -Depth.cutMm(in, DEPTH, on), 1)), List.of());
    }
}
