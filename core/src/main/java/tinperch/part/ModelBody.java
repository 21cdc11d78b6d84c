package tinperch.part;

import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.query.MeshRounds;
import tinperch.solid.shape.MeshMending;

/**
 * A model somebody else drew, ready to be cut, mm.
 *
 * @param mesh where its file has it
 * @param leaf the same as a leaf to cut
 * @param rounds the round holes and pegs found in it, in the same coordinates
 */
public record ModelBody(Mesh mesh, Leaf leaf, List<MeshRounds.Round> rounds) {
    private static final double WELD_MM = 1e-4;

    public ModelBody {
        rounds = List.copyOf(rounds);
    }

    /**
     * A body of a mesh in mm.
     *
     * @throws SolidException when it is open or too fine to be cut
     */
    public static ModelBody of(String name, Mesh mesh) {
        return new ModelBody(mesh, MeshMending.mend(name, mesh, WELD_MM).leaf(), MeshRounds.of(mesh));
    }
}
