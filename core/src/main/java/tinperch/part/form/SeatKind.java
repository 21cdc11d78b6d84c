package tinperch.part.form;

import tinperch.hardware.ScrewThread;

/** What a screw is tightened into. */
public enum SeatKind {
    INSERT("heat-set insert"), CAPTIVE_NUT("captive nut"),
    /** A thin nut let in, where there is no room for a whole one. */
    SLIM_NUT("captive slim nut"), LOOSE_NUT("loose nut"),
    /** The held thing has a thread of its own, as a motor's face has; how deep it is stands where else its thickness does. */
    TAPPED("thread of what it holds"),
    /** The screw cuts its own thread into the part. */
    CUT("plastic, cutting its own thread");

    private final String label;

    SeatKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Whether a nut sits in a pocket of the part. */
    public boolean isCaptive() {
        return this == CAPTIVE_NUT || this == SLIM_NUT;
    }

    /** Whether the screw ends in the part itself, its mouth on the face of what it holds. */
    public boolean isInside() {
        return this == INSERT || this == CUT;
    }

    /** Height of its nut, ISO 4032 or 4035, mm; 0 where there is none. */
    public double nutMm(ScrewThread thread) {
        return switch (this) {
            case CAPTIVE_NUT, LOOSE_NUT -> thread.nutHeightMm();
            case SLIM_NUT -> thread.thinNutHeightMm();
            case INSERT, TAPPED, CUT -> 0;
        };
    }
}
