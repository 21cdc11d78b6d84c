package tinperch.machine.book;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/**
 * All entries of a machine's book. Edits give a new book or throw a {@link BookProblem}; undo is the book before.
 *
 * @param since the day the machine came; entries may not lie before it
 */
public record Book(LocalDate since, List<Component> components, List<SettingChange> settings, List<Loadout> loadouts,
        List<Redone> redone, List<HoursRun> hours) {
    /** A book without entries; machines made before there were books have this one. */
    public static final Book EMPTY = begun(LocalDate.of(2000, 1, 1));

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    public Book {
        // Books begun by an earlier version have no hours; one written by hand may have nothing but what matters.
        since = since == null ? LocalDate.of(2000, 1, 1) : since;
        components = components == null ? List.of() : List.copyOf(components);
        settings = settings == null ? List.of() : List.copyOf(settings);
        loadouts = loadouts == null ? List.of() : List.copyOf(loadouts);
        redone = redone == null ? List.of() : List.copyOf(redone);
        hours = hours == null ? List.of() : hours.stream().sorted(Comparator.comparing(HoursRun::on)).toList();
    }

    /** The book of a machine that came on a day. */
    public static Book begun(LocalDate day) {
        return new Book(day, List.of(), List.of(), List.of(), List.of(), List.of());
    }

    // ---- questions ----

    /** A component by its id, also one that came off; empty when there is none of it. */
    public Optional<Component> component(String id) {
        return components.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** A loadout by its id; empty when there is none of it. */
    public Optional<Loadout> loadout(String id) {
        return loadouts.stream().filter(l -> l.id().equals(id)).findFirst();
    }

    /** How the machine stood at the end of a day with a loadout on; its own entries come before the machine's. */
    public Standing at(LocalDate day, String loadout) {
        Map<String, SettingChange> inForce = new TreeMap<>();
        // Two passes: what the loadout says for itself outweighs what is said for all, whenever that was.
        for (String scope : loadout.isEmpty() ? List.of("") : List.of("", loadout)) {
            Map<String, SettingChange> newest = new TreeMap<>();
            for (SettingChange s : settings) {
                SettingChange known = newest.get(s.key());
                if (s.loadout().equals(scope) && !s.on().isAfter(day) && (known == null || !s.on().isBefore(known.on()))) {
                    newest.put(s.key(), s);
                }
            }
            inForce.putAll(newest);
        }
        return new Standing(components.stream()
                .filter(c -> (c.loadout().isEmpty() || c.loadout().equals(loadout)) && c.isOnAt(day)).toList(), inForce);
    }

    /** Every day something was fitted, taken off, set or redone, oldest first. */
    public List<LocalDate> days() {
        List<LocalDate> all = new ArrayList<>();
        components.forEach(c -> {
            all.add(c.on());
            c.off().ifPresent(all::add);
        });
        settings.forEach(s -> all.add(s.on()));
        redone.forEach(r -> all.add(r.on()));
        hours.forEach(h -> all.add(h.on()));
        return all.stream().distinct().sorted().toList();
    }

    /**
     * What is due at the end of a day, in the order of {@code steps.csv}. What a machine came with on its first day asks for
     * nothing: it was set up as a whole.
     */
    public List<Due> due(LocalDate day) {
        Set<String> settled = new HashSet<>();
        redone.stream().filter(r -> !r.on().isAfter(day))
                .forEach(r -> r.covers().forEach(entry -> settled.add(r.step() + " " + entry)));
        List<Ask> open = asks(day).stream().filter(a -> !settled.contains(a.rule.step() + " " + a.entry)).toList();
        List<Due> all = new ArrayList<>();
        for (RedoStep step : RedoStep.ALL) {
            Map<String, List<Ask>> byLoadout = new LinkedHashMap<>();
            for (Ask a : open) {
                if (a.rule.step().equals(step.step())) {
                    byLoadout.computeIfAbsent(a.loadout, k -> new ArrayList<>()).add(a);
                }
            }
            byLoadout.forEach((loadout, asks) -> {
                asks.sort(Comparator.comparing(Ask::on));
                all.add(new Due(step, loadout, asks.stream().map(Ask::entry).distinct().toList(),
                        asks.stream().map(Ask::words).distinct().toList(), asks.get(0).on));
            });
        }
        return all;
    }

    private record Ask(RedoRule rule, String entry, String loadout, LocalDate on, String words) {}

    private List<Ask> asks(LocalDate day) {
        List<Ask> all = new ArrayList<>();
        Set<String> replaced = new HashSet<>();
        components.forEach(c -> c.replaces().ifPresent(replaced::add));
        for (Component c : components) {
            if (c.on().isAfter(since) && !c.on().isAfter(day)) {
                String what = c.replaces().flatMap(this::component)
                        .map(b -> c.name() + " in place of " + b.name()).orElse(c.name() + " fitted");
                RedoRule.of(c.kind().name()).forEach(r -> all.add(ask(r, c.id(), c.loadout(), c.on(), what)));
            }
            if (c.off().isPresent() && !c.off().get().isAfter(day) && !replaced.contains(c.id())) {
                RedoRule.of(c.kind().name()).forEach(r -> all.add(ask(r, c.id() + " off", c.loadout(), c.off().get(),
                        c.name() + " taken off")));
            }
        }
        for (SettingChange s : settings) {
            SettingKey key = SettingKey.of(s.key()).orElse(null);
            if (key != null && s.on().isAfter(since) && !s.on().isAfter(day)) {
                RedoRule.of(key.redo()).forEach(r -> all.add(ask(r, s.id(), s.loadout(), s.on(),
                        key.label() + " set to " + key.show(s.value()))));
            }
        }
        return all;
    }

    private static Ask ask(RedoRule r, String entry, String loadout, LocalDate on, String what) {
        return new Ask(r, entry, loadout, on, what + " on " + on.format(DAY) + ": " + r.reason());
    }

    // ---- edits ----

    /** Fits a component; when it replaces another, that one comes off the same day. */
    public Book fit(Component c) {
        checkDay(c.on());
        checkLoadout(c.loadout());
        if (c.name().isBlank()) {
            throw new BookProblem("A component needs a name, such as “heater 40 W” or “radial fan 40×10”.");
        }
        if (component(c.id()).isPresent()) {
            throw new BookProblem("This component is in the book already.");
        }
        Book next = this;
        if (c.replaces().isPresent()) {
            next = next.takeOff(c.replaces().get(), c.on());
        }
        return next.withComponents(plus(next.components, c));
    }

    /** Takes a component off on a day. */
    public Book takeOff(String id, LocalDate day) {
        checkDay(day);
        Component c = component(id).orElseThrow(() -> new BookProblem("That component is not in the book."));
        if (c.off().isPresent()) {
            throw new BookProblem(c.name() + " came off on " + c.off().get().format(DAY) + " already.");
        }
        if (day.isBefore(c.on())) {
            throw new BookProblem(c.name() + " was fitted on " + c.on().format(DAY) + "; it cannot come off before that.");
        }
        return withComponents(components.stream().map(o -> o.id().equals(id) ? o.removed(day) : o).toList());
    }

    /**
     * Takes an entry out of the book as if it had never been made, for slips of the pen. Refused when later entries stand on
     * it.
     */
    public Book strikeOut(String id) {
        Component c = component(id).orElse(null);
        if (c == null) {
            return new Book(since, components, without(settings, s -> s.id().equals(id)), loadouts,
                    without(redone, r -> r.id().equals(id)), without(hours, h -> h.id().equals(id)));
        }
        Optional<Component> later = components.stream().filter(o -> o.replaces().filter(id::equals).isPresent()).findFirst();
        if (later.isPresent()) {
            throw new BookProblem(later.get().name() + " took the place of " + c.name() + " on "
                    + later.get().on().format(DAY) + ". Strike that out first, or take " + c.name()
                    + " off on a day instead; nothing was changed.");
        }
        Optional<Redone> done = redone.stream().filter(r -> r.covers().contains(id)).findFirst();
        if (done.isPresent()) {
            throw new BookProblem("“" + RedoStep.of(done.get().step()).label() + "” of " + done.get().on().format(DAY)
                    + " was done because of " + c.name() + ". Strike that out first; nothing was changed.");
        }
        // What it had replaced is back on.
        List<Component> rest = without(components, o -> o.id().equals(id)).stream()
                .map(o -> c.replaces().filter(o.id()::equals).isPresent() ? o.backOn() : o).toList();
        return withComponents(rest);
    }

    /** Gives a setting a value from a day on. */
    public Book set(SettingChange s) {
        checkDay(s.on());
        checkLoadout(s.loadout());
        if (SettingKey.of(s.key()).isEmpty()) {
            throw new BookProblem("“" + s.key() + "” is not a setting this book knows.");
        }
        if (!Double.isFinite(s.value())) {
            throw new BookProblem("A setting needs a number; the old value stays.");
        }
        return new Book(since, components, plus(settings, s), loadouts, redone, hours);
    }

    /** With a loadout put in, or changed when its id is known. Refuses one without a name. */
    public Book add(Loadout l) {
        if (l.name().isBlank()) {
            throw new BookProblem("A loadout needs a name, such as “fine nozzle”.");
        }
        return new Book(since, components, settings, plus(without(loadouts, o -> o.id().equals(l.id())), l), redone,
                hours);
    }

    /** Notes that a due step was done with a result, or waived with a reason. */
    public Book redo(Due due, String id, LocalDate day, String by, String result, boolean waived) {
        checkDay(day);
        if (result.isBlank()) {
            throw new BookProblem(waived ? "Say why it is not needed; later nobody will remember."
                    : "Write down what came out, a number if there is one.");
        }
        return new Book(since, components, settings, loadouts, plus(redone,
                new Redone(id, due.step().step(), due.loadout(), due.covers(), day, by, result.strip(), waived)), hours);
    }

    /**
     * Moves a component to another loadout, or to the machine itself, from a day on: it comes off where it was and is
     * fitted there the same day.
     *
     * @param freshId name of the new entry
     * @param loadout where to, empty for the machine itself
     */
    public Book move(String id, String freshId, String loadout, LocalDate day) {
        Component c = component(id).orElseThrow(() -> new BookProblem("That component is not in the book."));
        if (c.loadout().equals(loadout)) {
            throw new BookProblem(c.name() + " is there already.");
        }
        return fit(c.movedTo(loadout, freshId, day));
    }

    /**
     * Says what draws its current through a contact.
     *
     * @param what null when that is not known
     */
    public Book feeding(String id, ComponentKind what) {
        return changed(id, c -> c.feeding(what));
    }

    /** What a setting was last set to, whatever loadout it was for; empty when it never was. */
    public Optional<Double> newest(String key) {
        // Of two of one day the later entry counts.
        return settings.stream().filter(s -> s.key().equals(key)).reduce((a, b) -> b.on().isBefore(a.on()) ? a : b).map(SettingChange::value);
    }

    /** Says where a component's current comes from; a slip that leads back to itself is refused. */
    public Book wired(String id, Wired to) {
        Set<String> seen = new HashSet<>(Set.of(id));
        for (Optional<Component> up = component(to.from()); up.isPresent(); up = component(up.get().wired().from())) {
            if (!seen.add(up.get().id())) {
                throw new BookProblem("Its current would come from itself, by way of " + up.get().name() + ". Nothing was changed.");
            }
        }
        return changed(id, c -> c.wired(to));
    }

    /** All that is on the machine today and hangs on a component. */
    public List<Component> hangingOn(String id) {
        return components.stream().filter(c -> c.off().isEmpty() && c.wired().from().equals(id)).toList();
    }

    /** All that draws its current through a component, however many others lie between; what only passes it on is not among it. */
    public List<Component> fedThrough(String id) {
        List<Component> all = new ArrayList<>();
        // A file written by hand may lead in a circle.
        Set<String> seen = new HashSet<>(Set.of(id));
        List<String> open = new ArrayList<>(seen);
        while (!open.isEmpty()) {
            for (Component c : hangingOn(open.remove(open.size() - 1))) {
                if (seen.add(c.id())) {
                    if (!c.kind().gives()) {
                        all.add(c);
                    }
                    if (c.kind().passesOn()) {
                        open.add(c.id());
                    }
                }
            }
        }
        return all;
    }

    /**
     * Says which usual thing a component is.
     *
     * @param usualId empty when it is none
     */
    public Book being(String id, String usualId) {
        return changed(id, c -> c.being(usualId));
    }

    private Book changed(String id, java.util.function.UnaryOperator<Component> change) {
        component(id).orElseThrow(() -> new BookProblem("That component is not in the book."));
        return withComponents(components.stream().map(c -> c.id().equals(id) ? change.apply(c) : c).toList());
    }

    /** Writes down what the hour counter shows. */
    public Book run(HoursRun h) {
        checkDay(h.on());
        if (!(h.hours() >= 0 && h.hours() < 200_000)) {
            throw new BookProblem("Hours run are a number from 0; nothing was changed.");
        }
        for (HoursRun o : hours) {
            if (!o.on().isAfter(h.on()) && o.hours() > h.hours() || !o.on().isBefore(h.on()) && !o.on().equals(h.on())
                    && o.hours() < h.hours()) {
                throw new BookProblem("The counter runs forward only: it stood at " + Quantity.show(o.hours(), Unit.HOURS) + " on "
                        + o.on().format(DAY) + ". Nothing was changed.");
            }
        }
        return new Book(since, components, settings, loadouts, redone, plus(hours, h));
    }

    /** Writes down many counter readings, all or none; days already written down and days before the machine came are passed over. */
    public Book runAll(List<HoursRun> counters) {
        Book next = this;
        for (HoursRun h : counters) {
            if (!h.on().isBefore(since) && next.hours.stream().noneMatch(o -> o.on().equals(h.on()))) {
                next = next.run(h);
            }
        }
        return next;
    }

    /** What the hour counter showed last up to a day. */
    public Optional<HoursRun> hoursAt(LocalDate day) {
        return hours.stream().filter(h -> !h.on().isAfter(day)).reduce((a, b) -> b);
    }

    /** Moves the day the machine came. */
    public Book since(LocalDate day) {
        Optional<LocalDate> first = days().stream().findFirst();
        if (first.isPresent() && day.isAfter(first.get())) {
            throw new BookProblem("The first entry is of " + first.get().format(DAY) + "; the machine was there by then.");
        }
        return new Book(day, components, settings, loadouts, redone, hours);
    }

    private Book withComponents(List<Component> next) {
        return new Book(since, next, settings, loadouts, redone, hours);
    }

    private void checkDay(LocalDate day) {
        if (day.isBefore(since)) {
            throw new BookProblem("The machine came on " + since.format(DAY) + "; an entry cannot lie before that.");
        }
    }

    private void checkLoadout(String id) {
        if (!id.isEmpty() && loadout(id).isEmpty()) {
            throw new BookProblem("That loadout is not in the book.");
        }
    }

    private static <T> List<T> plus(List<T> list, T item) {
        List<T> copy = new ArrayList<>(list);
        copy.add(item);
        return copy;
    }

    private static <T> List<T> without(List<T> list, Predicate<T> gone) {
        return list.stream().filter(gone.negate()).toList();
    }
}
