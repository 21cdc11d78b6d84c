package tinperch.part.bind;

import java.util.List;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * Something that stands near the part, at rest, as a box or a rod.
 *
 * @param rod whether it is round about its frame's z
 * @param sizeMm along its frame's axes
 * @param place its middle, in the frame of the site the part mounts on
 */
public record BodyRef(String name, boolean rod, Vec3 sizeMm, Placement place, Known known) implements Ref {
    /** Neither read on a sheet nor usual: it comes from the surroundings of one machine. */
    public static final RefKind<BodyRef> KIND = new RefKind<>(BodyRef.class, List.of(), s -> {
        throw new PartProblem("Only a neighbour can stand in the way; choose one.");
    });

    @Override
    public String says() {
        return Quantity.mm(sizeMm.x()) + " × " + Quantity.mm(sizeMm.y()) + " × " + Quantity.mm(sizeMm.z());
    }
}
