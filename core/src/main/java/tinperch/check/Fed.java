package tinperch.check;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import tinperch.machine.book.Component;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** What draws its current through one and the same thing. */
record Fed(List<Component> at) {
    /** Of swapped loadouts only one is ever on the machine: the one that draws most counts, with what always is. */
    static Fed together(List<Component> all) {
        return new Fed(all.stream().map(Component::loadout).distinct().map(l -> all.stream().filter(x -> x.loadout().isEmpty() || x.loadout().equals(l)).toList())
                .max(Comparator.comparingDouble(on -> on.stream().mapToDouble(Component::drawsA).sum())).orElse(List.of()));
    }

    boolean nothing() {
        return at.isEmpty();
    }

    boolean any(List<Component> held) {
        return at.stream().anyMatch(held::contains);
    }

    double amps() {
        return at.stream().mapToDouble(Component::drawsA).sum();
    }

    String names() {
        return at.stream().map(Component::name).collect(Collectors.joining(" and "));
    }

    /** Why it cannot be told what they draw; empty where it can. */
    String unsaid() {
        return at.stream().filter(x -> x.drawsA() == 0).findFirst().map(x -> "What " + x.name() + " draws is not known. ").orElse("");
    }

    /** "0.47 A". */
    static String amperes(double a) {
        return Quantity.show(Math.round(a * 100) / 100.0, Unit.AMPERE);
    }
}
