package tinperch.upgrade;

import java.util.List;
import tinperch.part.bind.Refs;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;

/**
 * Everything the shape of a part follows from, as plain data: the same recipe gives the same part on any day. A kept revision
 * keeps its own.
 *
 * @param holeOffsetMm of the machine that prints it
 * @param mark text to engrave, "R3"; may be empty
 */
public record Recipe(String familyId, Values values, Refs refs, List<Feature> features, double holeOffsetMm, String mark) {
    public Recipe {
        features = List.copyOf(features);
    }

    /** The same without its mark. */
    public Recipe unmarked() {
        return new Recipe(familyId, values, refs, features, holeOffsetMm, "");
    }
}
