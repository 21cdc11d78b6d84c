package tinperch.part.form;

/** What a screw is tightened into. */
public enum SeatKind {
    INSERT("heat-set insert"), CAPTIVE_NUT("captive nut"), LOOSE_NUT("loose nut");

    private final String label;

    SeatKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
