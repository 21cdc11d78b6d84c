package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.SwitchParam;
import tinperch.solid.Leaf;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.ConvexHull;
import tinperch.solid.shape.HalfSpace;

/** What carries something that stands out of a standing wall: without it its underside hangs in the air as it is printed. */
final class Underside {
    private Underside() {}

    static SwitchParam of(Card card) {
        return new SwitchParam("carried", card, "Carried at 45°", false, "A slope beneath it where it stands out of a wall, so that it prints without support");
    }

    /** It, and where its face stands the slope beneath it. */
    static Made carried(Leaf it, Feature feature, Profile outline, Ground on, double heightMm) {
        List<Solid> all = new ArrayList<>(List.of(it));
        on.sky().ifPresent(sky -> {
            List<Vec3> corners = new ArrayList<>();
            double[] xy = outline.ring(0);
            Vec3 foot = sky.times(-heightMm);
            for (int i = 0; i < xy.length; i += 2) {
                Vec3 root = on.at().point(xy[i], xy[i + 1], -on.rootMm());
                corners.add(root);
                corners.add(root.plus(foot));
                corners.add(on.at().point(xy[i], xy[i + 1], 0).plus(foot));
                corners.add(on.at().point(xy[i], xy[i + 1], heightMm));
            }
            Leaf slope = ConvexHull.leaf(feature.id() + " slope", corners);
            // Below the wall's lower edge is the bed, or nothing to lean on.
            Vec3 edge = on.face().map(f -> f.frame().origin().plus(sky.times(-f.halfUpwardsMm()))).orElse(Vec3.ZERO);
            boolean beyond = corners.stream().anyMatch(c -> c.minus(edge).dot(sky) < -1e-9);
            all.add(beyond ? new Solid.Difference(slope, List.of(HalfSpace.beyond(feature.id() + " below", edge, sky.times(-1), slope.bounds()))) : slope);
        });
        return new Made(all, List.of(), List.of());
    }
}
