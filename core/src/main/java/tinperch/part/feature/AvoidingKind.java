package tinperch.part.feature;

import java.util.Optional;
import tinperch.part.bind.BodyRef;
import tinperch.part.bind.RefKind;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;

/** A kind that takes away where a neighbour is: a remedy for what is in the way. */
public interface AvoidingKind extends FeatureKind {
    @Override
    default Optional<RefKind<?>> around() {
        return Optional.of(BodyRef.KIND);
    }

    /** Values that leave so much free around the neighbour, mm, and are as before else; empty when it cannot be so much. */
    Optional<Values> leaving(Values before, double clearanceMm);

    /**
     * Values that leave at least so much free around the neighbour, and around its way out; empty when it cannot be so much, or that way is none of its own.
     *
     * @param way straight, in the piece's coordinates
     */
    Optional<Values> freeing(Values before, double clearanceMm, Vec3 way);
}
