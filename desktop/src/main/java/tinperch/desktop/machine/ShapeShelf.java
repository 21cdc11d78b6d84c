package tinperch.desktop.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.application.Platform;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.desktop.desk.Desk;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.machine.space.HoledFace;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Shape;
import tinperch.measure.sheet.HolePattern;
import tinperch.measure.sheet.Sheet;
import tinperch.solid.Mesh;
import tinperch.workshop.Workshop;
import tinperch.workshop.background.Crew;

/**
 * The shapes of a machine's neighbours. Simple ones are made at once; downloaded models are boxes until their mesh has been
 * unpacked in the background.
 */
final class ShapeShelf {
    private static final Logger LOG = LoggerFactory.getLogger(ShapeShelf.class);

    private final Desk desk;
    private final Crew crew = new Crew("shapes", Platform::runLater);
    private final Runnable changed;
    private Map<String, Kept> kept = new HashMap<>();

    /** @param of everything the shape follows from: made anew when one of them is another */
    private record Kept(List<Object> of, Shape shape, List<HoledFace> faces) {}

    /** @param changed called when a shape took the place of its box */
    ShapeShelf(Desk desk, Runnable changed) {
        this.desk = desk;
        this.changed = changed;
    }

    /** A shape for every neighbour, by its id. */
    Map<String, Shape> of(Machine m) {
        Map<String, Kept> next = new HashMap<>();
        Map<String, Shape> shapes = new HashMap<>();
        for (Neighbour n : m.surroundings().neighbours()) {
            Optional<Sheet> sheet = n.form() == Neighbour.Form.PLATE ? m.sheet(n.of()) : Optional.empty();
            Optional<Model> model = n.form() == Neighbour.Form.MODEL ? m.model(n.of()) : Optional.empty();
            List<Object> of = List.of(n, sheet.map(Sheet::readings), model.map(Model::meshId), model.map(Model::scale));
            Kept known = kept.get(n.id());
            Kept now = known != null && known.of.equals(of) ? known : new Kept(of, make(n, sheet, model, of), List.of());
            next.put(n.id(), now);
            shapes.put(n.id(), now.shape);
        }
        kept = next;
        return shapes;
    }

    /** Faces with holes of a neighbour that is a downloaded model, once its mesh has been unpacked; none for others. */
    List<HoledFace> faces(String neighbourId) {
        Kept k = kept.get(neighbourId);
        return k == null ? List.of() : k.faces;
    }

    private Shape make(Neighbour n, Optional<Sheet> sheet, Optional<Model> model, List<Object> of) {
        Workshop workshop = desk.workshop();
        model.ifPresent(m -> crew.give(() -> workshop.meshBytes(m.meshId()).map(bytes -> unpacked(n, bytes, m)).orElse(null),
                made -> {
                    Kept now = kept.get(n.id());
                    if (made != null && now != null && now.of.equals(of)) {
                        kept.put(n.id(), new Kept(of, made.shape, made.faces));
                        changed.run();
                    }
                }));
        return Shape.of(n, new NeighbourMesh(id -> sheet.flatMap(HolePattern::of), id -> Optional.empty()));
    }

    private record Made(Shape shape, List<HoledFace> faces) {}

    private static Made unpacked(Neighbour n, byte[] bytes, Model model) {
        try {
            Mesh mesh = MeshBlob.mesh(bytes).scaled(model.scale());
            NeighbourMesh meshes = new NeighbourMesh(id -> Optional.empty(), id -> Optional.of(mesh));
            return new Made(Shape.of(n, meshes).ready(), HoledFace.of(meshes.of(n)));
        } catch (FileFault e) {
            LOG.warn("The mesh of {} cannot be unpacked", model.name(), e);
            return null;
        }
    }
}
