package tinperch.trial;

import tinperch.solid.Vec3;

/**
 * A place on a part that a sensor was held to, as it was pointed at, and how it stood to what is hot then.
 *
 * @param pieceId the piece, {@code at} the place on it as it lies on the bed
 * @param gapMm of air along the way to the nearest hot thing; 0 where none was near
 * @param hotId id of that neighbour; empty where none was near
 * @param sock whether a sock covered it
 * @param blown whether a fan blew on the part
 */
public record SpotAt(String pieceId, Vec3 at, double gapMm, String hotId, boolean sock, boolean blown) {
    public SpotAt {
        pieceId = pieceId == null ? "" : pieceId;
        at = at == null ? Vec3.ZERO : at;
        gapMm = gapMm > 0 && Double.isFinite(gapMm) ? gapMm : 0;
        hotId = hotId == null ? "" : hotId;
    }
}
