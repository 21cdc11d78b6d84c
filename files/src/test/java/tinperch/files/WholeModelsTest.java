package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.files.obj.ObjFile;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;

/** A model is read as a whole or not at all; what a 3MF builds follows its core specification. */
public class WholeModelsTest {
    private static final String CORE = "xmlns=\"http://schemas.microsoft.com/3dmanufacturing/core/2015/02\"";
    /** A tetrahedron with its right corner at zero: volume 1/6. */
    private static final String TETRA = "<mesh><vertices><vertex x=\"0\" y=\"0\" z=\"0\"/><vertex x=\"1\" y=\"0\" z=\"0\"/><vertex x=\"0\" y=\"1\" z=\"0\"/><vertex x=\"0\" y=\"0\" z=\"1\"/></vertices>"
            + "<triangles><triangle v1=\"0\" v2=\"2\" v3=\"1\"/><triangle v1=\"0\" v2=\"1\" v3=\"3\"/><triangle v1=\"0\" v2=\"3\" v3=\"2\"/><triangle v1=\"1\" v2=\"2\" v3=\"3\"/></triangles></mesh>";

    private static Mesh stl(byte[] b) throws IOException {
        return StlFile.read(new ByteArrayInputStream(b));
    }

    private static Mesh stl(String s) throws IOException {
        return stl(s.getBytes(StandardCharsets.ISO_8859_1));
    }

    private static Mesh obj(String s) throws IOException {
        return ObjFile.read(new ByteArrayInputStream(s.getBytes(StandardCharsets.ISO_8859_1)));
    }

    @Test
    public void aBinaryStlWhoseCountIsBelowItsContentIsRefusedWithBothNumbers() throws IOException {
        byte[] b = Samples.stl(Samples.mesh());
        int n = Samples.mesh().triangleCount();
        ByteBuffer.wrap(b).order(ByteOrder.LITTLE_ENDIAN).putInt(80, n - 7);
        FileFault e = expectThrows(FileFault.class, () -> stl(b));
        assertTrue(e.getMessage().contains(String.valueOf(n - 7)) && e.getMessage().contains(String.valueOf(n)), e.getMessage());
        // A few bytes after the last, as some write them, cost nothing.
        assertEquals(stl(Arrays.copyOf(Samples.stl(Samples.mesh()), 84 + 50 * n + 20)).triangleCount(), n);
    }

    @Test
    public void aSecondSolidCutShortIsNoticed() throws IOException {
        String one = "solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 1 0 0\nvertex 0 1 0\nendloop\nendfacet\nendsolid a\n";
        assertEquals(stl(one + one).triangleCount(), 2);
        String cut = one + one.substring(0, one.indexOf("endfacet"));
        assertTrue(expectThrows(FileFault.class, () -> stl(cut)).getMessage().contains("2 solids"));
    }

    @Test
    public void objFacesAreReadWhateverStandsBeforeThem() throws IOException {
        Mesh m = obj("v 0 0 0\n\tv\t1 0 0\n  v 0  1 0\nv 0 0 1\n f 1 3 2\nf\t1\t2\t4\nf 1 4 \\\n 3\nf 2 3 4\n");
        assertEquals(m.triangleCount(), 4);
        assertEquals(m.volumeMm3(), 1 / 6.0, 1e-12);
    }

    /** An L-shaped prism with one face for each side: 3 × 3 less 2 × 2 over 1 high, volume 5 (by hand). */
    @Test
    public void aConcaveFaceStaysWithinItself() throws IOException {
        StringBuilder s = new StringBuilder();
        double[][] ell = {{0, 0}, {3, 0}, {3, 1}, {1, 1}, {1, 3}, {0, 3}};
        for (int z = 0; z < 2; z++) {
            for (double[] p : ell) {
                s.append("v ").append(p[0]).append(' ').append(p[1]).append(' ').append(z).append('\n');
            }
        }
        s.append("f 6 5 4 3 2 1\nf 10 11 12 7 8 9\n");
        for (int i = 0; i < 6; i++) {
            int j = (i + 1) % 6;
            s.append("f ").append(i + 1).append(' ').append(j + 1).append(' ').append(j + 7).append(' ').append(i + 7).append('\n');
        }
        Mesh m = obj(s.toString());
        assertEquals(m.openEdges(), 0);
        assertEquals(m.volumeMm3(), 5, 1e-9);
        assertEquals(m.areaMm2(), 2 * 5 + 12, 1e-9, "no triangle lies over the notch");
        assertTrue(expectThrows(FileFault.class, () -> obj("v 0 0 0\nv 2 0 0\nv 0 1 0\nv 2 1 0\nv 1 3 0\nf 1 2 3 4 5\n")).getMessage().contains("crosses itself"));
    }

