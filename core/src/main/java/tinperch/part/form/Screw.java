package tinperch.part.form;

import java.util.List;
import java.util.Optional;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;

/**
 * One screw with what it goes through, in the coordinates of its piece. How much plastic it clamps is measured on the piece.
 *
 * @param id unique within the part, "tool.C"
 * @param row which screws are bought and driven alike, "tool"
 * @param rowLabel what a finding calls the row, "tool-side screws"
 * @param pieceId the piece it is in
 * @param axis z from the head towards the tip; heights below count along it
 * @param headMm where the head or its washer bears, {@code onPart} whether on the printed part rather than on what is held
 * @param heldName what else is clamped, {@code heldMm} how thick that is
 * @param end what it is tightened into
 * @param endMm where the nut bears, or the mouth of the insert
 * @param boreMm diameter of the hole around it
 * @param lengthParam parameter of its length
 * @param grip what makes the clamped plastic thicker
 * @param insertParam parameter of the insert's length
 * @param slotMm how far it can be moved in its hole along the axis' x; 0 for a round one
 * @param seatParam parameter of what it is tightened into; empty where that cannot be chosen
 * @param featureId the feature a person placed whose parameters these are; empty for the family's
 */
public record Screw(String id, String row, String rowLabel, String pieceId, ScrewThread thread, ScrewThread.Head head, boolean washer,
        double lengthMm, Placement axis, double headMm, boolean onPart, String heldName, double heldMm, SeatKind end, double endMm,
        double boreMm, Optional<HeatSetInsert> insert, NumberParam lengthParam, List<Lever> grip, NumberParam insertParam, double slotMm, Optional<ChoiceParam<SeatKind>> seatParam, String featureId) {
    public Screw {
        grip = List.copyOf(grip);
    }

    /** One of the family's own. */
    public Screw(String id, String row, String rowLabel, String pieceId, ScrewThread thread, ScrewThread.Head head, boolean washer, double lengthMm, Placement axis, double headMm, boolean onPart,
            String heldName, double heldMm, SeatKind end, double endMm, double boreMm, Optional<HeatSetInsert> insert, NumberParam lengthParam, List<Lever> grip, NumberParam insertParam, double slotMm) {
        this(id, row, rowLabel, pieceId, thread, head, washer, lengthMm, axis, headMm, onPart, heldName, heldMm, end, endMm, boreMm, insert, lengthParam, grip, insertParam, slotMm, Optional.empty(), "");
    }

    /** The same where a parameter says what it goes into. */
    public Screw seatedBy(ChoiceParam<SeatKind> seat) {
        return new Screw(id, row, rowLabel, pieceId, thread, head, washer, lengthMm, axis, headMm, onPart, heldName, heldMm, end, endMm, boreMm, insert, lengthParam, grip, insertParam, slotMm, Optional.of(seat), featureId);
    }

    /** The same somewhere else. */
    public Screw at(Placement to) {
        return new Screw(id, row, rowLabel, pieceId, thread, head, washer, lengthMm, to, headMm, onPart, heldName, heldMm, end, endMm, boreMm, insert, lengthParam, grip, insertParam, slotMm, seatParam, featureId);
    }

    /** Another of the same in another hole, its head where this one's is. */
    public Screw another(String nextId, String nextRow, String label, double holeMm, Placement to) {
        return new Screw(nextId, nextRow, label, pieceId, thread, head, washer, lengthMm, to, headMm, onPart, heldName, heldMm, end, endMm, holeMm, insert, lengthParam, grip, insertParam, 0, seatParam, featureId);
    }

    /** The same through another piece, its head on that piece's z = 0. */
    public Screw in(String piece, Placement to, double throughMm) {
        return new Screw(id, row, rowLabel, piece, thread, head, washer, lengthMm, to, 0, onPart, heldName, heldMm, end, throughMm, boreMm, insert, lengthParam, grip, insertParam, 0, seatParam, featureId);
    }

    /** The same with more clamped besides the part. */
    public Screw clampingAlso(double mm) {
        return new Screw(id, row, rowLabel, pieceId, thread, head, washer, lengthMm, axis, headMm, onPart, heldName, heldMm + mm, end, endMm, boreMm, insert, lengthParam, grip, insertParam, slotMm, seatParam, featureId);
    }

    /** One a person placed, or one of its copies: all of them are one row. */
    public Screw ofFeature(String feature) {
        return new Screw(id, feature, rowLabel, pieceId, thread, head, washer, lengthMm, axis, headMm, onPart, heldName, heldMm, end, endMm, boreMm, insert, lengthParam, grip, insertParam, slotMm, seatParam, feature);
    }

    /** Where along its axis its shank begins, under its head, mm. */
    public double shankFromMm() {
        return headMm - (onPart ? 0 : heldMm) - washerMm();
    }

    /** How far it reaches beyond the mouth of what it goes into, where that is in the part, mm. */
    public double insideMm() {
        return end.isInside() ? lengthMm - washerMm() - heldMm : 0;
    }

    /** "M3×16". */
    public String name() {
        return name(lengthMm);
    }

    /** The same screw's name at another length. */
    public String name(double length) {
        return thread.name() + "×" + Quantity.plain(length, Unit.MM);
    }

    /** What bears on the seat: the washer's outside, or the head's, mm. */
    public double seatWidthMm() {
        return washer ? thread.washerOuterMm() : thread.headDiameterMm(head);
    }

    /** Thickness of its washer, 0 without one, mm. */
    public double washerMm() {
        return washer ? thread.washerThicknessMm() : 0;
    }
}
