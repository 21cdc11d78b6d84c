package tinperch.part.bind;

import java.util.List;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;

/**
 * The lowest point of something that stands near the part, as the tip of a nozzle, at rest.
 *
 * @param tip in the frame of the site the part mounts on, mm
 * @param down the way it looks there, unit
 */
public record TipRef(String name, Vec3 tip, Vec3 down, Known known) implements Ref {
    /** Neither read on a sheet nor usual: it comes from the surroundings of one machine. */
    public static final RefKind<TipRef> KIND = new RefKind<>(TipRef.class, List.of(), s -> {
        throw new PartProblem("Only a neighbour has a tip; choose one.");
    });

    @Override
    public String says() {
        return Quantity.fixed(tip.x(), 1) + ", " + Quantity.fixed(tip.y(), 1) + ", " + Quantity.mm(tip.z()) + " from the site";
    }
}
