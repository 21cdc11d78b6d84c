package tinperch.workshop.store;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotSame;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.model.MeshBlob;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Known;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.form.SeatKind;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.KeptModels;
import tinperch.workshop.TempFolder;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.background.Crew;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.edit.PartEdits;
import tinperch.workshop.engine.FactEngine;

public class WorkshopStoreTest extends TempFolder {
    private Path file() {
        return folder.resolve("shop").resolve("workshop.db");
    }

    private void fill() {
        try (WorkshopStore s = WorkshopStore.open(file())) {
            s.save(WorkshopState.EMPTY, DemoWorkshop.state());
        }
    }

    @Test
    public void aFileIsEmptyUntilAnythingIsPutIn() {
        WorkshopState demo = DemoWorkshop.state();
        WorkshopState machineOnly = new WorkshopState(demo.machines().subList(0, 1), List.of(), List.of(), new ScrewDrawer(java.util.Map.of()));
        WorkshopState drawerOnly = WorkshopState.EMPTY.with(new ScrewDrawer(java.util.Map.of("M3", List.of(10d))));
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertTrue(s.isEmpty());
            WorkshopState before = WorkshopState.EMPTY;
            for (WorkshopState each : List.of(machineOnly, drawerOnly, demo)) {
                s.save(before, each);
                assertFalse(s.isEmpty(), each + " was put in");
                s.save(each, WorkshopState.EMPTY);
                assertEquals(s.isEmpty(), s.load().equals(WorkshopState.EMPTY));
            }
            assertTrue(s.isEmpty());
        }
    }

    @Test
    public void whatIsSavedIsLoaded() {
        fill();
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertEquals(s.load(), DemoWorkshop.state());
            WorkshopState fewer = s.load().with(new ScrewDrawer(java.util.Map.of("M3", List.of(10d))));
            s.save(s.load(), fewer);
            assertEquals(s.load(), fewer);
        }
    }

    /** What the copy held is taken for the file's as long as that holds the same; whatever came in between counts. */
    @Test
    public void whatTheCopyHeldIsNotReadTwiceAndNeverInsteadOfWhatIsThere() throws Exception {
        fill();
        Checked seen;
        try (PrivateCopy copy = PrivateCopy.of(file(), true)) {
            seen = Checked.of(copy);
        }
        assertFalse(seen.state().revisions().isEmpty());
        try (WorkshopStore s = WorkshopStore.writable(file(), WorkshopStore.source(file(), true).getConnection(), null, null, seen)) {
            assertSame(s.load(), seen.state());
            assertNotSame(s.load(), seen.state(), "only once");
            assertEquals(s.load(), seen.state());
        }
        WorkshopState fewer = seen.state().with(new ScrewDrawer(java.util.Map.of("M3", List.of(10d))));
        try (WorkshopStore s = WorkshopStore.open(file())) {
            s.save(s.load(), fewer);
        }
        try (WorkshopStore s = WorkshopStore.writable(file(), WorkshopStore.source(file(), true).getConnection(), null, null, seen)) {
            assertEquals(s.load(), fewer);
        }
        List<Revision> revisions = new java.util.ArrayList<>(seen.state().revisions());
        revisions.remove(0);
        WorkshopState lost = new WorkshopState(fewer.machines(), fewer.upgrades(), revisions, fewer.drawer());
        try (WorkshopStore s = WorkshopStore.open(file())) {
            s.save(fewer, lost);
            assertEquals(s.load(), lost);
        }
    }

    @Test
    public void librariesComeUpWithoutAFile() throws Exception {
        EarlyStore.once();
        // One that cannot be read would be passed over there without a word.
        assertEquals(EarlyStore.records().size(), 3);
    }

    private void old() throws IOException {
        Files.createDirectories(file().getParent());
        try (InputStream in = WorkshopStoreTest.class.getResourceAsStream("of-0.1-november.db")) {
            Files.copy(in, file());
        }
    }

    /** The demo as the version before parts could be several wrote it: readings stood with the upgrade. */
    @Test
    public void aFileOfTheLastVersionOpensWithEverythingInIt() throws Exception {
        old();
        WorkshopState first;
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertTrue(s.notice().isEmpty(), s.notice().toString());
            first = s.load();
            assertEquals(first.machines().stream().map(Machine::name).toList(), List.of("Avocet", "Turnstone", "Curlew", "Ruff"));
            assertEquals(first.upgrades().size(), 8);
            assertEquals(first.revisions().size(), 5);
            assertFalse(s.mesh(first.machine("avocet").orElseThrow().models().get(0).meshId()).isEmpty());
            Upgrade blower = first.upgrade("avocet-blower").orElseThrow();
            PartDesign part = blower.parts().get(0);
            assertEquals(part.name(), "Blower carriage plate");
            assertEquals(ToolCarriagePlate.THICKNESS.of(part.values()), 8.0);
            assertEquals(ToolCarriagePlate.CARRIED.seat.of(part.values()), SeatKind.INSERT);
            // Its readings are the machine's now, and the part stands on them: 44.1 wide as it was.
            Case c = Case.of(blower, part.id(), first.shop(new KeptModels(s::mesh)), "R5");
            HolesRef mount = (HolesRef) c.recipe().refs().byRole().get("mount");
            assertEquals(mount.halfExtentMm()[0] * 2, 44.05, 0.1);
            assertEquals(mount.known().how(), Known.How.MEASURED);
            assertFalse(new FactsOnce(c).get(MeshesFact.MESHES).pieces().isEmpty());
            // The measured uprights without a part are there too, and the part made from a model.
            assertTrue(first.machine("avocet").orElseThrow().sheet("avocet-braces.left").isPresent());
            Upgrade guard = first.upgrade("turnstone-guard").orElseThrow();
            Case g = Case.of(guard, "p1", first.shop(new KeptModels(s::mesh)), "R1");
            assertFalse(new FactsOnce(g).get(MeshesFact.MESHES).pieces().isEmpty(), new FactsOnce(g).get(MeshesFact.MESHES).problem());
            Revision r4 = first.revisionsOf("avocet-blower", "p1").get(3);
            assertEquals(r4.life().hours(), 233.0);
            assertEquals(ToolCarriagePlate.CARRIED.boss.of(r4.recipe().orElseThrow().values()), 8.0);
            assertEquals(((HolesRef) r4.recipe().get().refs().byRole().get("mount")).halfExtentMm()[0], mount.halfExtentMm()[0], 1e-9);
        }
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertEquals(s.load(), first, "brought up to date once, and the same ever after");
        }
    }

    /** A still older file: readings were called valueMm, machines had neither sheets nor hours. */
    @Test
    public void aFileOfTheFirstVersionIsBroughtUpToDate() throws Exception {
        old();
        try (Connection c = WorkshopStore.source(file(), false).getConnection(); Statement s = c.createStatement()) {
            for (String table : List.of("upgrade", "revision")) {
                s.execute("UPDATE " + table + " SET body = replace(body, '\"value\":', '\"valueMm\":')");
            }
            s.execute("UPDATE machine SET body = json_remove(body, '$.sheets', '$.buildMm', '$.enclosed', '$.inPiecesFor', '$.models', "
                    + "'$.surroundings.sites', '$.book.hours')");
            s.execute("DROP TABLE mesh");
            s.execute("DELETE FROM flyway_schema_history WHERE version > '1'");
        }
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertTrue(s.notice().isEmpty(), s.notice().toString());
            WorkshopState old = s.load();
            assertEquals(old.upgrades().size(), 8);
            assertEquals(old.machine("avocet").orElseThrow().sheet("avocet-blower.mount").orElseThrow().pattern().pairsMeasured(), 5);
            assertEquals(old.machines().get(0).buildMm(), old.machines().get(0).usableMm(), "all of it was taken for usable");
            assertEquals(old.machines().get(0).book().hours(), List.of());
        }
    }

    @Test
    public void meshesAreKeptOnceAndOpeningTakesNoneAway() {
        fill();
        MeshBlob named = DemoModels.blobs().get(0);
        MeshBlob unnamed = new MeshBlob("0123456789abcdef", new byte[] {1, 2, 3});
        try (WorkshopStore s = WorkshopStore.open(file())) {
            s.keepMesh(named);
            s.keepMesh(named);
            s.keepMesh(unnamed);
        }
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertEquals(s.mesh(named.id()).orElseThrow(), named.bytes());
            assertEquals(s.mesh(unnamed.id()).orElseThrow(), unnamed.bytes(), "a damaged name must not cost a mesh");
        }
    }

    @Test
    public void aSecondWindowIsToldInsteadOfLosingEdits() {
        fill();
        try (WorkshopStore first = WorkshopStore.open(file())) {
            assertNotNull(first);
            StoreFault e = expectThrows(StoreFault.class, () -> WorkshopStore.open(file()));
            assertTrue(e.getMessage().contains("another window"), e.getMessage());
        }
        WorkshopStore.open(file()).close();
    }

    @Test
    public void confirmedEditsSurviveAKilledProcess() throws Exception {
        Process child = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                System.getProperty("java.class.path"), Editor.class.getName(), file().toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD).start();
        int confirmed = 0;
        try (BufferedReader out = new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = out.readLine(); line != null; line = out.readLine()) {
                if (line.startsWith("confirmed ")) {
                    confirmed = Integer.parseInt(line.substring(10));
                }
                if (confirmed == 25) {
                    child.destroyForcibly().waitFor();
                    break;
                }
            }
        } catch (IOException pipeClosedByTheKill) {
            // What was read before counts.
        }
        assertEquals(confirmed, 25);
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertFalse(w.isReadOnly(), w.notice().toString());
            double thickness = ToolCarriagePlate.THICKNESS.of(w.state().part("avocet-blower", "p1").orElseThrow().values());
            assertTrue(thickness >= 8 + 0.1 * 25 - 1e-9, "edit 25 was confirmed but the file says " + thickness);
        }
    }

    /** Edits without end and says which edit is confirmed; ended by force. */
    public static final class Editor {
        public static void main(String[] args) {
            WorkshopStore store = WorkshopStore.open(Path.of(args[0]));
            store.save(WorkshopState.EMPTY, DemoWorkshop.state());
            Workshop w = new Workshop(store);
            PartEdits edits = new PartEdits(w, new FactEngine(Runnable::run));
            for (int i = 1; i < 500; i++) {
                edits.set("avocet-blower", "p1", ToolCarriagePlate.THICKNESS, String.valueOf(Math.round(80 + i) / 10.0));
                System.out.println("confirmed " + i);
                System.out.flush();
            }
        }
    }

    @Test
    public void aDamagedFileIsReadAsFarAsItGoesAndNeverWritten() throws IOException {
        fill();
        byte[] sound = Files.readAllBytes(file());
        Random r = new Random(12);
        int someRead = 0;
        for (int n = 0; n < 25; n++) {
            byte[] broken = sound.clone();
            int at = 4096 + r.nextInt(broken.length - 4096 - 512);
            for (int i = 0; i < 512; i++) {
                broken[at + i] = (byte) r.nextInt(256);
            }
            Files.write(file(), broken);
            try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
                if (w.isReadOnly()) {
                    assertTrue(w.notice().orElseThrow().contains("damaged"), w.notice().get());
                    someRead += w.state().machines().isEmpty() ? 0 : 1;
                    w.edit("try", s -> s.with(new ScrewDrawer(java.util.Map.of("M3", List.of(5d)))));
                    assertEquals(w.state().drawer().lengths("M3"), List.of(5d), "edits stay in the window");
                }
                w.setPreference("x", "y");
            }
            if (readOnlyFor(broken)) {
                assertEquals(Files.readAllBytes(file()), broken, "the damaged file is untouched");
            }
            Files.write(file(), sound);
            Files.deleteIfExists(file().resolveSibling("workshop.db-wal"));
            Files.deleteIfExists(file().resolveSibling("workshop.db-shm"));
        }
        assertTrue(someRead > 3, "something could be read " + someRead + " times");
    }

    private boolean readOnlyFor(byte[] broken) throws IOException {
        Path copy = folder.resolve("probe.db");
        Files.write(copy, broken);
        try (PrivateCopy c = PrivateCopy.of(copy, false)) {
            return !Checked.of(c).isSound();
        }
    }

    @Test
    public void aSingleUnreadableRecordDoesNotTakeTheOthersAlong() throws Exception {
        fill();
        try (Connection c = WorkshopStore.source(file(), false).getConnection(); Statement s = c.createStatement()) {
            s.executeUpdate("UPDATE upgrade SET body = '{broken' WHERE id = 'ruff-tension'");
        }
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertTrue(s.isReadOnly());
            assertEquals(s.load().machines().size(), 4);
            assertEquals(s.load().upgrades().size(), DemoWorkshop.state().upgrades().size() - 1);
            assertTrue(s.notice().orElseThrow().contains("damaged") && s.notice().get().contains("edits in this window are not kept"), s.notice().get());
        }
    }

    @Test
    public void aFullDiskKeepsTheEditInTheWindowAndTriesAgain() throws Exception {
        fill();
        WorkshopStore store = WorkshopStore.open(file());
        try (Workshop w = new Workshop(store)) {
            pages(store, "PRAGMA max_page_count = 1");
            String longText = "x".repeat(400_000);
            w.edit("long note", s -> s.with(s.upgrades().get(0).named(longText)));
            assertTrue(w.unsaved().orElseThrow().contains("the disk is full"), w.unsaved().toString());
            assertEquals(w.state().upgrades().get(0).name(), longText, "nothing is lost");
            pages(store, "PRAGMA max_page_count = 100000");
            w.retrySave();
            assertTrue(w.unsaved().isEmpty());
        }
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertEquals(w.state().upgrades().get(0).name().length(), 400_000);
        }
    }

    @Test
    public void anEditDoesNotWaitForTheDiskAndClosingDoes() throws Exception {
        fill();
        WorkshopStore store = WorkshopStore.open(file());
        WorkshopState last;
        try (Workshop w = new Workshop(store, new Crew("test writer", Runnable::run))) {
            int there = w.state().upgrades().size();
            synchronized (store) {
                // The writer cannot begin while this thread holds the file.
                for (int i = 0; i < 40; i++) {
                    int n = i;
                    w.edit("name", s -> s.with(s.upgrades().get(n % there).named("Named " + n)));
                    if (i % 5 == 4) {
                        w.undo();
                    }
                }
                assertEquals(w.state().upgrades().get(38 % there).name(), "Named 38");
                assertFalse(written(store, "Named 38"), "nothing is written yet");
            }
            w.setPreference("theme", "dark");
            last = w.state();
        }
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertEquals(w.state(), last);
            assertEquals(w.preference("theme"), Optional.of("dark"));
        }
    }

    @Test
    public void whatTheDiskRefusesIsToldOnceTheWriterCameToIt() throws Exception {
        fill();
        WorkshopStore store = WorkshopStore.open(file());
        BlockingQueue<Boolean> unsaved = new LinkedBlockingQueue<>();
        String longText = "x".repeat(400_000);
        try (Workshop w = new Workshop(store, new Crew("test writer", Runnable::run))) {
            pages(store, "PRAGMA max_page_count = 1");
            Thread owner = Thread.currentThread();
            w.onChange(() -> {
                if (Thread.currentThread() != owner) {
                    unsaved.add(w.unsaved().isPresent());
                }
            });
            w.edit("long note", s -> s.with(s.upgrades().get(0).named(longText)));
            assertEquals(unsaved.poll(20, TimeUnit.SECONDS), Boolean.TRUE);
            assertTrue(w.unsaved().orElseThrow().contains("the disk is full"), w.unsaved().toString());
            assertEquals(w.state().upgrades().get(0).name(), longText, "nothing is lost");
            pages(store, "PRAGMA max_page_count = 100000");
            w.retrySave();
            assertEquals(unsaved.poll(20, TimeUnit.SECONDS), Boolean.FALSE);
        }
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertEquals(w.state().upgrades().get(0).name().length(), 400_000);
        }
    }

    private static boolean written(WorkshopStore store, String name) throws SQLException {
        try (Statement s = store.connection().createStatement(); ResultSet r = s.executeQuery("SELECT count(*) FROM upgrade WHERE body LIKE '%" + name + "%'")) {
            return r.next() && r.getInt(1) > 0;
        }
    }

    private static void pages(WorkshopStore store, String pragma) throws SQLException {
        try (Statement s = store.connection().createStatement()) {
            s.execute(pragma);
        }
    }

    @Test
    public void aFolderThatCannotBeMadeIsSaid() {
        StoreFault e = expectThrows(StoreFault.class, () -> WorkshopStore.open(Path.of("/proc/self/none/workshop.db")));
        assertEquals(e.kind(), StoreFault.Kind.NOT_WRITABLE);
        assertTrue(e.getMessage().contains("TINPERCH_HOME") && e.getMessage().contains("Nothing was changed"), e.getMessage());
    }

    @Test
    public void theDataFolderIsTheSystems() {
        String own = System.getenv("TINPERCH_HOME");
        if (own != null && !own.isBlank()) {
            assertEquals(DataFolder.path(), Path.of(own));
        } else {
            assertTrue(DataFolder.path().isAbsolute());
            assertTrue(DataFolder.path().getFileName().toString().equalsIgnoreCase("tinperch"), DataFolder.path().toString());
        }
    }
}
