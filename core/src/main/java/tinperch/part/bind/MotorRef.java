package tinperch.part.bind;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Quantity;

/**
 * The face of a step motor.
 *
 * @param faceMm side of its square face, mm
 * @param pilotMm diameter of its pilot, mm
 * @param shaftMm diameter of its shaft, mm
 * @param lengthMm its length without the shaft, mm
 * @param holes the tapped ones of its face; empty when not known
 */
public record MotorRef(String name, double faceMm, double pilotMm, double shaftMm, double lengthMm, Optional<HolesRef> holes, Known known) implements Ref {
    public static final RefKind<MotorRef> KIND = new RefKind<>(MotorRef.class, List.of("motor"), MotorRef::of);

    private static MotorRef of(Sizes s) {
        boolean pattern = s.maybe("outside").isPresent() && s.maybe("inside").isPresent();
        Optional<HolesRef> holes = pattern ? Optional.of(HolesRef.KIND.maker().apply(s)) : Optional.empty();
        double face = s.need("face");
        double pilot = s.need("pilot");
        double shaft = s.need("shaft");
        double length = s.need("length");
        return new MotorRef(s.name(), face, pilot, shaft, length, holes, s.known());
    }

    @Override
    public String says() {
        return Quantity.mm(faceMm) + " square, pilot Ø " + Quantity.mm(pilotMm);
    }
}
