package tinperch.part.bind;

import java.util.List;
import java.util.stream.Collectors;
import tinperch.part.param.PartProblem;

/**
 * What a hand or a tool must get to round a site: switches, sockets, waste openings, as zones at rest.
 *
 * @param zones in the frame of the site
 */
public record AccessRef(List<BodyRef> zones, Known known) implements Ref {
    /** Neither read on a sheet nor usual: it comes from the surroundings of one machine. */
    public static final RefKind<AccessRef> KIND = new RefKind<>(AccessRef.class, List.of(), s -> {
        throw new PartProblem("Access zones are drawn in a machine's surroundings; choose a site.");
    });

    public AccessRef {
        zones = List.copyOf(zones);
    }

    @Override
    public String name() {
        return "access";
    }

    @Override
    public String says() {
        return zones.stream().map(BodyRef::name).collect(Collectors.joining(", "));
    }
}
