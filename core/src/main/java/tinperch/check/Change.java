package tinperch.check;

import tinperch.part.Values;

/** One change a remedy makes. */
public sealed interface Change {
    /** Sets a number of the part. */
    record Number(String key, double value) implements Change {}

    /** Sets a choice of the part. */
    record Choice(String key, String value) implements Change {}

    /** Prints the part on another machine. */
    record Host(String machineId) implements Change {}

    /** The values after this change; a change of host leaves them as they are. */
    default Values in(Values values) {
        if (this instanceof Number n) {
            return values.with(n.key(), n.value());
        }
        if (this instanceof Choice c) {
            return values.with(c.key(), c.value());
        }
        return values;
    }
}
