package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Mesh;

public class RoundTripTest {
    private static Mesh readStl(byte[] bytes) throws IOException {
        return StlFile.read(new ByteArrayInputStream(bytes));
    }

    private static ThreeMfFile.Content read3mf(byte[] bytes) throws IOException {
        return ThreeMfFile.read(new ByteArrayInputStream(bytes));
    }

    @Test
    public void stlComesBackTheSame() throws IOException {
        Mesh m = Samples.mesh();
        Mesh back = readStl(Samples.stl(m));
        assertEquals(back.triangleCount(), m.triangleCount());
        assertEquals(back.openEdges(), 0);
        assertEquals(back.volumeMm3(), m.volumeMm3(), 1e-5 * m.volumeMm3());
        assertEquals(back.bounds().max().x(), m.bounds().max().x(), 1e-5);
        assertEquals(back.bounds().min().z(), m.bounds().min().z(), 1e-5);
    }

    @Test
    public void stlIsLaidOutAsTheFormatSays() throws IOException {
        Mesh m = Samples.mesh();
        byte[] bytes = Samples.stl(m);
        // 80 bytes header, a little-endian count, 50 bytes a triangle.
        assertEquals(bytes.length, 84 + 50 * m.triangleCount());
        ByteBuffer b = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
        assertEquals(b.getInt(80), m.triangleCount());
        assertTrue(!new String(bytes, 0, 5, StandardCharsets.US_ASCII).equals("solid"), "readers would take it for text");
        double nx = b.getFloat(84);
        double ny = b.getFloat(88);
        double nz = b.getFloat(92);
        assertEquals(nx * nx + ny * ny + nz * nz, 1, 1e-6);
    }

    @Test
    public void threeMfComesBackWithUnitsNameAndRevision() throws IOException {
        Mesh m = Samples.mesh();
        ThreeMfFile.Content c = read3mf(Samples.threeMf(m));
        assertEquals(c.mesh().triangleCount(), m.triangleCount());
        assertEquals(c.mesh().pointCount(), m.pointCount());
        assertEquals(c.mesh().openEdges(), 0);
        assertEquals(c.mesh().volumeMm3(), m.volumeMm3(), 1e-5 * m.volumeMm3());
        assertEquals(c.unit(), "millimeter");
        assertEquals(c.objectName(), "Plate <R1> & “more”");
        assertEquals(c.metadata().get("Title"), "Plate <R1> & “more”");
        assertEquals(c.metadata().get("Description"), "Revision 1");
    }

