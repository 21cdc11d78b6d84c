package tinperch.part.feature.kind;

import tinperch.part.PartInputs;
import tinperch.part.feature.Ground;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;

/** How deep something is cut into a face: to a depth, or right through. */
final class Depth {
    private Depth() {}

    /** The parameter; 0 stands for right through. */
    static NumberParam of(Card card) {
        return NumberParam.length("depth", card, "Depth", 0, 300, 0, "From the face; 0 goes right through");
    }

    /** How deep to cut, mm; right through goes a little beyond. */
    static double cutMm(PartInputs in, NumberParam depth, Ground on) {
        return in.get(depth) > 0 ? in.get(depth) : on.depthMm() + 1;
    }
}
