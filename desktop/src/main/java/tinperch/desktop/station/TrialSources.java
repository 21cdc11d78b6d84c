package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.Machine;
import tinperch.measure.sheet.Outcome;
import tinperch.measure.sheet.Sheet;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.Measured;
import tinperch.trial.Run;

/** Numbers of a machine a trial can be made of: what is reckoned from its reading sheets, and what its recorded channels stood at. */
final class TrialSources {
    private TrialSources() {}

    /**
     * A number there is.
     *
     * @param kind numbers of the same kind can be set against each other
     * @param what is measured, {@code label} that and where it comes from
     */
    record Source(String kind, String what, String label, Measured measured) {}

    static List<Source> of(Machine m) {
        List<Source> all = new ArrayList<>();
        for (Sheet s : m.sheets()) {
            for (Outcome o : s.outcomes()) {
                double half = o.half().isPresent() && Double.isFinite(o.half().getAsDouble()) ? o.half().getAsDouble() : 0;
                all.add(new Source(s.kind() + "/" + o.label(), o.label(), s.name() + ": " + o.label(), new Measured(o.value(), half, o.unit(), "sheet “" + s.name() + "”")));
            }
        }
        for (Run r : m.runs()) {
            for (Channel c : r.channels()) {
                Optional<Kept> stood = c.kept().filter(Kept::stood);
                // A sensor put back reads a little differently.
                stood.ifPresent(k -> all.add(new Source("°C/" + c.kind() + "/" + (c.of().isEmpty() ? c.name() : c.of()), c.name(), r.name() + ": " + c.name(),
                        new Measured(Math.round(k.stoodC() * 10) / 10.0, Math.round(10 * Math.hypot(k.halfK(), tinperch.trial.Comparison.PUT_BACK_K / Math.sqrt(2))) / 10.0, "°C", "“" + r.name() + "”"))));
            }
        }
        return all;
    }

    /** Those something else of the same kind can be set against. */
    static List<Source> paired(Machine m) {
        List<Source> all = of(m);
        return all.stream().filter(s -> all.stream().filter(o -> o.kind.equals(s.kind)).count() > 1).toList();
    }
}
