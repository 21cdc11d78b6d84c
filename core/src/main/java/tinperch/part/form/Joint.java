package tinperch.part.form;

import java.util.List;
import tinperch.part.param.Lever;

/** How two pieces hold each other. */
public sealed interface Joint {
    /** What a finding calls it. */
    String label();

    /**
     * A ring that snaps over a bead.
     *
     * @param interferenceMm bead's diameter less the ring's
     * @param diameterMm of the ring's inside where it snaps
     * @param soften what lessens the interference
     */
    record AnnularSnap(String label, double interferenceMm, double diameterMm, List<Lever> soften) implements Joint {
        public AnnularSnap {
            soften = List.copyOf(soften);
        }
    }

    /**
     * A hook on an arm that bends.
     *
     * @param thicknessMm of the arm, {@code lengthMm} from its root to the hook, {@code undercutMm} how far it bends
     * @param soften what lessens the strain, by mm of undercut
     */
    record CantileverSnap(String label, double thicknessMm, double lengthMm, double undercutMm, List<Lever> soften) implements Joint {
        public CantileverSnap {
            soften = List.copyOf(soften);
        }
    }
}
