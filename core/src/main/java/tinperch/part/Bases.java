package tinperch.part;

/** Where a part's base comes from. */
@FunctionalInterface
public interface Bases {
    /** For parts without one. */
    Bases NONE = modelId -> {
        throw new PartProblem("", "The model this part is made from is not kept any more; bring it in again.");
    };

    /**
     * The base made of a kept model.
     *
     * @throws PartProblem when it is lost, open or too fine to be cut
     */
    Base base(String modelId);
}
