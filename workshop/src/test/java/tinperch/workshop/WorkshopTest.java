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
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.param.Param;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.edit.PartEdits;
import tinperch.workshop.engine.FactEngine;
import tinperch.upgrade.Fitted;
import tinperch.workshop.store.WorkshopStore;

public class WorkshopTest extends TempFolder {
    private Workshop demo() {
        WorkshopStore store = WorkshopStore.open(folder.resolve("w.db"));
        store.save(store.load(), DemoWorkshop.state());
        return new Workshop(store);
    }

    private static Optional<String> set(Workshop w, Param<?> param, String text) {
        return new PartEdits(w, new FactEngine(Runnable::run)).set("avocet-blower", "p1", param, text);
    }

    private static Revision kept(WorkshopState s, String upgradeId, int number) {
        PartDesign p = s.upgrade(upgradeId).orElseThrow().parts().get(0);
        return new Revision(upgradeId, p.id(), number, LocalDateTime.of(2026, 11, 1, 9, 0), "thicker", p, Optional.empty(), "curlew", List.of(), Revision.Life.NEW);
    }

    private static double thickness(Workshop w) {
        return ToolCarriagePlate.THICKNESS.of(w.state().part("avocet-blower", "p1").orElseThrow().values());
    }

    @Test
    public void undoBringsBackTheVeryState() {
        try (Workshop w = demo()) {
            WorkshopState before = w.state();
            assertTrue(set(w, ToolCarriagePlate.THICKNESS, "9").isEmpty());
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
            set(w, ToolCarriagePlate.THICKNESS, "9");
            w.undo();
            set(w, ToolCarriagePlate.THICKNESS, "10");
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
            set(w, ToolCarriagePlate.THICKNESS, "8 mm");
            assertTrue(w.undoLabel().isEmpty());
        }
    }

    @Test
    public void everythingIsThereAfterReopening() {
        WorkshopState last;
        try (Workshop w = demo()) {
            set(w, ToolCarriagePlate.THICKNESS, "9.5");
            w.edit("keep", s -> s.with(kept(s, "avocet-blower", 5)));
            w.setPreference("theme", "dark");
            last = w.state();
        }
        try (Workshop w = new Workshop(WorkshopStore.open(folder.resolve("w.db")))) {
            assertEquals(w.state(), last);
            assertEquals(w.preference("theme"), Optional.of("dark"));
            assertEquals(w.state().nextMark("avocet-blower", "p1"), "R6");
            assertTrue(w.undoLabel().isEmpty());
        }
    }

    @Test
    public void undoneAdditionsAreGoneFromTheFileToo() {
        try (Workshop w = demo()) {
            Machine m = w.state().machines().get(0);
            w.edit("add", s -> s.with(new Machine("new", "New", m.kind(), "", m.usableMm(), 0.4, true, 24, 0, List.of("PLA"),
                    Machine.State.FIT, "", Book.EMPTY)));
            w.edit("keep", s -> s.with(kept(s, "avocet-blower", 9)));
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
            Object[][] all = {{ToolCarriagePlate.THICKNESS, "abc"}, {ToolCarriagePlate.THICKNESS, "-3"}, {ToolCarriagePlate.THICKNESS, "1e12"},
                {ToolCarriagePlate.WIDTH, "30"}, {ToolCarriagePlate.THICKNESS, ""}, {ToolCarriagePlate.OPENING, "70"}};
            for (Object[] bad : all) {
                Optional<String> why = set(w, (Param<?>) bad[0], (String) bad[1]);
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
            set(w, ToolCarriagePlate.THICKNESS, "9");
            w.undo();
            w.redo();
            assertEquals(heard, List.of(9.0, 8.0, 9.0));
        }
    }

    @Test
    public void theDemoIsWholeAndConsistent() {
        WorkshopState s = DemoWorkshop.state();
        assertEquals(s.machines().size(), 4);
        assertEquals(s.upgrades().size(), 19);
        Shop shop = s.shop(new KeptModels(id -> DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes).findFirst()));
        assertEquals(s.revisionsOf("avocet-blower").size(), 4);
        for (Upgrade u : s.upgrades()) {
            assertTrue(s.machine(u.machineId()).isPresent() && s.machine(u.hostMachineId()).isPresent(), u.name());
            assertFalse(u.trouble().seen().isEmpty());
            for (PartDesign p : u.parts()) {
                assertFalse(new FactsOnce(Case.of(u, p.id(), shop, "R1")).get(MeshesFact.MESHES).pieces().isEmpty(), u.name());
            }
        }
        assertEquals(s.upgrades().stream().flatMap(u -> u.parts().stream()).map(PartDesign::familyId).distinct().count(), (long) tinperch.upgrade.Families.ALL.size(),
                "every kind of part has one in the demo");
        for (Revision r : s.revisions()) {
            Case c = Case.of(s.upgrade(r.upgradeId()).orElseThrow(), r.partId(), shop, r.mark()).with(r.recipe().orElseThrow());
            assertFalse(new FactsOnce(c).get(MeshesFact.MESHES).pieces().isEmpty(), r.mark());
        }
        assertEquals(DemoWorkshop.state(), DemoWorkshop.state(), "the demo is the same every time");
    }

    /** A revision that is in use stands before the parts of the machine's other upgrades, and before nothing once it has failed. */
    @Test
    public void whatIsInUseStandsBeforeTheOthers() {
        try (Workshop w = demo()) {
            List<String> others = w.state().upgrades().stream().filter(u -> u.machineId().equals("avocet") && !u.id().equals("avocet-blower")).map(u -> u.id()).toList();
            assertTrue(w.shop().fitted().isEmpty(), "in the demo all have failed or are only drawn");
            for (int number : new int[] {3, 4}) {
                Revision r = w.state().revisionsOf("avocet-blower", "p1").get(number - 1);
                w.edit("in use", s -> s.with(r.with(new Revision.Life(10, Revision.End.RUNNING, ""))));
                Fitted f = w.shop().fitted().get(0);
                assertEquals(w.shop().fitted().size(), 1, "the last of a part is the one that stands there");
                assertEquals(f.recipe().mark(), r.mark());
                for (String id : others) {
                    Upgrade u = w.state().upgrade(id).orElseThrow();
                    Case c = Case.of(u, u.parts().get(0).id(), w.shop(), "");
                    assertEquals(c.fitted(), List.of(f), id);
                }
                Upgrade own = w.state().upgrade("avocet-blower").orElseThrow();
                assertEquals(Case.of(own, "p1", w.shop(), "").fitted(), List.of(), "to itself it is none");
            }
            Revision r = w.state().revisionsOf("avocet-blower", "p1").get(3);
            w.edit("failed", s -> s.with(r.with(new Revision.Life(20, Revision.End.FAILED, ""))));
            assertEquals(w.shop().fitted().get(0).recipe().mark(), "R3", "the one before is back in use");
            w.undo();
            assertEquals(w.shop().fitted().get(0).recipe().mark(), "R4");
        }
    }
}