    @Test
    public void threeMfIsReadByAGeneralXmlParserToo() throws Exception {
        ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(Samples.threeMf(Samples.mesh())));
        boolean types = false;
        boolean relations = false;
        Document model = null;
        for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
            byte[] content = zip.readAllBytes();
            types |= e.getName().equals("[Content_Types].xml");
            relations |= e.getName().equals("_rels/.rels");
            if (e.getName().equals("3D/3dmodel.model")) {
                model = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new ByteArrayInputStream(content));
            }
        }
        assertTrue(types && relations, "the parts the container needs");
        assertEquals(model.getDocumentElement().getAttribute("unit"), "millimeter");
        assertEquals(model.getElementsByTagName("triangle").getLength(), Samples.mesh().triangleCount());
        assertEquals(model.getElementsByTagName("item").getLength(), 1);
    }

    @Test
    public void thePartGivesTheSameFileTwice() throws IOException {
        assertEquals(Samples.threeMf(Samples.mesh()), Samples.threeMf(Samples.mesh()));
        assertEquals(Samples.stl(Samples.mesh()), Samples.stl(Samples.mesh()));
    }

    @DataProvider
    public Object[][] units() {
        return new Object[][] {{"millimeter", 1}, {"centimeter", 10}, {"inch", 25.4}, {"meter", 1000}, {"micron", 0.001},
            {"foot", 304.8}};
    }

    private static byte[] zip(String name, String text) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(name));
            zip.write(text.getBytes(StandardCharsets.UTF_8));
        }
        return out.toByteArray();
    }

    private static String tetrahedron(String unit) {
        return "<model unit=\"" + unit + "\"><resources><object id=\"1\" name=\"t\"><mesh><vertices>"
                + "<vertex x=\"0\" y=\"0\" z=\"0\"/><vertex x=\"1\" y=\"0\" z=\"0\"/><vertex x=\"0\" y=\"1\" z=\"0\"/>"
                + "<vertex x=\"0\" y=\"0\" z=\"1\"/></vertices><triangles><triangle v1=\"0\" v2=\"2\" v3=\"1\"/>"
                + "<triangle v1=\"0\" v2=\"1\" v3=\"3\"/><triangle v1=\"0\" v2=\"3\" v3=\"2\"/>"
                + "<triangle v1=\"1\" v2=\"2\" v3=\"3\"/></triangles></mesh></object></resources></model>";
    }

    @Test(dataProvider = "units")
    public void otherUnitsBecomeMillimetres(String unit, double mm) throws IOException {
        Mesh m = read3mf(zip("3D/x.model", tetrahedron(unit))).mesh();
        assertEquals(m.volumeMm3(), mm * mm * mm / 6, 1e-9 * mm * mm * mm);
    }

    @DataProvider
    public Object[][] brokenThreeMf() throws IOException {
        String bomb = "<!DOCTYPE x [<!ENTITY a \"aaaaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;&a;&a;&a;&a;\">]><model>&b;</model>";
        String outside = "<!DOCTYPE x [<!ENTITY f SYSTEM \"file:///etc/hostname\">]><model unit=\"millimeter\"><metadata "
                + "name=\"Title\">&f;</metadata>" + tetrahedron("millimeter").substring(25) + "</model>";
        return new Object[][] {
            {"not a zip", "hello".getBytes(StandardCharsets.UTF_8)},
            {"empty", new byte[0]},
            {"no model inside", zip("readme.txt", "hi")},
            {"no triangles", zip("a.model", "<model/>")},
            {"unknown unit", zip("a.model", tetrahedron("parsec"))},
            {"index out of range", zip("a.model", tetrahedron("millimeter").replace("v1=\"1\"", "v1=\"77\""))},
            {"letters for a number", zip("a.model", tetrahedron("millimeter").replace("x=\"1\"", "x=\"one\""))},
            {"not finite", zip("a.model", tetrahedron("millimeter").replace("x=\"1\"", "x=\"NaN\""))},
            {"not xml", zip("a.model", "<model><mesh>")},
            {"entities that multiply", zip("a.model", bomb)},
            {"an external entity", zip("a.model", outside)},
            {"cut short", Arrays.copyOf(Samples.threeMf(Samples.mesh()), 900)},
        };
    }

    @Test(dataProvider = "brokenThreeMf")
    public void brokenThreeMfIsRefusedInWords(String what, byte[] bytes) {
        FileFault e = expectThrows(FileFault.class, () -> read3mf(bytes));
        assertTrue(e.getMessage().endsWith("."), e.getMessage());
    }

    @Test
    public void aPathThatClimbsOutIsOnlyAName() throws IOException {
        assertEquals(read3mf(zip("../../../../tmp/evil.model", tetrahedron("millimeter"))).mesh().triangleCount(), 4);
    }

    @Test
    public void aSmallZipThatUnpacksWithoutEndIsStopped() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("a.model"));
            zip.write("<model unit=\"millimeter\"><!--".getBytes(StandardCharsets.UTF_8));
            byte[] block = new byte[1 << 20];
            Arrays.fill(block, (byte) 'x');
            for (int i = 0; i < 420; i++) {
                zip.write(block);
            }
            zip.write("--></model>".getBytes(StandardCharsets.UTF_8));
        }
        IOException e = expectThrows(IOException.class, () -> read3mf(out.toByteArray()));
        assertTrue(e instanceof FileFault, e.toString());
    }

    @Test
    public void brokenStlIsRefusedInWords() throws IOException {
        byte[] good = Samples.stl(Samples.mesh());
        expectThrows(FileFault.class, () -> readStl(new byte[10]));
        FileFault cut = expectThrows(FileFault.class, () -> readStl(Arrays.copyOf(good, good.length - 7)));
        assertTrue(cut.getMessage().contains("cut short"), cut.getMessage());
        byte[] lying = good.clone();
        ByteBuffer.wrap(lying).order(ByteOrder.LITTLE_ENDIAN).putInt(80, -5);
        expectThrows(FileFault.class, () -> readStl(lying));
        byte[] wild = good.clone();
        ByteBuffer.wrap(wild).order(ByteOrder.LITTLE_ENDIAN).putFloat(96, Float.NaN);
        expectThrows(FileFault.class, () -> readStl(wild));
    }

    /** 10,000 damaged files a reader: a clear refusal or a result, never anything else. */
    @Test
    public void damagedFilesNeverCrashAReader() throws IOException {
        byte[][] originals = {Samples.stl(Samples.mesh()), Samples.threeMf(Samples.mesh()),
            zip("a.model", tetrahedron("millimeter"))};
        Random r = new Random(31);
        for (int n = 0; n < 10_000; n++) {
            byte[] stl = damaged(originals[0], r);
            try {
                readStl(stl).volumeMm3();
            } catch (FileFault e) {
                assertTrue(e.getMessage().contains("Nothing was imported"), e.getMessage());
            }
            byte[] mf = damaged(originals[1 + n % 2], r);
            try {
                read3mf(mf);
            } catch (FileFault e) {
                assertTrue(e.getMessage().endsWith("."), e.getMessage());
            }
        }
    }

    private static byte[] damaged(byte[] original, Random r) {
        byte[] b = r.nextInt(4) == 0 ? Arrays.copyOf(original, r.nextInt(original.length)) : original.clone();
        for (int k = r.nextInt(6); k >= 0 && b.length > 0; k--) {
            b[r.nextInt(r.nextBoolean() ? b.length : Math.min(b.length, 200))] = (byte) r.nextInt(256);
        }
        return b;
    }
}
