package tinperch.part.feature.kind;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.feature.FaceFrame;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.shape.Extrusion;
import tinperch.solid.shape.Finish;

/** Breaks the outer edge of a whole face: at 45°, as edges on the bed want it, or round. */
public final class EdgeFeature extends NamedKind {
    private static final Card CARD = new Card("edge", "Edge");
    public static final NumberParam SIZE = NumberParam.length("size", CARD, "Size", 0.1, 20, 1, "How far it goes into the face, and as far down its sides");
    public static final ChoiceParam<Form> FORM = ChoiceParam.of("form", CARD, "Form", Form.CHAMFER, Form::label, "An edge on the bed prints better at 45°; round ones hang over");
    private static final int STEPS = 6;

    /** How the edge is broken. */
    public enum Form {
        CHAMFER("45°"), ROUND("round");

        private final String label;

        Form(String label) {
            this.label = label;
        }

        String label() {
            return label;
        }
    }

    public EdgeFeature() {
        super("edge", "Broken edge", SIZE, FORM);
    }

    @Override
    boolean copies() {
        return false;
    }

    @Override
    public String summary(Values v) {
        return SIZE.show(v) + ", " + FORM.of(v).label();
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        FaceFrame face = on.face().orElseThrow();
        double size = in.get(SIZE);
        if (size >= on.depthMm()) {
            throw new PartProblem(SIZE, "The edge goes " + Quantity.mm(size) + " down, and behind this face lie " + Quantity.mm(on.depthMm()) + "; make it smaller.");
        }
        Profile outline = Profile.of(face.outline().stream().mapToDouble(Double::doubleValue).toArray());
        Placement at = face.frame();
        Finish finish = in.get(FORM) == Form.CHAMFER ? Finish.chamfer(size) : Finish.round(size, STEPS);
        double below = size + Math.min(1, (on.depthMm() - size) / 2);
        Solid kept = Extrusion.of(outline, at, -below, 0).finish(Finish.SHARP, finish).leaf(feature.id());
        return new Made(List.of(), List.of(new Solid.Difference(Leaf.extrusion(feature.id() + " outside", outline, at, -size, 0), List.of(kept))), List.of());
    }
}
