package tinperch.part.bind;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Quantity;

/**
 * An axial fan with a square frame.
 *
 * @param frameMm its frame, mm
 * @param depthMm its depth, mm
 * @param ringMm diameter of its opening, mm; 0 when not known
 * @param holes of its corners; empty when not known
 */
public record FanRef(String name, double frameMm, double depthMm, double ringMm, Optional<HolesRef> holes, Known known) implements Ref {
    public static final RefKind<FanRef> KIND = new RefKind<>(FanRef.class, List.of("fan"),
            FanRef::of);

    private static FanRef of(Sizes s) {
        boolean pattern = s.maybe("outside").isPresent() && s.maybe("inside").isPresent();
        Optional<HolesRef> holes = pattern ? Optional.of(HolesRef.KIND.maker().apply(s)) : Optional.empty();
        double frame = s.need("frame");
        double depth = s.need("depth");
        double ring = s.maybe("ring").orElse(0);
        return new FanRef(s.name(), frame, depth, ring, holes, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(frameMm) + " × " + Quantity.mm(depthMm);
    }
}
