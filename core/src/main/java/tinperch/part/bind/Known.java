package tinperch.part.bind;

import java.util.List;

/**
 * How well something is known.
 *
 * @param words "usual 40 mm fan, not measured", "measured 3 times"
 * @param halfWidthMm 95 % half width of its sizes where they were read; 0 where nothing was
 * @param missing labels of what was not read yet
 */
public record Known(How how, String words, double halfWidthMm, List<String> missing) {
    public Known {
        missing = List.copyOf(missing);
    }

    /** Where sizes come from. */
    public enum How {
        /** All that is needed was read. */
        MEASURED,
        /** Some of it was read, the rest is usual. */
        PARTLY,
        /** A usual size. */
        USUAL,
        /** Somebody's drawing, checked or not. */
        DRAWN
    }

    /** Whether the person has read it. */
    public boolean isMeasured() {
        return how == How.MEASURED || how == How.DRAWN;
    }
}
