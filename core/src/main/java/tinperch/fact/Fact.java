package tinperch.fact;

import tinperch.upgrade.Case;

/**
 * Something that can be found out about a case: pure, stoppable, asked for by whoever needs it and computed once.
 *
 * @param <T> what is found out
 */
public interface Fact<T> {
    /** Everything it follows from, as values; what has equal inputs is the same and is not computed again. */
    Object inputs(Case c);

    /**
     * Finds it out.
     *
     * @param facts others it needs, and when to stop
     */
    T compute(Case c, Facts facts);
}
