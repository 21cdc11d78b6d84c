package tinperch.fact;

import java.util.HashMap;
import java.util.Map;
import tinperch.solid.Stop;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.PlaneMemory;
import tinperch.upgrade.Case;

/** Facts of one case on the calling thread, remembered for as long as this is: for tests, scripts and whoever can wait. */
public final class FactsOnce implements Facts {
    private final Case of;
    private final Map<Fact<?>, Object> known = new HashMap<>();
    private final Map<String, PlaneMemory> memories = new HashMap<>();

    public FactsOnce(Case of) {
        this.of = of;
    }

    @Override
    @SuppressWarnings("unchecked")
    public <T> T get(Fact<T> fact) {
        Object value = known.get(fact);
        if (value == null) {
            value = fact.compute(of, this);
            known.put(fact, value);
        }
        return (T) value;
    }

    @Override
    public Facts of(Case other) {
        return new FactsOnce(other);
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
        return memories.computeIfAbsent(name, k -> new PlaneMemory());
    }
}
