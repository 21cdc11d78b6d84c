package tinperch.part.feature;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tinperch.part.PartInputs;
import tinperch.part.form.Cavity;
import tinperch.part.form.Joint;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.part.param.PartProblem;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;

/**
 * A form with the features a person placed on it.
 *
 * @param left why a feature could not be made, by its id; it is left out and everything else stands
 * @param spots where those that stand on a face stand, by their ids
 */
public record Featured(PartForm form, Map<String, String> left, Map<String, Spot> spots) {
    public Featured {
        left = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(left));
        spots = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(spots));
    }

    /** Makes all features that are on, in their order: one may stand on, and count from, those before it. */
    public static Featured of(PartForm plain, List<Feature> features, PartInputs in, Function<String, Optional<FeatureKind>> kinds) {
        if (features.isEmpty()) {
            return new Featured(plain, Map.of(), Map.of());
        }
        Map<String, String> left = new LinkedHashMap<>();
        Map<String, Spot> spots = new LinkedHashMap<>();
        Map<String, Growing> growing = new LinkedHashMap<>();
        plain.pieces().forEach(p -> growing.put(p.id(), new Growing(p)));
        for (Feature f : features) {
            if (!f.off()) {
                try {
                    make(f, plain, growing, in, kinds, spots);
                } catch (PartProblem | SolidException e) {
                    left.put(f.id(), e.getMessage());
                }
            }
        }
        List<Joint> joints = growing.values().stream().flatMap(g -> g.joints.stream()).toList();
        List<Screw> screws = growing.values().stream().flatMap(g -> g.screws.stream()).toList();
        return new Featured(plain.withPieces(growing.values().stream().map(Growing::piece).toList()).joinedBy(joints).screwedBy(screws), left, spots);
    }

    private static void make(Feature f, PartForm plain, Map<String, Growing> growing, PartInputs in, Function<String, Optional<FeatureKind>> kinds,
            Map<String, Spot> spots) {
        FeatureKind kind = kinds.apply(f.kindId()).orElseThrow(() -> new PartProblem("It is of a kind this version does not know."));
        Anchor a = f.anchor();
        boolean onFace = kind.around().isEmpty();
        if (a == null || onFace && (a.outward() == null || !(a.outward().length() > 0.5) || a.across() == null || a.upwards() == null)) {
            throw new PartProblem("It is anchored nowhere; put it on a face again.");
        }
        Growing g = growing.get(a.pieceId());
        if (g == null) {
            throw new PartProblem("The piece it was on is gone; put it on a face again.");
        }
        Optional<Placement> site = plain.mount().map(m -> g.bare.place().inverse().times(m.frame()));
        List<Ground> places = List.of(Ground.nowhere(site));
        if (onFace) {
            Spot spot = Spot.of(g.added(), g.cavities, a);
            spots.put(f.id(), spot);
            places = Copies.places(kind, f.values(), spot, site);
        }
        PartInputs own = new PartInputs(f.values(), in.refs(), in.hardware(), in.holeOffsetMm(), in.fits(), in.models());
        // All of them or none.
        List<Made> made = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            made.add(i == 0 ? kind.make(f, own, places.get(0)) : Copies.numbered(kind.make(new Feature(f.id() + " " + (i + 1), f.kindId(), f.name(), a, f.around(), f.values(), false), own, places.get(i)), i + 1));
        }
        made.forEach(m -> g.take(m, f.id()));
    }

    /** A piece while its features are made. What is cut is cut after everything was added. */
    private static final class Growing {
        private final Piece bare;
        private final List<Solid> adds = new ArrayList<>();
        private final List<Solid> cuts = new ArrayList<>();
        private final List<Cavity> cavities;
        private final List<Joint> joints = new ArrayList<>();
        private final List<Screw> screws = new ArrayList<>();

        Growing(Piece bare) {
            this.bare = bare;
            adds.add(bare.solid());
            cavities = new ArrayList<>(bare.cavities());
        }

        void take(Made m, String featureId) {
            adds.addAll(m.adds());
            cuts.addAll(m.cuts());
            cavities.addAll(m.cavities());
            joints.addAll(m.joints());
            m.screws().forEach(x -> screws.add(x.ofFeature(featureId)));
        }

        Solid added() {
            return adds.size() == 1 ? bare.solid() : new Solid.Union(adds);
        }

        Piece piece() {
            return bare.with(cuts.isEmpty() ? added() : new Solid.Difference(added(), cuts)).withCavities(cavities);
        }
    }
}
