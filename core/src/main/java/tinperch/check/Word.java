package tinperch.check;

/** The first word of a finding. */
public enum Word {
    STOP("Stop"), LOOK("Look"), FINE("Fine");

    private final String label;

    Word(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
