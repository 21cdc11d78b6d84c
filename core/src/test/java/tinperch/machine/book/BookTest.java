package tinperch.machine.book;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The machine's book: as of a day, differences, what must be redone and how it is settled. */
public class BookTest {
    private static final LocalDate CAME = LocalDate.of(2025, 1, 1);

    private static LocalDate day(int n) {
        return CAME.plusDays(n);
    }

    private static Component component(String id, ComponentKind kind, int on, String replaces) {
        return new Component(id, kind, id, "", Ratings.NONE, day(on), Optional.empty(),
                replaces.isEmpty() ? Optional.empty() : Optional.of(replaces), "me", "");
    }

    private static SettingChange setting(String id, String key, double value, String loadout, int on) {
        return new SettingChange(id, key, value, loadout, day(on), "me", "");
    }

    private static Book machine() {
        return Book.begun(CAME).fit(component("heater A", ComponentKind.HEATER, 0, ""))
                .fit(component("drive A", ComponentKind.DRIVE, 0, "")).set(setting("s1", "steps.e", 93, "", 0));
    }

    private static List<String> steps(Book b, int day) {
        return b.due(day(day)).stream().map(d -> d.step().step()).toList();
    }

    // ---- tables ----

    @Test
    public void theTablesFitTogether() {
        assertTrue(RedoRule.ALL.size() > 30 && SettingKey.ALL.size() > 20);
        List<String> causes = Arrays.stream(ComponentKind.values()).map(Enum::name).collect(Collectors.toList());
        SettingKey.ALL.forEach(k -> causes.add(k.redo()));
        for (RedoRule r : RedoRule.ALL) {
            assertTrue(RedoStep.of(r.step()).label().length() > 3);
            assertTrue(causes.contains(r.cause()), r.cause() + " is neither a kind of component nor a word of a setting");
        }
        SettingKey.ALL.stream().filter(k -> !k.redo().isEmpty())
                .forEach(k -> assertTrue(!RedoRule.of(k.redo()).isEmpty(), k.key() + " asks for " + k.redo()));
    }

    /** Common practice: what a change asks for. */
    @DataProvider
    public Object[][] practice() {
        return new Object[][] {
            {ComponentKind.HEATER, "heater"}, {ComponentKind.FAN, "heater"}, {ComponentKind.SOCK, "heater"},
            {ComponentKind.MOUNT, "probe"}, {ComponentKind.PROBE, "probe"}, {ComponentKind.DRIVE, "steps"},
            {ComponentKind.DRIVE, "retraction"}, {ComponentKind.GEAR, "pressure"}, {ComponentKind.WHEELS, "square"},
            {ComponentKind.RAIL, "level"}, {ComponentKind.BED, "level"}, {ComponentKind.CONTACT, "templog"},
            {ComponentKind.SUPPLY, "templog"},
        };
    }

    @Test(dataProvider = "practice")
    public void aChangedComponentAsksForWhatDependsOnIt(ComponentKind kind, String step) {
        Book b = machine().fit(component("new", kind, 10, ""));
        assertTrue(steps(b, 10).contains(step), steps(b, 10).toString());
        assertEquals(steps(b, 9), List.of(), "not before it happened");
    }

    // ---- as of a day ----

    @Test
    public void aDayShowsWhatWasOnAndSetThen() {
        Book b = machine().fit(component("heater B", ComponentKind.HEATER, 10, "heater A"))
                .set(setting("s2", "steps.e", 415, "", 10)).takeOff("drive A", day(20));
        assertEquals(b.at(day(9), "").components().stream().map(Component::name).toList(), List.of("heater A", "drive A"));
        assertEquals(b.at(day(9), "").value("steps.e"), Optional.of(93.0));
        assertEquals(b.at(day(10), "").components().stream().map(Component::name).toList(), List.of("drive A", "heater B"));
        assertEquals(b.at(day(10), "").value("steps.e"), Optional.of(415.0));
        assertEquals(b.at(day(20), "").components().size(), 1);
        assertEquals(b.component("heater A").orElseThrow().off(), Optional.of(day(10)));
        assertEquals(b.days(), List.of(day(0), day(10), day(20)));
    }

