package tinperch.files.obj;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;

/** Writes a mesh as OBJ in millimetres, points and triangles of one named object. */
public final class ObjWriter {
    private ObjWriter() {}

    /** Writes it; the stream is left open. */
    public static void write(Mesh mesh, String name, OutputStream out) throws IOException {
        Mesh m = SinglePrecision.of(mesh);
        StringBuilder b = new StringBuilder("# millimetres\no ").append(name.replaceAll("\\s+", " ").strip()).append('\n');
        for (int i = 0; i < m.pointCount(); i++) {
            b.append("v ").append((float) m.x(i)).append(' ').append((float) m.y(i)).append(' ').append((float) m.z(i)).append('\n');
        }
        for (int t = 0; t < m.triangleCount(); t++) {
            b.append("f ").append(m.corner(t, 0) + 1).append(' ').append(m.corner(t, 1) + 1).append(' ').append(m.corner(t, 2) + 1).append('\n');
        }
        Writer w = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        w.append(b);
        w.flush();
    }
}
