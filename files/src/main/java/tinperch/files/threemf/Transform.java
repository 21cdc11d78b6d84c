package tinperch.files.threemf;

import java.util.Arrays;
import tinperch.files.FileFault;
import tinperch.files.MeshGrower;
import tinperch.solid.Mesh;

/** Where an object goes: three rows of a 3 × 3 matrix and a shift, as 3MF writes them; a row of coordinates is multiplied from the left. */
record Transform(double[] m) {
    static final Transform NONE = new Transform(new double[] {1, 0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0});

    /** @throws FileFault when the text is not twelve usable numbers, or flattens what it moves */
    static Transform of(String text) throws FileFault {
        if (text.isBlank()) {
            return NONE;
        }
        String[] words = text.strip().split("\\s+");
        double[] m = new double[12];
        try {
            for (int i = 0; i < 12; i++) {
                m[i] = Double.parseDouble(words[i]);
            }
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            throw broken();
        }
        Transform t = new Transform(m);
        if (words.length != 12 || !Arrays.stream(m).allMatch(v -> Math.abs(v) < 1e9) || !(Math.abs(t.volume()) > 1e-12)) {
            throw broken();
        }
        return t;
    }

    private static FileFault broken() {
        return new FileFault("A transform in the 3MF is not what it should be. Nothing was imported.");
    }

    /** How much larger it makes a volume; negative when it mirrors. */
    private double volume() {
        return m[0] * (m[4] * m[8] - m[5] * m[7]) - m[1] * (m[3] * m[8] - m[5] * m[6]) + m[2] * (m[3] * m[7] - m[4] * m[6]);
    }

    /** How it turns, scales and mirrors, without the shift, in words that are the same for the same. */
    String turn() {
        return Arrays.toString(Arrays.copyOf(m, 9));
    }

    /** This first, then another. */
    Transform then(Transform o) {
        double[] r = new double[12];
        for (int i = 0; i < 4; i++) {
            for (int j = 0; j < 3; j++) {
                double sum = i == 3 ? o.m[9 + j] : 0;
                for (int k = 0; k < 3; k++) {
                    sum += m[3 * i + k] * o.m[3 * k + j];
                }
                r[3 * i + j] = sum;
            }
        }
        return new Transform(r);
    }

    /** Puts a mesh there; one that is mirrored is turned inside out so that it looks outwards again. */
    void put(Mesh mesh, MeshGrower to) throws FileFault {
        int first = to.points();
        for (int p = 0; p < mesh.pointCount(); p++) {
            double x = mesh.x(p);
            double y = mesh.y(p);
            double z = mesh.z(p);
            to.point(x * m[0] + y * m[3] + z * m[6] + m[9], x * m[1] + y * m[4] + z * m[7] + m[10], x * m[2] + y * m[5] + z * m[8] + m[11]);
        }
        boolean mirrored = volume() < 0;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            int b = first + mesh.corner(t, mirrored ? 2 : 1);
            int c = first + mesh.corner(t, mirrored ? 1 : 2);
            to.triangle(first + mesh.corner(t, 0), b, c);
        }
    }
}
