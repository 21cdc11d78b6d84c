package tinperch.practice;

import java.util.OptionalDouble;
import java.util.function.Supplier;
import tinperch.upgrade.Case;

/**
 * A mistake people found only after printing: the design with it and the same without.
 *
 * @param id of the row, "P19"
 * @param finding beginning of the id of the finding that must name it
 * @param words what its sentence must hold, as a pattern
 * @param value what it must measure, where it measures something, within {@code within}
 * @param cured whether a remedy must turn it fine
 */
record Row(String id, String mistake, Supplier<Case> with, Supplier<Case> without, String finding, String words, OptionalDouble value, double within, boolean cured) {
    static Row of(String id, String mistake, Supplier<Case> with, Supplier<Case> without, String finding, String words) {
        return new Row(id, mistake, with, without, finding, words, OptionalDouble.empty(), 0, false);
    }

    Row measures(double next, double tolerance) {
        return new Row(id, mistake, with, without, finding, words, OptionalDouble.of(next), tolerance, cured);
    }

    @Override
    public String toString() {
        return id + ", " + mistake;
    }

    /** One that a remedy cures. */
    Row cures() {
        return new Row(id, mistake, with, without, finding, words, value, within, true);
    }
}
