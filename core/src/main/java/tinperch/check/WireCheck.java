package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.machine.book.Component;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.wiring.Wire;

/**
 * Does a wire carry what it feeds, and does enough of the voltage arrive? Resistance by ASTM B258 and IEC 60028, both ways; no more than 3 % of the volts may stay in it, and what a gauge carries is a rule of thumb (common
 * practice, values from memory).
 */
public final class WireCheck implements Check {
    private static final double MOST_SHARE = 0.03;

    @Override
    public String about() {
        return "wires";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Component> held = Held.components(c);
        List<Finding> all = new ArrayList<>();
        for (Component x : c.machine().book().components()) {
            if (x.off().isEmpty() && !x.wired().from().isEmpty() && x.drawsA() > 0) {
                boolean mine = held.contains(x);
                Optional<Finding> f = x.wired().lengthMm() > 0 && x.wired().areaMm2() > 0 ? Optional.of(of(x, new Wire(x.wired().lengthMm(), x.wired().areaMm2()), c)) : mine ? Optional.of(unsaid(x)) : Optional.empty();
                // Of what the part has nothing to do with, only what is wrong is news.
                f.filter(y -> mine || y.severity() != Severity.FINE).ifPresent(all::add);
            }
        }
        return all;
    }

    private static Finding unsaid(Component x) {
        return Finding.of("wire." + x.id(), Severity.CANT_TELL, "Whether its wire is thick enough for " + x.name() + " cannot be told", "Nobody has said how long and how thick it is. Say it in the machine's book.").about(Subject.PRINTING)
                .settledBy(Settle.By.BOOK, "", "say what wire it has");
    }

    private static Finding of(Component x, Wire w, Case c) {
        String id = "wire." + x.id();
        double amps = x.drawsA();
        double volts = x.ratings().voltageV() > 0 ? x.ratings().voltageV() : c.machine().supplyV();
        String wire = Quantity.fixed(w.lengthMm() / 1000, 2) + " m of " + Wire.words(w.areaMm2()) + ", both ways";
        String draws = x.name() + " draws " + Quantity.show(Math.round(amps * 100) / 100.0, Unit.AMPERE);
        if (volts <= 0) {
            return Finding.of(id, Severity.CANT_TELL, "How much of its voltage reaches " + x.name() + " cannot be told", draws + " through " + wire + "; its voltage is not known. Say it in the machine's book.").about(Subject.PRINTING)
                    .settledBy(Settle.By.BOOK, "", "say its voltage");
        }
        double drop = w.dropV(amps);
        double share = 100 * drop / volts;
        String stays = Quantity.fixed(drop, 2) + " of " + Quantity.show(volts, Unit.VOLT) + " (" + Quantity.fixed(share, 1) + " %) stay in " + wire;
        List<Remedy> thicker = w.enough(amps, MOST_SHARE * volts).filter(g -> g.areaMm2() > w.areaMm2()).map(g -> Remedy.of("take AWG " + g.awg(), new Change.Wire(x.id(), x.wired().by(w.lengthMm(), g.areaMm2())))).stream().toList();
        if (amps > w.carriesA()) {
            return Finding.of(id, Severity.STOP, "The wire of " + x.name() + " is too thin: it carries " + Quantity.show(Math.round(w.carriesA() * 10) / 10.0, Unit.AMPERE) + " and gets " + Quantity.show(Math.round(amps * 10) / 10.0, Unit.AMPERE),
                    draws + "; " + stays + ". It gets hot (common practice: what a single wire in free air carries; in a bundle or a sleeve less). Unplug the machine before it is changed.")
                    .measured(new Margin(amps, w.carriesA(), Unit.AMPERE, false)).about(Subject.PRINTING).with(thicker);
        }
        Margin m = new Margin(share, 100 * MOST_SHARE, Unit.PERCENT, false);
        return share > 100 * MOST_SHARE ? Finding.of(id, Severity.LOOK, Quantity.fixed(share, 1) + " % of its voltage never reaches " + x.name(), draws + "; " + stays + "; 3 % are usual. A heater heats slower, a fan turns slower.").measured(m)
                .about(Subject.PRINTING).with(thicker) : Finding.of(id, Severity.FINE, "The wire of " + x.name() + " is thick enough", draws + "; " + stays + ".").measured(m).about(Subject.PRINTING);
    }
}
