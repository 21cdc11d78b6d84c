package tinperch.files.stl;

import java.io.DataInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.files.FileFault;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;
import tinperch.solid.Vec3;

/** Writes and reads binary STL. */
public final class StlFile {
    private static final int HEADER = 80;
    private static final int RECORD = 50;
    private static final int MOST_TRIANGLES = 20_000_000;

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
            Vec3 n = mesh.faces().get(mesh.faceOf(t)).normal();
            put(record, n.x(), n.y(), n.z());
            for (int k = 0; k < 3; k++) {
                int p = mesh.corner(t, k);
                put(record, mesh.x(p), mesh.y(p), mesh.z(p));
            }
            out.write(record.array());
        }
    }

    private static void put(ByteBuffer b, double x, double y, double z) {
        b.putFloat((float) x).putFloat((float) y).putFloat((float) z);
    }

    /**
     * Reads a binary STL; corners with exactly equal coordinates become one point.
     *
     * @throws FileFault when it is not a complete binary STL
     */
    public static Mesh read(InputStream in) throws IOException {
        DataInputStream data = new DataInputStream(in);
        byte[] head = data.readNBytes(HEADER + 4);
        if (head.length < HEADER + 4) {
            throw new FileFault("This is not an STL file: it ends after " + head.length + " bytes. Nothing was imported.");
        }
        long count = Integer.toUnsignedLong(ByteBuffer.wrap(head).order(ByteOrder.LITTLE_ENDIAN).getInt(HEADER));
        if (count > MOST_TRIANGLES) {
            throw new FileFault("The file claims " + count + " triangles; it is damaged or not a binary STL. "
                    + "Nothing was imported.");
        }
        int triangles = (int) count;
        // Room grows with what is really there, so a lying header costs nothing.
        int[] corners = new int[Math.min(3 * triangles, 3 << 16)];
        double[] xyz = new double[Math.min(3 * triangles, 3 << 16)];
        Map<Corner, Integer> known = new HashMap<>();
        for (int t = 0; t < triangles; t++) {
            byte[] record = data.readNBytes(RECORD);
            if (record.length < RECORD) {
                throw new FileFault("The file ends after " + t + " of " + triangles + " triangles; it was cut short. "
                        + "Nothing was imported; fetch or export it again.");
            }
            ByteBuffer b = ByteBuffer.wrap(record).order(ByteOrder.LITTLE_ENDIAN);
            for (int k = 0; k < 3; k++) {
                Corner c = new Corner(b.getFloat(12 + 12 * k) + 0f, b.getFloat(16 + 12 * k) + 0f,
                        b.getFloat(20 + 12 * k) + 0f);
                if (!(Math.abs(c.x) < 1e6 && Math.abs(c.y) < 1e6 && Math.abs(c.z) < 1e6)) {
                    throw new FileFault("Triangle " + (t + 1) + " has a coordinate that is not a usable number. "
                            + "Nothing was imported.");
                }
                Integer p = known.get(c);
                if (p == null) {
                    p = known.size();
                    known.put(c, p);
                    if (3 * p + 3 > xyz.length) {
                        xyz = Arrays.copyOf(xyz, 2 * xyz.length + 3);
                    }
                    xyz[3 * p] = c.x;
                    xyz[3 * p + 1] = c.y;
                    xyz[3 * p + 2] = c.z;
                }
                if (3 * t + k >= corners.length) {
                    corners = Arrays.copyOf(corners, 2 * corners.length + 3);
                }
                corners[3 * t + k] = p;
            }
        }
        return new Mesh(Arrays.copyOf(xyz, 3 * known.size()), Arrays.copyOf(corners, 3 * triangles),
                new int[triangles], List.of());
    }

    private record Corner(float x, float y, float z) {}
}
