package tinperch.machine.book;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Whatever is written into a book in whatever order, it stays a book. */
public class BookFuzzTest {
    private static final LocalDate CAME = LocalDate.of(2024, 3, 1);
    private static final int DAYS = 700;
    private static final List<String> LOADOUTS = List.of("", "fine", "coarse", "unknown");

    @DataProvider
    public Object[][] seeds() {
        return new Object[][] {{1}, {2}, {3}, {5}, {8}, {13}, {21}, {34}};
    }

    private static Book start() {
        return Book.begun(CAME).add(new Loadout("fine", "Fine", "")).add(new Loadout("coarse", "Coarse", ""));
    }

    /** One edit of any kind, sensible or not; a refusal leaves the book as it was. */
    private static Book edited(Book b, Random r, int n, List<String> refusals) {
        LocalDate day = CAME.plusDays(r.nextInt(DAYS + 40) - 20L);
        String loadout = LOADOUTS.get(r.nextInt(LOADOUTS.size()));
        Optional<Component> some = b.components().isEmpty() ? Optional.empty()
                : Optional.of(b.components().get(r.nextInt(b.components().size())));
        String id = some.map(Component::id).orElse("nothing");
        try {
            return switch (r.nextInt(8)) {
                case 0, 1 -> b.fit(new Component("c" + n, ComponentKind.values()[r.nextInt(ComponentKind.values().length)], "Part " + n,
                        loadout, Ratings.NONE, day, Optional.empty(), r.nextBoolean() ? some.map(Component::id) : Optional.empty(), "me", ""));
                case 2 -> b.takeOff(id, day);
                case 3 -> b.strikeOut(r.nextInt(4) == 0 ? "s" + r.nextInt(n + 1) : id);
                case 4 -> b.set(new SettingChange("s" + n, r.nextInt(9) == 0 ? "colour" : SettingKey.ALL.get(r.nextInt(
                        SettingKey.ALL.size())).key(), r.nextInt(50) == 0 ? Double.NaN : r.nextInt(100), loadout, day, "me", ""));
                case 5 -> b.move(id, "m" + n, loadout, day);
                case 6 -> b.run(new HoursRun("h" + n, day, r.nextInt(3000), "typed"));
                default -> {
                    List<Due> due = b.due(CAME.plusDays(DAYS));
                    yield due.isEmpty() ? b : b.redo(due.get(r.nextInt(due.size())), "r" + n, day, "me", r.nextInt(5) == 0 ? " " : "done",
                            r.nextBoolean());
                }
            };
        } catch (BookProblem e) {
            refusals.add(e.getMessage());
            return b;
        }
    }

    private static Book written(int seed, List<String> refusals) {
        Random r = new Random(seed);
        Book b = start();
        for (int n = 0; n < 400; n++) {
            b = edited(b, r, n, refusals);
        }
        return b;
    }

    @Test(dataProvider = "seeds")
    public void refusalsAreSentencesThatSayNothingWasLost(int seed) {
        List<String> refusals = new ArrayList<>();
        written(seed, refusals);
        assertTrue(refusals.size() > 20, "the dice are tame: " + refusals.size());
        for (String s : refusals) {
            assertTrue(s.length() > 15 && s.endsWith(".") && (Character.isUpperCase(s.charAt(0)) || s.startsWith("“")), s);
        }
    }

    @Test(dataProvider = "seeds")
    public void whatIsWrittenLaterDoesNotChangeEarlierDays(int seed) {
        Random r = new Random(seed + 1000);
        Book b = start();
        for (int n = 0; n < 250; n++) {
            Book next = edited(b, r, n, new ArrayList<>());
            // An edit dated on a day leaves every day before it alone, unless an entry was struck out.
            List<LocalDate> touched = new ArrayList<>();
            Book before = b;
            next.components().stream().filter(c -> !before.components().contains(c)).forEach(c -> touched.add(
                    before.component(c.id()).isPresent() ? c.off().orElse(c.on()) : c.on()));
            next.settings().stream().filter(s -> !before.settings().contains(s)).forEach(s -> touched.add(s.on()));
            boolean struck = next.components().size() < b.components().size() || next.settings().size() < b.settings().size();
            if (!struck && !touched.isEmpty()) {
                LocalDate first = touched.stream().min(LocalDate::compareTo).orElseThrow();
                for (String loadout : List.of("", "fine", "coarse")) {
                    LocalDate day = first.minusDays(1 + r.nextInt(30));
                    assertEquals(Standing.differences(b.at(day, loadout), next.at(day, loadout)), List.of());
                }
            }
            b = next;
        }
    }

    @Test(dataProvider = "seeds")
    public void aDayAgainstItselfIsNoDifferenceAndBackIsAsLongAsForth(int seed) {
        Book b = written(seed, new ArrayList<>());
        Random r = new Random(seed);
        for (int i = 0; i < 60; i++) {
            Standing one = b.at(CAME.plusDays(r.nextInt(DAYS)), LOADOUTS.get(r.nextInt(3)));
            Standing two = b.at(CAME.plusDays(r.nextInt(DAYS)), LOADOUTS.get(r.nextInt(3)));
            assertEquals(Standing.differences(one, one), List.of());
            assertEquals(Standing.differences(one, two).isEmpty(), Standing.differences(two, one).isEmpty());
        }
    }

    @Test(dataProvider = "seeds")
    public void everythingFittedOnADayIsOnItOnce(int seed) {
        Book b = written(seed, new ArrayList<>());
        for (int d = 0; d < DAYS; d += 25) {
            LocalDate day = CAME.plusDays(d);
            for (String loadout : List.of("", "fine", "coarse")) {
                List<String> ids = b.at(day, loadout).components().stream().map(Component::id).toList();
                assertEquals(ids.stream().distinct().count(), ids.size());
                for (Component c : b.components()) {
                    boolean on = !c.on().isAfter(day) && c.off().map(o -> o.isAfter(day)).orElse(true);
                    boolean here = c.loadout().isEmpty() || c.loadout().equals(loadout);
                    assertEquals(ids.contains(c.id()), on && here, c + " on " + day);
                }
            }
        }
    }

    @Test(dataProvider = "seeds")
    public void whatIsDueHasReasonsAndGoesWhenItIsDone(int seed) {
        Book b = written(seed, new ArrayList<>());
        LocalDate today = CAME.plusDays(DAYS + 50);
        List<Due> due = b.due(today);
        for (Due d : due) {
            assertFalse(d.reasons().isEmpty());
            assertFalse(d.covers().isEmpty());
            Book done = b.redo(d, "done", today, "me", "4.2", false);
            assertTrue(done.due(today).stream().noneMatch(o -> o.step().equals(d.step()) && o.loadout().equals(d.loadout())), d.toString());
            // Struck out, it comes back.
            assertEquals(done.strikeOut("done").due(today), due);
        }
    }
}
