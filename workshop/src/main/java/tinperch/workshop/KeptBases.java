package tinperch.workshop;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.machine.model.Model;
import tinperch.part.Base;
import tinperch.part.Bases;
import tinperch.part.PartProblem;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.shape.MeshMending;

/** Bases made of the models kept in the workshop; each is read once. */
public final class KeptBases implements Bases {
    private final Supplier<WorkshopState> state;
    private final Function<String, Optional<byte[]>> meshBytes;
    private final Map<Key, Base> made = new HashMap<>();

    private record Key(String meshId, double scale) {}

    /** @param meshBytes the bytes of a kept mesh by its id; empty when it is lost */
    public KeptBases(Supplier<WorkshopState> state, Function<String, Optional<byte[]>> meshBytes) {
        this.state = state;
        this.meshBytes = meshBytes;
    }

    @Override
    public Base base(String modelId) {
        Model m = state.get().machines().stream().flatMap(k -> k.model(modelId).stream()).findFirst().orElse(null);
        if (m == null) {
            return NONE.base(modelId);
        }
        if (m.triangles() > MeshMending.MOST_FOR_CUTTING) {
            throw new PartProblem("", "“" + m.name() + "” has " + m.triangles() + " triangles, more than the "
                    + MeshMending.MOST_FOR_CUTTING + " a part can be made from; it can still stand beside one as a neighbour.");
        }
        return made.computeIfAbsent(new Key(m.meshId(), m.scale()), k -> read(m));
    }

    private Base read(Model m) {
        try {
            Mesh mesh = MeshBlob.mesh(meshBytes.apply(m.meshId()).orElseThrow(() -> new PartProblem("",
                    "The mesh of “" + m.name() + "” is lost; bring the model in again."))).scaled(m.scale());
            return Base.of(m.name(), mesh);
        } catch (FileFault | SolidException e) {
            throw new PartProblem("", e.getMessage());
        }
    }
}
