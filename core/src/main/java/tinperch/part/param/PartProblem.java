package tinperch.part.param;

import java.util.Optional;

/** Values that no part can be made from; says which parameter to look at and what to do. */
public final class PartProblem extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient Param<?> param;

    public PartProblem(Param<?> param, String message) {
        super(message);
        this.param = param;
    }

    /** One that no single parameter can cure. */
    public PartProblem(String message) {
        this(null, message);
    }

    /** The parameter to change first. */
    public Optional<Param<?>> param() {
        return Optional.ofNullable(param);
    }
}
