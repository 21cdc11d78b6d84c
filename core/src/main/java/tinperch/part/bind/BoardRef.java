package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A circuit board or a module on one.
 *
 * @param lengthMm along x, mm
 * @param widthMm along y, mm
 * @param tallestMm from its top to its highest part, mm
 * @param tailsMm from its underside to the longest solder tail, mm
 * @param holes its holes, the middle of them at the middle of the board
 */
public record BoardRef(String name, double lengthMm, double widthMm, double tallestMm, double tailsMm, HolesRef holes, Known known)
        implements Ref {
    public static final RefKind<BoardRef> KIND = new RefKind<>(BoardRef.class, List.of("board"), BoardRef::of);

    private static BoardRef of(Sizes s) {
        HolesRef holes = HolesRef.KIND.maker().apply(s);
        double length = s.need("length");
        double width = s.need("width");
        double tallest = s.need("tallest");
        double tails = s.need("tails");
        return new BoardRef(s.name(), length, width, tallest, tails, holes, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(lengthMm) + " × " + Quantity.mm(widthMm) + ", parts " + Quantity.mm(tallestMm) + " high";
    }
}
