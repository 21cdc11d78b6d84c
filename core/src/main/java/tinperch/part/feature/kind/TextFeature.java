package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Lettering;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** Words cut into a face; the feature's name is what is written. */
public final class TextFeature extends NamedKind {
    private static final Card CARD = new Card("text", "Text");
    public static final NumberParam HEIGHT = NumberParam.length("height", CARD, "Letter height", 3, 60, 6, "Smaller letters run together");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 0.2, 5, 0.6, "Three layers are read well");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise on the face");
    private static final double STROKE_MM = 0.9;

    public TextFeature() {
        super("text", "Text", HEIGHT, DEPTH, TURN);
    }

    @Override
    public String summary(Values v) {
        return HEIGHT.show(v) + " high";
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Placement turned = on.upright().turnedDeg(in.get(TURN)).at();
        double width = Lettering.widthMm(feature.name(), in.get(HEIGHT), STROKE_MM);
        Placement corner = new Placement(turned.point(-width / 2, -in.get(HEIGHT) / 2, 0), turned.u(), turned.v(), turned.w());
        List<Solid> cuts = new ArrayList<>();
        for (Profile p : Lettering.outlines(feature.name(), in.get(HEIGHT), STROKE_MM)) {
            cuts.add(Leaf.extrusion(feature.id() + " letter " + (cuts.size() + 1), p, corner, -in.get(DEPTH), 0.4));
        }
        return new Made(List.of(), cuts, List.of());
    }
}
