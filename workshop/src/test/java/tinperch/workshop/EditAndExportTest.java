package tinperch.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.testng.annotations.Test;
import tinperch.files.FileFault;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.part.PartForm;
import tinperch.part.Bases;
import tinperch.solid.Mesh;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.edit.PictureWorker;
import tinperch.workshop.edit.PictureWorker.Picture;
import tinperch.workshop.export.PartExport;

public class EditAndExportTest extends TempFolder {
    private final WorkshopState state = DemoWorkshop.state();

    private PartForm form(double thickness) {
        Upgrade u = state.upgrade("avocet-blower").orElseThrow();
        Upgrade changed = u.with(u.part().orElseThrow().with(u.part().get().values().with("plate.thickness", thickness)));
        return Assessor.form(changed, state.shop(Bases.NONE), "R5");
    }

    @Test
    public void everyDemoPartIsWrittenInBothFormatsAndReadBackClosed() throws IOException {
        List<Path> files = PartExport.writeAll(state, state.shop(Bases.NONE), folder.resolve("out"));
        assertEquals(files.size(), 10);
        for (Path p : files) {
            byte[] bytes = Files.readAllBytes(p);
            Mesh m = p.toString().endsWith(".stl") ? StlFile.read(new ByteArrayInputStream(bytes))
                    : ThreeMfFile.read(new ByteArrayInputStream(bytes)).mesh();
            assertEquals(m.openEdges(), 0, p.toString());
            assertTrue(m.volumeMm3() > 5000, p.toString());
        }
        assertTrue(files.stream().anyMatch(p -> p.getFileName().toString().equals("Blower carriage plate R5.3mf")));
        assertEquals(ThreeMfFile.read(new ByteArrayInputStream(Files.readAllBytes(
                folder.resolve("out/Blower carriage plate R5.3mf")))).metadata().get("Description"),
                "Revision 5, PETG, for upgrade “Blower carriage”");
    }

    @Test
    public void stlAnd3mfHoldTheSamePart() throws IOException {
        PartExport.writeAll(state, state.shop(Bases.NONE), folder);
        Mesh stl = StlFile.read(Files.newInputStream(folder.resolve("Hold-down plate R1.stl")));
        Mesh mf = ThreeMfFile.read(Files.newInputStream(folder.resolve("Hold-down plate R1.3mf"))).mesh();
        assertEquals(stl.triangleCount(), mf.triangleCount());
        assertEquals(stl.volumeMm3(), mf.volumeMm3(), 1e-3);
        assertEquals(stl.bounds(), mf.bounds());
    }

    @Test
    public void fileNamesAreHarmless() {
        Upgrade u = state.upgrade("avocet-blower").orElseThrow();
        Upgrade evil = u.with(u.part().orElseThrow().withName("../../etc/pass:wd?*|\u0000 " + "x".repeat(300)));
        String name = PartExport.fileName(evil, "R1", PartExport.Format.STL);
        assertFalse(name.contains("/") || name.contains("\\") || name.contains(":") || name.contains("\u0000"), name);
        assertTrue(name.length() < 100 && name.endsWith(" R1.stl"), name);
        assertEquals(PartExport.fileName(u.with(u.part().get().withName("///")), "R2", PartExport.Format.THREE_MF), "--- R2.3mf");
    }

    @Test
    public void aFolderThatIsGoneIsSaid() {
        Upgrade u = state.upgrade("avocet-blower").orElseThrow();
        Mesh m = Picture.of(form(8)).mesh();
        FileFault e = expectThrows(FileFault.class, () -> PartExport.write(m, u, "R5", PartExport.Format.STL,
                folder.resolve("gone/part.stl")));
        assertTrue(e.getMessage().contains("is not there"), e.getMessage());
    }

    @Test
    public void theLatestEditWins() throws Exception {
        CountDownLatch hold = new CountDownLatch(1);
        LinkedBlockingQueue<Runnable> interfaceThread = new LinkedBlockingQueue<>();
        List<Double> delivered = new java.util.ArrayList<>();
        try (PictureWorker worker = new PictureWorker(r -> {
            interfaceThread.add(r);
            hold.countDown();
        })) {
            for (int i = 0; i < 30; i++) {
                double t = 5 + 0.1 * i;
                worker.request(form(t), p -> delivered.add(p.form().bounds().max().z()), s -> { });
            }
            assertTrue(hold.await(30, TimeUnit.SECONDS));
            long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
            while (delivered.isEmpty() && System.nanoTime() < end) {
                Runnable r = interfaceThread.poll(200, TimeUnit.MILLISECONDS);
                if (r != null) {
                    r.run();
                }
            }
            assertEquals(delivered.size(), 1, "only the newest answer is delivered");
            assertEquals(delivered.get(0), 5 + 2.9 + 7, 1e-9);
        }
    }

    @Test
    public void aCancelledPictureIsNotDelivered() throws Exception {
        LinkedBlockingQueue<Runnable> interfaceThread = new LinkedBlockingQueue<>();
        List<Picture> delivered = new java.util.ArrayList<>();
        try (PictureWorker worker = new PictureWorker(interfaceThread::add)) {
            worker.request(form(6), delivered::add, s -> { });
            worker.cancel();
            Runnable r = interfaceThread.poll(3, TimeUnit.SECONDS);
            if (r != null) {
                r.run();
            }
            assertTrue(delivered.isEmpty());
        }
    }

    @Test
    public void aPictureHasAllItsViews() {
        Picture p = Picture.of(form(8));
        assertFalse(p.top().isEmpty() || p.front().isEmpty() || p.side().isEmpty() || p.edges().isEmpty());
        assertEquals(p.mesh().bounds().size().z(), 15, 1e-9);
    }
}
