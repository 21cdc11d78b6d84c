package tinperch.upgrade;

import java.util.List;
import tinperch.hardware.Fits;
import tinperch.part.bind.Refs;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;

/**
 * Everything the shape of a part follows from, as plain data: the same recipe gives the same part on any day. A kept revision
 * keeps its own.
 *
 * @param holeOffsetMm of the machine that prints it, {@code fits} what it adds to other sizes
 * @param mark text to engrave, "R3"; may be empty
 */
public record Recipe(String familyId, Values values, Refs refs, List<Feature> features, double holeOffsetMm, Fits fits, String mark) {
    public Recipe {
        features = List.copyOf(features);
        // Recipes kept by an earlier version lack them.
        fits = fits == null ? Fits.USUAL : fits;
    }

    /** The same without its mark. */
    public Recipe unmarked() {
        return new Recipe(familyId, values, refs, features, holeOffsetMm, fits, "");
    }
}
