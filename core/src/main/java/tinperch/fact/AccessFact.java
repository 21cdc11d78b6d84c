package tinperch.fact;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Sight;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * Whether a driver gets straight to every head that bears on the part, past the machine's neighbours and the part's own pieces, with the axes wherever they leave the most room: at home and at all
 * ends of their travels. Lines in the middle of the head and around its rim.
 */
public final class AccessFact implements Fact<List<AccessFact.Blocked>> {
    public static final AccessFact ACCESS = new AccessFact();
    /** A driver with a hand behind it, mm (common practice). */
    public static final double DRIVER_MM = 70;
    private static final int ROUND = 6;
    private static final double SURE_MM = 0.1;
    private static final double OVER_HEAD_MM = 0.2;
    private static final int MOST_AXES = 3;

    private AccessFact() {}

    /**
     * A head no driver gets to.
     *
     * @param by what stands before it where it is farthest off
     * @param freeMm room there before the head, less than a driver
     */
    public record Blocked(Screw screw, Piece piece, String by, double freeMm) {}

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

    private static List<Map<String, Double>> poses(Surroundings space) {
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
        Surroundings space = c.machine().surroundings();
        Placement axis = place.times(piece.place()).times(s.axis());
        double top = s.headMm() - s.washerMm() - s.thread().headHeightMm(s.head()) - OVER_HEAD_MM;
        String by = "";
        double most = -1;
        for (Map<String, Double> pose : poses) {
            facts.stop().check();
            Vec3 shift = space.shift(c.site().orElseThrow().group(), pose);
            double free = DRIVER_MM;
            String first = "";
            Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
            for (Neighbour n : space.neighbours()) {
                if (n.isMatter()) {
                    double room = room(s, axis.moved(shift.minus(space.shift(n.group(), pose))), top, shapes.get(n.id()).tree());
                    first = room < free ? n.name() : first;
                    free = Math.min(free, room);
                }
            }
            if (free >= DRIVER_MM) {
                return Optional.empty();
            }
            if (free > most) {
                most = free;
                by = first;
            }
        }
        return Optional.of(new Blocked(s, piece, by, most));
    }

    /** How far it is free before a head; a thing the head is drawn into is what it is screwed to. */
    private static double room(Screw s, Placement axis, double top, TriangleTree tree) {
        double least = DRIVER_MM;
        for (int k = 0; k <= ROUND; k++) {
            double r = k == 0 ? 0 : s.thread().headDiameterMm(s.head()) / 2;
            double x = r * Math.cos(2 * Math.PI * k / ROUND);
            double y = r * Math.sin(2 * Math.PI * k / ROUND);
            least = Sight.freeMm(tree, axis.point(x, y, top), axis.w().times(-1), least, SURE_MM);
        }
        return least;
    }
}
