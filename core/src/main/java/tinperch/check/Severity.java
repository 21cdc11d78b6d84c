package tinperch.check;

/** The first word of a finding; the worst first. */
public enum Severity {
    /** It would fail. */
    STOP("Stop"),
    /** It may fail, or something is only assumed. */
    LOOK("Look"),
    /** It was not judged, because something is not known. */
    CANT_TELL("Can't tell"),
    /** It was judged and is good. */
    FINE("Fine");

    private final String label;

    Severity(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
