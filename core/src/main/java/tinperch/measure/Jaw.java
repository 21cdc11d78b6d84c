package tinperch.measure;

/** What the calipers touched at two holes. */
public enum Jaw {
    /** Far edge to far edge. */
    OUTSIDE("outside"),
    /** Near edge to near edge. */
    INSIDE("inside"),
    /** Centre to centre: with pins, cone jaws or from a drawing. */
    CENTRES("centres");

    private final String label;

    Jaw(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
