package tinperch.part.feature.kind;

import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Profile;

/** A flat pad that stands out of a face. */
public final class PadFeature extends NamedKind {
    private static final Card CARD = new Card("pad", "Pad");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 0.5, 400, 20, "To the right along the face");
    public static final NumberParam WIDTH = NumberParam.length("width", CARD, "Width", 0.5, 400, 10, "Upwards along the face");
    public static final NumberParam HEIGHT = NumberParam.length("height", CARD, "Height", 0.2, 200, 3, "Out of the face");
    public static final SwitchParam CARRIED = Underside.of(CARD);

    public PadFeature() {
        super("pad", "Pad", LENGTH, WIDTH, HEIGHT, CARRIED);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " × " + WIDTH.show(v) + ", " + HEIGHT.show(v) + " high";
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Profile outline = Profile.rectangle(0, 0, in.get(LENGTH), in.get(WIDTH));
        Leaf pad = Leaf.extrusion(feature.id(), outline, on.at(), -on.rootMm(), in.get(HEIGHT));
        return in.get(CARRIED) ? Underside.carried(pad, feature, outline, on, in.get(HEIGHT)) : Made.added(pad);
    }
}
