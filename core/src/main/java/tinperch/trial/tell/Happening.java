package tinperch.trial.tell;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tinperch.machine.Machine;
import tinperch.machine.book.SettingKey;
import tinperch.trial.Run;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/**
 * Something that happened while a run was recorded.
 *
 * @param s after the run's start, s; of what the book knows the day only, when that day began, or the start
 * @param words short: "fitted: Insulating sock", "Blower carriage R4 kept"
 */
public record Happening(double s, String words) {
    private static final int MOST = 12;

    /** What the book and the kept revisions of a machine say of a run's time, in its order; the first dozen. */
    public static List<Happening> of(Run run, Machine machine, List<Revision> revisions, List<Upgrade> upgrades) {
        LocalDateTime end = run.start().plusNanos((long) (run.lengthS() * 1e9));
        List<Happening> all = new ArrayList<>();
        machine.book().components().forEach(c -> {
            day(all, run, end, c.on(), "fitted: " + c.name());
            c.off().ifPresent(off -> day(all, run, end, off, "taken off: " + c.name()));
        });
        machine.book().settings().forEach(x -> day(all, run, end, x.on(), SettingKey.of(x.key()).map(k -> k.label() + ": " + k.show(x.value())).orElse(x.key())));
        machine.book().redone().forEach(x -> day(all, run, end, x.on(), "done: " + x.result()));
        for (Revision r : revisions) {
            upgrades.stream().filter(u -> u.id().equals(r.upgradeId()) && u.machineId().equals(machine.id())).findFirst()
                    .filter(u -> !r.keptAt().isBefore(run.start()) && !r.keptAt().isAfter(end)).ifPresent(u -> all.add(new Happening(run.start().until(r.keptAt(), ChronoUnit.MILLIS) / 1000.0, u.name() + " " + r.mark() + " kept")));
        }
        all.sort(Comparator.comparingDouble(Happening::s));
        return all.size() > MOST ? all.subList(0, MOST) : all;
    }

    private static void day(List<Happening> all, Run run, LocalDateTime end, LocalDate day, String words) {
        if (!day.isBefore(run.start().toLocalDate()) && !day.isAfter(end.toLocalDate())) {
            all.add(new Happening(Math.max(0, run.start().until(day.atStartOfDay(), ChronoUnit.SECONDS)), words));
        }
    }
}
