package tinperch.part.feature;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.param.Param;
import tinperch.part.param.Values;
import tinperch.solid.Placement;

/** A kind of feature a person can place on a face. Stateless. */
public interface FeatureKind {
    /** Stable name for storage. */
    String id();

    /** What the owner calls it. */
    String title();

    /** Its parameters, in the order they are shown. */
    List<Param<?>> params();

    /**
     * Makes it.
     *
     * @param inputs those of the part, with the feature's own values
     * @param at origin at its place on the face, z out of the face, x to the right along it
     * @param depthMm how much material lies behind the face there at the most: how deep a hole right through must go
     * @throws tinperch.part.param.PartProblem when its values fit none
     */
    Made make(Feature feature, PartInputs inputs, Placement at, double depthMm);

    /** What it amounts to in a few words. */
    String summary(Values values);
}
