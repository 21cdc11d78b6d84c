package tinperch.workshop.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import org.testng.annotations.Test;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.files.model.Stopped;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.files.stl.StlFile;
import tinperch.machine.model.Model;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;
import tinperch.workshop.TempFolder;

/** Downloaded models on their way in. */
public class ReadModelTest extends TempFolder {
    private static Mesh box(double x, double y, double z) {
        return SolidKernel.evaluate(Leaf.extrusion("box", Profile.rectangle(0, 0, x, y), Placement.HERE, 0, z), Tolerances.USUAL);
    }

    private Path stl(String name, Mesh mesh) throws IOException {
        Path p = folder.resolve(name);
        try (OutputStream out = Files.newOutputStream(p)) {
            StlFile.write(mesh, "box", out);
        }
        return p;
    }

    @Test
    public void aSoundModelComesAsItIs() throws IOException {
        List<Double> shares = new ArrayList<>();
        ReadModel r = ReadModel.of(stl("bracket.stl", box(40, 30, 10)), shares::add).get(0);
        assertEquals(r.name(), "bracket");
        assertTrue(r.report().closed());
        assertEquals(MeshBlob.mesh(r.blob().bytes()).volumeMm3(), 12000, 1e-2);
        assertEquals(shares.get(shares.size() - 1), 1.0);
        Model m = r.model("m1");
        assertEquals(m.size().x(), 40, 1e-6);
        assertEquals(m.verdict(), Model.Verdict.UNCHECKED);
        assertTrue(m.mending().contains("The surface is closed"), m.mending());
    }

    @Test
    public void aFileThatSaysItsUnitIsBelievedInIt() throws IOException {
        Path p = folder.resolve("bracket.3mf");
        try (OutputStream out = Files.newOutputStream(p)) {
            ThreeMfFile.write(box(40, 30, 10), "bracket", java.util.Map.of(), out);
        }
        Model m = ReadModel.of(p, s -> true).get(0).model("m1");
        assertEquals(m.sizeMm().x(), 40, 1e-6);
        assertTrue(m.mending().endsWith("The file itself says its unit."), m.mending());
        assertTrue(!ReadModel.of(stl("bracket.stl", box(40, 30, 10)), s -> true).get(0).model("m2").mending().contains("unit"));
    }

    @Test
    public void everyObjectOfABuildIsAModelOfItsOwn() throws IOException {
        Path p = folder.resolve("set.3mf");
        try (OutputStream out = Files.newOutputStream(p)) {
            ThreeMfFile.write(List.of(new ThreeMfFile.Item("frame", box(40, 30, 10), 1), new ThreeMfFile.Item("clip", box(8, 4, 2), 3)), "set", java.util.Map.of(), java.util.Optional.empty(), out);
        }
        List<ReadModel> all = ReadModel.of(p, s -> true);
        assertEquals(all.stream().map(ReadModel::name).toList(), List.of("frame", "clip"));
        assertEquals(MeshBlob.mesh(all.get(1).blob().bytes()).volumeMm3(), 64, 1e-3, "one clip, not three");
        assertTrue(all.get(1).model("m").mending().endsWith("The file builds it 3 times."), all.get(1).model("m").mending());
        assertTrue(!all.get(0).model("m").mending().contains("times"));
        expectThrows(Stopped.class, () -> ReadModel.of(p, s -> s < 0.8));
    }

    @Test
    public void aModelWithAHoleInItsSkinIsMendedOrSaidToBeOpen() throws IOException {
        Path p = stl("torn.stl", box(40, 30, 10));
        byte[] b = Files.readAllBytes(p);
        // One triangle less: the count, then the last record.
        b[80]--;
        Files.write(p, java.util.Arrays.copyOf(b, b.length - 50));
        ReadModel r = ReadModel.of(p, s -> true).get(0);
        assertTrue(r.report().words().contains("1 hole closed"), r.report().words());
        assertTrue(r.report().closed());
    }

    @Test
    public void stoppingAndBrokenFilesLeaveNothing() throws IOException {
        Path p = stl("bracket.stl", box(40, 30, 10));
        expectThrows(Stopped.class, () -> ReadModel.of(p, s -> s < 0.5));
        Path text = folder.resolve("no.stl");
        Files.writeString(text, "solid nothing\nfacet\nendsolid nothing\n");
        assertTrue(expectThrows(FileFault.class, () -> ReadModel.of(text, s -> true)).getMessage().contains("holds no triangles"));
    }

    @Test
    public void theReaderAnswersOnceAndNotAfterItWasStopped() throws Exception {
        Path p = stl("bracket.stl", box(40, 30, 10));
        ConcurrentLinkedQueue<Runnable> answers = new ConcurrentLinkedQueue<>();
        CountDownLatch came = new CountDownLatch(1);
        AtomicReference<List<ReadModel>> got = new AtomicReference<>();
        try (ModelReader reader = new ModelReader(r -> {
            answers.add(r);
            came.countDown();
        })) {
            reader.read(p, s -> { }, got::set, why -> { });
            assertTrue(came.await(20, TimeUnit.SECONDS));
            for (int i = 0; i < 100 && got.get() == null; i++) {
                Thread.sleep(20);
                for (Runnable r = answers.poll(); r != null; r = answers.poll()) {
                    r.run();
                }
            }
            assertEquals(got.get().get(0).name(), "bracket");
            got.set(null);
            reader.read(p, s -> { }, got::set, why -> { });
            reader.stop();
            Thread.sleep(200);
            answers.forEach(Runnable::run);
            assertEquals(got.get(), null, "what was stopped is not delivered");
        }
    }
}
