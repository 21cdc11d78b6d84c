package tinperch.part.feature.kind;

import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;

/** A rib that stands on a face and runs out at both ends at 45°. */
public final class RibFeature extends NamedKind {
    private static final Card CARD = new Card("rib", "Rib");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 1, 400, 30, "Along the rib, at its foot");
    public static final NumberParam THICKNESS = NumberParam.length("thickness", CARD, "Thickness", 0.4, 40, 2.4, "Six lines of a 0.4 mm nozzle");
    public static final NumberParam HEIGHT = NumberParam.length("height", CARD, "Height", 0.4, 200, 6, "Out of the face");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise on the face");

    public RibFeature() {
        super("rib", "Rib", LENGTH, THICKNESS, HEIGHT, TURN);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " long, " + HEIGHT.show(v) + " high";
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        double half = in.get(LENGTH) / 2;
        double high = in.get(HEIGHT);
        if (2 * high >= in.get(LENGTH)) {
            throw new PartProblem(HEIGHT, "A rib " + LENGTH.show(in.values()) + " long that runs out at 45° can be less than half as high; make it longer or lower.");
        }
        Placement turned = on.turnedDeg(in.get(TURN)).at();
        Placement side = new Placement(turned.origin(), turned.u(), turned.w(), turned.v().times(-1));
        double sunk = on.rootMm();
        return Made.added(Leaf.extrusion(feature.id(), Profile.of(new double[] {-half, -sunk, half, -sunk, half, 0, half - high, high, high - half, high, -half, 0}),
                side, -in.get(THICKNESS) / 2, in.get(THICKNESS) / 2));
    }
}
