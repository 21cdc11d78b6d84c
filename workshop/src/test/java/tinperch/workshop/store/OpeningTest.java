package tinperch.workshop.store;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.workshop.TempFolder;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;

/** Opening a workshop file: nothing is lost, and what cannot be opened says truly why. */
public class OpeningTest extends TempFolder {
    private static final LocalDateTime DAY = LocalDateTime.of(2026, 11, 3, 9, 0);

    private Path file() {
        return folder.resolve("shop").resolve("workshop.db");
    }

    private void fill() {
        try (WorkshopStore s = WorkshopStore.open(file())) {
            DemoModels.blobs().forEach(s::keepMesh);
            s.save(WorkshopState.EMPTY, DemoWorkshop.state());
        }
    }

    private void sql(String... statements) throws Exception {
        try (Connection c = WorkshopStore.source(file(), false).getConnection(); Statement s = c.createStatement()) {
            for (String x : statements) {
                s.execute(x);
            }
            s.execute("PRAGMA wal_checkpoint(TRUNCATE)");
        }
    }

    private static StoreFault.Kind refused(Path file) {
        return expectThrows(StoreFault.class, () -> WorkshopStore.open(file).close()).kind();
    }

    @Test
    public void aFileWithoutBytesIsAskedAboutBeforeItBecomesAnEmptyWorkshop() throws IOException {
        Files.createDirectories(file().getParent());
        Files.createFile(file());
        StoreFault e = expectThrows(StoreFault.class, () -> WorkshopStore.open(file()));
        assertEquals(e.kind(), StoreFault.Kind.EMPTY);
        assertTrue(e.getMessage().contains("no bytes") && e.getMessage().contains("Nothing was changed"), e.getMessage());
        assertEquals(Files.size(file()), 0);
        WorkshopStore.begin(file()).close();
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertEquals(s.load(), WorkshopState.EMPTY);
            assertTrue(s.notice().isEmpty());
        }
    }

    @Test
    public void aFileThatIsGoneThoughBackupsAreThereIsAskedAbout() throws IOException {
        fill();
        WorkshopStore.open(file()).close();
        Files.delete(file());
        StoreFault e = expectThrows(StoreFault.class, () -> WorkshopStore.open(file()));
        assertEquals(e.kind(), StoreFault.Kind.GONE);
        assertFalse(Files.exists(file()), "nothing was made in its place");
        Backups.putBack(new Backups(file()).list().get(0), file());
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertEquals(s.load(), DemoWorkshop.state());
        }
        assertEquals(expectThrows(StoreFault.class, () -> Backups.putBack(new Backups(file()).list().get(0), file())).kind(), StoreFault.Kind.DISK, "never over a file that holds something");
    }

    /** What is locked is the file, whatever it is called. */
    @Test
    public void byWhateverNameItIsOpenOnlyOnce() throws Exception {
        fill();
        Path soft = folder.resolve("soft.db");
        Path hard = folder.resolve("hard.db");
        Files.createSymbolicLink(soft, file());
        Files.createLink(hard, file());
        try (WorkshopStore first = WorkshopStore.open(file())) {
            for (Path other : List.of(file(), soft, hard)) {
                assertEquals(refused(other), StoreFault.Kind.LOCKED, other.toString());
            }
            // Another process has nothing but the lock on the file to go by.
            for (Path other : List.of(soft, hard)) {
                Process p = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp", System.getProperty("java.class.path"), Other.class.getName(), other.toString())
                        .redirectError(ProcessBuilder.Redirect.DISCARD).start();
                assertEquals(new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip(), "LOCKED", other.toString());
            }
            first.save(first.load(), first.load().with(new ScrewDrawer(java.util.Map.of("M9", List.of(9d)))));
        }
        try (WorkshopStore s = WorkshopStore.open(soft)) {
            assertEquals(s.load().drawer().lengths("M9"), List.of(9d));
        }
    }

    /** Tries to open a workshop from another process and says what comes of it. */
    public static final class Other {
        public static void main(String[] args) {
            try (WorkshopStore s = WorkshopStore.open(Path.of(args[0]))) {
                System.out.println(s.isReadOnly() ? "READ ONLY" : "OPEN");
            } catch (StoreFault e) {
                System.out.println(e.kind());
            }
        }
    }

    @Test
    public void aNewerFileIsShownFromACopyAndNotTouched() throws Exception {
        fill();
        sql("PRAGMA user_version = 7", "ALTER TABLE machine ADD COLUMN colour TEXT DEFAULT 'green'");
        byte[] before = Files.readAllBytes(file());
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertTrue(w.isReadOnly());
            assertTrue(w.notice().orElseThrow().contains("newer version"), w.notice().get());
            assertEquals(w.state().upgrades().size(), DemoWorkshop.state().upgrades().size());
            String mesh = w.state().machine("avocet").orElseThrow().models().get(0).meshId();
            assertTrue(w.meshBytes(mesh).isPresent(), "its models are seen too");
            w.edit("try", s -> s.with(new ScrewDrawer(java.util.Map.of())));
        }
        assertEquals(Files.readAllBytes(file()), before);
    }

    @Test
    public void whatThisVersionDoesNotKnowIsCarriedThroughEveryEdit() throws Exception {
        fill();
        sql("UPDATE machine SET body = json_set(body, '$.colour', json('{\"hue\":12}')), sum = '' WHERE id = 'avocet'",
                "UPDATE item SET body = json_set(body, '$.torqueNm', 1.5), sum = '' WHERE owner = 'avocet' AND field = 'sheets'",
                "UPDATE item SET body = json_set(body, '$.corner.w', 4), sum = '' WHERE owner = 'avocet' AND field = 'surroundings/neighbours'",
                "UPDATE revision SET body = json_set(body, '$.weather', 'rain'), sum = ''",
                "UPDATE item SET body = json_set(body, '$.values.later', 'x'), sum = '' WHERE kind = 'upgrade'");
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertTrue(w.notice().isEmpty(), w.notice().toString());
            Machine m = w.state().machine("avocet").orElseThrow();
            w.edit("rename", s -> s.with(m.withName("Avocet the second")));
            w.edit("a sheet", s -> s.with(s.machine("avocet").orElseThrow().with(m.sheets().get(0).named("other"))));
            w.edit("a thing", s -> s.with(s.machine("avocet").orElseThrow().withSurroundings(m.surroundings().with(m.surroundings().neighbours().get(3).sized(new tinperch.solid.Vec3(1, 2, 3))))));
            w.edit("an upgrade", s -> s.with(s.upgrades().get(0).named("another")));
            w.undo();
            w.redo();
        }
        try (Connection c = WorkshopStore.source(file(), false).getConnection(); Statement s = c.createStatement()) {
            assertEquals(one(s, "SELECT json_extract(body, '$.colour.hue') || json_extract(body, '$.name') FROM machine WHERE id = 'avocet'"), "12Avocet the second");
            assertEquals(one(s, "SELECT count(*) FROM item WHERE owner = 'avocet' AND field = 'sheets' AND json_extract(body, '$.torqueNm') IS NULL"), "0");
            assertEquals(one(s, "SELECT count(*) FROM item WHERE owner = 'avocet' AND field = 'surroundings/neighbours' AND json_extract(body, '$.corner.w') IS NULL"), "0");
            assertEquals(one(s, "SELECT count(*) FROM revision WHERE json_extract(body, '$.weather') IS NULL"), "0");
            assertEquals(one(s, "SELECT count(*) FROM item WHERE kind = 'upgrade' AND json_extract(body, '$.values.later') IS NULL"), "0");
            assertEquals(one(s, "SELECT count(*) FROM machine WHERE sum = ''"), "0", "all rows have a sum again");
        }
    }

    private static String one(Statement s, String query) throws Exception {
        try (ResultSet r = s.executeQuery(query)) {
            return r.next() ? r.getString(1) : null;
        }
    }

    /** One bit anywhere in any row: the file opens with all that was in it, or says that something is damaged. Never less without a word. */
    @Test
    public void oneBitThatFellOverIsNeverSilent() throws Exception {
        fill();
        byte[] sound = Files.readAllBytes(file());
        Random r = new Random(31);
        List<Integer> rows = new ArrayList<>();
        String text = new String(sound, StandardCharsets.ISO_8859_1);
        for (int at = text.indexOf("{\""); at >= 0; at = text.indexOf("{\"", at + 1)) {
            rows.add(at);
        }
        int noticed = 0;
        for (int n = 0; n < 90; n++) {
            byte[] broken = sound.clone();
            int at = rows.get(r.nextInt(rows.size())) + r.nextInt(40);
            broken[at] ^= (byte) (1 << r.nextInt(8));
            Files.write(file(), broken);
            try (WorkshopStore s = WorkshopStore.open(file())) {
                if (s.isReadOnly()) {
                    noticed++;
                    assertTrue(s.notice().orElseThrow().contains("damaged"), s.notice().get());
                    assertEquals(Files.readAllBytes(file()), broken, "untouched");
                    assertTrue(s.load().machines().size() >= 3, "the good remainder is shown");
                } else {
                    assertEquals(s.load(), DemoWorkshop.state(), "byte " + at);
                }
            }
            Files.deleteIfExists(DataFolder.beside(file(), "-wal"));
            Files.deleteIfExists(DataFolder.beside(file(), "-shm"));
        }
        assertTrue(noticed > 45, "noticed " + noticed);
    }

    @Test
    public void aBitInTheNameOfAMeshCostsNoMesh() throws Exception {
        fill();
        sql("UPDATE item SET body = replace(body, '\"meshId\"', '\"meshIe\"') WHERE field = 'models'");
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertTrue(s.isReadOnly(), "the rows do not add up");
        }
        try (Connection c = WorkshopStore.source(file(), false).getConnection(); Statement s = c.createStatement()) {
            assertEquals(one(s, "SELECT count(*) FROM mesh"), String.valueOf(DemoModels.blobs().size()));
        }
    }

    @DataProvider
    public Object[][] damages() {
        return new Object[][] {{"DROP TABLE drawer"}, {"DROP TABLE preference"}, {"DROP TABLE item"}, {"DROP TABLE machine"}, {"DROP TABLE revision"}, {"DROP TABLE mesh"},
            {"UPDATE drawer SET lengths = 'eight'"}, {"DELETE FROM machine WHERE id = 'avocet'"}, {"UPDATE upgrade SET machine_id = 'turnstone' WHERE machine_id = 'avocet'"},
            {"UPDATE item SET position = position + 1 WHERE field = 'parts'"}, {"UPDATE item SET body = 'null' WHERE field = 'sheets'"}, {"UPDATE machine SET body = '[]'"}, {"DELETE FROM upgrade"}};
    }

    @Test(dataProvider = "damages")
    public void whatIsMissingOrWrongIsSaidAndTheRestIsShown(String damage) throws Exception {
        fill();
        sql("PRAGMA foreign_keys = OFF", damage);
        byte[] before = Files.readAllBytes(file());
        try (Workshop w = new Workshop(WorkshopStore.open(file()))) {
            assertTrue(w.isReadOnly(), damage);
            assertTrue(w.notice().orElseThrow().contains("damaged"), w.notice().get());
        }
        assertEquals(Files.readAllBytes(file()), before, damage);
        // It let go of the file.
        WorkshopStore.open(file()).close();
    }

    @Test
    public void aBackupPutBesideALogThatIsLeftOverOpensAsItIs() throws Exception {
        fill();
        byte[] backup = Files.readAllBytes(file());
        Path wal = DataFolder.beside(file(), "-wal");
        byte[] log;
        try (WorkshopStore s = WorkshopStore.open(file())) {
            for (int i = 0; i < 60; i++) {
                int n = i;
                WorkshopState before = s.load();
                Machine m = before.machines().get(0);
                s.save(before, before.with(m.withName("n" + n)).with(before.upgrades().get(n % 8).named("x".repeat(3000 + n))));
            }
            log = Files.readAllBytes(wal);
            assertTrue(log.length > 10_000);
        }
        Files.write(file(), backup);
        Files.write(wal, log);
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertFalse(s.isReadOnly(), s.notice().toString());
            if (!s.load().equals(DemoWorkshop.state())) {
                // The log fitted: it is the same file a few edits later, and whole.
                assertEquals(s.load().machines().get(0).name(), "n59");
            } else {
                assertTrue(s.notice().orElseThrow().contains("set aside"), s.notice().toString());
            }
        }
    }

    @Test
    public void anotherProgramsFileIsLeftAlone() throws Exception {
        Files.createDirectories(file().getParent());
        byte[] text = "Dear diary, today I printed a bracket. ".repeat(200).getBytes(StandardCharsets.UTF_8);
        Files.write(file(), text);
        assertEquals(refused(file()), StoreFault.Kind.NOT_OURS);
        assertEquals(Files.readAllBytes(file()), text);
        Files.delete(file());
        try (Connection c = java.sql.DriverManager.getConnection("jdbc:sqlite:" + file()); Statement s = c.createStatement()) {
            s.execute("CREATE TABLE songs (name TEXT)");
            s.execute("PRAGMA user_version = 3");
        }
        byte[] songs = Files.readAllBytes(file());
        assertEquals(refused(file()), StoreFault.Kind.NOT_OURS);
        assertEquals(Files.readAllBytes(file()), songs);
        assertFalse(Files.exists(DataFolder.beside(file(), "-wal")));
        assertEquals(refused(folder), StoreFault.Kind.NOT_OURS);
    }

    @Test
    public void aBitInTheFirstWordsDoesNotMakeItAnothersFile() throws Exception {
        fill();
        byte[] broken = Files.readAllBytes(file());
        broken[3] ^= 4;
        Files.write(file(), broken);
        try (WorkshopStore s = WorkshopStore.open(file())) {
            assertTrue(s.isReadOnly());
            assertEquals(s.load(), DemoWorkshop.state(), "all of it could be read");
        }
        assertEquals(Files.readAllBytes(file()), broken);
    }

    private void openAt(LocalDateTime at) {
        Opening.open(file(), false, at).close();
    }

    @Test
    public void aBackupADayIsKeptTenInAllAndEachCanBeRead() throws Exception {
        fill();
        Backups backups = new Backups(file());
        assertTrue(backups.list().isEmpty(), "nothing was in it when it was first opened");
        openAt(DAY);
        openAt(DAY.plusHours(5));
        assertEquals(backups.list().size(), 1, "one a day");
        for (int i = 1; i < 14; i++) {
            openAt(DAY.plusDays(i));
        }
        assertEquals(backups.list().size(), 10);
        assertEquals(backups.list().get(0).at().toLocalDate(), DAY.plusDays(13).toLocalDate());
        Backups.Content c = backups.read(backups.list().get(9)).orElseThrow();
        assertEquals(c.state(), DemoWorkshop.state());
        assertEquals(c.meshes().size(), DemoModels.blobs().size());
        WorkshopState less = c.state().with(c.state().machines().get(0).withName("Other"));
        assertEquals(Backups.differences(less, c.state()), List.of("the machine “Avocet” is as it was then"));
        assertEquals(Backups.differences(WorkshopState.EMPTY.with(less.machines().get(0)), WorkshopState.EMPTY), List.of("the machine “Other” is not in it"));
        // A damaged backup is none.
        byte[] b = Files.readAllBytes(backups.list().get(0).file());
        java.util.Arrays.fill(b, 5000, 9000, (byte) 7);
        Files.write(backups.list().get(0).file(), b);
        assertTrue(backups.read(backups.list().get(0)).isEmpty());
    }

    @Test
    public void meshesNothingNamesAreSweptOnceABackupHoldsThemAndNoOthers() throws Exception {
        fill();
        try (WorkshopStore s = WorkshopStore.open(file())) {
            s.keepMesh(new tinperch.files.model.MeshBlob("0123456789abcdef", new byte[] {1, 2, 3}));
        }
        // Today's opening made the first.
        LocalDateTime tomorrow = LocalDateTime.now().plusDays(1);
        try (WorkshopStore s = Opening.open(file(), false, tomorrow)) {
            assertTrue(s.mesh("0123456789abcdef").isEmpty());
            for (var b : DemoModels.blobs()) {
                assertEquals(s.mesh(b.id()).orElseThrow(), b.bytes());
            }
            assertEquals(s.load(), DemoWorkshop.state());
        }
        Backups.Content newest = new Backups(file()).read(new Backups(file()).list().get(0)).orElseThrow();
        assertTrue(newest.meshes().stream().anyMatch(m -> m.id().equals("0123456789abcdef")), "the backup made before still holds it");
    }

    @Test
    public void beforeItsSchemaIsChangedABackupIsMadeAlways() throws Exception {
        Files.createDirectories(file().getParent());
        try (var in = OpeningTest.class.getResourceAsStream("of-0.1-november.db")) {
            Files.copy(in, file());
        }
        openAt(DAY);
        assertEquals(new Backups(file()).list().size(), 1);
        assertTrue(new Backups(file()).read(new Backups(file()).list().get(0)).isPresent(), "the file of before, and readable");
        openAt(DAY.plusHours(1));
        assertEquals(new Backups(file()).list().size(), 1);
    }

    @Test
    public void onlyItsOwnerMayLookIntoIt() throws Exception {
        fill();
        openAt(DAY);
        if (!file().getFileSystem().supportedFileAttributeViews().contains("posix")) {
            return;
        }
        assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(file())), "rw-------");
        assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(file().getParent())), "rwx------");
        assertEquals(PosixFilePermissions.toString(Files.getPosixFilePermissions(new Backups(file()).list().get(0).file())), "rw-------");
        try (var left = Files.list(file().getParent())) {
            assertTrue(left.noneMatch(p -> p.getFileName().toString().startsWith(".look-")), "no copy is left behind");
        }
    }
}
