package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.machine.AirAround;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.wiring.Contact;

/** Do contacts and connectors carry what goes through them, in the warmth they stand in and sharing as contacts do? One that is too small gets hot, loses its spring, gets hotter and may burn. */
public final class ContactCheck implements Check {
    @Override
    public String about() {
        return "contacts";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Component> held = Held.components(c);
        List<Finding> all = new ArrayList<>();
        for (Component k : c.machine().book().components()) {
            Fed on = Fed.together(k.off().isEmpty() && k.kind() == ComponentKind.CONTACT ? through(k, c.machine().book()) : List.of());
            if (!on.nothing()) {
                Finding f = of(k, on, c);
                // Of what the part has nothing to do with, only what is wrong is news.
                if (f.severity() == Severity.STOP || on.any(held)) {
                    all.add(f);
                }
            }
        }
        return all.stream().map(f -> f.about(Subject.PRINTING)).toList();
    }

    /** What hangs on it; where nothing does, what was said it feeds. */
    private static List<Component> through(Component k, Book book) {
        List<Component> wired = book.fedThrough(k.id());
        return wired.isEmpty() && k.feeds() != null ? book.components().stream().filter(x -> x.off().isEmpty() && x.kind() == k.feeds() && x.wired().from().isEmpty()).toList() : wired;
    }

    private static Contact contact(Component k) {
        return new Contact(k.ratings().currentA(), k.ratings().limitC(), k.wired().beside());
    }

    private static Finding of(Component k, Fed on, Case c) {
        String id = "contact." + k.id();
        String names = on.names();
        if (k.ratings().currentA() == 0 || !on.unsaid().isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "Whether " + k.name() + " carries " + names + " cannot be told", (k.ratings().currentA() == 0 ? "Nobody has said how many amperes one of its contacts is rated for. " : "")
                    + on.unsaid() + "Say it in the machine's book.").settledBy(Settle.By.BOOK, "", "say it in the book");
        }
        double amps = on.amps();
        double airC = AirAround.tempC(c.machine());
        Contact contact = contact(k);
        double carries = contact.carriesA(airC);
        boolean tooMuch = amps > carries;
        boolean near = amps > Contact.SHARE * carries;
        String rated = "Rated " + Quantity.show(k.ratings().currentA(), Unit.AMPERE) + (contact.beside() > 1 ? ", " + contact.beside() + " beside each other, which never share evenly (four fifths of their sum, common practice)" : "") + "; in air of "
                + Quantity.show(airC, Unit.CELSIUS) + " that is " + Fed.amperes(carries) + ". " + (contact.limitC() > 0 ? "It comes to about " + Math.round(contact.tempC(amps, airC)) + " °C and stands " + Quantity.show(contact.limitC(), Unit.CELSIUS)
                : "It gets about " + Math.round(contact.riseK(amps)) + " K warmer; what it stands nobody has said") + " (rise with the square of the current, 30 K at its rating: common practice). ";
        String cure = "A contact that gets hot loses its spring and gets hotter: fit a separate switching module with real terminals, close to supply and bed; until then keep to materials that want a cool bed. Log it with a thermocouple before and after. Unplug the machine first; wiring of mains and supplies is for a licensed electrician.";
        Finding f = tooMuch ? Finding.of(id, Severity.STOP, k.name() + " carries " + Fed.amperes(carries) + ", " + names + (on.at().size() > 1 ? " draw " : " draws ") + Fed.amperes(amps), rated + cure)
                : near ? Finding.of(id, Severity.LOOK, k.name() + " is loaded to " + Math.round(100 * amps / carries) + " % by " + names, rated + "Above four fifths it ages (common practice). " + cure)
                : Finding.of(id, Severity.FINE, k.name() + " carries " + names, rated.strip());
        return f.measured(new Margin(amps, tooMuch ? carries : Contact.SHARE * carries, Unit.AMPERE, false)).with(tooMuch || near ? others(k, amps, airC, c.machine().book()) : List.of());
    }

    /** What hangs on it directly, on another contact that is free and carries it. */
    private static List<Remedy> others(Component k, double amps, double airC, Book book) {
        List<Component> direct = book.hangingOn(k.id());
        return direct.isEmpty() ? List.of() : book.components().stream().filter(x -> x.off().isEmpty() && x.kind() == ComponentKind.CONTACT && !x.id().equals(k.id()) && book.hangingOn(x.id()).isEmpty()
                        && amps <= Contact.SHARE * contact(x).carriesA(airC)).limit(2)
                .map(x -> new Remedy(direct.stream().map(Component::name).collect(Collectors.joining(" and ")) + " on " + x.name(), direct.stream().<Change>map(d -> new Change.Wire(d.id(), d.wired().hangingOn(x.id()))).toList(), Optional.empty(), "")).toList();
    }
}
