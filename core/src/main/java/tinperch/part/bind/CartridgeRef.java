package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A filter cartridge.
 *
 * @param widthMm its frame across, mm
 * @param heightMm its frame the other way, mm
 * @param depthMm depth without the foam, mm
 * @param foamMm the foam as it is, mm; 0 when not known
 */
public record CartridgeRef(String name, double widthMm, double heightMm, double depthMm, double foamMm, Known known) implements Ref {
    public static final RefKind<CartridgeRef> KIND = new RefKind<>(CartridgeRef.class, List.of("filter"),
            s -> made(s, s.need("width"), s.need("height"), s.need("depth"), s.maybe("foam").orElse(0)));

    private static CartridgeRef made(Sizes s, double widthMm, double heightMm, double depthMm, double foamMm) {
        return new CartridgeRef(s.name(), widthMm, heightMm, depthMm, foamMm, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(widthMm) + " × " + Quantity.mm(heightMm) + " × " + Quantity.mm(depthMm);
    }
}
