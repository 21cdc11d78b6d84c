package tinperch.part.feature.kind;

import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.bind.BodyRef;
import tinperch.part.feature.AvoidingKind;
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
import tinperch.solid.Vec3;

/**
 * Takes away where a neighbour is at rest, and some clearance around it. A rod is taken away round, everything else as its box; corners
 * of the cut are square, so that a gap to them is never less than the clearance.
 */
public final class AvoidFeature extends NamedKind implements AvoidingKind {
    private static final Card CARD = new Card("avoid", "Cut around");
    public static final NumberParam CLEARANCE = NumberParam.length("clearance", CARD, "Clearance", 0, 50, 1, "Left free on all its sides; hot things want 3 mm (common practice)");
    private static final int SIDES = 64;

    public AvoidFeature() {
        super("avoid", "Cut around", CLEARANCE);
    }

    @Override
    public String summary(Values v) {
        return "with " + CLEARANCE.show(v) + " free";
    }

    @Override
    public Optional<Values> leaving(double clearanceMm) {
        return clearanceMm < CLEARANCE.min() || clearanceMm > CLEARANCE.max() ? Optional.empty() : Optional.of(Values.START.with(CLEARANCE, clearanceMm));
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        BodyRef body = in.refs().ofFeature(feature.id(), BodyRef.KIND);
        Placement p = on.site().orElseThrow(() -> new PartProblem("This kind of part mounts on no site, so where " + body.name() + " is cannot be told.")).times(body.place());
        double free = in.get(CLEARANCE);
        Vec3 s = body.sizeMm();
        Profile section = body.rod() ? Profile.hole(0, 0, Math.max(s.x(), s.y()) + 2 * free, SIDES)
                : Profile.rectangle(0, 0, s.x() + 2 * free, s.y() + 2 * free);
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), section, p, -s.z() / 2 - free, s.z() / 2 + free)), List.of());
    }
}
