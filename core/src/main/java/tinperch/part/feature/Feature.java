package tinperch.part.feature;

import tinperch.part.bind.Binding;
import tinperch.part.param.Values;

/**
 * Something the person placed on a part.
 *
 * @param kindId which kind of feature
 * @param name what the owner calls it
 * @param around what it is made around; null for kinds that need nothing
 * @param off switched off by the person
 */
public record Feature(String id, String kindId, String name, Anchor anchor, Binding around, Values values, boolean off) {
    public Feature {
        values = values == null ? Values.START : values;
    }

    /** One that is made around nothing. */
    public Feature(String id, String kindId, String name, Anchor anchor, Values values, boolean off) {
        this(id, kindId, name, anchor, null, values, off);
    }

    /** With other values. */
    public Feature with(Values next) {
        return new Feature(id, kindId, name, anchor, around, next, off);
    }

    /** Somewhere else. */
    public Feature with(Anchor next) {
        return new Feature(id, kindId, name, next, around, values, off);
    }

    /** The same made around something else. */
    public Feature around(Binding next) {
        return new Feature(id, kindId, name, anchor, next, values, off);
    }

    /** Under another name. */
    public Feature named(String next) {
        return new Feature(id, kindId, next, anchor, around, values, off);
    }

    /** Switched off, or on again. */
    public Feature switchedOff(boolean next) {
        return new Feature(id, kindId, name, anchor, around, values, next);
    }
}
