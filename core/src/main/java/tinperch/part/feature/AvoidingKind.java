package tinperch.part.feature;

import java.util.Optional;
import tinperch.part.bind.BodyRef;
import tinperch.part.bind.RefKind;
import tinperch.part.param.Values;

/** A kind that takes away where a neighbour is: a remedy for what is in the way. */
public interface AvoidingKind extends FeatureKind {
    @Override
    default Optional<RefKind<?>> around() {
        return Optional.of(BodyRef.KIND);
    }

    /** Values that leave so much free around the neighbour, mm; empty when it cannot be so much. */
    Optional<Values> leaving(double clearanceMm);
}
