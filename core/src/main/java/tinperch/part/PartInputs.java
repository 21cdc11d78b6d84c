package tinperch.part;

import tinperch.hardware.Fits;
import tinperch.hardware.HardwareTables;
import tinperch.part.bind.Ref;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;

/**
 * Everything a family may look at.
 *
 * @param refs what its roles are resolved to
 * @param holeOffsetMm added to hole diameters for the machine that prints it, {@code fits} to everything else that must fit
 * @param models bodies of downloaded models
 */
public record PartInputs(Values values, Refs refs, HardwareTables hardware, double holeOffsetMm, Fits fits, Models models) {
    /** With other values. */
    public PartInputs with(Values next) {
        return new PartInputs(next, refs, hardware, holeOffsetMm, fits, models);
    }

    /** The value of a parameter. */
    public <T> T get(Param<T> param) {
        return param.of(values);
    }

    /**
     * What a role is resolved to.
     *
     * @throws PartProblem when it is resolved to nothing
     */
    public <R extends Ref> R get(Role<R> role) {
        return refs.of(role).orElseThrow(() -> new PartProblem("“" + role.label() + "” is bound to nothing that can be used; "
                + "choose a usual size or measure " + role.ask() + " on the Measure station."));
    }
}
