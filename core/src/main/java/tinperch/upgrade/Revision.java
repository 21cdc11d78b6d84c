package tinperch.upgrade;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/**
 * A revision of a part kept on purpose, with all it was made of.
 *
 * @param number 1 for the first of its part; engraved as "R1"
 * @param reason why it was made
 * @param part as it was designed, {@code recipe} what its shape followed from; empty only in files kept by an earlier version
 * @param hostMachineId the machine that was to print it
 * @param pieces the meshes themselves, so that writing it again gives the same file whatever changed since
 * @param life what became of it
 * @param caseKey content key of the case it was kept of; empty when an earlier version kept it
 */
public record Revision(String upgradeId, String partId, int number, LocalDateTime keptAt, String reason, PartDesign part, Optional<Recipe> recipe,
        String hostMachineId, List<KeptPiece> pieces, Life life, String caseKey) {
    public Revision {
        recipe = recipe == null ? Optional.empty() : recipe;
        pieces = pieces == null ? List.of() : List.copyOf(pieces);
        life = life == null ? Life.NEW : life;
        caseKey = caseKey == null ? "" : caseKey;
    }

    /** One whose case is not known. */
    public Revision(String upgradeId, String partId, int number, LocalDateTime keptAt, String reason, PartDesign part, Optional<Recipe> recipe,
            String hostMachineId, List<KeptPiece> pieces, Life life) {
        this(upgradeId, partId, number, keptAt, reason, part, recipe, hostMachineId, pieces, life, "");
    }

    /**
     * A piece as it was kept.
     *
     * @param meshId which of the kept meshes it is
     */
    public record KeptPiece(String name, String meshId, int count) {}

    /** The text engraved in it, "R4". */
    public String mark() {
        return mark(number);
    }

    /** The text engraved in revision {@code number}. */
    public static String mark(int number) {
        return "R" + number;
    }

    /** After something else became of it. */
    public Revision with(Life next) {
        return new Revision(upgradeId, partId, number, keptAt, reason, part, recipe, hostMachineId, pieces, next, caseKey);
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
