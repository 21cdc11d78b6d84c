package tinperch.part.feature;

import java.util.List;
import tinperch.part.form.Cavity;
import tinperch.part.form.Joint;
import tinperch.part.form.Screw;
import tinperch.solid.Solid;

/**
 * What a feature adds to its piece, in the piece's coordinates.
 *
 * @param adds joined to the piece, {@code cuts} taken away afterwards
 * @param joints how it meets another piece
 * @param screws that go through it
 */
public record Made(List<Solid> adds, List<Solid> cuts, List<Cavity> cavities, List<Joint> joints, List<Screw> screws) {
    public Made {
        adds = List.copyOf(adds);
        cuts = List.copyOf(cuts);
        cavities = List.copyOf(cavities);
        joints = List.copyOf(joints);
        screws = List.copyOf(screws);
    }

    /** One that joins nothing. */
    public Made(List<Solid> adds, List<Solid> cuts, List<Cavity> cavities) {
        this(adds, cuts, cavities, List.of(), List.of());
    }

    /** One that no screw goes through. */
    public Made(List<Solid> adds, List<Solid> cuts, List<Cavity> cavities, List<Joint> joints) {
        this(adds, cuts, cavities, joints, List.of());
    }

    /** Only material added. */
    public static Made added(Solid... adds) {
        return new Made(List.of(adds), List.of(), List.of());
    }
}
