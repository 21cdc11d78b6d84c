package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A frame profile, or a plate on edge that stands for one.
 *
 * @param widthMm outer width, mm
 * @param heightMm outer height, mm
 * @param slotMm mouth of its slot, mm; 0 where it has none
 */
public record ProfileRef(String name, double widthMm, double heightMm, double slotMm, Known known) implements Ref {
    public static final RefKind<ProfileRef> KIND = new RefKind<>(ProfileRef.class, List.of("profile", "outline"),
            s -> s.kind().equals("outline") ? made(s, s.need("width"), s.need("thickness"), 0) : made(s, s.need("width"), s.need("height"), s.need("slot")));

    private static ProfileRef made(Sizes s, double widthMm, double heightMm, double slotMm) {
        return new ProfileRef(s.name(), widthMm, heightMm, slotMm, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(widthMm) + " × " + Quantity.mm(heightMm);
    }
}
