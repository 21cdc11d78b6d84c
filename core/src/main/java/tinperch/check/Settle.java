package tinperch.check;

/**
 * What would settle a matter that cannot be told yet: something to measure, say or draw. It is no change of the part, so the person is
 * led there instead.
 *
 * @param by what has to be done
 * @param of id of what it concerns, of a role; empty where that is plain
 * @param label what the button says: "measure the hose"
 */
public record Settle(By by, String of, String label) {
    /** Ways to settle something. */
    public enum By {
        /** Bind or read what a role asks for. */
        MEASURE,
        /** Add a site to the machine. */
        SITE,
        /** Draw what is near on the machine. */
        NEIGHBOURS,
        /** Choose a material. */
        MATERIAL,
        /** Check a downloaded model against the real thing. */
        MODEL,
        /** Say in the machine's book. */
        BOOK,
        /** Say what it bears. */
        LOAD,
        /** Record a temperature. */
        LOG,
        /** Read something on the machine: push its frame. */
        READINGS,
        /** Reckon once more. */
        AGAIN
    }
}
