package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
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
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.shape.Profiles;

/** Two slots a cable tie goes through, with the bridge it is pulled tight around between them. */
public final class TiePairFeature extends NamedKind {
    private static final Card CARD = new Card("tie-pair", "Tie pair");
    public static final ChoiceParam<Tie> TIE = ChoiceParam.of("tie", CARD, "Tie", Tie.SMALL, Tie::label, "Width of the cable tie");
    public static final NumberParam BRIDGE = NumberParam.length("bridge", CARD, "Bridge", 2, 60, 6, "Between the two slots: about the bundle's diameter");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise; at 0° the bundle runs upwards");
    private static final double PLAY_MM = 0.6;

    /** Cable ties as they are sold; widths and thicknesses common practice, values from memory. */
    public enum Tie {
        SMALL("2.5 mm", 2.5, 1.0), MIDDLE("3.6 mm", 3.6, 1.2), LARGE("4.8 mm", 4.8, 1.3);

        private final String label;
        private final double widthMm;
        private final double thickMm;

        Tie(String label, double widthMm, double thickMm) {
            this.label = label;
            this.widthMm = widthMm;
            this.thickMm = thickMm;
        }

        String label() {
            return label;
        }
    }

    public TiePairFeature() {
        super("tie-pair", "Tie pair", TIE, BRIDGE, TURN);
    }

    @Override
    public String summary(Values v) {
        return "for a tie of " + TIE.of(v).label() + " around " + BRIDGE.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Tie tie = in.get(TIE);
        Ground turned = on.turnedDeg(in.get(TURN));
        double thick = tie.thickMm + PLAY_MM + in.holeOffsetMm();
        double run = Math.max(0.2, tie.widthMm + PLAY_MM + in.holeOffsetMm() - thick);
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        for (int side = -1; side <= 1; side += 2) {
            // The slot's own x runs along the bundle.
            Placement t = turned.at();
            Placement at = new Placement(t.point(side * (in.get(BRIDGE) + thick) / 2, 0, 0), t.v(), t.u().times(-1), t.w());
            String name = feature.id() + (side < 0 ? " left" : " right");
            cuts.add(Leaf.extrusion(name, Profiles.slot(0, 0, run, thick, 12), at, -on.depthMm() - 1, 1));
            Placement inward = new Placement(at.origin(), at.u(), at.v().times(-1), at.w().times(-1));
            cavities.add(new Cavity(name, feature.id(), feature.name() + (side < 0 ? " left" : " right"), Cavity.Purpose.POCKET, inward, thick, 0, on.depthMm(), true, 0, List.of()).slotted(run));
        }
        return new Made(List.of(), cuts, cavities);
    }
}
