package tinperch.part.feature;

import java.util.List;
import tinperch.part.form.Cavity;
import tinperch.part.form.Joint;
import tinperch.solid.Solid;

/**
 * What a feature adds to its piece, in the piece's coordinates.
 *
 * @param adds joined to the piece, {@code cuts} taken away afterwards
 * @param joints how it meets another piece
 */
public record Made(List<Solid> adds, List<Solid> cuts, List<Cavity> cavities, List<Joint> joints) {
    public Made {
        adds = List.copyOf(adds);
        cuts = List.copyOf(cuts);
        cavities = List.copyOf(cavities);
        joints = List.copyOf(joints);
    }

    /** One that joins nothing. */
    public Made(List<Solid> adds, List<Solid> cuts, List<Cavity> cavities) {
        this(adds, cuts, cavities, List.of());
    }

    /** Only material added. */
    public static Made added(Solid... adds) {
        return new Made(List.of(adds), List.of(), List.of());
    }
}
