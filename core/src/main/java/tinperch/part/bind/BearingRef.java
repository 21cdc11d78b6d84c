package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A ball or linear bearing.
 *
 * @param innerMm its bore, mm
 * @param outerMm its outside, mm
 * @param widthMm its width or length, mm
 */
public record BearingRef(String name, double innerMm, double outerMm, double widthMm, Known known) implements Ref {
    public static final RefKind<BearingRef> KIND = new RefKind<>(BearingRef.class, List.of("bearing"),
            s -> made(s, s.need("inner"), s.need("outer"), s.need("width")));

    private static BearingRef made(Sizes s, double innerMm, double outerMm, double widthMm) {
        return new BearingRef(s.name(), innerMm, outerMm, widthMm, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(innerMm) + " × " + Quantity.mm(outerMm) + " × " + Quantity.mm(widthMm);
    }
}
