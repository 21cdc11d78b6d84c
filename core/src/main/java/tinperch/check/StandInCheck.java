package tinperch.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Loadout;
import tinperch.machine.book.Ratings;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.trial.sensor.Ntc;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.wiring.StandIn;

/**
 * Does a board accept a tool that has no temperature sensor? Without one it reads far below zero and locks; a resistor in its place satisfies it, and then it cannot see real overheating.
 * Asked of loadouts that feed something and heat nothing.
 */
public final class StandInCheck implements Check {
    /** What boards are usually set for: 100 kΩ, B 4092; no feeding below 170 °C, off at 275 °C (common practice). */
    private static final double USUAL_KOHM = 100;
    private static final double USUAL_BETA = 4092;
    private static final double USUAL_LOCK_C = 170;
    private static final double USUAL_TRIP_C = 275;

    @Override
    public String about() {
        return "stand-ins";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Book book = c.machine().book();
        List<Finding> all = new ArrayList<>();
        List<String> held = Held.components(c).stream().map(Component::loadout).toList();
        for (Loadout l : book.loadouts()) {
            List<Component> on = book.components().stream().filter(x -> x.off().isEmpty() && (x.loadout().isEmpty() || x.loadout().equals(l.id()))).toList();
            boolean cold = on.stream().anyMatch(x -> x.kind() == ComponentKind.DRIVE && x.loadout().equals(l.id())) && on.stream().noneMatch(x -> x.kind() == ComponentKind.HEATER || x.kind() == ComponentKind.HOT_END);
            List<Component> sensors = on.stream().filter(x -> x.kind() == ComponentKind.SENSOR).toList();
            if (cold && sensors.isEmpty()) {
                all.add(none(l, on, book));
            } else if (cold) {
                sensors.stream().filter(x -> x.ratings().ohm() > 0 && x.ratings().ohm() < 1e9).findFirst().map(x -> of(l, x, book))
                        // Of what the part has nothing to do with, only what is wrong is news.
                        .filter(f -> f.severity() != Severity.FINE || held.contains(l.id())).ifPresent(all::add);
            }
        }
        return all.stream().map(f -> f.about(Subject.PRINTING)).toList();
    }

    private static StandIn board(Book b) {
        return new StandIn(new Ntc(1000 * b.newest("sensor.r25").filter(r -> r > 0.01 && r < 1e5).orElse(USUAL_KOHM), b.newest("sensor.beta").filter(k -> k > 500 && k < 20_000).orElse(USUAL_BETA)), b.newest("lock.cold").orElse(USUAL_LOCK_C), b.newest("trip.hot").orElse(USUAL_TRIP_C));
    }

    private static Finding none(Loadout l, List<Component> on, Book book) {
        Optional<Double> ohm = board(book).choose();
        LocalDate day = on.stream().map(Component::on).max(LocalDate::compareTo).orElse(book.since());
        return Finding.of("stand-in." + l.id(), Severity.LOOK, "With “" + l.name() + "” on, the board finds no sensor and locks", "A tool without a sensor reads far below zero. " + ohm.map(r -> "A resistor of " + ohms(r) + " in its place " + reads(r, book) + ". ")
                        .orElse("No resistor of the usual series reads between the locks the book has. ") + blind())
                .with(ohm.map(r -> Remedy.of("fit " + ohms(r) + " in its place", new Change.Fit(new Component("stand-in-" + l.id(), ComponentKind.SENSOR, "Stand-in resistor", l.id(), new Ratings(0, 0, 0, 0, 0, r), day, Optional.empty(),
                        Optional.empty(), "", "the board asks for a sensor")))).stream().toList());
    }

    private static Finding of(Loadout l, Component x, Book book) {
        StandIn board = board(book);
        double r = x.ratings().ohm();
        double tempC = board.sensor().tempC(r);
        double spare = Math.min(tempC - board.lockC(), board.tripC() - tempC);
        boolean good = board.clears(r);
        return Finding.of("stand-in." + l.id(), good ? Severity.FINE : Severity.LOOK, good ? "The board takes " + x.name() + " of " + ohms(r) + " for a warm sensor" : "The board may lock: " + x.name() + " of " + ohms(r) + " reads about " + Math.round(tempC) + " °C",
                "It " + reads(r, book) + ". " + blind()).measured(new Margin(Math.round(spare * 10) / 10.0, StandIn.SPARE_K, Unit.CELSIUS, true));
    }

    private static String reads(double ohm, Book book) {
        StandIn b = board(book);
        return "reads about " + Math.round(b.sensor().tempC(ohm)) + " °C (beta model with " + Quantity.fixed(b.sensor().r25Ohm() / 1000, 0) + " kΩ at 25 °C and B " + Quantity.fixed(b.sensor().betaK(), 0) + " K; tables of boards differ by some kelvins), above the "
                + Math.round(b.lockC()) + " °C below which nothing is fed and below the " + Math.round(b.tripC()) + " °C at which all is switched off; it turns " + Quantity.fixed(1000 * StandIn.heatsW(ohm), 1) + " mW into heat";
    }

    private static String blind() {
        return "With it the board cannot see real overheating: nothing that heats may be on this tool, and no target may be set while it is on.";
    }

    private static String ohms(double r) {
        return r >= 1000 ? Quantity.fixed(r / 1000, 3).replaceAll("\\.?0+$", "") + " kΩ" : Quantity.show(r, Unit.OHM);
    }
}
