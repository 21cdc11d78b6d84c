package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A radial fan with a square outlet in one of its edges.
 *
 * @param frameMm its housing across, mm, seen on its intake
 * @param depthMm its depth, mm
 * @param mouthMm its outlet across, mm, {@code mouthDepthMm} the other way; both outside
 */
public record BlowerRef(String name, double frameMm, double depthMm, double mouthMm, double mouthDepthMm, Known known) implements Ref {
    public static final RefKind<BlowerRef> KIND = new RefKind<>(BlowerRef.class, List.of("blower"), BlowerRef::of);

    private static BlowerRef of(Sizes s) {
        double frame = s.need("frame");
        double depth = s.need("depth");
        double mouth = s.need("mouth");
        double mouthDepth = s.need("mouth.depth");
        return new BlowerRef(s.name(), frame, depth, mouth, mouthDepth, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(frameMm) + " × " + Quantity.mm(depthMm) + ", outlet " + Quantity.mm(mouthMm) + " × " + Quantity.mm(mouthDepthMm);
    }
}
