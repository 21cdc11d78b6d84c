package tinperch.part.feature;

import tinperch.part.param.Values;

/**
 * Something the person placed on a part.
 *
 * @param kindId which kind of feature
 * @param name what the owner calls it
 * @param off switched off by the person
 */
public record Feature(String id, String kindId, String name, Anchor anchor, Values values, boolean off) {
    public Feature {
        values = values == null ? Values.START : values;
    }

    public Feature with(Values next) {
        return new Feature(id, kindId, name, anchor, next, off);
    }

    public Feature with(Anchor next) {
        return new Feature(id, kindId, name, next, values, off);
    }

    public Feature named(String next) {
        return new Feature(id, kindId, next, anchor, values, off);
    }

    public Feature switchedOff(boolean next) {
        return new Feature(id, kindId, name, anchor, values, next);
    }
}
