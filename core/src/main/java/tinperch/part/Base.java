package tinperch.part;

import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.query.MeshRounds;
import tinperch.solid.shape.MeshMending;

/**
 * A model somebody else drew, to be made to fit, mm.
 *
 * @param name as kept with the machine
 * @param mesh where its file has it
 * @param body the same as a leaf to cut
 * @param rounds the round holes and pegs found in it, in the same coordinates
 */
public record Base(String name, Mesh mesh, Leaf body, List<MeshRounds.Round> rounds) {
    private static final double WELD_MM = 1e-4;

    public Base {
        rounds = List.copyOf(rounds);
    }

    /**
     * A base of a mesh in mm.
     *
     * @throws SolidException when it is open or too fine to be cut
     */
    public static Base of(String name, Mesh mesh) {
        return new Base(name, mesh, MeshMending.mend(name, mesh, WELD_MM).leaf(), MeshRounds.of(mesh));
    }
}
