package tinperch.part.bind;

import java.util.List;
import java.util.stream.Collectors;
import tinperch.part.param.PartProblem;

/**
 * What stands round a site at rest that one can run into, with the room it wants.
 *
 * @param things in the frame of the site
 */
public record NearRef(List<Thing> things, Known known) implements Ref {
    /** Neither read on a sheet nor usual: it comes from the surroundings of one machine. */
    public static final RefKind<NearRef> KIND = new RefKind<>(NearRef.class, List.of(), s -> {
        throw new PartProblem("What stands round a site is drawn in a machine's surroundings; choose a site.");
    });

    public NearRef {
        things = List.copyOf(things);
    }

    /** One of them, mm. */
    public record Thing(BodyRef body, double clearanceMm) {}

    @Override
    public String name() {
        return "surroundings";
    }

    @Override
    public String says() {
        return things.stream().map(t -> t.body().name()).collect(Collectors.joining(", "));
    }
}