    @Test
    public void differencesAreToldInPlainWords() {
        Book b = machine().fit(component("heater B", ComponentKind.HEATER, 10, "heater A"))
                .set(setting("s2", "steps.e", 415, "", 10)).takeOff("drive A", day(20))
                .fit(component("sock", ComponentKind.SOCK, 21, ""));
        assertEquals(Standing.differences(b.at(day(5), ""), b.at(day(30), "")), List.of("Heater: heater A → heater B",
                "Insulating sock added: sock", "Filament drive taken off: drive A", "Drive steps: 93 steps/mm → 415 steps/mm"));
        assertEquals(Standing.differences(b.at(day(5), ""), b.at(day(6), "")), List.of());
    }

    @Test
    public void aLoadoutHasItsOwnComponentsAndOutweighsTheMachine() {
        Book b = machine().add(new Loadout("fine", "Fine", "")).add(new Loadout("coarse", "Coarse", ""))
                .fit(new Component("n", ComponentKind.NOZZLE, "0.8", "coarse", Ratings.NONE, day(3), Optional.empty(),
                        Optional.empty(), "me", ""))
                .set(setting("s2", "steps.e", 700, "coarse", 3)).set(setting("s3", "steps.e", 415, "", 10));
        assertEquals(b.at(day(11), "fine").value("steps.e"), Optional.of(415.0));
        assertEquals(b.at(day(11), "coarse").value("steps.e"), Optional.of(700.0), "its own, though older");
        assertEquals(Standing.differences(b.at(day(11), "fine"), b.at(day(11), "coarse")),
                List.of("Nozzle added: 0.8", "Drive steps: 415 steps/mm → 700 steps/mm"));
        assertTrue(b.due(day(11)).stream().anyMatch(d -> d.loadout().equals("coarse") && d.step().step().equals("probe")));
    }

    // ---- due, done, waived, undone ----

    @Test
    public void whatIsDueIsDoneWithAResultAndComesBackWithTheNextChange() {
        Book changed = machine().fit(component("fan", ComponentKind.FAN, 10, ""));
        Due due = changed.due(day(12)).get(0);
        assertEquals(due.step().step(), "heater");
        assertEquals(due.reasons(), List.of("fan fitted on 11 Jan 2025: moving air carries heat off the block"));
        Book done = changed.redo(due, "r1", day(12), "me", "P 22, I 1.6, D 78", false);
        assertEquals(steps(done, 12), List.of());
        assertEquals(steps(done, 11), List.of("heater"), "on the day before it was still due");
        Book again = done.fit(component("sock", ComponentKind.SOCK, 30, ""));
        assertEquals(again.due(day(30)).get(0).covers(), List.of("sock"));
        // Undo is the book before: it is due again.
        assertEquals(steps(changed, 12), List.of("heater"));
        assertEquals(steps(done.strikeOut("r1"), 12), List.of("heater"));
    }

    @Test
    public void severalCausesMakeOneDueStep() {
        Book b = machine().fit(component("fan", ComponentKind.FAN, 10, "")).fit(component("sock", ComponentKind.SOCK, 12, ""));
        List<Due> heater = b.due(day(20)).stream().filter(d -> d.step().step().equals("heater")).toList();
        assertEquals(heater.size(), 1);
        assertEquals(heater.get(0).reasons().size(), 2);
        assertEquals(heater.get(0).since(), day(10));
        assertEquals(steps(b.redo(heater.get(0), "r", day(20), "me", "not needed: PLA only", true), 20), List.of());
    }

    @Test
    public void takingSomethingOffAsksToo() {
        Book b = machine().fit(component("sock", ComponentKind.SOCK, 10, ""));
        b = b.redo(b.due(day(10)).get(0), "r", day(10), "me", "tuned", false).takeOff("sock", day(15));
        assertEquals(steps(b, 15), List.of("heater"));
    }

    @Test
    public void aNewMachineOwesNothing() {
        assertEquals(steps(machine(), 100), List.of());
    }

    // ---- refusals: nothing is lost ----

