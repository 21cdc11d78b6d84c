package tinperch.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.edit.PartEdits;
import tinperch.workshop.store.WorkshopStore;

public class WorkshopTest extends TempFolder {
    private Workshop demo() {
        WorkshopStore store = WorkshopStore.open(folder.resolve("w.db"));
        store.save(store.load(), DemoWorkshop.state());
        return new Workshop(store);
    }

    private static double thickness(Workshop w) {
        return w.state().upgrade("avocet-blower").orElseThrow().part().orElseThrow().values().number("plate.thickness");
    }

    @Test
    public void undoBringsBackTheVeryState() {
        try (Workshop w = demo()) {
            WorkshopState before = w.state();
            assertTrue(PartEdits.set(w, "avocet-blower", "plate.thickness", "9").isEmpty());
            assertEquals(thickness(w), 9.0);
            assertEquals(w.undoLabel(), Optional.of("plate thickness 9 mm"));
            w.undo();
            assertSame(w.state(), before);
            assertEquals(w.redoLabel(), Optional.of("plate thickness 9 mm"));
            w.redo();
            assertEquals(thickness(w), 9.0);
        }
    }

    @Test
    public void aNewEditEndsWhatCouldBeDoneAgain() {
        try (Workshop w = demo()) {
            PartEdits.set(w, "avocet-blower", "plate.thickness", "9");
            w.undo();
            PartEdits.set(w, "avocet-blower", "plate.thickness", "10");
            assertTrue(w.redoLabel().isEmpty());
            w.redo();
            assertEquals(thickness(w), 10.0);
            w.undo();
            w.undo();
            w.undo();
            assertEquals(thickness(w), 8.0, 0, "undoing more than there is does nothing");
        }
    }

    @Test
    public void anEditThatChangesNothingIsNoStep() {
        try (Workshop w = demo()) {
            PartEdits.set(w, "avocet-blower", "plate.thickness", "8 mm");
            assertTrue(w.undoLabel().isEmpty());
        }
    }

    @Test
    public void everythingIsThereAfterReopening() {
        WorkshopState last;
        try (Workshop w = demo()) {
            PartEdits.set(w, "avocet-blower", "plate.thickness", "9.5");
            Upgrade u = w.state().upgrade("avocet-blower").orElseThrow();
            w.edit("keep", s -> s.with(new Revision(u.id(), 5, LocalDateTime.of(2026, 11, 1, 9, 0), "thicker", u,
                    Revision.Life.NEW)));
            w.setPreference("theme", "dark");
            last = w.state();
        }
        try (Workshop w = new Workshop(WorkshopStore.open(folder.resolve("w.db")))) {
            assertEquals(w.state(), last);
            assertEquals(w.preference("theme"), Optional.of("dark"));
            assertEquals(w.state().nextMark("avocet-blower"), "R6");
            assertTrue(w.undoLabel().isEmpty());
        }
    }

    @Test
    public void undoneAdditionsAreGoneFromTheFileToo() {
        try (Workshop w = demo()) {
            Machine m = w.state().machines().get(0);
            w.edit("add", s -> s.with(new Machine("new", "New", m.kind(), "", m.usableMm(), 0.4, true, 24, 0, List.of("PLA"),
                    Machine.State.FIT, "", Book.EMPTY)));
            Upgrade u = w.state().upgrades().get(0);
            w.edit("keep", s -> s.with(new Revision(u.id(), 9, LocalDateTime.of(2026, 1, 1, 1, 1), "x", u, Revision.Life.NEW)));
            w.undo();
            w.undo();
        }
        try (Workshop w = new Workshop(WorkshopStore.open(folder.resolve("w.db")))) {
            assertEquals(w.state(), DemoWorkshop.state());
        }
    }

    @Test
    public void refusedValuesLeaveEverythingAsItWas() {
        try (Workshop w = demo()) {
            WorkshopState before = w.state();
            for (String[] bad : new String[][] {{"plate.thickness", "abc"}, {"plate.thickness", "-3"},
                {"plate.thickness", "1e12"}, {"plate.width", "30"}, {"plate.thickness", ""}, {"opening.diameter", "70"}}) {
                Optional<String> why = PartEdits.set(w, "avocet-blower", bad[0], bad[1]);
                assertTrue(why.isPresent() && why.get().endsWith("."), bad[1] + ": " + why);
                assertSame(w.state(), before);
            }
            assertTrue(w.undoLabel().isEmpty());
        }
    }

    @Test
    public void listenersHearOfEveryChange() {
        try (Workshop w = demo()) {
            List<Double> heard = new ArrayList<>();
            w.onChange(() -> heard.add(thickness(w)));
            PartEdits.set(w, "avocet-blower", "plate.thickness", "9");
            w.undo();
            w.redo();
            assertEquals(heard, List.of(9.0, 8.0, 9.0));
        }
    }

    @Test
    public void theDemoIsWholeAndConsistent() {
        WorkshopState s = DemoWorkshop.state();
        assertEquals(s.machines().size(), 4);
        assertEquals(s.upgrades().size(), 8);
        Shop shop = s.shop(new KeptBases(() -> s, id -> DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes)
                .findFirst()));
        assertEquals(s.revisionsOf("avocet-blower").size(), 4);
        for (Upgrade u : s.upgrades()) {
            assertTrue(s.machine(u.machineId()).isPresent() && s.machine(u.hostMachineId()).isPresent(), u.name());
            assertFalse(u.trouble().seen().isEmpty());
            u.part().ifPresent(p -> assertTrue(tinperch.upgrade.Assessor.assess(u, shop, "R1").form().isPresent(), u.name()));
        }
        for (Revision r : s.revisions()) {
            assertTrue(tinperch.upgrade.Assessor.assess(r.state(), shop, r.mark()).form().isPresent(), r.mark());
        }
        assertEquals(DemoWorkshop.state(), DemoWorkshop.state(), "the demo is the same every time");
    }
}
