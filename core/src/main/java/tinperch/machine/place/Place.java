package tinperch.machine.place;

/**
 * Where a neighbour's lowest corner is along one direction with all axes at zero.
 *
 * @param mm the place
 * @param halfWidthMm half of the interval that holds it with 95 % confidence, counted from what all is measured from; NaN where nobody can say
 */
public record Place(double mm, double halfWidthMm, How how) {
    /** How it is known. */
    public enum How {
        /** All else is measured from it. */
        DATUM("measured from"),
        /** It hangs on that by readings. */
        MEASURED("measured"),
        /** It hangs on others by readings, but they on nothing. */
        LOOSE("tied to nothing"),
        /** As it was drawn. */
        USUAL("usual, not measured");

        private final String label;

        How(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Whether readings say where it is. */
    public boolean isKnown() {
        return how == How.DATUM || how == How.MEASURED;
    }
}
