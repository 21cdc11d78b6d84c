package tinperch.files.obj;

import java.io.IOException;
import java.io.InputStream;
import java.util.StringTokenizer;
import tinperch.files.BoundedLines;
import tinperch.files.FileFault;
import tinperch.files.MeshGrower;
import tinperch.solid.Mesh;

/** Reads the points and faces of an OBJ; names, materials and other files it speaks of are passed over. */
public final class ObjFile {
    private static final int MOST_CORNERS = 10_000;
    private static final int LONGEST_LINE = 1 << 20;

    private ObjFile() {}

    /**
     * Reads all faces of all objects in it as one mesh; faces with more than three corners are cut into triangles that stay within them.
     *
     * @throws FileFault when a line cannot be used or there is no face
     */
    public static Mesh read(InputStream in) throws IOException {
        MeshGrower grown = new MeshGrower();
        BoundedLines lines = new BoundedLines(in, LONGEST_LINE);
        for (String line = whole(lines); line != null; line = whole(lines)) {
            try {
                StringTokenizer words = new StringTokenizer(line);
                String what = words.hasMoreTokens() ? words.nextToken() : "";
                if (what.equals("v")) {
                    grown.point(Double.parseDouble(words.nextToken()), Double.parseDouble(words.nextToken()), Double.parseDouble(words.nextToken()));
                } else if (what.equals("f")) {
                    face(words, grown, lines.number());
                }
            } catch (NumberFormatException | java.util.NoSuchElementException | IndexOutOfBoundsException e) {
                throw broken(lines.number(), e);
            }
        }
        if (grown.triangles() == 0) {
            throw new FileFault("The OBJ holds no faces. Nothing was imported.");
        }
        return grown.mesh();
    }

    private static FileFault broken(long line, Exception e) {
        return new FileFault("Line " + line + " of the OBJ is not what it should be. Nothing was imported; fetch or export it again.", e);
    }

    /** A line with those a backslash at its end joins to it; null after the last. */
    private static String whole(BoundedLines lines) throws IOException {
        String line = lines.next();
        StringBuilder all = null;
        while (line != null && line.endsWith("\\")) {
            all = all == null ? new StringBuilder() : all;
            all.append(line, 0, line.length() - 1).append(' ');
            line = lines.next();
            if (all.length() > LONGEST_LINE) {
                throw broken(lines.number(), null);
            }
        }
        if (lines.isTooLong()) {
            throw broken(lines.number(), null);
        }
        return all == null ? line : all.append(line == null ? "" : line).toString();
    }

    private static void face(StringTokenizer words, MeshGrower grown, long line) throws FileFault {
        int n = words.countTokens();
        if (n < 3 || n > MOST_CORNERS) {
            throw new NumberFormatException("a face has three corners or more");
        }
        int[] corners = new int[n];
        for (int i = 0; i < n; i++) {
            corners[i] = corner(words.nextToken(), grown.points());
        }
        if (n == 3) {
            grown.triangle(corners[0], corners[1], corners[2]);
            return;
        }
        int[] cut = Ears.cut(corners, grown);
        if (cut.length == 0) {
            throw new FileFault("The face on line " + line + " of the OBJ crosses itself; it cannot be told what is inside. Nothing was imported; export the model as triangles.");
        }
        for (int i = 0; i < cut.length; i += 3) {
            grown.triangle(cut[i], cut[i + 1], cut[i + 2]);
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
