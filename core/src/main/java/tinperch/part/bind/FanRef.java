package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * An axial fan with a square frame.
 *
 * @param frameMm its frame, mm
 * @param depthMm its depth, mm
 * @param ringMm diameter of its opening, mm; 0 when not known
 */
public record FanRef(String name, double frameMm, double depthMm, double ringMm, Known known) implements Ref {
    public static final RefKind<FanRef> KIND = new RefKind<>(FanRef.class, List.of("fan"),
            s -> made(s, s.need("frame"), s.need("depth"), s.maybe("ring").orElse(0)));

    private static FanRef made(Sizes s, double frameMm, double depthMm, double ringMm) {
        return new FanRef(s.name(), frameMm, depthMm, ringMm, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(frameMm) + " × " + Quantity.mm(depthMm);
    }
}
