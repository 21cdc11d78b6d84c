package tinperch.part.feature.kind;

import java.util.List;
import java.util.function.ToDoubleBiFunction;
import tinperch.hardware.Fits;
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
import tinperch.solid.Profile;

/** What keeps two pieces in line: the hole of a bought pin, pressed in or sliding, or a printed peg with a led-in tip. */
public final class DowelFeature extends NamedKind {
    private static final Card CARD = new Card("dowel", "Dowel");
    public static final NumberParam DIAMETER = NumberParam.length("diameter", CARD, "Pin Ø", 1, 60, 4, "Of the pin as bought, or of the hole the peg goes into");
    public static final ChoiceParam<Fit> FIT = ChoiceParam.of("fit", CARD, "Fit", Fit.PRESSED, Fit::label, "A pin is pressed into one piece and slides into the other");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 1, 200, 8, "Of the hole, or height of the peg");
    private static final double LEAD_IN_MM = 0.6;

    /** How it fits; the printer's record says what each needs. */
    public enum Fit {
        PRESSED("pressed in", (hole, f) -> hole + f.pressMm()), SLIDING("slides", (hole, f) -> hole + f.runningMm()), PEG("a printed peg", (hole, f) -> f.pegMm());

        private final String label;
        private final ToDoubleBiFunction<Double, Fits> allowance;

        Fit(String label, ToDoubleBiFunction<Double, Fits> allowance) {
            this.label = label;
            this.allowance = allowance;
        }

        String label() {
            return label;
        }
    }

    public DowelFeature() {
        super("dowel", "Dowel", DIAMETER, FIT, DEPTH);
    }

    @Override
    public String summary(Values v) {
        return "Ø " + DIAMETER.show(v) + ", " + FIT.of(v).label();
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        double depth = in.get(DEPTH);
        double width = in.get(DIAMETER) + in.get(FIT).allowance.applyAsDouble(in.holeOffsetMm(), in.fits());
        double lead = Math.min(LEAD_IN_MM, Math.min(depth / 2, width / 4));
        if (in.get(FIT) == Fit.PEG) {
            return Made.added(Leaf.extrusion(feature.id(), Profile.disc(0, 0, width, Cones.SIDES), on.at(), -on.rootMm(), depth - lead),
                    Cones.between(feature.id() + " tip", on, width * DISC, depth - lead, (width - 2 * lead) * DISC, depth));
        }
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), Profile.hole(0, 0, width, Cones.SIDES), on.at(), -depth, 1), Cones.chamfer(feature.id() + " lead-in", on, width, lead)),
                List.of(new Cavity(feature.id(), feature.id(), feature.name(), Cavity.Purpose.POCKET, on.inward(), width, 0, depth, false, 0, List.of())));
    }

    /** A peg's polygon lies within its circle; {@link Cones} draws around. */
    private static final double DISC = Math.cos(Math.PI / Cones.SIDES);
}
