package tinperch.workshop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.model.Model;
import tinperch.part.ModelBody;
import tinperch.part.bind.Binding;
import tinperch.part.bind.MeshRef;
import tinperch.part.family.FittedModel;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.edit.PartEdits;
import tinperch.workshop.engine.FactEngine;
import tinperch.workshop.store.WorkshopStore;

/** Parts made from downloaded models: where their bodies come from, and what is said when it does not. */
public class KeptModelsTest extends TempFolder {
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

    private KeptModels models() {
        return new KeptModels(id -> Optional.ofNullable(meshes.get(id)));
    }

    private String sentence(Model m) {
        return expectThrows(PartProblem.class, () -> models().body(MeshRef.of(m))).getMessage();
    }

    @Test
    public void aModelBecomesABodyInMm() {
        ModelBody b = models().body(MeshRef.of(kept(plate().scaled(1 / 25.4), 25.4)));
        assertEquals(b.leaf().bounds().size().x(), 30, 1e-4);
        assertEquals(b.rounds().get(0).diameter(), 4, 1e-3, "its file is in inches, its holes are in mm");
    }

    @Test
    public void itIsReadOnceFromAnyThread() throws Exception {
        KeptModels models = models();
        MeshRef ref = MeshRef.of(kept(plate(), 1));
        Set<ModelBody> bodies = ConcurrentHashMap.newKeySet();
        Thread[] all = new Thread[8];
        for (int i = 0; i < all.length; i++) {
            all[i] = new Thread(() -> bodies.add(models.body(ref)));
            all[i].start();
        }
        for (Thread t : all) {
            t.join();
        }
        assertEquals(bodies.size(), 1);
        assertSame(models.body(ref), bodies.iterator().next());
    }

    @Test
    public void whatIsLostBrokenOrTooFineIsSaid() {
        assertTrue(sentence(model("gone", 1, 12)).contains("The mesh of “clip” is lost"));
        meshes.put("bad", new byte[] {1, 2, 3});
        assertTrue(sentence(model("bad", 1, 12)).length() > 20);
        assertTrue(sentence(model("fine", 1, 500_000)).contains("it can still stand beside one as a neighbour"));
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
        assertTrue(sentence(kept(open, 1)).contains("is not closed"), sentence(kept(open, 1)));
    }

    /** In a workshop on disk: the edits of such a part are tried, kept and come back. */
    @Test
    public void aPartMadeFromAModelIsEditedAndComesBack() {
        Model model = kept(plate(), 1);
        var file = folder.resolve("w.db");
        try (Workshop w = new Workshop(WorkshopStore.open(file)); FactEngine engine = new FactEngine(Runnable::run)) {
            PartEdits edits = new PartEdits(w, engine);
            w.keep(MeshBlob.of(plate()));
            w.edit("bring it in", s -> with(model));
            w.edit("make a part", s -> s.with(new Upgrade("u", "m", "Clip", LocalDate.of(2026, 1, 5), Trouble.NONE, List.of(
                    PartDesign.of("p1", "fitted-model", "Clip", Values.START).bound("model", new Binding.OfModel("k"))), "m")));
            assertEquals(edits.set("u", "p1", FittedModel.BORED, "M4"), Optional.empty());
            assertTrue(edits.set("u", "p1", FittedModel.ONLY, "9").orElseThrow().contains("it has 4 mm"));
            assertTrue(edits.set("u", "p1", FittedModel.BORED, "M3").orElseThrow().contains("made smaller"));
            assertEquals(edits.set("u", "p1", FittedModel.DOWN, "left"), Optional.empty());
        }
        try (Workshop w = new Workshop(WorkshopStore.open(file))) {
            PartDesign back = w.state().part("u", "p1").orElseThrow();
            assertEquals(back.bindings(), Map.of("model", new Binding.OfModel("k")));
            assertEquals(back.values().choices(), Map.of("holes.for", "M4", "base.down", "left"));
            Case c = Case.of(w.state().upgrade("u").orElseThrow(), "p1", w.shop(), "R1");
            assertEquals(new FactsOnce(c).get(MeshesFact.BARE).pieces().get(0).mesh().bounds().size().z(), 30, 1e-5, "it lies on its left side");
        }
    }
}