    private static byte[] zip(Map<String, String> entries) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, String> e : entries.entrySet()) {
                zip.putNextEntry(new ZipEntry(e.getKey()));
                zip.write(e.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    private static byte[] model(String attributes, String inside) throws IOException {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("3D/decoy.model", "<model " + CORE + "><resources><object id=\"1\">" + TETRA + "</object></resources><build/></model>");
        all.put("_rels/.rels", "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Target=\"/3D/real.model\" Id=\"a\" "
                + "Type=\"http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel\"/></Relationships>");
        all.put("3D/real.model", "<model " + CORE + " " + attributes + ">" + inside + "</model>");
        return zip(all);
    }

    private static ThreeMfFile.Content read(byte[] b) throws IOException {
        return ThreeMfFile.read(new ByteArrayInputStream(b));
    }

    private static ThreeMfFile.Content read(String attributes, String inside) throws IOException {
        return read(model(attributes, inside));
    }

    private static String object(int id, String more, String inside) {
        return "<object id=\"" + id + "\" " + more + ">" + inside + "</object>";
    }

    @Test
    public void allItemsOfTheBuildAreReadWhereTheirTransformsPutThem() throws IOException {
        // Twice as large and 10 further along x; as it is; mirrored at x = 0. Volumes: 8/6 + 1/6 + 1/6 (the determinant scales them).
        ThreeMfFile.Content c = read("unit=\"millimeter\"", "<resources>" + object(1, "name=\"foot\"", TETRA) + "</resources><build>"
                + "<item objectid=\"1\" transform=\"2 0 0 0 2 0 0 0 2 10 0 0\"/><item objectid=\"1\"/><item objectid=\"1\" transform=\"-1 0 0 0 1 0 0 0 1 -5 0 0\"/></build>");
        assertEquals(c.mesh().triangleCount(), 12);
        assertEquals(c.mesh().volumeMm3(), 10 / 6.0, 1e-9, "the mirrored one looks outwards too");
        assertEquals(c.mesh().bounds().max().x(), 12, 1e-9);
        assertEquals(c.mesh().bounds().min().x(), -6, 1e-9);
        assertEquals(c.objectName(), "foot");
        assertEquals(c.note(), "");
    }

    @Test
    public void componentsTurnAndShiftAndUnitsCountOnce() throws IOException {
        // A quarter turn about z, then 3 along y; in inches.
        ThreeMfFile.Content c = read("unit=\"inch\"", "<resources>" + object(1, "", TETRA) + object(2, "", "<components><component objectid=\"1\" transform=\"0 1 0 -1 0 0 0 0 1 0 0 0\"/></components>")
                + "</resources><build><item objectid=\"2\" transform=\"1 0 0 0 1 0 0 0 1 0 3 0\"/></build>");
        Vec3 min = c.mesh().bounds().min().times(1 / 25.4);
        Vec3 max = c.mesh().bounds().max().times(1 / 25.4);
        assertTrue(min.minus(new Vec3(-1, 3, 0)).length() < 1e-9 && max.minus(new Vec3(0, 4, 1)).length() < 1e-9, min + " " + max);
        assertEquals(c.mesh().volumeMm3(), Math.pow(25.4, 3) / 6, 1e-6);
    }

    @Test
    public void supportIsToldApartAndAnObjectNobodyBuildsIsNot() throws IOException {
        ThreeMfFile.Content c = read("", "<resources>" + object(1, "", TETRA) + object(2, "type=\"solidsupport\"", TETRA) + object(3, "", TETRA)
                + "</resources><build><item objectid=\"1\"/><item objectid=\"2\"/></build>");
        assertEquals(c.mesh().triangleCount(), 4);
        assertEquals(c.note(), "Left out: support.");
    }

    @Test
    public void anotherModelFileIsFollowedByItsPath() throws IOException {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("_rels/.rels", "<Relationships xmlns=\"r\"><Relationship Target=\"3D/main.model\" Type=\"http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel\"/></Relationships>");
        all.put("3D/main.model", "<model " + CORE + " xmlns:p=\"http://schemas.microsoft.com/3dmanufacturing/production/2015/06\" requiredextensions=\"p\"><resources/>"
                + "<build><item objectid=\"7\" p:path=\"/3D/Parts/a.model\"/></build></model>");
        all.put("3D/Parts/a.model", "<model " + CORE + "><resources>" + object(7, "", TETRA) + "</resources></model>");
        assertEquals(read(zip(all)).mesh().triangleCount(), 4);
    }

    @DataProvider
    public Object[][] wrong() {
        String deep = "<x>".repeat(9000) + "</x>".repeat(9000);
        return new Object[][] {
            {"xmlns:q=\"http://example.org/lattice\" requiredextensions=\"q\"", "<resources>" + object(1, "", TETRA) + "</resources><build><item objectid=\"1\"/></build>", "example.org/lattice"},
            {"", "<resources>" + object(1, "", "<components><component objectid=\"1\"/></components>") + "</resources><build><item objectid=\"1\"/></build>", "from itself"},
            {"", "<resources>" + object(1, "", TETRA) + "</resources><build><item objectid=\"9\"/></build>", "numbered “9”"},
            {"", "<resources>" + object(1, "", TETRA) + object(1, "", TETRA) + "</resources><build><item objectid=\"1\"/></build>", "two objects numbered 1"},
            {"", "<resources>" + object(1, "", TETRA) + "</resources><build><item objectid=\"1\" transform=\"1 0 0 0 1 0 0 0 0 0 0 0\"/></build>", "transform"},
            {"", "<resources>" + object(1, "", TETRA) + "</resources><build><item objectid=\"1\" transform=\"1 0 0\"/></build>", "transform"},
            {"unit=\"cubit\"", "<resources>" + object(1, "", TETRA) + "</resources><build><item objectid=\"1\"/></build>", "cubit"},
            {"", "<resources>" + deep + "</resources><build/>", "nested deeper"},
            {"", "<resources>" + object(1, "type=\"support\"", TETRA) + "</resources><build><item objectid=\"1\"/></build>", "besides support"}};
    }

    @Test(dataProvider = "wrong")
    public void whatCannotBeMeantIsRefusedInASentence(String attributes, String inside, String says) throws IOException {
        byte[] b = model(attributes, inside);
        FileFault e = expectThrows(FileFault.class, () -> read(b));
        assertTrue(e.getMessage().contains(says) && e.getMessage().contains("othing was imported"), e.getMessage());
    }

    /** What each object is made of twice doubles with every step: 2 to the power of 14 pieces are too many. */
    @Test
    public void manyUsesOfManyUsesAreBounded() throws IOException {
        StringBuilder s = new StringBuilder("<resources>" + object(1, "", TETRA));
        for (int i = 2; i < 17; i++) {
            s.append(object(i, "", "<components><component objectid=\"" + (i - 1) + "\"/><component objectid=\"" + (i - 1) + "\"/></components>"));
        }
        byte[] b = model("", s + "</resources><build><item objectid=\"16\"/></build>");
        assertTrue(expectThrows(FileFault.class, () -> read(b)).getMessage().contains("put together"));
    }

    @Test
    public void theBoundsOwnSentenceReachesWhoeverReads() throws IOException {
        byte[] b = model("", "<resources><!-- " + "x".repeat(1_200_000) + " --></resources><build/>");
        assertTrue(expectThrows(FileFault.class, () -> read(b)).getMessage().contains("unpacks to more"));
        assertFalse(read("", "<resources>" + object(1, "", TETRA) + "</resources><build/>").mesh().triangleCount() == 0, "without a build all is meant");
    }
}
