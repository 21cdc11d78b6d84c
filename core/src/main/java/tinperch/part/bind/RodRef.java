package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A round rod, or a stud.
 *
 * @param diameterMm its diameter, mm
 * @param lengthMm its length, mm; 0 when not known
 */
public record RodRef(String name, double diameterMm, double lengthMm, Known known) implements Ref {
    public static final RefKind<RodRef> KIND = new RefKind<>(RodRef.class, List.of("rod", "stud"),
            s -> made(s, s.need("diameter"), s.maybe("length").orElse(0)));

    private static RodRef made(Sizes s, double diameterMm, double lengthMm) {
        return new RodRef(s.name(), diameterMm, lengthMm, s.known());
    }

    @Override
    public String says() {
        return "Ø " + Quantity.mm(diameterMm);
    }
}
