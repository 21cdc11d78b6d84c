package tinperch.part.feature.kind;

import java.util.List;
import java.util.Optional;
import tinperch.hardware.HeatSetInsert;
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
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** A round boss, plain or with the hole of a heat-set insert. */
public final class BossFeature extends NamedKind {
    private static final Card CARD = new Card("boss", "Boss");
    public static final NumberParam DIAMETER = NumberParam.length("diameter", CARD, "Diameter", 1, 200, 9.2, "Twice the insert's outside at least (common practice)");
    public static final NumberParam HEIGHT = NumberParam.length("height", CARD, "Height", 0.2, 200, 6, "Above the face");
    public static final ChoiceParam<Optional<String>> INSERT = ChoiceParam.wordsOr("insert", CARD, "Insert", List.of("M3", "M2", "M2.5", "M4", "M5"), "none", "Heat-set insert it is for");
    public static final SwitchParam CARRIED = Underside.of(CARD);

    public BossFeature() {
        super("boss", "Boss", DIAMETER, HEIGHT, INSERT, CARRIED);
    }

    @Override
    public String summary(Values v) {
        return "Ø " + DIAMETER.show(v) + " × " + HEIGHT.show(v) + INSERT.of(v).map(t -> " for an " + t + " insert").orElse("");
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Profile outline = Profile.disc(0, 0, in.get(DIAMETER), 48);
        Leaf plain = Leaf.extrusion(feature.id() + " boss", outline, on.at(), -on.rootMm(), in.get(HEIGHT));
        List<Solid> boss = in.get(CARRIED) ? Underside.carried(plain, feature, outline, on, in.get(HEIGHT)).adds() : List.of(plain);
        Optional<String> thread = in.get(INSERT);
        if (thread.isEmpty()) {
            return new Made(boss, List.of(), List.of());
        }
        HeatSetInsert insert = in.hardware().insertsFor(thread.get()).stream().filter(i -> i.lengthMm() + 2 <= in.get(HEIGHT) + on.depthMm())
                .reduce((a, b) -> b).orElseThrow(() -> new PartProblem(HEIGHT, "No " + thread.get() + " insert is short enough for this place; make the boss higher."));
        double width = insert.holeMm() + in.holeOffsetMm();
        Placement top = new Placement(on.at().point(0, 0, in.get(HEIGHT)), on.at().u(), on.at().v().times(-1), on.at().w().times(-1));
        return new Made(boss, List.of(Leaf.extrusion(feature.id(), Profile.hole(0, 0, width, 48), top, -1, insert.lengthMm() + 1)),
                List.of(new Cavity(feature.id(), feature.id(), feature.name() + " insert", Cavity.Purpose.INSERT, top, width, 0, insert.lengthMm() + 1, false, 0, List.of())));
    }
}
