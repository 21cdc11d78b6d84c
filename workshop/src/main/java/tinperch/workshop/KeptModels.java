package tinperch.workshop;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.part.ModelBody;
import tinperch.part.Models;
import tinperch.part.bind.MeshRef;
import tinperch.part.param.PartProblem;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.shape.MeshMending;

/** Models kept in the workshop, by the sum of their bytes; each is read once. Safe on any thread. */
public final class KeptModels implements Models {
    private final Function<String, Optional<byte[]>> meshBytes;
    private final Map<Key, Mesh> meshes = new ConcurrentHashMap<>();
    private final Map<Key, ModelBody> bodies = new ConcurrentHashMap<>();

    private record Key(String meshId, double scale) {
        static Key of(MeshRef ref) {
            return new Key(ref.meshId(), ref.scale());
        }
    }

    /** @param meshBytes the bytes of a kept mesh by its id, on any thread; empty when it is lost */
    public KeptModels(Function<String, Optional<byte[]>> meshBytes) {
        this.meshBytes = meshBytes;
    }

    @Override
    public Mesh mesh(MeshRef ref) {
        return meshes.computeIfAbsent(Key.of(ref), k -> {
            try {
                return MeshBlob.mesh(meshBytes.apply(ref.meshId()).orElseThrow(() -> new PartProblem("The mesh of “" + ref.name()
                        + "” is lost; bring the model in again."))).scaled(ref.scale());
            } catch (FileFault e) {
                throw new PartProblem(e.getMessage());
            }
        });
    }

    @Override
    public ModelBody body(MeshRef ref) {
        if (ref.triangles() > MeshMending.MOST_FOR_CUTTING) {
            throw new PartProblem("“" + ref.name() + "” has " + ref.triangles() + " triangles, more than the " + MeshMending.MOST_FOR_CUTTING
                    + " a part can be made from; it can still stand beside one as a neighbour.");
        }
        return bodies.computeIfAbsent(Key.of(ref), k -> {
            try {
                return ModelBody.of(ref.name(), mesh(ref));
            } catch (SolidException e) {
                throw new PartProblem(e.getMessage());
            }
        });
    }
}
