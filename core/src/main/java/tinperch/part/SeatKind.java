package tinperch.part;

import java.util.List;

/** What a screw is tightened into. */
public enum SeatKind {
    INSERT("heat-set insert"), CAPTIVE_NUT("captive nut"), LOOSE_NUT("loose nut");

    /** The labels in order, for a parameter's choices. */
    public static final List<String> LABELS = List.of(INSERT.label, CAPTIVE_NUT.label, LOOSE_NUT.label);

    private final String label;

    SeatKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** @throws IllegalArgumentException for an unknown label */
    public static SeatKind labelled(String label) {
        for (SeatKind k : values()) {
            if (k.label.equals(label)) {
                return k;
            }
        }
        throw new IllegalArgumentException("No seat " + label);
    }
}
