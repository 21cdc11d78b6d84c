package tinperch.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.judge.Assessment;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.part.Models;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.form.Lie;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.engine.FactEngine;
import tinperch.workshop.export.Keeping;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.export.PartFormat;
import tinperch.workshop.export.PartFormats;
import tinperch.workshop.store.WorkshopStore;

public class EditAndExportTest extends TempFolder {
    private final WorkshopState state = DemoWorkshop.state();
    private final KeptModels models = new KeptModels(id -> DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes).findFirst());

    private Case blower(double thickness) {
        Upgrade u = state.upgrade("avocet-blower").orElseThrow();
        PartDesign p = u.parts().get(0);
        return Case.of(u.with(p.with(p.values().with(ToolCarriagePlate.THICKNESS, thickness))), "p1", state.shop(Models.NONE), "R5");
    }

    @Test
    public void everyDemoPartIsWrittenInBothFormatsAndReadBackClosed() throws IOException {
        List<Path> files = PartExport.writeAll(state, state.shop(models), PartFormats.forPrinting(), folder.resolve("out"));
        // An STL a piece, a 3MF a part.
        assertEquals(files.size(), 31 + 22);
        assertEquals(new HashSet<>(files).size(), files.size(), "no part takes another's name");
        for (Path p : files) {
            byte[] bytes = Files.readAllBytes(p);
            Mesh m = p.toString().endsWith(".stl") ? StlFile.read(new ByteArrayInputStream(bytes))
                    : ThreeMfFile.read(new ByteArrayInputStream(bytes)).mesh();
            assertEquals(m.openEdges(), 0, p.toString());
            assertTrue(m.volumeMm3() > 1000, p.toString());
        }
        assertTrue(files.stream().anyMatch(p -> p.getFileName().toString().equals("Fume hose adapter R1 retaining ring.stl")));
        assertEquals(ThreeMfFile.read(new ByteArrayInputStream(Files.readAllBytes(
                folder.resolve("out/Blower carriage plate R5.3mf")))).metadata().get("Description"),
                "Revision 5, PETG, for upgrade “Blower carriage”");
        String both = new String(new java.util.zip.ZipFile(folder.resolve("out/Board house R1.3mf").toFile()).getInputStream(
                new java.util.zip.ZipEntry("3D/3dmodel.model")).readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        assertTrue(both.contains("name=\"Board house R1 tray\"") && both.contains("name=\"Board house R1 lid\""));
        assertEquals(both.split("<item ").length - 1, 2, "both lie on the bed");
    }

    @Test
    public void stlAnd3mfHoldTheSamePart() throws IOException {
        PartExport.writeAll(state, state.shop(Models.NONE), PartFormats.forPrinting(), folder);
        Mesh stl = StlFile.read(Files.newInputStream(folder.resolve("Hold-down plate R1.stl")));
        Mesh mf = ThreeMfFile.read(Files.newInputStream(folder.resolve("Hold-down plate R1.3mf"))).mesh();
        assertEquals(stl.triangleCount(), mf.triangleCount());
        assertEquals(stl.volumeMm3(), mf.volumeMm3(), 1e-3);
        assertEquals(stl.bounds(), mf.bounds());
    }

    @Test
    public void fileNamesAreHarmless() {
        String name = PartExport.fileName("../../etc/pass:wd?*|\u0000 " + "x".repeat(300), "R1", "", PartFormats.STL);
        assertFalse(name.contains("/") || name.contains("\\") || name.contains(":") || name.contains("\u0000"), name);
        assertTrue(name.length() < 100 && name.endsWith(" R1.stl"), name);
        assertEquals(PartExport.fileName("///", "R2", "lid", PartFormats.THREE_MF), "--- R2 lid.3mf");
    }

    private static List<Item> items(Case c) {
        return Item.of(new FactsOnce(c).get(MeshesFact.MESHES).pieces(), c);
    }

    /** Parts of one name, of names that differ in large letters only, or whose accents are written otherwise: each has its own files. */
    @Test
    public void partsOfOneNameDoNotOverwriteEachOther() throws IOException {
        WorkshopState s = state;
        tinperch.upgrade.Upgrade u = s.upgrade("avocet-blower").orElseThrow();
        List<tinperch.upgrade.PartDesign> parts = new java.util.ArrayList<>();
        for (String name : List.of("Plate", "plate", "Plate", "Pla:te", "Pla?te", "R\u00f6hre", "Ro\u0308hre")) {
            parts.add(u.parts().get(0).withId("p" + (parts.size() + 1)).withName(name));
        }
        WorkshopState many = new WorkshopState(s.machines(), List.of(new tinperch.upgrade.Upgrade(u.id(), u.machineId(), u.name(), u.started(), u.trouble(), parts, u.hostMachineId())), List.of(), s.drawer());
        List<Path> written = PartExport.writeAll(many, many.shop(tinperch.part.Models.NONE), PartFormats.forPrinting(), folder.resolve("out"));
        assertEquals(written.size(), 14);
        try (var files = Files.list(folder.resolve("out"))) {
            assertEquals(files.map(f -> java.text.Normalizer.normalize(f.getFileName().toString(), java.text.Normalizer.Form.NFC).toLowerCase(java.util.Locale.ROOT)).distinct().count(), 14);
        }
    }

    @Test
    public void aFolderThatIsGoneIsSaid() {
        FileFault e = expectThrows(FileFault.class, () -> PartExport.write(Parcel.of(blower(8), items(blower(8)), "R5"), PartFormats.STL, folder.resolve("gone")));
        assertTrue(e.getMessage().contains("is not there"), e.getMessage());
    }

    @DataProvider
    public Object[][] lies() {
        return new Object[][] {{Lie.BOTTOM}, {Lie.LEFT}};
    }

    /** What is for printing lies as it is to be printed; what is for a cutter or for designing on is as it is drawn. */
    @Test
    public void aPieceLaidOnItsSideIsWrittenSo() throws IOException {
        Case drawn = blower(8);
        Case c = Case.of(drawn.upgrade().with(drawn.part().laid("part", Lie.BACK)), "p1", state.shop(models), "R5");
        Vec3 size = items(drawn).get(0).mesh().bounds().size();
        for (PartFormat f : List.of(PartFormats.STL, PartFormats.THREE_MF)) {
            Path p = PartExport.write(Parcel.of(c, items(c), "R5"), f, folder).get(0);
            InputStream in = new ByteArrayInputStream(Files.readAllBytes(p));
            Mesh m = f == PartFormats.STL ? StlFile.read(in) : ThreeMfFile.read(in).mesh();
            assertEquals(m.bounds().size().x(), size.x(), 1e-4);
            assertEquals(m.bounds().size().y(), size.z(), 1e-4);
            assertEquals(m.bounds().size().z(), size.y(), 1e-4);
            assertEquals(m.volumeMm3(), items(drawn).get(0).mesh().volumeMm3(), 1, "nothing is mirrored or lost");
        }
        assertEquals(items(c).get(0).mesh().bounds(), items(drawn).get(0).mesh().bounds());
        assertNotEquals(Parcel.of(c, items(c), "R5").picture().get().orElseThrow(), Parcel.of(drawn, items(drawn), "R5").picture().get().orElseThrow());
    }

    /** The guard's four holes are left as somebody drew them: to a cutter they are circles all the same. */
    @Test
    public void holesAsDrawnAreCirclesToACutter() throws IOException {
        Upgrade u = state.upgrade("turnstone-guard").orElseThrow();
        Case c = Case.of(u.with(u.parts().get(0).with(Values.START)), "p1", state.shop(models), "R1");
        PartFormat dxf = PartFormats.ALL.stream().filter(f -> f.ending().equals(".dxf")).findFirst().orElseThrow();
        String text = Files.readString(PartExport.write(Parcel.of(c, items(c), "R1"), dxf, folder).get(0));
        assertEquals(text.split("CIRCLE", -1).length - 1, 4);
    }

    /** R4 stays R4: written again after the readings, the printer and the part have changed, the files are the same byte for byte. */
    @Test(dataProvider = "lies")
    public void aKeptRevisionIsWrittenAgainByteForByte(Lie lie) throws IOException {
        try (Workshop w = new Workshop(WorkshopStore.open(folder.resolve("w.db")))) {
            w.edit("demo", s -> state.with(state.upgrade("avocet-blower").orElseThrow().with(state.part("avocet-blower", "p1").orElseThrow().laid("part", lie))));
            Case c = Case.of(w.state().upgrade("avocet-blower").orElseThrow(), "p1", w.shop(), "R5");
            Path first = Files.createDirectory(folder.resolve("first"));
            for (PartFormat f : PartFormats.forPrinting()) {
                PartExport.write(Parcel.of(c, items(c), "R5"), f, first);
            }
            Keeping.keep(w, Keeping.pack(c, new FactsOnce(c).get(MeshesFact.MESHES).pieces(), 5, "for good", LocalDateTime.of(2026, 11, 26, 12, 0)));
            w.edit("everything else changes", s -> {
                Machine m = s.machine("avocet").orElseThrow();
                return s.with(m.withHoleOffset(0.5).withoutSheet("avocet-blower.mount")).with(s.upgrade("avocet-blower").orElseThrow().without("p1"));
            });
        }
        try (Workshop w = new Workshop(WorkshopStore.open(folder.resolve("w.db")))) {
            Revision r5 = w.state().revisionsOf("avocet-blower", "p1").get(4);
            String name = w.state().upgrade("avocet-blower").orElseThrow().name();
            Path again = Files.createDirectory(folder.resolve("again"));
            for (PartFormat f : PartFormats.forPrinting()) {
                for (Path p : PartExport.write(Keeping.parcel(w, r5, name), f, again)) {
                    assertEquals(Files.readAllBytes(p), Files.readAllBytes(folder.resolve("first").resolve(p.getFileName())), p.toString());
                }
            }
        }
    }

    /** Open packaging: the package names its small picture by a relationship, its kind by the ending; what it shows is of the part and not empty. */
    @Test
    public void aThreeMfCarriesASmallPicture() throws IOException {
        Case c = blower(8);
        Path p = PartExport.write(Parcel.of(c, items(c), "R5"), PartFormats.THREE_MF, folder).get(0);
        try (ZipFile zip = new ZipFile(p.toFile())) {
            String rels = new String(zip.getInputStream(zip.getEntry("_rels/.rels")).readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(rels.contains("relationships/metadata/thumbnail") && rels.contains("/Metadata/thumbnail.jpeg"), rels);
            assertTrue(new String(zip.getInputStream(zip.getEntry("[Content_Types].xml")).readAllBytes(), StandardCharsets.UTF_8).contains("Extension=\"jpeg\""));
            BufferedImage image = ImageIO.read(zip.getInputStream(zip.getEntry("Metadata/thumbnail.jpeg")));
            assertEquals(image.getWidth(), 256);
            int seen = 0;
            for (int i = 0; i < 256 * 256; i++) {
                seen += (image.getRGB(i % 256, i / 256) & 0xFF) < 200 ? 1 : 0;
            }
            assertTrue(seen > 256 * 256 / 6 && seen < 256 * 256 * 5 / 6, seen + " of its points show the part");
        }
    }

    /** Every format of every demo part: named by part, revision and piece, the same when written again. */
    @Test
    public void everyFormatIsWrittenAndWrittenAgainTheSame() throws IOException {
        List<Path> once = PartExport.writeAll(state, state.shop(models), PartFormats.ALL, folder.resolve("once"));
        // Once more those of the house in two pieces.
        WorkshopState house = WorkshopState.EMPTY;
        for (Machine m : state.machines()) {
            house = house.with(m);
        }
        house = house.with(state.upgrade("turnstone-board").orElseThrow());
        for (Path p : PartExport.writeAll(house, house.shop(models), PartFormats.ALL, folder.resolve("twice"))) {
            assertEquals(Files.readAllBytes(p), Files.readAllBytes(folder.resolve("once").resolve(p.getFileName())), p.toString());
        }
        for (PartFormat f : PartFormats.ALL) {
            assertTrue(once.stream().anyMatch(p -> p.toString().endsWith(f.ending())), f.name());
        }
        // The house of two pieces is one STEP with both, and a plate for each as DXF.
        assertEquals(once.stream().filter(p -> p.getFileName().toString().startsWith("Board house") && p.toString().endsWith(".step")).count(), 1);
        assertEquals(once.stream().filter(p -> p.getFileName().toString().startsWith("Board house") && p.toString().endsWith(".dxf")).count(), 2);
    }

    // ---- the engine ----

    /** Answers wait here until the test takes them, as they wait for the interface's thread. */
    private static final class Interface {
        private final LinkedBlockingQueue<Runnable> waiting = new LinkedBlockingQueue<>();

        void work(java.util.function.BooleanSupplier until) throws InterruptedException {
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(30);
            while (!until.getAsBoolean() && System.nanoTime() < end) {
                Runnable r = waiting.poll(200, TimeUnit.MILLISECONDS);
                if (r != null) {
                    r.run();
                }
            }
        }
    }

    /** What was told, in order. */
    private static final class Told implements FactEngine.Listener {
        private final List<Drawing> drawings = new ArrayList<>();
        private final List<Assessment> judged = new ArrayList<>();
        private boolean done;

        @Override
        public void drawn(Drawing d) {
            drawings.add(d);
        }

        @Override
        public void judged(Assessment a) {
            judged.add(a);
        }

        @Override
        public void done() {
            done = true;
        }

        boolean isDone() {
            return done;
        }
    }

    @Test
    public void theLatestEditWins() throws Exception {
        Interface on = new Interface();
        Told told = new Told();
        try (FactEngine engine = new FactEngine(on.waiting::add)) {
            for (int i = 0; i < 30; i++) {
                engine.look(blower(5 + 0.1 * i), told);
            }
            on.work(told::isDone);
            assertEquals(told.drawings.size(), 1, "only the newest answer is delivered");
            assertEquals(told.drawings.get(0).mesh().bounds().max().z(), 5 + 2.9 + 7, 1e-9);
        }
    }

    @Test
    public void judgementArrivesAndIsThatOfTheCallingThread() throws Exception {
        Interface on = new Interface();
        Told told = new Told();
        try (FactEngine engine = new FactEngine(on.waiting::add)) {
            engine.look(blower(8), told);
            on.work(told::isDone);
            Assessment last = told.judged.get(told.judged.size() - 1);
            assertEquals(last, Judge.thorough(blower(8)), "whoever reckons, the findings are the same");
            Finding stop = last.findings().stream().filter(f -> f.severity() == Severity.STOP).findFirst().orElseThrow();
            Remedy remedy = stop.remedies().get(0);
            Optional<Assessment> after = engine.after(remedy);
            assertTrue(after.isPresent(), "what a remedy leads to is known before it is hovered over");
            assertTrue(after.get().count(Severity.STOP) < last.count(Severity.STOP));
            // The same case again, in another order of things, on a memory that is full of others: the same findings.
            for (int i = 0; i < 5; i++) {
                engine.now(blower(5 + i)).get(MeshesFact.MESHES);
            }
            Told again = new Told();
            engine.look(blower(8), again);
            on.work(again::isDone);
            assertEquals(again.judged.get(again.judged.size() - 1), last);
        }
    }

    @Test
    public void lookingAwayEndsWhatIsUnderWay() throws Exception {
        Interface on = new Interface();
        Told told = new Told();
        try (FactEngine engine = new FactEngine(on.waiting::add)) {
            engine.look(blower(6), told);
            engine.lookAway();
            // A drawing that is looked at is there in well under a second.
            for (int i = 0; i < 20; i++) {
                Runnable r = on.waiting.poll(100, TimeUnit.MILLISECONDS);
                if (r != null) {
                    r.run();
                }
            }
            assertTrue(told.drawings.isEmpty());
        }
    }

    @Test
    public void whatCannotBeBuiltIsJudgedWithoutADrawing() throws Exception {
        Interface on = new Interface();
        Told told = new Told();
        try (FactEngine engine = new FactEngine(on.waiting::add)) {
            engine.look(blower(900), told);
            on.work(told::isDone);
            assertNull(told.drawings.get(0));
            assertEquals(told.judged.get(told.judged.size() - 1).findings().get(0).id(), "part");
        }
    }

    @Test
    public void aDrawingHasAllItsViews() {
        Drawing d = new FactsOnce(blower(8)).get(tinperch.fact.DrawingFact.DRAWING);
        assertFalse(d.top().isEmpty() || d.front().isEmpty() || d.side().isEmpty() || d.edges().isEmpty());
        assertEquals(d.mesh().bounds().size().z(), 15, 1e-9);
        assertEquals(d.held().size(), 2);
    }
}
