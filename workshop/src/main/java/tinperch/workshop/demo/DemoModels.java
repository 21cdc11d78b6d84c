package tinperch.workshop.demo;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.machine.model.ModelCheck;
import tinperch.measure.Reading;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;

/** Two models the club fetched: one that is true, one that is not. */
public final class DemoModels {
    private static final MeshBlob BLOWER = MeshBlob.of(blower());
    private static final MeshBlob CARTRIDGE = MeshBlob.of(cartridge());

    private DemoModels() {}

    /** What the demo's machines name. */
    public static List<MeshBlob> blobs() {
        return List.of(BLOWER, CARTRIDGE);
    }

    static Machine of(Machine m) {
        return switch (m.id()) {
            case "avocet" -> m.with(model("model-blower", "radial fan 50×15", BLOWER, blower(), List.of(
                    check("blower-holes", "two holes Ø 3.3 mm apart", 40, 39.98, 40.03),
                    check("blower-width", "length along x", 50, 50.11, 50.09), check("blower-depth", "length along z", 15, 15.1))));
            case "curlew" -> m.with(model("model-cartridge", "carbon and dust cartridge", CARTRIDGE, cartridge(), List.of(
                    check("cartridge-width", "length along x", 118, 120.1, 119.9),
                    check("cartridge-height", "length along y", 88, 90.0))));
            default -> m;
        };
    }

    private static ModelCheck check(String id, String what, double found, double... readings) {
        List<Reading> list = new ArrayList<>();
        for (double r : readings) {
            list.add(new Reading(r, LocalDateTime.of(2026, 5, 9, 14, list.size()).toInstant(ZoneOffset.UTC), "calipers, drawer 2"));
        }
        return new ModelCheck(id, what, found, list);
    }

    private static Model model(String id, String name, MeshBlob blob, Mesh mesh, List<ModelCheck> checks) {
        return new Model(id, name, blob.id(), 1, mesh.triangleCount(), mesh.bounds().size(),
                "Nothing needed mending. The surface is closed.", checks);
    }

    private static Mesh blower() {
        Solid housing = Solid.union(Leaf.extrusion("volute", Profile.disc(0, 0, 50, 72), Placement.HERE, 0, 15),
                Leaf.extrusion("outlet", Profile.rectangle(13, 12.5, 24, 25), Placement.HERE, 0, 15),
                Leaf.extrusion("ears", Profile.rectangle(0, 20, 48, 8), Placement.HERE, 0, 15),
                Leaf.extrusion("ears below", Profile.rectangle(0, -20, 48, 8), Placement.HERE, 0, 15));
        return SolidKernel.evaluate(housing.minus(round("eye", 0, 0, 31.5), round("a", -20, -20, 3.3), round("b", 20, -20, 3.3),
                round("c", 20, 20, 3.3), round("d", -20, 20, 3.3)), Tolerances.USUAL);
    }

    private static Leaf round(String name, double x, double y, double d) {
        return Leaf.extrusion(name, Profile.disc(x, y, d, 48), Placement.HERE, name.equals("eye") ? 3 : -1, 16);
    }

    private static Mesh cartridge() {
        return SolidKernel.evaluate(Leaf.extrusion("frame", Profile.rectangle(0, 0, 118, 88), Placement.HERE, 0, 30).minus(
                Leaf.extrusion("pleats", Profile.rectangle(0, 0, 106, 76), Placement.HERE, 26, 31)), Tolerances.USUAL);
    }
}
