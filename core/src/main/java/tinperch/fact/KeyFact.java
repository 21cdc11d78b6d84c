package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.hardware.HexKey;
import tinperch.part.form.Keyway;
import tinperch.part.form.PartForm;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** Whether a key gets straight to every set screw, past the part's own pieces and the machine's neighbours, with the axes wherever they leave the most room; one on a shaft may be turned to any side. */
public final class KeyFact implements Fact<List<KeyFact.Way>> {
    public static final KeyFact KEYS = new KeyFact();
    private static final int SIDES = 24;
    private static final double OVER_MOUTH_MM = 0.3;

    private KeyFact() {}

    /**
     * To a set screw.
     *
     * @param straightMm free before it where there is most room, at most a driver's length
     * @param by what stands there; empty for nothing
     * @param turnDeg how far the key gets round there in one go
     * @param butForThePart in the assembly: ways straight out of it, z along them, that only the part itself is in; none where one is open
     */
    public record Way(Keyway keyway, HexKey key, double straightMm, String by, double turnDeg, List<Placement> butForThePart) {
        public Way {
            butForThePart = List.copyOf(butForThePart);
        }

        /** Whether a driver gets there, or a key that turns from one flat to the next. */
        public boolean isOpen() {
            return straightMm >= AccessFact.DRIVER_MM || straightMm >= key.shortMm() && turnDeg >= HexKey.FLATS_DEG;
        }
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(RestFact.REST.inputs(c, facts), keyways(facts));
    }

    private static List<Keyway> keyways(Facts facts) {
        return facts.get(FormFact.FORM).form().map(PartForm::keyways).orElse(List.of());
    }

    @Override
    public List<Way> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        List<Way> all = new ArrayList<>();
        if (place.isEmpty() || facts.get(TreesFact.TREES).isEmpty()) {
            return all;
        }
        for (Keyway k : keyways(facts)) {
            all.add(best(k, c, facts, place.get()));
        }
        return all;
    }

    private static Way best(Keyway k, Case c, Facts facts, Placement place) {
        HexKey key = HexKey.ofSetScrew(k.thread());
        Way best = null;
        List<Placement> butForThePart = new ArrayList<>();
        for (Map<String, Double> pose : AccessFact.poses(c.machine().surroundings())) {
            for (int side = 0; side < (k.turns() ? SIDES : 1); side++) {
                facts.stop().check();
                Placement socket = place.times(socket(k, side));
                KeyRoom room = new KeyRoom(socket, c, facts, place, pose, true);
                KeyRoom.Room straight = room.straight(key.acrossMm() / 2, 6, AccessFact.DRIVER_MM);
                boolean driver = straight.straightMm() >= AccessFact.DRIVER_MM;
                Way w = new Way(k, key, straight.straightMm(), straight.by(), driver ? 360 : room.turnDeg(key, straight.straightMm()), List.of());
                if (w.isOpen()) {
                    return w;
                }
                if (new KeyRoom(socket, c, facts, place, pose, false).straight(key.acrossMm() / 2, 6, AccessFact.DRIVER_MM).straightMm() >= AccessFact.DRIVER_MM && !butForThePart.contains(socket(k, side))) {
                    butForThePart.add(socket(k, side));
                }
                best = best == null || w.turnDeg > best.turnDeg || w.turnDeg == best.turnDeg && w.straightMm > best.straightMm ? w : best;
            }
        }
        return new Way(k, key, best.straightMm, best.by, best.turnDeg, butForThePart);
    }

    private static Placement socket(Keyway k, int side) {
        if (!k.turns()) {
            return Placement.along(k.at().point(0, 0, OVER_MOUTH_MM), k.at().w(), k.at().u());
        }
        double a = 2 * Math.PI * side / SIDES;
        Vec3 out = k.at().u().times(Math.cos(a)).plus(k.at().v().times(Math.sin(a)));
        return Placement.along(k.at().origin().plus(out.times(k.outMm() + OVER_MOUTH_MM)), out, k.at().w());
    }
}
