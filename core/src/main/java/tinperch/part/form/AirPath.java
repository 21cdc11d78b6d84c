package tinperch.part.form;

import java.util.List;
import java.util.Optional;
import tinperch.air.FilterMedium;
import tinperch.air.UsualFan;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.Lever;
import tinperch.part.param.Values;
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
 * @param fan what drives it; empty where no usual fan is like it
 * @param filterMm2 face of a filter it goes through; 0 for none
 * @param medium what that is filled with; empty where nobody has said
 * @param filling what says so; empty without a filter
 */
public record AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider, String inside, List<Lever> thicker, Optional<Intake> intake, Optional<UsualFan> fan, double filterMm2, Optional<FilterMedium> medium, Optional<ChoiceParam<Optional<String>>> filling) {
    public AirPath {
        wider = List.copyOf(wider);
        thicker = List.copyOf(thicker);
    }

    /** One that is led in no skin. */
    public AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider) {
        this(label, inletMm2, outletMm2, outlet, wider, "", List.of());
    }

    /** One that is led in a skin, from nowhere that is known. */
    public AirPath(String label, double inletMm2, double outletMm2, Placement outlet, List<Lever> wider, String inside, List<Lever> thicker) {
        this(label, inletMm2, outletMm2, outlet, wider, inside, thicker, Optional.empty(), Optional.empty(), 0, Optional.empty(), Optional.empty());
    }

    /** What moves the air, as a finding calls it: "40 mm fan". */
    public String mover() {
        return label.replaceFirst("^air of ", "");
    }

    /**
     * Where a fan draws its air in.
     *
     * @param at the opening's middle in the assembly, z away from the fan
     */
    public record Intake(Placement at, double diameterMm) {}

    /** With the fan's intake. */
    public AirPath from(Placement at, double diameterMm) {
        return new AirPath(label, inletMm2, outletMm2, outlet, wider, inside, thicker, Optional.of(new Intake(at, diameterMm)), fan, filterMm2, medium, filling);
    }

    /** Driven by a fan. */
    public AirPath drivenBy(Optional<UsualFan> next) {
        return new AirPath(label, inletMm2, outletMm2, outlet, wider, inside, thicker, intake, next, filterMm2, medium, filling);
    }

    /** Through a filter of a face, mm², filled with what a choice says. */
    public AirPath filtered(double faceMm2, ChoiceParam<Optional<String>> with, Values values) {
        return new AirPath(label, inletMm2, outletMm2, outlet, wider, inside, thicker, intake, fan, faceMm2, with.of(values).flatMap(FilterMedium::of), Optional.of(with));
    }
}
