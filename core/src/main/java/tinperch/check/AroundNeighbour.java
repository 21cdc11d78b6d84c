package tinperch.check;

import java.util.Optional;
import java.util.function.BiFunction;
import tinperch.machine.space.Neighbour;
import tinperch.part.bind.Binding;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.AvoidingKind;
import tinperch.part.feature.Feature;
import tinperch.part.form.Piece;
import tinperch.part.param.Values;
import tinperch.upgrade.Change;
import tinperch.upgrade.FeatureKinds;
import tinperch.upgrade.PartDesign;

/** Takes a neighbour's room out of a piece; what that leaves of it is tried out before it is offered. */
final class AroundNeighbour {
    private AroundNeighbour() {}

    /**
     * One feature for each neighbour and piece: what was cut before is cut anew.
     *
     * @param values what it is to leave free, from what it did before; empty where that cannot be
     */
    static Optional<Remedy> of(Neighbour n, Piece piece, PartDesign part, BiFunction<AvoidingKind, Values, Optional<Values>> values, String label) {
        AvoidingKind kind = FeatureKinds.avoiding();
        Binding around = new Binding.OfNeighbour(n.id());
        Feature known = part.features().stream().filter(f -> f.kindId().equals(kind.id()) && around.equals(f.around()) && f.anchor() != null
                && f.anchor().pieceId().equals(piece.id())).findFirst().orElse(null);
        String id = known == null ? part.nextFeatureId() : known.id();
        String name = known == null ? "around " + n.name() : known.name();
        return values.apply(kind, known == null ? Values.START : known.values()).map(v -> Remedy.of(label, new Change.PutFeature(new Feature(id, kind.id(), name, Anchor.piece(piece.id()), around, v, false))));
    }
}
