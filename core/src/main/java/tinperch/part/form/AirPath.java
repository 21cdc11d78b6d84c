package tinperch.part.form;

import java.util.List;
import tinperch.part.param.Lever;
import tinperch.solid.Placement;

/**
 * A way air is led through a part.
 *
 * @param label what a finding calls it, "air of the fan"
 * @param inletMm2 area it comes in by: that of the fan's opening
 * @param outletMm2 area it leaves by
 * @param outlet middle of the outlet in the assembly, z the way the air goes
 * @param wider what makes the outlet larger, in mm² for a mm
 * @param inside name of the leaf the air's room is cut by; empty where it is led in no skin of its own
 * @param thicker what makes that skin thicker
 */
public record AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider, String inside, List<Lever> thicker) {
    public AirPath {
        wider = List.copyOf(wider);
        thicker = List.copyOf(thicker);
    }

    /** One that is led in no skin. */
    public AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider) {
        this(label, inletMm2, outletMm2, outlet, wider, "", List.of());
    }
}
