package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import tinperch.fact.Facts;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.wiring.PinTable;

/** Do plug and socket have the same on the same pins? Two makes of one connector are wired the other way round as often as not (common practice); turned round, what is plugged in or what feeds it burns. */
public final class PinsCheck implements Check {
    @Override
    public String about() {
        return "pins";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Book book = c.machine().book();
        List<Component> held = Held.components(c);
        List<Finding> all = new ArrayList<>();
        for (Component x : book.components()) {
            // What only passes current on has a socket for others; its own plug nobody has described.
            if (x.off().isEmpty() && x.kind().draws() && !x.wired().pins().isEmpty()) {
                // What it hangs on has the socket; where nobody has said how, the plug that was there before tells.
                book.component(x.wired().from()).filter(o -> !o.wired().pins().isEmpty()).or(() -> x.replaces().flatMap(book::component).filter(o -> !o.wired().pins().isEmpty())).map(o -> of(x, o))
                        .filter(f -> f.severity() != Severity.FINE || held.contains(x)).ifPresent(all::add);
            }
        }
        return all.stream().map(f -> f.about(Subject.PRINTING)).toList();
    }

    private static Finding of(Component plug, Component socket) {
        PinTable t = new PinTable(plug.wired().pins(), socket.wired().pins());
        String id = "pins." + plug.id();
        String table = "Pin by pin: " + String.join("; ", IntStream.range(0, t.count()).mapToObj(i -> (i + 1) + ": " + t.plug(i) + " on " + t.socket(i) + t.goesTo(i).map(j -> j == i ? "" : ", belongs on pin " + (j + 1)).orElse(", belongs nowhere")).toList()) + ".";
        if (t.same()) {
            return Finding.of(id, Severity.FINE, "The plug of " + plug.name() + " has the pins of " + socket.name(), table).measured(new Margin(t.right(), t.count(), Unit.COUNT, true));
        }
        String before = "Unplug the machine, and bring the pins into order before it is plugged in. " + table;
        return (t.crosses() ? Finding.of(id, Severity.STOP, "Plugged in as it is, " + plug.name() + " gets plus and minus the wrong way on " + socket.name(), before)
                : Finding.of(id, Severity.LOOK, "The plug of " + plug.name() + " has its pins in another order than " + socket.name(), before))
                .with(t.ordered().map(o -> Remedy.of("its pins in order: " + String.join(", ", o.stream().map(p -> p.isEmpty() ? "nothing" : p).toList()), new Change.Wire(plug.id(), plug.wired().pinned(o)))).stream().toList())
                .measured(new Margin(t.right(), t.count(), Unit.COUNT, true));
    }
}
