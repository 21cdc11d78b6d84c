package tinperch.fact;

import java.util.HashMap;
import java.util.Map;
import tinperch.solid.Stop;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.PlaneMemory;
import tinperch.upgrade.Case;

/**
 * Facts of one case on the calling thread, remembered for as long as this is: for tests, scripts and whoever can wait. Those of another
 * case take over what follows from the same, and begin with the solids of this one: a remedy that is tried out changes little.
 */
public final class FactsOnce implements Facts {
    private final Case of;
    private final Map<Fact<?>, Object> known = new HashMap<>();
    private final Map<Fact<?>, Object> follows = new HashMap<>();
    private final Map<String, PlaneMemory> memories = new HashMap<>();
    private final FactsOnce before;

    public FactsOnce(Case of) {
        this(of, null);
    }

    private FactsOnce(Case of, FactsOnce before) {
        this.of = of;
        this.before = before;
    }

    @Override
    @SuppressWarnings("unchecked")
    public <T> T get(Fact<T> fact) {
        Object value = known.get(fact);
        if (value == null) {
            value = before != null && before.known.containsKey(fact) && before.inputs(fact).equals(inputs(fact)) ? before.known.get(fact) : fact.compute(of, this);
            known.put(fact, value);
        }
        return (T) value;
    }

    private Object inputs(Fact<?> fact) {
        Object value = follows.get(fact);
        if (value == null) {
            value = fact.inputs(of, this);
            follows.put(fact, value);
        }
        return value;
    }

    @Override
    public Facts of(Case other) {
        return new FactsOnce(other, this);
    }

    @Override
    public Stop stop() {
        return Stop.NEVER;
    }

    @Override
    public Hands hands() {
        return Hands.ONE;
    }

    @Override
    public PlaneMemory memory(String name) {
        return memories.computeIfAbsent(name, k -> before != null && before.memories.containsKey(name) ? before.memories.get(name).lent() : new PlaneMemory());
    }
}
