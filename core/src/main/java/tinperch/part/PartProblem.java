package tinperch.part;

/** Values that no part can be made from; says which parameter to look at and what to do. */
public final class PartProblem extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String parameterKey;

    public PartProblem(String parameterKey, String message) {
        super(message);
        this.parameterKey = parameterKey;
    }

    /** The parameter to change first. */
    public String parameterKey() {
        return parameterKey;
    }
}
