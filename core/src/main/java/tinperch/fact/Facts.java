package tinperch.fact;

import tinperch.solid.Stop;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.PlaneMemory;
import tinperch.upgrade.Case;

/** The facts of one case, found out as they are asked for. */
public interface Facts {
    /**
     * A fact of the case.
     *
     * @throws Stop.Stopped when nobody waits for it any more
     */
    <T> T get(Fact<T> fact);

    /** The facts of another case, remembered like those of this. */
    Facts of(Case other);

    /** Whether to go on. */
    Stop stop();

    /** Helpers for work in many pieces; they stop too. */
    Hands hands();

    /** What the last evaluation of nearly the same solid left. */
    PlaneMemory memory(String of);
}
