package tinperch.upgrade;

import java.util.List;
import java.util.Optional;
import tinperch.part.feature.AvoidingKind;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.kind.AvoidFeature;
import tinperch.part.feature.kind.BossFeature;
import tinperch.part.feature.kind.DovetailFeature;
import tinperch.part.feature.kind.DowelFeature;
import tinperch.part.feature.kind.EdgeFeature;
import tinperch.part.feature.kind.FlangeFeature;
import tinperch.part.feature.kind.HoleFeature;
import tinperch.part.feature.kind.NutPocketFeature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.feature.kind.RibFeature;
import tinperch.part.feature.kind.SlotFeature;
import tinperch.part.feature.kind.SnapHookFeature;
import tinperch.part.feature.kind.TextFeature;
import tinperch.part.feature.kind.TiePairFeature;
import tinperch.part.feature.kind.WindowFeature;

/** All kinds of feature; a new one is added here. */
public final class FeatureKinds {
    public static final List<FeatureKind> ALL = List.of(
            new HoleFeature(),
            new SlotFeature(),
            new NutPocketFeature(),
            new BossFeature(),
            new PadFeature(),
            new RibFeature(),
            new FlangeFeature(),
            new DowelFeature(),
            new DovetailFeature(),
            new SnapHookFeature(),
            new TiePairFeature(),
            new EdgeFeature(),
            new WindowFeature(),
            new TextFeature(),
            new AvoidFeature());

    private FeatureKinds() {}

    /** The kind that cuts a neighbour's room out of a part. */
    public static AvoidingKind avoiding() {
        return ALL.stream().filter(AvoidingKind.class::isInstance).map(AvoidingKind.class::cast).findFirst().orElseThrow();
    }

    public static Optional<FeatureKind> byId(String id) {
        return ALL.stream().filter(k -> k.id().equals(id)).findFirst();
    }
}
