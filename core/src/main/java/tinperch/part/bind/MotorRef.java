package tinperch.part.bind;

import java.util.List;
import tinperch.quantity.Quantity;

/**
 * The face of a step motor.
 *
 * @param faceMm side of its square face, mm
 * @param pilotMm diameter of its pilot, mm
 * @param shaftMm diameter of its shaft, mm
 * @param lengthMm its length without the shaft, mm
 */
public record MotorRef(String name, double faceMm, double pilotMm, double shaftMm, double lengthMm, Known known) implements Ref {
    public static final RefKind<MotorRef> KIND = new RefKind<>(MotorRef.class, List.of("motor"),
            s -> made(s, s.need("face"), s.need("pilot"), s.need("shaft"), s.need("length")));

    private static MotorRef made(Sizes s, double faceMm, double pilotMm, double shaftMm, double lengthMm) {
        return new MotorRef(s.name(), faceMm, pilotMm, shaftMm, lengthMm, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(faceMm) + " square, pilot Ø " + Quantity.mm(pilotMm);
    }
}
