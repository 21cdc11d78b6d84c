package tinperch.part.feature;

import tinperch.solid.Vec3;

/**
 * A place on a flat face of a piece, told so that it survives edits of the body: the face by the feature it belongs to and the
 * way it looks, the place on it by two dimensions from its edges, its middle or a hole.
 *
 * @param face name of the feature the face belongs to; empty for what stands on no face
 * @param outward the way it looks in the piece's own coordinates, unit
 * @param across where {@code acrossMm} counts from, along the face to the right
 * @param acrossHole the hole it counts from, by the name of its feature; empty when it counts from elsewhere
 * @param upwards where {@code upwardsMm} counts from, up along the face
 * @param upwardsHole as {@code acrossHole}
 */
public record Anchor(String pieceId, String face, Vec3 outward, From across, String acrossHole, double acrossMm, From upwards, String upwardsHole,
        double upwardsMm) {
    public Anchor {
        pieceId = pieceId == null ? "" : pieceId;
        face = face == null ? "" : face;
        acrossHole = across == From.HOLE && acrossHole != null ? acrossHole : "";
        upwardsHole = upwards == From.HOLE && upwardsHole != null ? upwardsHole : "";
    }

    /** From edges and middles. */
    public Anchor(String pieceId, String face, Vec3 outward, From across, double acrossMm, From upwards, double upwardsMm) {
        this(pieceId, face, outward, across, "", acrossMm, upwards, "", upwardsMm);
    }

    /** What a dimension counts from; from the far edge it counts back. */
    public enum From {
        NEAR_EDGE("left or lower edge"), MIDDLE("middle"), FAR_EDGE("right or upper edge"), HOLE("hole");

        private final String label;

        From(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** The middle of a face. */
    public static Anchor middle(String pieceId, String face, Vec3 outward) {
        return new Anchor(pieceId, face, outward, From.MIDDLE, 0, From.MIDDLE, 0);
    }

    /** Nothing but a piece: for what needs no face. */
    public static Anchor piece(String pieceId) {
        return middle(pieceId, "", Vec3.Z);
    }

    /** The same face, with other dimensions. */
    public Anchor at(double nextAcrossMm, double nextUpwardsMm) {
        return new Anchor(pieceId, face, outward, across, acrossHole, nextAcrossMm, upwards, upwardsHole, nextUpwardsMm);
    }

    /** The same dimensions counted from elsewhere. */
    public Anchor from(From nextAcross, From nextUpwards) {
        return new Anchor(pieceId, face, outward, nextAcross, acrossHole, acrossMm, nextUpwards, upwardsHole, upwardsMm);
    }

    /** With another dimension across. */
    public Anchor across(From from, String hole, double mm) {
        return new Anchor(pieceId, face, outward, from, hole, mm, upwards, upwardsHole, upwardsMm);
    }

    /** With another dimension upwards. */
    public Anchor upwards(From from, String hole, double mm) {
        return new Anchor(pieceId, face, outward, across, acrossHole, acrossMm, from, hole, mm);
    }
}
