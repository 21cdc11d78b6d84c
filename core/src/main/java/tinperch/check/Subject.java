package tinperch.check;

/** What a finding is about, where more than its words hangs on it. */
public enum Subject {
    /** There is no part: whatever else is said of it means nothing. */
    NO_PART,
    /** Where and of what it is printed, not how it is shaped. */
    PRINTING,
    /** How it is laid out: another layout may cure it. */
    LAYOUT,
    /** How warm it gets: a map of that can be shown on it. */
    HEAT,
    /** The air it leads: its way can be shown on it. */
    AIR,
    /** Anything else. */
    SHAPE
}
