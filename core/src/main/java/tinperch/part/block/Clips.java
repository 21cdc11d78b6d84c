package tinperch.part.block;

import java.util.List;
import tinperch.part.form.Held;
import tinperch.part.form.Joint;
import tinperch.solid.Solid;

/**
 * What holds a plate on something without screws, in the frame of the plate lying on z = 0.
 *
 * @param adds joined to the plate, {@code cuts} taken away afterwards
 * @param held what it clips onto
 */
public record Clips(List<Solid> adds, List<Solid> cuts, List<Held> held, List<Joint> joints) {
    public Clips {
        adds = List.copyOf(adds);
        cuts = List.copyOf(cuts);
        held = List.copyOf(held);
        joints = List.copyOf(joints);
    }
}
