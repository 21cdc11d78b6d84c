package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.form.Cavity;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** A plate that stands out of a face at its edge and is bolted to another: its holes lie in a row along it, clear of the face it stands on. */
public final class FlangeFeature extends NamedKind {
    private static final Card CARD = new Card("flange", "Flange");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 4, 400, 40, "To the right along the face");
    public static final NumberParam THICKNESS = NumberParam.length("thickness", CARD, "Thickness", 0.8, 60, 4, "Upwards along the face, under the screws' heads");
    public static final NumberParam REACH = NumberParam.length("reach", CARD, "Reach", 4, 100, 12, "Out of the face");
    public static final ChoiceParam<String> THREAD = ChoiceParam.words("thread", CARD, "Screws", List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8"), "Clearance holes of ISO 273 medium");
    public static final NumberParam HOLES = NumberParam.count("holes", CARD, "Holes", 1, 20, 2, "Evenly along the flange");
    public static final SwitchParam CARRIED = Underside.of(CARD);

    public FlangeFeature() {
        super("flange", "Bolted flange", LENGTH, THICKNESS, REACH, THREAD, HOLES, CARRIED);
    }

    @Override
    public String summary(Values v) {
        return LENGTH.show(v) + " long, " + (int) Math.rint(HOLES.of(v)) + " " + THREAD.of(v);
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground place) {
        Ground on = place.upright();
        ScrewThread t = in.hardware().thread(in.get(THREAD));
        int n = (int) Math.rint(in.get(HOLES));
        double length = in.get(LENGTH);
        double thick = in.get(THICKNESS);
        double reach = in.get(REACH);
        double room = t.washerOuterMm();
        if (reach < room) {
            throw new PartProblem(REACH, "A washer of " + t.name() + " is " + Quantity.mm(room) + " wide and the flange reaches " + Quantity.mm(reach) + " out; make it at least " + Quantity.mm(room + 1) + ".");
        }
        if (n * room > length) {
            throw new PartProblem(HOLES, n + " washers of " + t.name() + " side by side take " + Quantity.mm(n * room) + ", and the flange is " + Quantity.mm(length) + " long; make it longer or take fewer.");
        }
        Profile outline = Profile.rectangle(0, 0, length, thick);
        Leaf plate = Leaf.extrusion(feature.id() + " plate", outline, on.at(), -on.rootMm(), reach);
        List<Solid> adds = in.get(CARRIED) ? Underside.carried(plate, feature, outline, on, reach).adds() : List.of(plate);
        double bore = t.clearanceMm(ScrewThread.Fit.MEDIUM) + in.holeOffsetMm();
        double beyond = in.get(CARRIED) ? reach + 1 : 1;
        Placement p = on.at();
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double x = length * ((i + 0.5) / n - 0.5);
            // From the flange's upper side down.
            Placement down = new Placement(p.point(x, thick / 2, reach / 2), p.u(), p.w(), p.v().times(-1));
            String name = feature.id() + " hole " + (i + 1);
            cuts.add(Leaf.extrusion(name, Profile.hole(0, 0, bore, Cones.SIDES), down, -1, thick + beyond));
            cavities.add(Cavity.hole(name, feature.id() + " " + (i + 1), feature.name() + " hole " + (i + 1), down, bore, thick));
        }
        return new Made(adds, cuts, cavities);
    }
}
