package tinperch.part;

import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.query.MeshRounds;

/**
 * A model somebody else drew, to be made to fit, mm.
 *
 * @param name as kept with the machine
 * @param body its closed surface, where its file has it
 * @param rounds the round holes and pegs found in it, in the same coordinates
 */
public record Base(String name, Leaf body, List<MeshRounds.Round> rounds) {
    public Base {
        rounds = List.copyOf(rounds);
    }
}
