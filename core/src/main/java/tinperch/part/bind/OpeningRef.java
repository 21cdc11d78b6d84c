package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * A round opening in a wall.
 *
 * @param diameterMm its diameter, mm
 * @param wallMm thickness of the wall, mm
 */
public record OpeningRef(String name, double diameterMm, double wallMm, Known known) implements Ref {
    public static final RefKind<OpeningRef> KIND = new RefKind<>(OpeningRef.class, List.of("opening"),
            s -> made(s, s.need("diameter"), s.need("thickness")));

    private static OpeningRef made(Sizes s, double diameterMm, double wallMm) {
        return new OpeningRef(s.name(), diameterMm, wallMm, s.known());
    }

    @Override
    public String says() {
        return "Ø " + Quantity.mm(diameterMm) + " in " + Quantity.mm(wallMm);
    }
}
