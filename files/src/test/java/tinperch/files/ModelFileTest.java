package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.files.model.MeshBlob;
import tinperch.files.model.ModelFile;
import tinperch.files.model.Stopped;
import tinperch.solid.Mesh;

/** Models in any of the open formats, sound and broken. */
public class ModelFileTest {
    private static final String TETRAHEDRON_OBJ = "# four points\nv 0 0 0\nv 10 0 0\nv 0 10 0\nv 0 0 10\nvn 0 0 1\n"
            + "f 1 3 2\nf 1//1 2//1 4//1\nf -4 -1 -2\nf 2/1/1 3/2/1 4/3/1\n";
    private Path folder;

    @BeforeMethod
    public void makeFolder() throws IOException {
        folder = Files.createTempDirectory("tinperch-model");
    }

    @AfterMethod(alwaysRun = true)
    public void removeFolder() throws IOException {
        try (var all = Files.list(folder)) {
            for (Path p : all.toList()) {
                Files.delete(p);
            }
        }
        Files.delete(folder);
    }

    private ModelFile read(String name, byte[] bytes) throws IOException {
        Path p = folder.resolve(name);
        Files.write(p, bytes);
        return ModelFile.read(p, s -> true);
    }

    private ModelFile read(String name, String text) throws IOException {
        return read(name, text.getBytes(StandardCharsets.ISO_8859_1));
    }

    @Test
    public void anObjIsReadWithEveryWayOfNamingCorners() throws IOException {
        ModelFile m = read("corner bracket.obj", TETRAHEDRON_OBJ);
        assertEquals(m.name(), "corner bracket");
        assertEquals(m.mesh().triangleCount(), 4);
        assertEquals(m.mesh().openEdges(), 0);
        assertEquals(Math.abs(m.mesh().volumeMm3()), 1000 / 6.0, 1e-9);
        assertTrue(!m.unitKnown(), "an OBJ never says");
    }

    @Test
    public void aFaceWithManyCornersBecomesAFan() throws IOException {
        assertEquals(read("q.obj", "v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 1 0\nv -1 0.5 0\nf 1 2 3 4 5\n").mesh().triangleCount(), 3);
    }

    @Test
    public void aTextStlIsReadAndABinaryOneThatBeginsWithSolidToo() throws IOException {
        String facet = "facet normal 0 0 1\n outer loop\n  vertex 0 0 0\n  vertex 10 0 0\n  vertex 0 1e1 0\n endloop\nendfacet\n";
        ModelFile text = read("a.stl", "solid a thing\n" + facet + facet.replace("0 1e1 0", "0 0 1e1") + "endsolid a thing\n");
        assertEquals(text.mesh().triangleCount(), 2);
        assertEquals(text.mesh().pointCount(), 4);
        byte[] binary = Samples.stl(Samples.mesh());
        System.arraycopy("solid from some program".getBytes(StandardCharsets.US_ASCII), 0, binary, 0, 23);
        assertEquals(read("b.stl", binary).mesh().triangleCount(), Samples.mesh().triangleCount());
    }

    @Test
    public void aThreeMfKnowsItsUnit() throws IOException {
        ModelFile m = read("c.3mf", Samples.threeMf(Samples.mesh()));
        assertTrue(m.unitKnown());
        assertEquals(m.mesh().volumeMm3(), Samples.mesh().volumeMm3(), 1e-4 * m.mesh().volumeMm3());
        // A 3MF under another ending is still one.
        assertTrue(read("c.stl", Samples.threeMf(Samples.mesh())).unitKnown());
    }

