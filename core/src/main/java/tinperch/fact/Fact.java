package tinperch.fact;

import tinperch.upgrade.Case;

/**
 * Something that can be found out about a case: pure, stoppable, asked for by whoever needs it and computed once.
 *
 * @param <T> what is found out
 */
public interface Fact<T> {
    /**
     * Everything it follows from, as values; what has equal inputs is the same and is not computed again. It may ask for facts that are
     * quick to find out, so as to follow from a shape rather than from the numbers behind it.
     */
    Object inputs(Case c, Facts facts);

    /**
     * Finds it out.
     *
     * @param facts others it needs, and when to stop
     */
    T compute(Case c, Facts facts);
}
