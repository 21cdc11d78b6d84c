package tinperch.fact;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import tinperch.part.form.Cavity;
import tinperch.part.form.Piece;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.query.AxisProbe;
import tinperch.solid.query.SectionLines;
import tinperch.upgrade.Case;

/**
 * The walls around and behind every cavity, measured on the piece's own mesh. Around: the piece is cut across the cavity's axis
 * between and near all heights at which anything changes, and in each section the shortest way from the cavity's own outline to any
 * other line is taken. Behind: lines along the axis from the floor to where the material ends.
 */
public final class WallsFact implements Fact<List<WallsFact.Wall>> {
    public static final WallsFact WALLS = new WallsFact();
    private static final int MOST_LEVELS = 60;
    /** Sections are taken this near the heights where something changes, mm. */
    private static final double NEAR_MM = 0.02;
    private static final int LINES_ALONG = 8;

    private WallsFact() {}

    /**
     * The walls of one cavity.
     *
     * @param aroundMm least wall around it; zero or less where it breaks into something
     * @param beside the feature that wall ends at
     * @param behindMm least material behind its floor; empty for one that goes through
     */
    public record Wall(Piece piece, Cavity cavity, OptionalDouble aroundMm, String beside, OptionalDouble behindMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return FormFact.solids(c, facts);
    }

    @Override
    public List<Wall> compute(Case c, Facts facts) {
        List<Wall> all = new ArrayList<>();
        for (MeshesFact.Made made : facts.get(MeshesFact.BARE).pieces()) {
            Map<Vec3, Sections> byAxis = new HashMap<>();
            Map<Vec3, AxisProbe> probes = new HashMap<>();
            // What somebody else drew beside their holes is not ours to judge.
            for (Cavity cavity : made.piece().cavities().stream().filter(x -> x.purpose() != Cavity.Purpose.DRAWN).toList()) {
                facts.stop().check();
                Vec3 w = cavity.axis().w();
                Sections sections = byAxis.computeIfAbsent(upright(w), k -> new Sections(made.mesh(), k, facts.stop()));
                Optional<Around> around = sections.around(cavity, own(made.piece(), cavity));
                AxisProbe probe = probes.computeIfAbsent(rounded(w), k -> new AxisProbe(made.mesh(), frame(w)));
                all.add(new Wall(made.piece(), cavity, around.map(a -> OptionalDouble.of(a.mm)).orElse(OptionalDouble.empty()),
                        around.map(Around::beside).orElse(""), cavity.through() || cavity.depthMm() <= 0 && cavity.purpose() != Cavity.Purpose.HEAD
                                ? OptionalDouble.empty() : OptionalDouble.of(behindMm(probe, cavity))));
            }
        }
        return all;
    }

    private static Set<String> own(Piece piece, Cavity cavity) {
        Set<String> own = new HashSet<>();
        piece.cavities().stream().filter(o -> o.group().equals(cavity.group())).forEach(o -> own.add(o.feature()));
        return own;
    }

    private static Vec3 rounded(Vec3 w) {
        return new Vec3(Math.rint(w.x() * 1e6) / 1e6 + 0.0, Math.rint(w.y() * 1e6) / 1e6 + 0.0, Math.rint(w.z() * 1e6) / 1e6 + 0.0);
    }

    /** One direction for the two ways along an axis. */
    private static Vec3 upright(Vec3 w) {
        Vec3 r = rounded(w);
        boolean flip = r.z() < 0 || r.z() == 0 && (r.y() < 0 || r.y() == 0 && r.x() < 0);
        return flip ? new Vec3(-r.x() + 0.0, -r.y() + 0.0, -r.z() + 0.0) : r;
    }

    private static Placement frame(Vec3 w) {
        return Placement.along(Vec3.ZERO, w, Math.abs(w.x()) > 0.9 ? Vec3.Y : Vec3.X);
    }

    private static double behindMm(AxisProbe probe, Cavity c) {
        Vec3 mouth = probe.frame().local(c.axis().origin());
        double floor = mouth.z() + c.depthMm();
        double inner = c.boreMm() / 2;
        double outer = c.widthMm() / 2;
        double least = Double.POSITIVE_INFINITY;
        double[] radii = inner > 0 ? (outer - inner > 0.2 ? new double[] {inner + 0.3 * (outer - inner), inner + 0.8 * (outer - inner)}
                : new double[] {inner + 0.6}) : new double[] {0.1 * outer, 0.75 * outer};
        for (double r : radii) {
            for (int k = 0; k < LINES_ALONG; k++) {
                double a = 2 * Math.PI * (k + 0.13) / LINES_ALONG;
                // A head slides along its slot: where that is hollow nothing is to carry it.
                if (c.slotMm() > 0 && SlotWay.of(c.axis().u(), probe.frame(), c.slotMm()).distanceMm(r * Math.cos(a), r * Math.sin(a)) < inner + 0.05) {
                    continue;
                }
                least = Math.min(least, material(probe.at(mouth.x() + r * Math.cos(a), mouth.y() + r * Math.sin(a)), floor));
            }
        }
        return least;
    }

    /** Material that begins at a height, along one line. */
    private static double material(List<AxisProbe.Crossing> line, double at) {
        for (int i = 0; i + 1 < line.size(); i++) {
            if (line.get(i).entering() && Math.abs(line.get(i).heightMm() - at) < 0.05) {
                return line.get(i + 1).heightMm() - at;
            }
        }
        return 0;
    }

    private record Around(double mm, String beside) {}

