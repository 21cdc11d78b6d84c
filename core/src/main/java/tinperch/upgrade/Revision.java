package tinperch.upgrade;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tinperch.part.form.Lie;

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
 * @param pictureId which of the kept blobs is its small picture; empty when an earlier version kept it, without
 */
public record Revision(String upgradeId, String partId, int number, LocalDateTime keptAt, String reason, PartDesign part, Optional<Recipe> recipe,
        String hostMachineId, List<KeptPiece> pieces, Life life, String caseKey, String pictureId) {
    public Revision {
        recipe = recipe == null ? Optional.empty() : recipe;
        pieces = pieces == null ? List.of() : List.copyOf(pieces);
        life = life == null ? Life.NEW : life;
        caseKey = caseKey == null ? "" : caseKey;
        pictureId = pictureId == null ? "" : pictureId;
    }

    /** One whose case is not known. */
    public Revision(String upgradeId, String partId, int number, LocalDateTime keptAt, String reason, PartDesign part, Optional<Recipe> recipe,
            String hostMachineId, List<KeptPiece> pieces, Life life) {
        this(upgradeId, partId, number, keptAt, reason, part, recipe, hostMachineId, pieces, life, "", "");
    }

    /**
     * A piece as it was kept.
     *
     * @param meshId which of the kept meshes it is
     * @param lie the side it was to lie on when it was printed
     */
    public record KeptPiece(String name, String meshId, int count, Lie lie) {
        public KeptPiece {
            // Those kept by an earlier version lay as they were drawn.
            lie = lie == null ? Lie.BOTTOM : lie;
        }
    }

    /** The text engraved in it, "R4". */
    public String mark() {
        return mark(number);
    }

    /** The text engraved in revision {@code number}. */
    public static String mark(int number) {
        return "R" + number;
    }

    /** The same in another workshop, where its upgrade and its printer have other ids. */
    public Revision of(String upgrade, String host) {
        return new Revision(upgrade, partId, number, keptAt, reason, part, recipe, host, pieces, life, caseKey, pictureId);
    }

    /** Ids of all blobs it was kept with. */
    public List<String> blobIds() {
        return Stream.concat(pieces.stream().map(KeptPiece::meshId), Stream.of(pictureId).filter(id -> !id.isEmpty())).toList();
    }

    /** After something else became of it. */
    public Revision with(Life next) {
        return new Revision(upgradeId, partId, number, keptAt, reason, part, recipe, hostMachineId, pieces, next, caseKey, pictureId);
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