    @DataProvider
    public Object[][] broken() {
        return new Object[][] {
            {"a.obj", "v 0 0 0\nv 1 0 0\nf 1 2 3\n", "Line 3"},
            {"b.obj", "v 0 0\n", "Line 1"},
            {"c.obj", "v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2\n", "Line 4"},
            {"d.obj", "v 1e300 0 0\n", "not a usable number"},
            {"e.obj", "v NaN 0 0\n", "not a usable number"},
            {"f.obj", "nothing of ours\n", "holds no faces"},
            {"g.obj", "v 0 0 0\nf 99999999999 1 1\n", "Line 2"},
            {"h.stl", "solid x\nfacet\nvertex 0 0\n", "Line 3"},
            {"i.stl", "solid x\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 1 0 0\nvertex 0 1 0\n", "cut short"},
            {"j.stl", "", "ends after 0 bytes"},
            {"k.step", "ISO-10303-21;", "neither STL nor OBJ nor 3MF"},
        };
    }

    @Test(dataProvider = "broken")
    public void brokenFilesAreRefusedWithASentence(String name, String text, String part) {
        FileFault f = expectThrows(FileFault.class, () -> read(name, text));
        assertTrue(f.getMessage().contains(part), f.getMessage());
        assertTrue(f.getMessage().contains("Nothing was imported"), f.getMessage());
    }

    @Test
    public void aFileThatIsGoneIsSaidToBe() {
        assertTrue(expectThrows(FileFault.class, () -> ModelFile.read(folder.resolve("no.stl"), s -> true)).getMessage()
                .contains("no file “no.stl” any more"));
    }

    /** Flipped, cut and doubled bytes: a mesh or a sentence, never anything else. */
    @Test
    public void damagedFilesNeverBreakTheReader() throws IOException {
        Random random = new Random(77);
        byte[][] sound = {Samples.stl(Samples.mesh()), Samples.threeMf(Samples.mesh()), TETRAHEDRON_OBJ.getBytes(StandardCharsets.US_ASCII)};
        String[] names = {"x.stl", "x.3mf", "x.obj"};
        int refused = 0;
        for (int round = 0; round < 400; round++) {
            int which = round % 3;
            byte[] b = sound[which].clone();
            for (int i = 1 + random.nextInt(6); i > 0; i--) {
                b[random.nextInt(b.length)] = (byte) random.nextInt(256);
            }
            if (random.nextInt(3) == 0) {
                b = java.util.Arrays.copyOf(b, random.nextInt(b.length));
            }
            try {
                Mesh m = read(names[which], b).mesh();
                assertTrue(m.triangleCount() >= 0);
            } catch (FileFault e) {
                refused++;
                assertTrue(e.getMessage().length() > 20, e.getMessage());
            }
        }
        assertTrue(refused > 50, "damage was done: " + refused);
    }

    @Test
    public void readingTellsHowFarItIsAndCanBeStopped() throws IOException {
        StringBuilder big = new StringBuilder();
        for (int i = 0; i < 20_000; i++) {
            big.append("v ").append(i).append(" 0 0\n");
        }
        big.append("f 1 2 3\n");
        Path p = folder.resolve("big.obj");
        Files.writeString(p, big);
        List<Double> shares = new ArrayList<>();
        ModelFile.read(p, shares::add);
        assertTrue(shares.size() > 2);
        assertEquals(shares.get(shares.size() - 1), 1.0, 1e-9);
        expectThrows(Stopped.class, () -> ModelFile.read(p, s -> s < 0.5));
    }

    @Test
    public void aKeptMeshComesBackAndADamagedOneIsNoticed() throws IOException {
        MeshBlob blob = MeshBlob.of(Samples.mesh());
        Mesh back = MeshBlob.mesh(blob.bytes());
        assertEquals(back.triangleCount(), Samples.mesh().triangleCount());
        assertEquals(back.openEdges(), 0);
        assertEquals(MeshBlob.of(back).id(), blob.id(), "single precision is kept as it is");
        Random random = new Random(5);
        for (int round = 0; round < 200; round++) {
            byte[] b = blob.bytes().clone();
            b[random.nextInt(b.length)] ^= (byte) (1 << random.nextInt(8));
            try {
                MeshBlob.mesh(round % 2 == 0 ? b : java.util.Arrays.copyOf(b, random.nextInt(b.length)));
            } catch (FileFault e) {
                assertTrue(e.getMessage().contains("kept mesh"), e.getMessage());
            }
        }
    }
}
