package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tinperch.hardware.HexKey;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Sight;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** Room for a driver or a key before a socket: along lines past the part's pieces and the machine's neighbours. */
final class KeyRoom {
    private static final double SURE_MM = 0.1;
    private static final int ROUND = 36;
    private final List<Seen> all = new ArrayList<>();

    /** Something that may stand before it, with the socket in its coordinates: origin at the mouth, z out of it. */
    private record Seen(TriangleTree tree, Placement socket, String name) {}

    /**
     * Before a socket.
     *
     * @param straightMm how far it is free, at most a driver's length
     * @param by what is met first; empty for nothing
     * @param turnDeg how far a key gets round in one go
     */
    record Room(double straightMm, String by, double turnDeg) {}

    /** @param own from the assembly to the machine, where the axes stand so */
    KeyRoom(Placement socket, Case c, Facts facts, Placement own, Map<String, Double> pose, boolean pieces) {
        Surroundings space = c.machine().surroundings();
        Vec3 shift = space.shift(c.site().orElseThrow().group(), pose);
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        for (Neighbour n : space.neighbours()) {
            if (n.isMatter()) {
                all.add(new Seen(shapes.get(n.id()).tree(), socket.moved(shift.minus(space.shift(n.group(), pose))), n.name()));
            }
        }
        for (BesideFact.Beside b : facts.get(BesideFact.BESIDE)) {
            all.add(new Seen(b.shape().tree(), socket.moved(shift.minus(space.shift(b.standing().group(), pose))), b.standing().name()));
        }
        if (pieces) {
            addPieces(socket, facts, own);
        }
    }

    private void addPieces(Placement socket, Facts facts, Placement own) {
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        List<MeshesFact.Made> made = facts.get(MeshesFact.BARE).pieces();
        for (int i = 0; i < made.size(); i++) {
            all.add(new Seen(trees.get(i), own.times(made.get(i).piece().place()).inverse().times(socket), "the " + made.get(i).piece().name()));
        }
    }

    /** Straight out of the socket, in its middle and around its rim. */
    Room straight(double rimMm, int round, double mostMm) {
        double least = mostMm;
        String by = "";
        for (Seen s : all) {
            for (int k = 0; k <= round; k++) {
                double r = k == 0 ? 0 : rimMm;
                double free = Sight.freeMm(s.tree, s.socket.point(r * Math.cos(2 * Math.PI * k / round), r * Math.sin(2 * Math.PI * k / round), 0), s.socket.w(), least, SURE_MM);
                by = free < least ? s.name : by;
                least = Math.min(least, free);
            }
        }
        return new Room(least, by, 0);
    }

    /** How far an L-shaped key gets round in one go, whichever arm is put in, degrees; 0 where neither goes in. */
    double turnDeg(HexKey key, double straightMm) {
        return Math.max(turnDeg(key.shortMm(), key.longMm(), key.acrossMm(), straightMm), turnDeg(key.longMm(), key.shortMm(), key.acrossMm(), straightMm));
    }

    private double turnDeg(double upMm, double armMm, double thickMm, double straightMm) {
        if (straightMm < upMm + thickMm / 2) {
            return 0;
        }
        boolean[] free = new boolean[ROUND];
        for (int k = 0; k < ROUND; k++) {
            double a = 2 * Math.PI * k / ROUND;
            free[k] = all.stream().noneMatch(s -> Sight.blocked(s.tree, s.socket.point(0, 0, upMm), s.socket.point(armMm * Math.cos(a), armMm * Math.sin(a), upMm)));
        }
        int best = 0;
        int run = 0;
        // Twice round, so that a run over the beginning counts whole.
        for (int k = 0; k < 2 * ROUND && run < ROUND; k++) {
            run = free[k % ROUND] ? run + 1 : 0;
            best = Math.max(best, run);
        }
        return best == ROUND ? 360 : Math.max(0, best - 1) * 360.0 / ROUND;
    }
}
