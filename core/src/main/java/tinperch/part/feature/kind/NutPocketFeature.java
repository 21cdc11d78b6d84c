package tinperch.part.feature.kind;

import java.util.List;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.block.ScrewRow;
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
import tinperch.solid.Profile;

/** A six-sided pocket for a nut, with the hole of its screw behind it. */
public final class NutPocketFeature extends NamedKind {
    private static final Card CARD = new Card("nut-pocket", "Nut pocket");
    public static final ChoiceParam<String> THREAD = ChoiceParam.words("thread", CARD, "Thread", List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8"), "Nut of ISO 4032");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 0, 100, 0, "From the face; 0 lets the nut in flush");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise on the face");

    public NutPocketFeature() {
        super("nut-pocket", "Nut pocket", THREAD, DEPTH, TURN);
    }

    @Override
    public String summary(Values v) {
        return THREAD.of(v) + " nut" + (DEPTH.of(v) > 0 ? ", " + DEPTH.show(v) + " deep" : ", flush");
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        ScrewThread t = in.hardware().thread(in.get(THREAD));
        double flats = t.nutAcrossFlatsMm() + ScrewRow.NUT_PLAY_MM + in.fits().slotMm();
        double depth = in.get(DEPTH) > 0 ? in.get(DEPTH) : t.nutHeightMm() + ScrewRow.NUT_DEPTH_PLAY_MM;
        double bore = t.clearanceMm(ScrewThread.Fit.MEDIUM) + in.holeOffsetMm();
        Ground turned = on.turnedDeg(in.get(TURN));
        Placement inward = turned.inward();
        return new Made(List.of(), List.of(Leaf.extrusion(feature.id(), Profile.hexagon(0, 0, flats, 0), turned.at(), -depth, 1),
                Leaf.extrusion(feature.id() + " hole", Profile.hole(0, 0, bore, 48), turned.at(), -on.depthMm() - 1, 1)), List.of(
                new Cavity(feature.id(), feature.id(), feature.name(), Cavity.Purpose.NUT, inward, flats, 6, depth, false, bore, List.of()),
                Cavity.hole(feature.id() + " hole", feature.id(), feature.name() + " hole", inward, bore, on.depthMm())));
    }
}
