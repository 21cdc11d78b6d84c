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

/** Three models the club fetched: two that are true, one that is not. */
public final class DemoModels {
    /** The model the demo makes a part from. */
    static final String GUARD_ID = "model-guard";
    private static final MeshBlob BLOWER = MeshBlob.of(blower());
    private static final MeshBlob CARTRIDGE = MeshBlob.of(cartridge());

    private static final MeshBlob GUARD = MeshBlob.of(guard());

    private DemoModels() {}

    /** What the demo's machines name. */
    public static List<MeshBlob> blobs() {
        return List.of(BLOWER, CARTRIDGE, GUARD);
    }

    static Machine of(Machine m) {
        return switch (m.id()) {
            case "avocet" -> m.with(model("model-blower", "radial fan 50×15", BLOWER, blower(), List.of(
                    check("blower-holes", "two holes Ø 3.3 mm apart", 40, 39.98, 40.03),
                    check("blower-width", "length along x", 50, 50.11, 50.09), check("blower-depth", "length along z", 15, 15.1))));
            case "curlew" -> m.with(model("model-cartridge", "carbon and dust cartridge", CARTRIDGE, cartridge(), List.of(
                    check("cartridge-width", "length along x", 118, 120.1, 119.9),
                    check("cartridge-height", "length along y", 88, 90.0))));
            case "turnstone" -> m.with(model(GUARD_ID, "fan guard 40", GUARD, guard(), List.of(
                    check("guard-holes", "two holes Ø 3 mm apart", 32, 31.98, 32.03), check("guard-width", "length along x", 40, 39.92, 40.05))));
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

    /** A square frame with a bull's eye of thin rings on a cross. */
    private static Mesh guard() {
        List<Solid> body = new ArrayList<>(List.of(Leaf.extrusion("frame", Profile.roundedRectangle(0, 0, 40, 40, 4, 8), Placement.HERE, 0, 2.4)
                .minus(tube("mouth", 37, -1, 3.4))));
        for (double d : new double[] {12, 24}) {
            body.add(tube("ring " + d, d, 0, 2.4).minus(tube("within " + d, d - 3, -1, 3.4)));
        }
        body.add(Leaf.extrusion("bar", Profile.rectangle(0, 0, 38, 2), Placement.HERE, 0, 2.4));
        body.add(Leaf.extrusion("bar across", Profile.rectangle(0, 0, 2, 38), Placement.HERE, 0, 2.4));
        List<Solid> holes = new ArrayList<>();
        for (double[] p : new double[][] {{-16, -16}, {16, -16}, {16, 16}, {-16, 16}}) {
            holes.add(Leaf.extrusion("hole", Profile.disc(p[0], p[1], 3, 32), Placement.HERE, -1, 3.4));
        }
        return SolidKernel.evaluate(new Solid.Difference(new Solid.Union(body), holes), Tolerances.USUAL);
    }

    private static Leaf tube(String name, double d, double from, double to) {
        return Leaf.extrusion(name, Profile.disc(0, 0, d, 64), Placement.HERE, from, to);
    }

    private static Leaf round(String name, double x, double y, double d) {
        return Leaf.extrusion(name, Profile.disc(x, y, d, 48), Placement.HERE, name.equals("eye") ? 3 : -1, 16);
    }

    private static Mesh cartridge() {
        return SolidKernel.evaluate(Leaf.extrusion("frame", Profile.rectangle(0, 0, 118, 88), Placement.HERE, 0, 30).minus(
                Leaf.extrusion("pleats", Profile.rectangle(0, 0, 106, 76), Placement.HERE, 26, 31)), Tolerances.USUAL);
    }
}
