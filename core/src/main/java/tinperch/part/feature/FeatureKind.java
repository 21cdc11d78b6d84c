package tinperch.part.feature;

import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.bind.RefKind;
import tinperch.part.param.Param;
import tinperch.part.param.Values;

/** A kind of feature a person can place on a part. Stateless. */
public interface FeatureKind {
    /** Stable name for storage. */
    String id();

    /** What the owner calls it. */
    String title();

    /** Its parameters, in the order they are shown. */
    List<Param<?>> params();

    /** What it is made around, where that is something of the machine; such a kind needs no face. */
    default Optional<RefKind<?>> around() {
        return Optional.empty();
    }

    /**
     * Makes it.
     *
     * @param inputs those of the part, with the feature's own values
     * @throws tinperch.part.param.PartProblem when its values fit none
     */
    Made make(Feature feature, PartInputs inputs, Ground on);

    /** What it amounts to in a few words. */
    String summary(Values values);
}
