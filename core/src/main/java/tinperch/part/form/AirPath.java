package tinperch.part.form;

import java.util.List;
import java.util.Optional;
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
 * @param intake where the fan draws it in; empty where that is not known
 */
public record AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider, String inside, List<Lever> thicker, Optional<Intake> intake) {
    public AirPath {
        wider = List.copyOf(wider);
        thicker = List.copyOf(thicker);
    }

    /** One that is led in no skin. */
    public AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider) {
        this(label, inletMm2, outletMm2, outlet, wider, "", List.of(), Optional.empty());
    }

    /**
     * Where a fan draws its air in.
     *
     * @param at the opening's middle in the assembly, z away from the fan
     */
    public record Intake(Placement at, double diameterMm) {}

    /** With the fan's intake. */
    public AirPath from(Placement at, double diameterMm) {
        return new AirPath(label, inletMm2, outletMm2, outlet, wider, inside, thicker, Optional.of(new Intake(at, diameterMm)));
    }
}
