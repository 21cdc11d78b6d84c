package tinperch.part.feature.kind;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.form.Joint;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;

/** An arm with a hook at its end that bends and snaps over an edge; its strain is judged as that of every snap. */
public final class SnapHookFeature extends NamedKind {
    private static final Card CARD = new Card("snap-hook", "Snap hook");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Arm", 3, 100, 14, "From the face to the hook's step; longer bends more easily");
    public static final NumberParam THICKNESS = NumberParam.length("thickness", CARD, "Thickness", 0.6, 10, 1.6, "The way it bends");
    public static final NumberParam WIDTH = NumberParam.length("width", CARD, "Width", 1, 100, 8, "Across the way it bends");
    public static final NumberParam UNDERCUT = NumberParam.length("undercut", CARD, "Hook", 0.2, 6, 0.8, "How far it reaches over the edge");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise; at 0° the hook looks to the right");

    public SnapHookFeature() {
        super("snap-hook", "Snap hook", LENGTH, THICKNESS, WIDTH, UNDERCUT, TURN);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " long, hook " + UNDERCUT.show(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        double length = in.get(LENGTH);
        double t = in.get(THICKNESS);
        double u = in.get(UNDERCUT);
        if (length < 3 * t) {
            throw new PartProblem(LENGTH, "An arm " + Quantity.mm(length) + " long and " + Quantity.mm(t) + " thick does not bend but break; make it at least " + Quantity.mm(3 * t) + " long, five times its thickness is better.");
        }
        Placement p = on.turnedDeg(in.get(TURN)).at();
        // Drawn from the side: x the way the hook looks, y out of the face; both flanks of the hook lean so that it can be taken off again.
        Placement side = new Placement(p.point(0, 0, 0), p.u(), p.w(), p.v().times(-1));
        double step = u * 0.577;
        Profile arm = Profile.of(new double[] {-t / 2, -on.rootMm(), t / 2, -on.rootMm(), t / 2, length, t / 2 + u, length + step, t / 2 + u, length + step + 0.4, t / 2, length + step + 0.4 + 1.73 * u, -t / 2, length + step + 0.4 + 1.73 * u});
        return new Made(List.of(Leaf.extrusion(feature.id(), arm, side, -in.get(WIDTH) / 2, in.get(WIDTH) / 2)), List.of(), List.of(),
                List.of(new Joint.CantileverSnap(feature.name(), t, length, u, in.get(WIDTH), 30, List.of())));
    }
}
