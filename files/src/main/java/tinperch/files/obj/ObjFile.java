package tinperch.files.obj;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.StringTokenizer;
import tinperch.files.FileFault;
import tinperch.files.MeshGrower;
import tinperch.solid.Mesh;

/** Reads the points and faces of an OBJ; names, materials and other files it speaks of are passed over. */
public final class ObjFile {
    private static final int MOST_CORNERS = 10_000;

    private ObjFile() {}

    /**
     * Reads all faces of all objects in it as one mesh; faces with more than three corners become fans.
     *
     * @throws FileFault when a line cannot be used or there is no face
     */
    public static Mesh read(InputStream in) throws IOException {
        MeshGrower grown = new MeshGrower();
        BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.ISO_8859_1), 1 << 16);
        int number = 0;
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            number++;
            try {
                if (line.startsWith("v ")) {
                    StringTokenizer words = new StringTokenizer(line.substring(2));
                    grown.point(Double.parseDouble(words.nextToken()), Double.parseDouble(words.nextToken()),
                            Double.parseDouble(words.nextToken()));
                } else if (line.startsWith("f ")) {
                    face(line, grown);
                }
            } catch (NumberFormatException | java.util.NoSuchElementException | IndexOutOfBoundsException e) {
                throw new FileFault("Line " + number + " of the OBJ is not what it should be. Nothing was imported; fetch or "
                        + "export it again.", e);
            }
        }
        if (grown.triangles() == 0) {
            throw new FileFault("The OBJ holds no faces. Nothing was imported.");
        }
        return grown.mesh();
    }

    private static void face(String line, MeshGrower grown) throws FileFault {
        StringTokenizer words = new StringTokenizer(line.substring(2));
        if (words.countTokens() < 3 || words.countTokens() > MOST_CORNERS) {
            throw new NumberFormatException("a face has three corners or more");
        }
        int first = corner(words.nextToken(), grown.points());
        int before = corner(words.nextToken(), grown.points());
        while (words.hasMoreTokens()) {
            int next = corner(words.nextToken(), grown.points());
            grown.triangle(first, before, next);
            before = next;
        }
    }

    /** "7", "7/1/3" or "-1" for the newest point. */
    private static int corner(String word, int points) {
        int slash = word.indexOf('/');
        int n = Integer.parseInt(slash < 0 ? word : word.substring(0, slash));
        int p = n < 0 ? points + n : n - 1;
        if (p < 0 || p >= points) {
            throw new IndexOutOfBoundsException("no such point");
        }
        return p;
    }
}
