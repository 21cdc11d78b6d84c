package tinperch.files.stl;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import tinperch.files.BoundedLines;
import tinperch.files.FileFault;
import tinperch.files.MeshGrower;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;
import tinperch.solid.Vec3;

/** Writes binary STL and reads both forms of it. */
public final class StlFile {
    private static final int HEADER = 80;
    private static final int RECORD = 50;
    private static final int SAMPLE = 2048;
    private static final int LONGEST_LINE = 4096;

    private StlFile() {}

    /**
     * Writes a mesh, rounded so that it is still closed when read back.
     *
     * @param title goes into the header; not beginning with "solid", which readers take for the text form
     */
    public static void write(Mesh whole, String title, OutputStream out) throws IOException {
        Mesh mesh = SinglePrecision.of(whole);
        ByteBuffer head = ByteBuffer.allocate(HEADER + 4).order(ByteOrder.LITTLE_ENDIAN);
        byte[] text = ("Tin Perch, mm: " + title).getBytes(StandardCharsets.US_ASCII);
        head.put(text, 0, Math.min(text.length, HEADER));
        head.putInt(HEADER, mesh.triangleCount());
        out.write(head.array());
        ByteBuffer record = ByteBuffer.allocate(RECORD).order(ByteOrder.LITTLE_ENDIAN);
        for (int t = 0; t < mesh.triangleCount(); t++) {
            record.clear();
            // Of the rounded corners, so that a mesh read back is written the same again.
            Vec3 n = normal(mesh, t);
            put(record, n.x(), n.y(), n.z());
            for (int k = 0; k < 3; k++) {
                int p = mesh.corner(t, k);
                put(record, mesh.x(p), mesh.y(p), mesh.z(p));
            }
            out.write(record.array());
        }
    }

    private static Vec3 normal(Mesh mesh, int t) {
        Vec3 a = mesh.point(mesh.corner(t, 0));
        return mesh.point(mesh.corner(t, 1)).minus(a).cross(mesh.point(mesh.corner(t, 2)).minus(a)).unit();
    }

    private static void put(ByteBuffer b, double x, double y, double z) {
        b.putFloat((float) x).putFloat((float) y).putFloat((float) z);
    }

    /**
     * Reads an STL, binary or text; corners with exactly equal coordinates become one point.
     *
     * @throws FileFault when it is not a complete STL
     */
    public static Mesh read(InputStream in) throws IOException {
        BufferedInputStream data = new BufferedInputStream(in, 1 << 16);
        data.mark(SAMPLE);
        byte[] sample = data.readNBytes(SAMPLE);
        data.reset();
        return isText(sample) ? text(data) : binary(data);
    }

    /** Binary files may begin with "solid" too; the word "facet" among plain characters tells the text form. */
    private static boolean isText(byte[] sample) {
        String s = new String(sample, StandardCharsets.ISO_8859_1);
        return s.stripLeading().startsWith("solid") && s.indexOf(0) < 0 && (s.contains("facet") || s.contains("endsolid"));
    }

    private static Mesh text(InputStream in) throws IOException {
        MeshGrower grown = new MeshGrower();
        BoundedLines lines = new BoundedLines(in, LONGEST_LINE);
        int[] corner = new int[3];
        int corners = 0;
        int solids = 0;
        int open = 0;
        for (String line = lines.next(); line != null; line = lines.next()) {
            long number = lines.number();
            String[] words = line.strip().split("\\s+");
            switch (words[0].toLowerCase(Locale.ROOT)) {
                case "vertex" -> {
                    if (words.length < 4 || corners >= 3) {
                        throw broken(number);
                    }
                    corner[corners++] = grown.welded(number(words[1], number), number(words[2], number), number(words[3], number));
                }
                case "endloop" -> {
                    if (corners != 3) {
                        throw broken(number);
                    }
                    grown.triangle(corner[0], corner[1], corner[2]);
                    corners = 0;
                }
                case "solid" -> {
                    solids++;
                    open++;
                }
                case "endsolid" -> open--;
                default -> { }
            }
        }
        if (open != 0 || solids == 0 || corners != 0) {
            throw new FileFault("The STL ends after " + grown.triangles() + " triangles" + (solids > 1 ? " of " + solids + " solids" : "") + " without saying so; it was cut short. "
                    + "Nothing was imported; fetch or export it again.");
        }
        return grown.mesh();
    }

    private static float number(String word, long line) throws FileFault {
        try {
            return Float.parseFloat(word);
        } catch (NumberFormatException e) {
            throw broken(line);
        }
    }

    private static FileFault broken(long line) {
        return new FileFault("Line " + line + " of the STL is not what it should be. Nothing was imported; fetch or export it again.");
    }

    private static Mesh binary(InputStream data) throws IOException {
        byte[] head = data.readNBytes(HEADER + 4);
        if (head.length < HEADER + 4) {
            throw new FileFault("This is not an STL file: it ends after " + head.length + " bytes. Nothing was imported.");
        }
        long triangles = Integer.toUnsignedLong(ByteBuffer.wrap(head).order(ByteOrder.LITTLE_ENDIAN).getInt(HEADER));
        MeshGrower grown = new MeshGrower();
        byte[] chunk = new byte[RECORD * 1024];
        ByteBuffer b = ByteBuffer.wrap(chunk).order(ByteOrder.LITTLE_ENDIAN);
        for (long t = 0; t < triangles;) {
            int wanted = (int) Math.min(1024, triangles - t);
            int there = data.readNBytes(chunk, 0, wanted * RECORD) / RECORD;
            for (int i = 0; i < there; i++) {
                int o = i * RECORD + 12;
                grown.triangle(grown.welded(b.getFloat(o), b.getFloat(o + 4), b.getFloat(o + 8)),
                        grown.welded(b.getFloat(o + 12), b.getFloat(o + 16), b.getFloat(o + 20)),
                        grown.welded(b.getFloat(o + 24), b.getFloat(o + 28), b.getFloat(o + 32)));
            }
            t += there;
            if (there < wanted) {
                throw new FileFault("The file ends after " + t + " of " + triangles + " triangles; it was cut short or is not an STL. "
                        + "Nothing was imported; fetch or export it again.");
            }
        }
        long more = 0;
        for (int n = data.read(chunk); n > 0; n = data.read(chunk)) {
            more += n;
        }
        if (more >= RECORD) {
            throw new FileFault("The file says it holds " + triangles + " triangles, but there is room in it for " + (triangles + more / RECORD) + "; which is true cannot be told. "
                    + "Nothing was imported; fetch or export it again.");
        }
        return grown.mesh();
    }
}
