package tinperch.fact;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.part.form.PartForm;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.AxisProbe;
import tinperch.upgrade.Case;

/**
 * Where every screw really bears and what it really clamps: lines along its axis, in rings around it, through the piece's mesh.
 */
public final class SeatsFact implements Fact<List<SeatsFact.Seat>> {
    public static final SeatsFact SEATS = new SeatsFact();
    private static final int ROUND = 12;
    private static final double FLAT_MM = 0.05;
    /** Beyond a bore's wall, so that lines run in plastic. */
    private static final double THREAD_MM = 0.3;

    private SeatsFact() {}

    /**
     * What was measured along one screw.
     *
     * @param bearing share of its head's or washer's seat that lies on flat material; 1 where it bears on something that is held
     * @param inTheWayMm how far something stands up where its head, its insert or its nut must go; 0 for nothing
     * @param wayOf what must go there: "head", "washer", "insert", "nut"
     * @param obstacle the feature that stands there
     * @param gripMm plastic clamped between head and nut; 0 for an insert
     * @param threadMm plastic a thread is cut into, from its mouth to the screw's tip; 0 where none is
     * @param floorMm how deep below the insert's mouth the hole ends; infinite when it does not
     */
    public record Seat(Screw screw, double bearing, double inTheWayMm, String wayOf, String obstacle, double gripMm, double threadMm, double floorMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), facts.get(FormFact.FORM).form().map(PartForm::screws).orElse(List.of()));
    }

    @Override
    public List<Seat> compute(Case c, Facts facts) {
        FormFact.Answer form = facts.get(FormFact.FORM);
        MeshesFact.Answer meshes = facts.get(MeshesFact.BARE);
        if (form.form().isEmpty() || meshes.pieces().isEmpty()) {
            return List.of();
        }
        Map<List<Object>, AxisProbe> probes = new HashMap<>();
        List<Seat> all = new ArrayList<>();
        for (Screw s : form.form().get().screws()) {
            facts.stop().check();
            Optional<Mesh> mesh = meshes.mesh(s.pieceId());
            mesh.ifPresent(m -> all.add(seat(s, probes.computeIfAbsent(List.of(s.pieceId(), s.axis().w()), k -> new AxisProbe(m,
                    Placement.along(Vec3.ZERO, s.axis().w(), s.axis().u()))), m)));
        }
        return all;
    }

    private static Seat seat(Screw s, AxisProbe probe, Mesh mesh) {
        Vec3 o = probe.frame().local(s.axis().origin());
        double head = o.z() + s.headMm();
        double end = o.z() + s.endMm();
        double bore = s.boreMm() / 2;
        double[] grips = new double[ROUND];
        double gripRadius = bore + 0.3 * (s.thread().nutAcrossFlatsMm() / 2 - bore);
        SlotWay slot = SlotWay.of(s.axis().u(), probe.frame(), s.slotMm());
        int grasped = 0;
        for (int k = 0; k < ROUND; k++) {
            if (!isHollow(slot, bore, gripRadius, k)) {
                grips[grasped++] = between(ring(probe, o, gripRadius, k), head, end);
            }
        }
        Arrays.sort(grips, 0, grasped);
        double grip = s.end().isInside() || grasped == 0 ? 0 : grips[grasped / 2];
        Front front = s.onPart() ? front(probe, o, head, bore, s.seatWidthMm() / 2, slot, s.washer() ? "washer" : "head", mesh)
                : new Front(1, 0, "", "");
        if (s.end() == SeatKind.INSERT) {
            Front mouth = front(probe, o, end, bore, s.insert().orElseThrow().outerMm() / 2 + 0.3, slot, "insert", mesh);
            front = mouth.standsMm > front.standsMm ? new Front(front.bearing, mouth.standsMm, mouth.of, mouth.obstacle) : front;
        } else if (s.end().isCaptive()) {
            Front nut = back(probe, o, end, bore, s.thread().nutAcrossFlatsMm() / 2, mesh);
            front = nut.standsMm > front.standsMm ? new Front(Math.min(front.bearing, nut.bearing), nut.standsMm, nut.of, nut.obstacle)
                    : new Front(Math.min(front.bearing, nut.bearing), front.standsMm, front.of.isEmpty() ? nut.of : front.of, front.obstacle);
        }
        return new Seat(s, front.bearing, front.standsMm, front.of, front.obstacle, grip, s.end() == SeatKind.CUT ? thread(s, probe, o, end, bore) : 0, floor(probe, o, end) - end);
    }

    /** How long a thread cuts into plastic up to the screw's tip, in the mean all round: a roof over a lying hole leaves a part of it free. */
    private static double thread(Screw s, AxisProbe probe, Vec3 o, double mouth, double bore) {
        double sum = 0;
        for (int k = 0; k < ROUND; k++) {
            sum += between(ring(probe, o, bore + THREAD_MM, k), mouth, mouth + s.insideMm());
        }
        return sum / ROUND;
    }

    private record Front(double bearing, double standsMm, String of, String obstacle) {}

    /** What lies on a seat seen from outside, and what stands before it. */
    private static Front front(AxisProbe probe, Vec3 o, double seat, double inner, double outer, SlotWay slot, String of, Mesh mesh) {
        int bears = 0;
        int lines = 0;
        double stands = 0;
        String obstacle = "";
        for (double r : new double[] {inner + 0.15 * (outer - inner), inner + 0.55 * (outer - inner), outer - 0.05}) {
            for (int k = 0; k < ROUND; k++) {
                if (isHollow(slot, inner, r, k)) {
                    continue;
                }
                List<AxisProbe.Crossing> line = ring(probe, o, r, k);
                lines++;
                if (line.isEmpty()) {
                    continue;
                }
                // Material that ends before the seat begins stands free in front; material through the seat stands on it.
                AxisProbe.Crossing first = line.get(0);
                if (first.heightMm() < seat - FLAT_MM) {
                    if (seat - first.heightMm() > stands) {
                        stands = seat - first.heightMm();
                        obstacle = mesh.faces().get(first.face()).feature();
                    }
                } else if (first.heightMm() < seat + FLAT_MM) {
                    bears++;
                }
            }
        }
        return new Front(lines == 0 ? 0 : (double) bears / lines, stands, of, obstacle);
    }

    /** The same for a nut, seen from the tip's side. */
    private static Front back(AxisProbe probe, Vec3 o, double seat, double inner, double outer, Mesh mesh) {
        int bears = 0;
        int lines = 0;
        double stands = 0;
        String obstacle = "";
        for (double r : new double[] {inner + 0.2 * (outer - inner), outer - 0.1}) {
            for (int k = 0; k < ROUND; k++) {
                List<AxisProbe.Crossing> line = ring(probe, o, r, k);
                lines++;
                if (line.isEmpty()) {
                    continue;
                }
                AxisProbe.Crossing last = line.get(line.size() - 1);
                if (last.heightMm() > seat + FLAT_MM) {
                    if (last.heightMm() - seat > stands) {
                        stands = last.heightMm() - seat;
                        obstacle = mesh.faces().get(last.face()).feature();
                    }
                } else if (last.heightMm() > seat - FLAT_MM) {
                    bears++;
                }
            }
        }
        return new Front((double) bears / lines, stands, "nut", obstacle);
    }

    /** Whether a line of a ring runs through the screw's own slot, where nothing can bear. */
    private static boolean isHollow(SlotWay slot, double boreRadius, double r, int k) {
        double a = 2 * Math.PI * (k + 0.17) / ROUND;
        return (slot.xMm() != 0 || slot.yMm() != 0) && slot.distanceMm(r * Math.cos(a), r * Math.sin(a)) < boreRadius + 0.05;
    }

    private static List<AxisProbe.Crossing> ring(AxisProbe probe, Vec3 o, double r, int k) {
        double a = 2 * Math.PI * (k + 0.17) / ROUND;
        return probe.at(o.x() + r * Math.cos(a), o.y() + r * Math.sin(a));
    }

    private static double between(List<AxisProbe.Crossing> line, double from, double to) {
        double sum = 0;
        for (int i = 0; i + 1 < line.size(); i += 2) {
            sum += Math.max(0, Math.min(to, line.get(i + 1).heightMm()) - Math.max(from, line.get(i).heightMm()));
        }
        return sum;
    }

    private static double floor(AxisProbe probe, Vec3 o, double mouth) {
        return probe.at(o.x() + 0.011, o.y() + 0.007).stream().filter(c -> c.entering() && c.heightMm() > mouth + FLAT_MM)
                .mapToDouble(AxisProbe.Crossing::heightMm).findFirst().orElse(Double.POSITIVE_INFINITY);
    }
}
