package tinperch.measure;

/** Which edges of two holes the calipers touched. */
public enum Jaw {
    /** Far edge to far edge. */
    OUTSIDE("outside"),
    /** Near edge to near edge. */
    INSIDE("inside");

    private final String label;

    Jaw(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
