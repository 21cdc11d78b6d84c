package tinperch.part.feature.kind;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.form.Cavity;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.shape.Profiles;

/** A straight slot with round ends, for adjustment. */
public final class SlotFeature extends NamedKind {
    private static final Card CARD = new Card("slot", "Slot");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 0.5, 300, 10, "Between the middles of its ends");
    public static final NumberParam WIDTH = NumberParam.length("width", CARD, "Width", 0.5, 100, 3.4, "Across; what the printer needs between flat walls is added");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise on the face");
    public static final NumberParam DEPTH = Depth.of(CARD);

    public SlotFeature() {
        super("slot", "Slot", LENGTH, WIDTH, TURN, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " × " + WIDTH.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Ground turned = on.turnedDeg(in.get(TURN));
        double width = in.get(WIDTH) + in.fits().slotMm();
        boolean through = in.get(DEPTH) <= 0;
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), Profiles.slot(0, 0, in.get(LENGTH), width, 12), turned.at(), -Depth.cutMm(in, DEPTH, on), 1)),
                List.of(new Cavity(feature.id(), feature.id(), feature.name(), Cavity.Purpose.POCKET, turned.inward(), width, 0, through ? on.depthMm() : in.get(DEPTH), through, 0, List.of()).slotted(in.get(LENGTH))));
    }
}
