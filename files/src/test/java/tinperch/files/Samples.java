package tinperch.files;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Map;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;

/** Meshes and files for the tests of this module. */
final class Samples {
    private Samples() {}

    /** A plate with a skew hole: numbers that are not round in binary. */
    static Mesh mesh() {
        return SolidKernel.evaluate(Leaf.extrusion("plate", Profile.roundedRectangle(1.1, 2.2, 40.3, 30.7, 4, 6),
                Placement.HERE, 0, 5.3).minus(Leaf.extrusion("hole", Profile.hole(0, 0, 6.1, 24),
                Placement.along(new Vec3(0, 0, -5), new Vec3(0.2, 0.1, 1), Vec3.X), 0, 20)), Tolerances.USUAL);
    }

    static byte[] stl(Mesh m) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        StlFile.write(m, "plate R1", out);
        return out.toByteArray();
    }

    static byte[] threeMf(Mesh m) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ThreeMfFile.write(m, "Plate <R1> & “more”", Map.of("Description", "Revision 1"), out);
        return out.toByteArray();
    }
}