    /** Sections across one direction, each cut once. */
    private static final class Sections {
        private final Mesh mesh;
        private final Placement frame;
        private final Stop stop;
        private final SectionLines cutter;
        private final Map<Double, SectionLines.Lines> cut = new HashMap<>();

        Sections(Mesh mesh, Vec3 w, Stop stop) {
            this.stop = stop;
            this.mesh = mesh;
            this.frame = frame(w);
            cutter = new SectionLines(mesh, frame);
        }

        Optional<Around> around(Cavity c, Set<String> own) {
            if (c.depthMm() <= 0) {
                return Optional.empty();
            }
            Vec3 mouth = frame.local(c.axis().origin());
            double other = mouth.z() + (c.axis().w().dot(frame.w()) > 0 ? c.depthMm() : -c.depthMm());
            double lo = Math.min(mouth.z(), other);
            double hi = Math.max(mouth.z(), other);
            double turn = Math.atan2(c.axis().u().dot(frame.v()), c.axis().u().dot(frame.u()));
            Around best = null;
            for (double h : heights(lo, hi)) {
                Around here = at(h, c, mouth, turn, own, h - lo < 0.15 || hi - h < 0.15);
                if (here != null && (best == null || here.mm < best.mm)) {
                    best = here;
                }
            }
            return Optional.ofNullable(best);
        }

        private List<Double> heights(double lo, double hi) {
            double[] levels = cutter.levels(lo, hi);
            int step = 1 + levels.length / MOST_LEVELS;
            List<Double> all = new ArrayList<>();
            double from = lo;
            for (int i = 0; i <= levels.length; i += step) {
                double to = i + step > levels.length || i >= levels.length ? hi : levels[i];
                if (to - from > 4 * NEAR_MM) {
                    all.add(from + NEAR_MM);
                    all.add((from + to) / 2);
                    all.add(to - NEAR_MM);
                } else if (to - from > 1e-3) {
                    all.add((from + to) / 2);
                }
                from = to;
            }
            return all;
        }

        /** The least wall in one section; null when the cavity is not there because the material ends. */
        private Around at(double h, Cavity c, Vec3 mouth, double turn, Set<String> own, boolean nearEnd) {
            stop.check();
            SectionLines.Lines lines = cut.computeIfAbsent(Math.rint(h * 1e5) / 1e5, k -> cutter.at(h));
            double best = Double.POSITIVE_INFINITY;
            int face = -1;
            boolean there = false;
            for (int i = 0; i < lines.count(); i++) {
                String feature = mesh.faces().get(lines.face()[i]).feature();
                if (own.contains(feature)) {
                    there = true;
                    continue;
                }
                double d = outside(c, turn, lines.xy()[4 * i] - mouth.x(), lines.xy()[4 * i + 1] - mouth.y(), lines.xy()[4 * i + 2] - mouth.x(),
                        lines.xy()[4 * i + 3] - mouth.y());
                if (d < best) {
                    best = d;
                    face = lines.face()[i];
                }
            }
            if (!there && nearEnd) {
                return null;
            }
            return new Around(there ? best : Math.min(best, 0), face < 0 ? "" : mesh.faces().get(face).feature());
        }

        /** How far a line stays outside the cavity's true outline about zero; negative when it runs into it. */
        private static double outside(Cavity c, double turn, double x0, double y0, double x1, double y1) {
            if (c.slotMm() > 0) {
                return SlotWay.at(turn, c.slotMm()).distanceMm(x0, y0, x1, y1) - c.widthMm() / 2;
            }
            double middle = fromZero(x0, y0, x1, y1);
            if (c.sides() == 0 || middle > 2.5 * c.reachMm()) {
                return middle - (c.sides() == 0 ? c.widthMm() / 2 : c.reachMm());
            }
            double apothem = c.widthMm() / 2;
            double best = Double.POSITIVE_INFINITY;
            for (int k = 0; k < c.sides(); k++) {
                double a = turn + 2 * Math.PI * k / c.sides();
                double px = c.reachMm() * Math.cos(a);
                double py = c.reachMm() * Math.sin(a);
                best = Math.min(best, fromZero(x0 - px, y0 - py, x1 - px, y1 - py));
            }
            double inside = Double.POSITIVE_INFINITY;
            for (double[] p : new double[][] {{x0, y0}, {x1, y1}}) {
                double out = Double.NEGATIVE_INFINITY;
                double across = 0;
                for (int k = 0; k < c.sides(); k++) {
                    double a = turn + 2 * Math.PI * (k + 0.5) / c.sides();
                    double d = p[0] * Math.cos(a) + p[1] * Math.sin(a) - apothem;
                    if (d > out) {
                        out = d;
                        across = a;
                    }
                }
                double along = Math.abs(-p[0] * Math.sin(across) + p[1] * Math.cos(across));
                inside = Math.min(inside, out <= 0 || along <= apothem * Math.tan(Math.PI / c.sides()) ? out : Double.POSITIVE_INFINITY);
            }
            return Math.min(best, inside);
        }

        private static double fromZero(double x0, double y0, double x1, double y1) {
            double dx = x1 - x0;
            double dy = y1 - y0;
            double l2 = dx * dx + dy * dy;
            double t = l2 == 0 ? 0 : Math.max(0, Math.min(1, -(x0 * dx + y0 * dy) / l2));
            double x = x0 + t * dx;
            double y = y0 + t * dy;
            // Millions of these: hypot takes ten times as long.
            return Math.sqrt(x * x + y * y);
        }
    }
}
