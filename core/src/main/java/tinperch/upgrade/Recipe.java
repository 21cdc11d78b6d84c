package tinperch.upgrade;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tinperch.hardware.Fits;
import tinperch.part.bind.Refs;
import tinperch.part.feature.Feature;
import tinperch.part.form.Lie;
import tinperch.part.param.Values;

/**
 * Everything the shape of a part follows from, as plain data: the same recipe gives the same part on any day. A kept revision
 * keeps its own.
 *
 * @param holeOffsetMm of the machine that prints it, {@code fits} what it adds to other sizes
 * @param mark text to engrave, "R3"; may be empty
 * @param lies on which side pieces lie on the bed, by their ids
 */
public record Recipe(String familyId, Values values, Refs refs, List<Feature> features, double holeOffsetMm, Fits fits, String mark, Map<String, Lie> lies) {
    public Recipe {
        features = List.copyOf(features);
        // Recipes kept by an earlier version lack them.
        fits = fits == null ? Fits.USUAL : fits;
        lies = lies == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(lies));
    }

    /** One whose pieces lie as they are drawn. */
    public Recipe(String familyId, Values values, Refs refs, List<Feature> features, double holeOffsetMm, Fits fits, String mark) {
        this(familyId, values, refs, features, holeOffsetMm, fits, mark, Map.of());
    }

    /** What the form follows from: the same without its mark, however pieces lie on the bed. */
    public Recipe ofForm() {
        return new Recipe(familyId, values, refs, features, holeOffsetMm, fits, "");
    }
}
