package tinperch.part.feature.kind;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.block.TieEyes;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Values;

/** Two slots a cable tie goes through, with the bridge it is pulled tight around between them. */
public final class TiePairFeature extends NamedKind {
    private static final Card CARD = new Card("tie-pair", "Tie pair");
    public static final ChoiceParam<TieEyes.Tie> TIE = ChoiceParam.of("tie", CARD, "Tie", TieEyes.Tie.SMALL, TieEyes.Tie::label, "Width of the cable tie");
    public static final NumberParam BRIDGE = NumberParam.length("bridge", CARD, "Bridge", 2, 60, 6, "Between the two slots: about the bundle's diameter");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise; at 0° the bundle runs upwards");

    public TiePairFeature() {
        super("tie-pair", "Tie pair", TIE, BRIDGE, TURN);
    }

    @Override
    public String summary(Values v) {
        return "for a tie of " + TIE.of(v).label() + " around " + BRIDGE.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        TieEyes eyes = new TieEyes(in, feature.id(), feature.name(), in.get(TIE), in.get(BRIDGE), on.turnedDeg(in.get(TURN)).at(), on.depthMm());
        return new Made(List.of(), eyes.cuts(), eyes.cavities());
    }
}
