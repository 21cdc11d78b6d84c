package tinperch.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.model.Model;
import tinperch.part.Base;
import tinperch.part.PartDesign;
import tinperch.part.PartProblem;
import tinperch.part.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.workshop.edit.PartEdits;
import tinperch.workshop.store.WorkshopStore;

/** Parts made from downloaded models: where their base comes from, and what is said when it does not. */
public class KeptBasesTest extends TempFolder {
    private final Map<String, byte[]> meshes = new HashMap<>();

    private static Mesh plate() {
        return SolidKernel.evaluate(Leaf.extrusion("plate", Profile.rectangle(0, 0, 30, 20), Placement.HERE, 0, 4)
                .minus(Leaf.extrusion("hole", Profile.disc(0, 0, 4, 48), Placement.HERE, -1, 5)), Tolerances.USUAL);
    }

    private static WorkshopState with(Model... models) {
        Machine m = new Machine("m", "Mill", Machine.Kind.CUBE, "", new Machine.Space(200, 200, 200), 0.4, true, 24, 0.2,
                List.of("PLA", "PETG"), Machine.State.FIT, "", Book.EMPTY);
        for (Model model : models) {
            m = m.with(model);
        }
        return WorkshopState.EMPTY.with(m);
    }

    private static Model model(String meshId, double scale, int triangles) {
        return new Model("k", "clip", meshId, scale, triangles, new Vec3(30, 20, 4), "", List.of());
    }

    private Model kept(Mesh mesh, double scale) {
        MeshBlob blob = MeshBlob.of(mesh);
        meshes.put(blob.id(), blob.bytes());
        return model(blob.id(), scale, mesh.triangleCount());
    }

    private KeptBases bases(WorkshopState state) {
        return new KeptBases(() -> state, id -> Optional.ofNullable(meshes.get(id)));
    }

    private static String sentence(KeptBases bases) {
        return expectThrows(PartProblem.class, () -> bases.base("k")).getMessage();
    }

    @Test
    public void aModelBecomesABaseInMm() {
        Base b = bases(with(kept(plate().scaled(1 / 25.4), 25.4))).base("k");
        assertEquals(b.name(), "clip");
        assertEquals(b.body().bounds().size().x(), 30, 1e-4);
        assertEquals(b.rounds().get(0).diameter(), 4, 1e-3, "its file is in inches, its holes are in mm");
    }

    @Test
    public void itIsReadOnce() {
        KeptBases bases = bases(with(kept(plate(), 1)));
        assertSame(bases.base("k"), bases.base("k"));
    }

    @Test
    public void whatIsLostBrokenOrTooFineIsSaid() {
        assertTrue(sentence(bases(with())).contains("bring it in again"));
        assertTrue(sentence(bases(with(model("gone", 1, 12)))).contains("The mesh of “clip” is lost"));
        meshes.put("bad", new byte[] {1, 2, 3});
        assertTrue(sentence(bases(with(model("bad", 1, 12)))).length() > 20);
        assertTrue(sentence(bases(with(model("fine", 1, 500_000)))).contains("it can still stand beside one as a neighbour"));
        // A cup without its lid: a gap of 96 edges is no slip of a file that could be mended.
        Mesh whole = SolidKernel.evaluate(Leaf.extrusion("cup", Profile.disc(0, 0, 20, 96), Placement.HERE, 0, 9), Tolerances.USUAL);
        double[] xyz = new double[3 * whole.pointCount()];
        for (int i = 0; i < whole.pointCount(); i++) {
            xyz[3 * i] = whole.x(i);
            xyz[3 * i + 1] = whole.y(i);
            xyz[3 * i + 2] = whole.z(i);
        }
        int[] some = IntStream.range(0, whole.triangleCount()).filter(t -> IntStream.range(0, 3).anyMatch(k -> whole.z(whole.corner(t, k)) < 8))
                .flatMap(t -> IntStream.range(0, 3).map(k -> whole.corner(t, k))).toArray();
        Mesh open = new Mesh(xyz, some, new int[some.length / 3], List.of(new Mesh.Face("cup", Vec3.Z, 0, List.of())));
        assertTrue(sentence(bases(with(kept(open, 1)))).contains("is not closed"), sentence(bases(with(kept(open, 1)))));
    }

    /** In a workshop on disk: the edits of such a part are tried, kept and come back. */
    @Test
    public void aPartMadeFromAModelIsEditedAndComesBack() {
        Model model = kept(plate(), 1);
        var file = folder.resolve("w.db");
        try (Workshop w = new Workshop(WorkshopStore.open(file))) {
            w.keep(MeshBlob.of(plate()));
            w.edit("bring it in", s -> with(model));
            w.edit("make a part", s -> s.with(new tinperch.upgrade.Upgrade("u", "m", "Clip", java.time.LocalDate.of(2026, 1, 5),
                    tinperch.upgrade.Trouble.NONE, Map.of(), Optional.of(new PartDesign("fitted-model", "Clip", new Values(Map.of(), Map.of()),
                            "PETG", "k")), "m")));
            assertEquals(PartEdits.set(w, "u", "holes.for", "M4"), Optional.empty());
            assertTrue(PartEdits.set(w, "u", "holes.of", "9").orElseThrow().contains("it has 4 mm"));
            assertTrue(PartEdits.set(w, "u", "holes.for", "M3").orElseThrow().contains("made smaller"));
            assertEquals(PartEdits.set(w, "u", "base.down", "left"), Optional.empty());
        }
        try (Workshop w = new Workshop(WorkshopStore.open(file))) {
            PartDesign back = w.state().upgrade("u").orElseThrow().part().orElseThrow();
            assertEquals(back.base(), "k");
            assertEquals(back.values().choices(), Map.of("holes.for", "M4", "base.down", "left"));
            var form = tinperch.upgrade.Assessor.form(w.state().upgrade("u").orElseThrow(), w.shop(), "R1");
            assertEquals(form.bounds().size().z(), 30, 1e-5, "it lies on its left side");
        }
    }
}
