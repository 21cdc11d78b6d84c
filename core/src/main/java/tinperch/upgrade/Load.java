package tinperch.upgrade;

import tinperch.solid.Vec3;

/**
 * A force on a part, in the coordinates its piece is drawn in: it stays with the piece however that is mounted.
 *
 * @param name what does it, "weight of the spool"
 * @param at where it acts, mm
 * @param forceN how hard and which way
 * @param lasting how long and how often
 */
public record Load(String id, String name, String pieceId, Vec3 at, Vec3 forceN, Lasting lasting) {
    public Load {
        name = name == null ? "" : name;
        pieceId = pieceId == null ? "" : pieceId;
        at = at == null ? Vec3.ZERO : at;
        forceN = forceN == null ? Vec3.ZERO : forceN;
        lasting = lasting == null ? Lasting.STEADY : lasting;
    }

    /** How a force comes; what of its strength plastic bears then (common practice: it creeps under a steady load and tires under one that comes again and again). */
    public enum Lasting {
        STEADY("all the time"), AGAIN("again and again"), ONCE("now and then");

        private final String label;

        Lasting(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
