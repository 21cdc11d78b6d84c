package tinperch.part.feature;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tinperch.part.PartInputs;
import tinperch.part.form.Cavity;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.param.PartProblem;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;

/**
 * A form with the features a person placed on it.
 *
 * @param left why a feature could not be made, by its id; it is left out and everything else stands
 */
public record Featured(PartForm form, Map<String, String> left) {
    public Featured {
        left = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(left));
    }

    /** Makes all features that are on, each on the piece as its family made it. */
    public static Featured of(PartForm plain, List<Feature> features, PartInputs in, Function<String, Optional<FeatureKind>> kinds) {
        if (features.isEmpty()) {
            return new Featured(plain, Map.of());
        }
        Map<String, String> left = new LinkedHashMap<>();
        Map<String, List<Made>> made = new LinkedHashMap<>();
        for (Feature f : features) {
            if (!f.off()) {
                try {
                    made.computeIfAbsent(f.anchor() == null ? "" : f.anchor().pieceId(), k -> new ArrayList<>()).add(make(f, plain, in, kinds));
                } catch (PartProblem | SolidException e) {
                    left.put(f.id(), e.getMessage());
                }
            }
        }
        return new Featured(plain.withPieces(plain.pieces().stream().map(p -> with(p, made.getOrDefault(p.id(), List.of()))).toList()), left);
    }

    private static Made make(Feature f, PartForm plain, PartInputs in, Function<String, Optional<FeatureKind>> kinds) {
        FeatureKind kind = kinds.apply(f.kindId()).orElseThrow(() -> new PartProblem("It is of a kind this version does not know."));
        Anchor a = f.anchor();
        if (a == null || a.outward() == null || !(a.outward().length() > 0.5) || a.across() == null || a.upwards() == null) {
            throw new PartProblem("It is anchored nowhere; put it on a face again.");
        }
        Piece piece = plain.piece(a.pieceId()).orElseThrow(() -> new PartProblem("The piece it was on is gone; put it on a face again."));
        FaceFrame face = FaceFrame.of(piece.solid(), a).orElseThrow(() -> new PartProblem("The face it was on is gone; put it on another."));
        Placement at = face.at(a);
        return kind.make(f, new PartInputs(f.values(), in.refs(), in.hardware(), in.holeOffsetMm(), in.models()), at, face.depthMm());
    }

    private static Piece with(Piece p, List<Made> made) {
        if (made.isEmpty()) {
            return p;
        }
        List<Solid> adds = new ArrayList<>(List.of(p.solid()));
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>(p.cavities());
        for (Made m : made) {
            adds.addAll(m.adds());
            cuts.addAll(m.cuts());
            cavities.addAll(m.cavities());
        }
        Solid joined = adds.size() == 1 ? p.solid() : new Solid.Union(adds);
        return p.with(cuts.isEmpty() ? joined : new Solid.Difference(joined, cuts)).withCavities(cavities);
    }
}
