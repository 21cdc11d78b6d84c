package tinperch.part.bind;

import java.util.List;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
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

    /**
     * The box round it, lowest and highest along x, y, z, seen from a part.
     *
     * @param mount where the site is, seen from the part
     */
    public Bounds seenFrom(Placement mount) {
        Placement there = mount.times(place);
        Vec3 half = sizeMm.times(0.5);
        Vec3 low = new Vec3(Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE);
        Vec3 high = low.times(-1);
        for (int k = 0; k < 8; k++) {
            Vec3 p = there.point((k & 1) == 0 ? -half.x() : half.x(), (k & 2) == 0 ? -half.y() : half.y(), (k & 4) == 0 ? -half.z() : half.z());
            low = new Vec3(Math.min(low.x(), p.x()), Math.min(low.y(), p.y()), Math.min(low.z(), p.z()));
            high = new Vec3(Math.max(high.x(), p.x()), Math.max(high.y(), p.y()), Math.max(high.z(), p.z()));
        }
        return new Bounds(low, high);
    }

    @Override
    public String says() {
        return Quantity.mm(sizeMm.x()) + " × " + Quantity.mm(sizeMm.y()) + " × " + Quantity.mm(sizeMm.z());
    }
}
