package tinperch.desktop.sheet;

import java.util.Optional;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;

/** The feature whose place is shown on the drawing, and how it is put elsewhere. */
public interface Placing {
    /** The one chosen; empty when there is none. */
    Optional<Feature> chosen();

    /** Puts it elsewhere; answers why not, or empty. */
    Optional<String> put(Feature feature, Anchor next);
}
