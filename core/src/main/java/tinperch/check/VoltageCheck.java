package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.machine.book.Component;
import tinperch.part.bind.Binding;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Is what a part holds made for its machine's voltage? Power goes with the square of it: a fan or heater for 12 V on 24 V takes four times its power and burns. */
public final class VoltageCheck implements Check {
    /** Supplies are a little off what is printed on them. */
    private static final double SAME = 0.1;

    @Override
    public String about() {
        return "voltage";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        double supply = c.machine().supplyV();
        List<Finding> all = new ArrayList<>();
        c.part().bindings().forEach((role, b) -> {
            Optional<Component> held = b instanceof Binding.OfComponent k ? c.machine().book().component(k.componentId()) : Optional.empty();
            held.filter(x -> x.ratings().voltageV() > 0 && supply > 0).ifPresent(x -> all.add(finding(role, x, supply, c.machine().name())));
        });
        return all;
    }

    private static Finding finding(String role, Component x, double supply, String machine) {
        double made = x.ratings().voltageV();
        double times = supply * supply / made / made;
        String volts = Quantity.show(made, Unit.VOLT);
        String has = machine + " supplies " + Quantity.show(supply, Unit.VOLT);
        Margin margin = new Margin(supply, made, Unit.VOLT, false);
        if (Math.abs(supply - made) <= SAME * made) {
            return Finding.of("voltage." + role, Severity.FINE, x.name() + " is made for the machine's voltage", "Both " + volts + ".");
        }
        return supply > made
                ? Finding.of("voltage." + role, Severity.STOP, x.name() + " is made for " + volts + ", " + has, "It would take " + Quantity.fixed(times, 1) + " times its power (P = U²/R) and burn. Never connect it: fit one for "
                        + Quantity.show(supply, Unit.VOLT) + ", or a converter that is rated for it. Unplug the machine before anything is spliced.").measured(margin).about(Subject.PRINTING)
                : Finding.of("voltage." + role, Severity.LOOK, x.name() + " is made for " + volts + ", " + has, "It gets " + Quantity.fixed(100 * times, 0) + " % of its power (P = U²/R): a fan that hardly turns, a heater that never gets there.")
                        .about(Subject.PRINTING);
    }
}
