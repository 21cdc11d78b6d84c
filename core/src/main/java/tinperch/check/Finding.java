package tinperch.check;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One judgement about the part.
 *
 * @param id stable name, so that the same finding can be followed from edit to edit
 * @param what short: "M3×16 is 1.4 mm short"
 * @param why what follows and where the limit comes from
 * @param margin absent where there is nothing to measure
 * @param pieceId piece it points at, {@code feature} the feature there; empty for the whole part
 * @param settle what would settle it where no change of the part can
 * @param pose where the axes stand when it happens, by name; those that do not matter are not in it
 * @param accepted why the owner lives with it; empty where nobody said so
 * @param check that says it; null until it was asked for all
 */
public record Finding(String id, Severity severity, String what, String why, Optional<Margin> margin, List<Remedy> remedies,
        String pieceId, String feature, Subject subject, Optional<Settle> settle, Map<String, Double> pose, String accepted, Check check) {
    public Finding {
        remedies = List.copyOf(remedies);
        pose = Map.copyOf(pose);
    }

    /** A finding about the whole part without a margin. */
    public static Finding of(String id, Severity severity, String what, String why, Remedy... remedies) {
        return new Finding(id, severity, what, why, Optional.empty(), List.of(remedies), "", "", Subject.SHAPE, Optional.empty(), Map.of(), "", null);
    }

    /** With a margin. */
    public Finding measured(Margin next) {
        return new Finding(id, severity, what, why, Optional.of(next), remedies, pieceId, feature, subject, settle, pose, accepted, check);
    }

    /** With other remedies. */
    public Finding with(List<Remedy> next) {
        return new Finding(id, severity, what, why, margin, next, pieceId, feature, subject, settle, pose, accepted, check);
    }

    /** Pointing at a feature of a piece. */
    public Finding at(String piece, String where) {
        return new Finding(id, severity, what, why, margin, remedies, piece, where, subject, settle, pose, accepted, check);
    }

    /** About something in particular. */
    public Finding about(Subject next) {
        return new Finding(id, severity, what, why, margin, remedies, pieceId, feature, next, settle, pose, accepted, check);
    }

    /** With what would settle it. */
    public Finding settledBy(Settle.By by, String of, String label) {
        return new Finding(id, severity, what, why, margin, remedies, pieceId, feature, subject, Optional.of(new Settle(by, of, label)), pose, accepted, check);
    }

    /** Happening where axes stand. */
    public Finding posed(Map<String, Double> where) {
        return new Finding(id, severity, what, why, margin, remedies, pieceId, feature, subject, settle, where, accepted, check);
    }

    /** Accepted for a reason. */
    public Finding accepted(String reason) {
        return new Finding(id, severity, what, why, margin, remedies, pieceId, feature, subject, settle, pose, reason, check);
    }

    /** Said by a check. */
    public Finding saidBy(Check next) {
        return new Finding(id, severity, what, why, margin, remedies, pieceId, feature, subject, settle, pose, accepted, next);
    }

    /** Whether somebody has to look at it: it is neither fine nor accepted. */
    public boolean isOpen() {
        return severity != Severity.FINE && accepted.isEmpty();
    }

    /** Order of the tray: the worst severity first, what was accepted after what is open, then the least spare against its limit. */
    public static int tightestFirst(Finding a, Finding b) {
        int bySeverity = a.rank() != b.rank() ? Integer.compare(a.rank(), b.rank()) : a.severity.compareTo(b.severity);
        return bySeverity != 0 ? bySeverity : Double.compare(a.tightness(), b.tightness());
    }

    private int rank() {
        return isOpen() ? 0 : severity != Severity.FINE ? 1 : 2;
    }

    private double tightness() {
        return margin.map(m -> m.spare() / Math.max(1, Math.abs(m.limit()))).orElse(Double.MAX_VALUE);
    }
}
