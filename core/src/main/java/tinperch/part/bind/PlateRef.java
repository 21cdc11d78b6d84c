package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * The outline of a flat plate.
 *
 * @param lengthMm along x, mm
 * @param widthMm along y, mm
 * @param thicknessMm its thickness, mm
 */
public record PlateRef(String name, double lengthMm, double widthMm, double thicknessMm, Known known) implements Ref {
    public static final RefKind<PlateRef> KIND = new RefKind<>(PlateRef.class, List.of("outline"),
            s -> made(s, s.need("length"), s.need("width"), s.need("thickness")));

    private static PlateRef made(Sizes s, double lengthMm, double widthMm, double thicknessMm) {
        return new PlateRef(s.name(), lengthMm, widthMm, thicknessMm, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(lengthMm) + " × " + Quantity.mm(widthMm) + " × " + Quantity.mm(thicknessMm);
    }
}