    @Test
    public void entriesThatCannotBeAreRefusedInWords() {
        Book b = machine().fit(component("heater B", ComponentKind.HEATER, 10, "heater A"));
        Book done = b.redo(b.due(day(10)).get(0), "r", day(11), "me", "ok", false);
        Object[][] refused = {
            {"cannot lie before that", (Runnable) () -> b.fit(component("x", ComponentKind.FAN, -1, ""))},
            {"cannot come off before that", (Runnable) () -> b.takeOff("heater B", day(9))},
            {"already", (Runnable) () -> b.takeOff("heater A", day(30))},
            {"took the place of heater A", (Runnable) () -> b.strikeOut("heater A")},
            {"was done because of heater B", (Runnable) () -> done.strikeOut("heater B")},
            {"needs a name", (Runnable) () -> b.fit(new Component("y", ComponentKind.FAN, " ", "", Ratings.NONE, day(2),
                    Optional.empty(), Optional.empty(), "", ""))},
            {"not a setting", (Runnable) () -> b.set(setting("s9", "steps.q", 1, "", 3))},
            {"needs a number", (Runnable) () -> b.set(setting("s9", "steps.x", Double.NaN, "", 3))},
            {"loadout is not in the book", (Runnable) () -> b.set(setting("s9", "steps.x", 1, "nowhere", 3))},
            {"Write down what came out", (Runnable) () -> b.redo(b.due(day(10)).get(0), "r", day(11), "me", " ", false)},
            {"Say why", (Runnable) () -> b.redo(b.due(day(10)).get(0), "r", day(11), "me", "", true)},
            {"was there by then", (Runnable) () -> b.since(day(5))},
        };
        for (Object[] r : refused) {
            BookProblem p = expectThrows(BookProblem.class, () -> ((Runnable) r[1]).run());
            assertTrue(p.getMessage().contains((String) r[0]), p.getMessage());
        }
        // A slip is struck out and what it had replaced is back.
        Book struck = b.strikeOut("heater B");
        assertEquals(struck.component("heater A").orElseThrow().off(), Optional.empty());
        assertNotEquals(struck, b);
    }

    @Test
    public void ratingsAndSettingsReadAsWritten() {
        assertEquals(new Ratings(24, 0, 40, 0, 0).words(), "24 V · 40 W");
        assertEquals(new Ratings(0, 12, 0, 105, 0).words(), "12 A · to 105 °C");
        assertEquals(Ratings.NONE.words(), "");
        assertEquals(SettingKey.of("steps.e").orElseThrow().show(414.6), "414.6 steps/mm");
        assertEquals(SettingKey.of("probe.z").orElseThrow().show(-1.86), "−1.86 mm");
    }

    @Test
    public void aComponentMovedToALoadoutIsOffTheMachineAndAsksForItsSteps() {
        Book b = Book.begun(CAME).add(new Loadout("fine", "Fine", "")).fit(component("fan", ComponentKind.FAN, 0, ""));
        Book moved = b.move("fan", "fan-2", "fine", day(10));
        assertTrue(moved.at(day(10), "").components().isEmpty());
        assertEquals(moved.at(day(10), "fine").components().get(0).name(), "fan");
        assertEquals(moved.at(day(9), "").components().size(), 1, "before that it was the machine's");
        assertTrue(moved.due(day(10)).stream().anyMatch(d -> d.step().step().equals("heater")));
        assertTrue(expectThrows(BookProblem.class, () -> moved.move("fan-2", "x", "fine", day(11))).getMessage().contains("already"));
        assertEquals(moved.strikeOut("fan-2").at(day(10), "").components().size(), 1, "struck out, it is back");
    }

    @Test
    public void theHourCounterRunsForwardOnly() {
        Book b = Book.begun(CAME).run(new HoursRun("a", day(30), 120, "me")).run(new HoursRun("b", day(90), 300, "log"));
        assertEquals(b.hoursAt(day(29)), Optional.empty());
        assertEquals(b.hoursAt(day(60)).orElseThrow().hours(), 120.0);
        assertEquals(b.run(new HoursRun("c", day(60), 200, "me")).hoursAt(day(60)).orElseThrow().hours(), 200.0);
        assertTrue(expectThrows(BookProblem.class, () -> b.run(new HoursRun("d", day(100), 250, ""))).getMessage()
                .contains("it stood at 300 h on"));
        assertTrue(expectThrows(BookProblem.class, () -> b.run(new HoursRun("d", day(50), 310, ""))).getMessage().contains("forward"));
        assertTrue(expectThrows(BookProblem.class, () -> b.run(new HoursRun("d", CAME.minusDays(1), 1, ""))).getMessage()
                .contains("before that"));
        assertEquals(b.strikeOut("b").hours().size(), 1);
    }
}
