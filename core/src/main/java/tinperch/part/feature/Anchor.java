package tinperch.part.feature;

import tinperch.solid.Vec3;

/**
 * A place on a flat face of a piece, told so that it survives edits of the body: the face by the feature it belongs to and the
 * way it looks, the place on it by two dimensions from its edges or middle.
 *
 * @param face name of the feature the face belongs to
 * @param outward the way it looks in the piece's own coordinates, unit
 * @param across where {@code acrossMm} counts from, along the face to the right
 * @param upwards where {@code upwardsMm} counts from, up along the face
 */
public record Anchor(String pieceId, String face, Vec3 outward, From across, double acrossMm, From upwards, double upwardsMm) {
    /** What a dimension counts from; from the far edge it counts back. */
    public enum From {
        NEAR_EDGE("left or lower edge"), MIDDLE("middle"), FAR_EDGE("right or upper edge");

        private final String label;

        From(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** The same face, with other dimensions. */
    public Anchor at(double nextAcrossMm, double nextUpwardsMm) {
        return new Anchor(pieceId, face, outward, across, nextAcrossMm, upwards, nextUpwardsMm);
    }

    /** The same dimensions counted from elsewhere. */
    public Anchor from(From nextAcross, From nextUpwards) {
        return new Anchor(pieceId, face, outward, nextAcross, acrossMm, nextUpwards, upwardsMm);
    }
}
