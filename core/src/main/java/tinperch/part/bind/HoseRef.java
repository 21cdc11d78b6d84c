package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A flexible hose.
 *
 * @param innerMm its inside, mm
 * @param outerMm its outside, mm; 0 when not known
 */
public record HoseRef(String name, double innerMm, double outerMm, Known known) implements Ref {
    public static final RefKind<HoseRef> KIND = new RefKind<>(HoseRef.class, List.of("hose"),
            s -> made(s, s.need("inner"), s.maybe("outer").orElse(0)));

    private static HoseRef made(Sizes s, double innerMm, double outerMm) {
        return new HoseRef(s.name(), innerMm, outerMm, s.known());
    }

    @Override
    public String says() {
        return "inside Ø " + Quantity.mm(innerMm);
    }
}
