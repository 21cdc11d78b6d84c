package tinperch.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.Standing;
import tinperch.paste.PlungerDrive;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * A machine with a plunger: does its board drive it at the right steps, and does the motor push its paste through the nozzle? A board that still drives filament feeds many times too fast. Said where the book says what the plunger is.
 */
public final class PlungerCheck implements Check {
    private static final double OFF = 0.05;
    private static final double LEAST = 1e-3;
    private static final double MOST = 1e6;
    /** Between what a motor gives and what it gives for good, and for seals that rub (common practice). */
    private static final double SHARE = 0.7;
    private static final double FILAMENT_MM = 1.75;
    private static final double STEPS_A_TURN = 3200;
    private static final String BORE = "plunger.bore";
    private static final String STEPS = "steps.e";

    @Override
    public String about() {
        return "plungers";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Book book = c.machine().book();
        List<Finding> all = new ArrayList<>();
        List<String> held = Held.components(c).stream().map(Component::loadout).toList();
        // Each loadout has its own drive.
        book.settings().stream().filter(s -> s.key().equals(BORE)).map(SettingChange::loadout).distinct().forEach(loadout -> {
            LocalDate day = book.days().isEmpty() ? book.since() : book.days().get(book.days().size() - 1);
            Standing now = book.at(day, loadout);
            Optional<Double> bore = said(now, BORE);
            Optional<Double> lead = said(now, "plunger.lead");
            List<Finding> here = new ArrayList<>();
            if (bore.isPresent() && lead.isPresent()) {
                PlungerDrive drive = new PlungerDrive(bore.get(), lead.get(), said(now, "plunger.ratio").orElse(1.0), said(now, "plunger.steps").orElse(STEPS_A_TURN));
                here.add(steps(drive, now, loadout, day));
                here.add(push(drive, now, loadout));
            } else if (bore.isPresent()) {
                here.add(Finding.of("plunger.steps." + loadout, Severity.CANT_TELL, "How the plunger is to be driven cannot be told", "The lead of its screw is not in the book.").settledBy(Settle.By.BOOK, "", "say its lead"));
            }
            // Of what the part has nothing to do with, only what is wrong is news.
            here.stream().filter(f -> f.severity() == Severity.STOP || f.severity() == Severity.LOOK || held.contains(loadout)).forEach(all::add);
        });
        return all.stream().map(f -> f.about(Subject.PRINTING)).toList();
    }

    private static Finding steps(PlungerDrive drive, Standing now, String loadout, LocalDate day) {
        double filament = said(now, "plunger.filament").orElse(FILAMENT_MM);
        double right = drive.stepsPerFilamentMm(filament);
        String why = "The plunger wants " + Quantity.fixed(drive.stepsPerMm(), 0) + " steps for a mm of its own; a slicer that reckons with filament of " + Quantity.mm(filament) + " asks for " + Quantity.fixed(right, 3) + " steps/mm (square of " + Quantity.mm(filament) + " over "
                + Quantity.mm(drive.boreMm()) + ").";
        Optional<Double> set = said(now, STEPS);
        double to = Math.round(right * 1000) / 1000.0;
        Remedy mend = Remedy.of("set the drive to " + Quantity.show(to, Unit.STEPS_PER_MM), new Change.Setting(new SettingChange("plunger-steps-" + loadout, STEPS, to, loadout, day, "", "reckoned for the plunger")));
        if (set.isEmpty()) {
            return Finding.of("plunger.steps." + loadout, Severity.LOOK, "The plunger's steps are not set: " + Quantity.fixed(right, 3) + " are right", why).with(List.of(mend));
        }
        double times = set.get() / right;
        boolean good = Math.abs(times - 1) <= OFF;
        return Finding.of("plunger.steps." + loadout, good ? Severity.FINE : Severity.LOOK, good ? "The plunger is driven at the right steps" : "The plunger is driven at " + Quantity.show(set.get(), Unit.STEPS_PER_MM) + ", " + Quantity.fixed(right, 3) + " are right",
                why + (good ? "" : " As it is set it feeds " + Quantity.fixed(times, times < 10 ? 1 : 0) + " times what is asked.")).measured(new Margin(Math.round(1000 * Math.abs(times - 1)) / 10.0, 100 * OFF, Unit.PERCENT, false)).with(good ? List.of() : List.of(mend));
    }

    private static Finding push(PlungerDrive drive, Standing now, String loadout) {
        String id = "plunger.push." + loadout;
        Optional<Double> torque = said(now, "plunger.torque");
        Optional<Double> paste = said(now, "paste.viscosity");
        Optional<Double> nozzle = said(now, "paste.nozzle");
        Optional<Double> length = said(now, "paste.length");
        Optional<Double> flow = said(now, "paste.flow");
        if (torque.isEmpty() || paste.isEmpty() || nozzle.isEmpty() || length.isEmpty() || flow.isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "Whether the plunger pushes its paste cannot be told", "The motor's torque, the paste's viscosity and flow, the nozzle's bore and length are asked for.").settledBy(Settle.By.BOOK, "", "say them in the book");
        }
        double needs = drive.needsN(paste.get(), nozzle.get(), length.get(), flow.get());
        double gives = SHARE * drive.forceN(torque.get());
        boolean good = needs <= gives;
        String why = "8·μ·L·Q/(π·r⁴) over the plunger's face for " + Quantity.fixed(flow.get(), 1) + " mm³/s through Ø " + Quantity.mm(nozzle.get()) + "; the screw gives 2·π·η·T·ratio/lead, efficiency " + PlungerDrive.EFFICIENCY + " (value from memory), of which 70 % are counted on. Pastes flow easier when they move: an estimate.";
        return Finding.of(id, good ? Severity.FINE : Severity.STOP, good ? "The plunger pushes its paste with " + newtons(needs) + " of " + newtons(gives) : "The plunger stalls: its paste wants " + newtons(needs) + ", it gives " + newtons(gives),
                why + (good ? "" : " A wider or shorter nozzle, less flow, a thinner barrel or gears of " + Quantity.fixed(Math.ceil(10 * drive.ratio() * needs / gives) / 10, 1) + " : 1 cure it.")).measured(new Margin(needs, gives, Unit.NEWTON, false));
    }

    /** A file written by hand may hold any number. */
    private static Optional<Double> said(Standing now, String key) {
        return now.value(key).filter(v -> v >= LEAST && v <= MOST);
    }

    private static String newtons(double n) {
        return Quantity.show((double) Math.round(n), Unit.NEWTON);
    }
}
