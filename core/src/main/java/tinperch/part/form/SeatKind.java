package tinperch.part.form;

/** What a screw is tightened into. */
public enum SeatKind {
    INSERT("heat-set insert"), CAPTIVE_NUT("captive nut"), LOOSE_NUT("loose nut"),
    /** The held thing has a thread of its own, as a motor's face has; how deep it is stands where else its thickness does. */
    TAPPED("thread of what it holds");

    private final String label;

    SeatKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
