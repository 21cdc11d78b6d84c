package tinperch.fact;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.hardware.HexKey;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.solid.Placement;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * Whether a driver gets straight to every head that bears on the part, past the machine's neighbours and the part's own pieces, with the axes wherever they leave the most room: at home and at all
 * ends of their travels; where only a key does, how far it turns. Lines in the middle of the head and around its rim.
 */
public final class AccessFact implements Fact<List<AccessFact.Blocked>> {
    public static final AccessFact ACCESS = new AccessFact();
    /** A driver with a hand behind it, mm (common practice). */
    public static final double DRIVER_MM = 70;
    private static final int ROUND = 6;
    private static final double OVER_HEAD_MM = 0.2;
    private static final int MOST_AXES = 3;

    private AccessFact() {}

    /**
     * A head no driver gets to.
     *
     * @param by what stands before it where it is farthest off
     * @param freeMm room there before the head, less than a driver
     * @param key that fits it, {@code turnDeg} how far that gets round there in one go
     */
    public record Blocked(Screw screw, Piece piece, String by, double freeMm, HexKey key, double turnDeg) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(RestFact.REST.inputs(c, facts), facts.get(FormFact.FORM).form().map(PartForm::screws).orElse(List.of()));
    }

    @Override
    public List<Blocked> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        List<Blocked> all = new ArrayList<>();
        if (place.isEmpty() || trees.isEmpty()) {
            return all;
        }
        PartForm form = facts.get(FormFact.FORM).form().orElseThrow();
        List<Map<String, Double>> poses = poses(c.machine().surroundings());
        for (Screw s : form.screws()) {
            facts.stop().check();
            Piece piece = form.piece(s.pieceId()).orElseThrow();
            if (s.onPart()) {
                blocked(s, piece, c, facts, place.get(), poses).ifPresent(all::add);
            }
        }
        return all;
    }

    static List<Map<String, Double>> poses(Surroundings space) {
        List<Map<String, Double>> all = new ArrayList<>(List.of(space.home()));
        List<Axis> axes = space.axes().stream().limit(MOST_AXES).toList();
        for (int ends = 0; ends < 1 << axes.size(); ends++) {
            Map<String, Double> pose = new HashMap<>(space.home());
            for (int i = 0; i < axes.size(); i++) {
                pose.put(axes.get(i).name(), (ends >> i & 1) == 0 ? axes.get(i).fromMm() : axes.get(i).toMm());
            }
            all.add(pose);
        }
        return all;
    }

    private static Optional<Blocked> blocked(Screw s, Piece piece, Case c, Facts facts, Placement place, List<Map<String, Double>> poses) {
        Placement axis = place.times(piece.place()).times(s.axis());
        double top = s.headMm() - s.washerMm() - s.thread().headHeightMm(s.head()) - OVER_HEAD_MM;
        Placement socket = Placement.along(axis.point(0, 0, top), axis.w().times(-1), axis.u());
        HexKey key = HexKey.of(s.thread().name(), s.head());
        Blocked most = null;
        for (Map<String, Double> pose : poses) {
            facts.stop().check();
            KeyRoom.Room room = new KeyRoom(socket, c, facts, place, pose, false).straight(s.thread().headDiameterMm(s.head()) / 2, ROUND, DRIVER_MM);
            if (room.straightMm() >= DRIVER_MM) {
                return Optional.empty();
            }
            double turn = new KeyRoom(socket, c, facts, place, pose, true).turnDeg(key, room.straightMm());
            if (most == null || turn > most.turnDeg + 1e-9 || turn > most.turnDeg - 1e-9 && room.straightMm() > most.freeMm) {
                most = new Blocked(s, piece, room.by(), room.straightMm(), key, turn);
            }
        }
        return Optional.ofNullable(most);
    }
}
