package tinperch.part;

import java.util.Map;
import java.util.Optional;
import tinperch.hardware.HardwareTables;

/**
 * Everything a family may look at.
 *
 * @param patterns measured patterns by role
 * @param holeOffsetMm added to hole diameters for the machine that prints it
 * @param mark text to engrave, "R3"; may be empty
 * @param base the model it is made from
 */
public record PartInputs(Values values, Map<String, HolePattern> patterns, HardwareTables hardware,
        double holeOffsetMm, String mark, Optional<Base> base) {
    public PartInputs {
        patterns = Map.copyOf(patterns);
    }

    /** For a part drawn from nothing. */
    public PartInputs(Values values, Map<String, HolePattern> patterns, HardwareTables hardware, double holeOffsetMm, String mark) {
        this(values, patterns, hardware, holeOffsetMm, mark, Optional.empty());
    }

    /** @throws PartProblem when the pattern has not been measured */
    public HolePattern pattern(String role) {
        HolePattern p = patterns.get(role);
        if (p == null) {
            throw new PartProblem(role, "The " + role + " pattern has not been measured yet; read at least one horizontal "
                    + "and one vertical pair on the Measure station.");
        }
        return p;
    }
}
