package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Does what feeds the machine's fans and heaters bear all that hangs on it, and is each switched by itself? Currents of all that is fed through one output are added, however many boards and
 * contacts lie between. Asked of all that is wired in the machine's book, and of what the part holds even before that is said.
 */
public final class OutputCheck implements Check {
    private static final int MOST_REMEDIES = 2;

    @Override
    public String about() {
        return "outputs";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Book book = c.machine().book();
        List<Finding> all = new ArrayList<>();
        List<Component> held = Held.components(c);
        held.stream().filter(x -> x.kind().draws() && !x.ratings().equals(Ratings.NONE) && book.component(x.wired().from()).filter(o -> o.off().isEmpty()).isEmpty()).forEach(x -> all.add(Finding.of("output.of." + x.id(),
                Severity.CANT_TELL, "What feeds " + x.name() + " is not known", "Whether its output bears it hangs on what else it feeds. Say in the machine's book what it hangs on.").about(Subject.PRINTING)
                .settledBy(Settle.By.BOOK, "", "say what feeds it")));
        for (Component output : book.components().stream().filter(x -> x.off().isEmpty() && x.kind().gives() && x.kind() != ComponentKind.CONTACT).toList()) {
            Fed on = Fed.together(book.fedThrough(output.id()));
            if (!on.nothing()) {
                Finding f = of(output, on, held, c);
                // Of what the part has nothing to do with, only what is wrong is news.
                if (f.severity() == Severity.STOP || on.any(held)) {
                    all.add(f);
                }
            }
        }
        return all;
    }

    private static Finding of(Component output, Fed on, List<Component> held, Case c) {
        String id = "output." + output.id();
        String names = on.names();
        // A supply may be rated by its watts.
        double limit = output.drawsA();
        if (limit == 0 || !on.unsaid().isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "Whether " + output.name() + " bears " + names + " cannot be told", (limit == 0 ? "Nobody has said how many amperes it gives. " : "")
                    + on.unsaid() + "Say it in the machine's book.").about(Subject.PRINTING).settledBy(Settle.By.BOOK, "", "say it in the book");
        }
        double sum = on.amps();
        Margin m = new Margin(sum, limit, Unit.AMPERE, false);
        String draws = on.at().stream().map(x -> x.name() + " " + Quantity.show(x.drawsA(), Unit.AMPERE)).collect(Collectors.joining(" + "));
        if (sum > limit) {
            return Finding.of(id, Severity.STOP, output.name() + " gives " + Quantity.show(limit, Unit.AMPERE) + ", " + Fed.amperes(sum) + " hang on it",
                    draws + ". Its switch burns, and what it fed stands still. Hang them on outputs of their own, or on a switching module fed by the supply. Unplug the machine before anything is spliced; wiring of mains and supplies is for a licensed electrician.")
                    .measured(m).about(Subject.PRINTING).with(others(output, on, held, c));
        }
        // Things that only ever run together may share; a supply and a board are made for many.
        boolean shared = on.at().size() > 1 && output.kind() == ComponentKind.OUTPUT;
        return shared
                ? Finding.of(id, Severity.LOOK, names + " are switched together by " + output.name(), draws + " of " + Quantity.show(limit, Unit.AMPERE) + ": it bears them, but neither can be slowed or stopped without the other.").measured(m)
                        .about(Subject.PRINTING).with(others(output, on, held, c))
                : Finding.of(id, Severity.FINE, output.name() + " bears " + names, draws + " of " + Quantity.show(limit, Unit.AMPERE) + ".").measured(m).about(Subject.PRINTING);
    }

    /** What the part holds of them, else the newest, on another output that nothing hangs on and that bears it. */
    private static List<Remedy> others(Component output, Fed on, List<Component> held, Case c) {
        Book book = c.machine().book();
        Component last = on.at().stream().max(Comparator.<Component, Boolean>comparing(held::contains).thenComparing(Component::on)).orElseThrow();
        return book.components().stream().filter(x -> x.off().isEmpty() && x.kind() == ComponentKind.OUTPUT && !x.id().equals(output.id()) && book.hangingOn(x.id()).isEmpty()
                        && x.ratings().currentA() >= last.drawsA() && (x.ratings().voltageV() == 0 || last.ratings().voltageV() == 0 || x.ratings().voltageV() == last.ratings().voltageV()))
                .sorted(Comparator.comparingDouble(x -> x.ratings().currentA())).limit(MOST_REMEDIES)
                .map(x -> Remedy.of(last.name() + " on " + x.name(), new Change.Wire(last.id(), last.wired().hangingOn(x.id())))).toList();
    }
}
