package tinperch.upgrade;

import java.time.LocalDateTime;

/**
 * A revision kept on purpose.
 *
 * @param number 1 for the first; engraved as "R1"
 * @param reason why it was made
 * @param state the upgrade as it stood
 * @param life what became of it
 */
public record Revision(String upgradeId, int number, LocalDateTime keptAt, String reason, Upgrade state, Life life) {
    public String mark() {
        return mark(number);
    }

    /** The text engraved in revision {@code number}. */
    public static String mark(int number) {
        return "R" + number;
    }

    public Revision with(Life next) {
        return new Revision(upgradeId, number, keptAt, reason, state, next);
    }

    /** How a revision ended. */
    public enum End {
        UNTRIED("Not fitted yet"), RUNNING("In use"), FAILED("Failed"), REPLACED("Replaced while sound");

        private final String label;

        End(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * What became of a revision.
     *
     * @param hours hours it ran
     * @param note what happened, where
     */
    public record Life(double hours, End end, String note) {
        public static final Life NEW = new Life(0, End.UNTRIED, "");
    }
}
