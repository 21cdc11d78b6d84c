package tinperch.heat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;

/**
 * The steady temperatures of a solid near hot things: conduction within it on a grid of cut cells; through the air between a face and what is hot, along the arc that leaves one
 * and meets the other squarely, whole up to 6 mm and fading to nothing at 12 mm, where the film to the air around takes over; radiation by the view factor of the hot box, as far as
 * nothing stands between. An estimate: that handover and the block's emissivity move a peak by ten to forty kelvin at several millimetres.
 */
public final class HeatModel {
    /** Stefan and Boltzmann's constant, W/mm²K⁴ (CODATA 2018: 5.670374419e-8 W/m²K⁴). */
    private static final double SIGMA = 5.670374419e-14;
    private static final double KELVIN = 273.15;
    private static final double GAP_WHOLE_MM = 6;
    private static final double GAP_NONE_MM = 12;
    /** Two surfaces that touch still have some air between them. */
    private static final double GAP_LEAST_MM = 0.05;
    private static final int MOST_CELLS = 100_000;
    /** So many cells are enough for a peak: finer ones move it by a kelvin, where its band is tens of them. */
    public static final int CELLS = 800;
    /** So many make a picture. */
    public static final int FINE_CELLS = 10_000;
    private static final double ROUND_K = 0.1;
    private static final double FAR_CELLS = 3;
    private static final int RING = 8;
    private static final int MOST_ROUNDS = 12;
    /** How exactly the cells are solved in each round; the last for all that follow. The first rounds only bring the surface near. */
    private static final double[] TOLERANCES = {1e-2, 1e-3, 1e-4, 1e-6};

    private final double kWmmK;
    private final Around around;
    private final Stop stop;
    private final Voxels grid;
    private final Patches patches;
    /** For each patch and hot thing the share of its sight it fills, and how far the air's way to it is, mm. */
    private final double[][] view;
    private final double[][] arc;
    /** For each hot thing what may stand between it and the solid. */
    private final List<List<Around.Screen>> between;

    private HeatModel(Mesh mesh, double conductivityWmK, Around around, double cellMm, boolean drawn, Hands hands, Stop stop) {
        this.kWmmK = conductivityWmK / 1000;
        this.around = around;
        this.stop = stop;
        grid = new Voxels(mesh, cellMm, stop);
        patches = new Patches(mesh, grid, drawn, stop);
        view = new double[around.hot().size()][patches.count()];
        arc = new double[around.hot().size()][patches.count()];
        between = around.hot().stream().map(h -> around.screens().stream().filter(s -> s.bounds().overlaps(mesh.bounds().with(h.box()), 0)).toList()).toList();
        look(hands);
    }

    /** The cell that gives about so many of them, no larger than the wall is in the mean, mm. */
    public static double cellMm(Mesh mesh, int cells) {
        double volume = Math.abs(mesh.volumeMm3());
        double wall = 2 * volume / mesh.areaMm2();
        double wanted = Math.min(Math.cbrt(volume / cells), wall);
        Bounds b = mesh.bounds();
        return Math.max(wanted, Math.cbrt(Math.max(volume / MOST_CELLS, b.size().x() * b.size().y() * b.size().z() / 4e6)));
    }

    /**
     * Reckons it.
     *
     * @param mesh a closed solid; what is around is told in its coordinates, and the solid itself is among the screens
     * @param conductivityWmK W/mK
     * @throws Stop.Stopped when nobody waits for it any more
     */
    public static HeatMap of(Mesh mesh, double conductivityWmK, Around around, double cellMm, Hands hands, Stop stop) {
        return new HeatModel(mesh, conductivityWmK, around, cellMm, false, hands, stop).solved(false);
    }

    /** The same with the pieces of the surface, to be drawn. */
    public static HeatMap drawn(Mesh mesh, double conductivityWmK, Around around, double cellMm, Hands hands, Stop stop) {
        return new HeatModel(mesh, conductivityWmK, around, cellMm, true, hands, stop).solved(true);
    }

    /**
     * The most that radiation alone warms a face which looks straight at a hot body, K.
     *
     * @param way from the face to the body's box, the shortest
     */
    public static double mostRiseK(Vec3 way, HotBody hot, double roomC, double filmWm2K) {
        Bounds b = hot.box();
        Vec3 near = b.min().plus(b.max()).times(0.5);
        Vec3 from = new Vec3(from(way.x(), near.x(), b.min().x(), b.max().x()), from(way.y(), near.y(), b.min().y(), b.max().y()), from(way.z(), near.z(), b.min().z(), b.max().z()));
        double f = ViewFactor.ofBox(from, near.minus(from).unit(), b);
        double e = HotBody.DULL * hot.emissivity() / (1 - (1 - HotBody.DULL) * (1 - hot.emissivity()) * f);
        double in = e * f * linear(roomC, hot.tempC());
        return in * (hot.tempC() - roomC) / (in + filmWm2K * 1e-6 + HotBody.DULL * (1 - f) * linear(roomC, roomC));
    }

    private static double from(double way, double middle, double lo, double hi) {
        return way > 0 ? lo - way : way < 0 ? hi - way : middle;
    }

    /** Patches near each other that face the same way see the same of what stands between. */
    private void look(Hands hands) {
        Map<Integer, List<Integer>> groups = new HashMap<>();
        for (int p = 0; p < patches.count(); p++) {
            int at = grid.at[patches.cell[p]];
            int i = at % grid.nx / 2;
            int j = at / grid.nx % grid.ny / 2;
            int k = at / grid.nx / grid.ny / 2;
            Vec3 n = patches.normal[p];
            int face = Math.abs(n.x()) >= Math.abs(n.y()) && Math.abs(n.x()) >= Math.abs(n.z()) ? n.x() > 0 ? 0 : 1 : Math.abs(n.y()) >= Math.abs(n.z()) ? n.y() > 0 ? 2 : 3 : n.z() > 0 ? 4 : 5;
            groups.computeIfAbsent(((k * grid.ny + j) * grid.nx + i) * 6 + face, x -> new ArrayList<>()).add(p);
        }
        List<List<Integer>> all = List.copyOf(groups.values());
        int share = 64;
        hands.each((all.size() + share - 1) / share, part -> {
            stop.check();
            for (int g = part * share; g < Math.min(all.size(), (part + 1) * share); g++) {
                for (int b = 0; b < around.hot().size(); b++) {
                    look(all.get(g), b);
                }
            }
        });
    }

    private void look(List<Integer> group, int body) {
        Bounds box = around.hot().get(body).box();
        double seen = -1;
        double shared = Double.NaN;
        for (int p : group) {
            Vec3 m = patches.middle[p];
            Vec3 n = patches.normal[p];
            double way = arc(m, n, box);
            // From far off neighbours that face alike see the same.
            boolean far = way > FAR_CELLS * grid.h + GAP_NONE_MM;
            double f = far && !Double.isNaN(shared) ? shared : ViewFactor.ofBox(m, n, box);
            shared = far ? f : shared;
            if (f < 1e-4 && way >= GAP_NONE_MM) {
                arc[body][p] = Double.POSITIVE_INFINITY;
                continue;
            }
            if (seen < 0) {
                seen = seen(m, n, box, between.get(body));
            }
            view[body][p] = f * seen;
            arc[body][p] = seen > 0 ? way : Double.POSITIVE_INFINITY;
        }
    }

    /** The share of four lines to the box that nothing crosses. */
    private double seen(Vec3 m, Vec3 n, Bounds box, List<Around.Screen> screens) {
        Vec3 from = m.plus(n.times(0.1 * grid.h));
        Vec3 mid = box.min().plus(box.max()).times(0.5);
        Vec3 q = box.size().times(0.25);
        int free = 0;
        for (int i = 0; i < 4; i++) {
            // Four corners of a tetrahedron within the box.
            Vec3 inside = new Vec3(mid.x() + (i < 2 ? q.x() : -q.x()), mid.y() + (i % 2 == 0 ? q.y() : -q.y()), mid.z() + (i == 0 || i == 3 ? q.z() : -q.z()));
            Vec3 to = entry(from, inside, box);
            free += screens.stream().anyMatch(s -> s.blocks(from, to)) ? 0 : 1;
        }
        return free / 4.0;
    }

    /** Where a line to a point within a box comes into it, a little before. */
    private static Vec3 entry(Vec3 from, Vec3 inside, Bounds box) {
        Vec3 d = inside.minus(from);
        double t = 0;
        double[] p = {from.x(), from.y(), from.z()};
        double[] v = {d.x(), d.y(), d.z()};
        double[] lo = {box.min().x(), box.min().y(), box.min().z()};
        double[] hi = {box.max().x(), box.max().y(), box.max().z()};
        for (int a = 0; a < 3; a++) {
            if (v[a] != 0) {
                t = Math.max(t, Math.min((lo[a] - p[a]) / v[a], (hi[a] - p[a]) / v[a]));
            }
        }
        return from.plus(d.times(Math.max(0, t - 0.01)));
    }

    /** The arc that leaves a patch squarely and ends at the nearest place of a box: chord · angle / sin(angle); infinite for one that looks away. */
    private static double arc(Vec3 m, Vec3 n, Bounds box) {
        Vec3 near = new Vec3(clamp(m.x(), box.min().x(), box.max().x()), clamp(m.y(), box.min().y(), box.max().y()), clamp(m.z(), box.min().z(), box.max().z()));
        Vec3 d = near.minus(m);
        double chord = d.length();
        if (chord < GAP_LEAST_MM) {
            return GAP_LEAST_MM;
        }
        double cos = d.dot(n) / chord;
        if (cos <= 0) {
            return Double.POSITIVE_INFINITY;
        }
        double angle = Math.acos(Math.min(1, cos));
        return Math.max(GAP_LEAST_MM, angle < 1e-6 ? chord : chord * angle / Math.sin(angle));
    }

    private static double clamp(double v, double lo, double hi) {
        return Math.max(lo, Math.min(hi, v));
    }

    private HeatMap solved(boolean drawn) {
        CellSystem system = new CellSystem(grid, kWmmK);
        double[] cells = new double[grid.count];
        java.util.Arrays.fill(cells, around.roomC());
        int n = patches.count();
        double[] surface = new double[n];
        java.util.Arrays.fill(surface, around.roomC());
        double[] u = new double[n];
        double[] env = new double[n];
        double[] led = new double[grid.count];
        double[] leads = new double[grid.count];
        lead(led, leads);
        boolean converged = false;
        for (int round = 0; round < MOST_ROUNDS && !converged; round++) {
            double[] out = leads.clone();
            double[] in = led.clone();
            for (int p = 0; p < n; p++) {
                exchange(p, surface[p], u, env);
                double g = patches.areaMm2[p] / series(p, u[p]);
                out[patches.cell[p]] += g;
                in[patches.cell[p]] += g * env[p];
            }
            int exactly = Math.min(round, TOLERANCES.length - 1);
            system.solve(out, in, cells, TOLERANCES[exactly], stop);
            double most = 0;
            for (int p = 0; p < n; p++) {
                double t = cells[patches.cell[p]];
                double next = env[p] - (env[p] - t) / series(p, u[p]) / u[p];
                most = Math.max(most, Math.abs(next - surface[p]));
                surface[p] = next;
            }
            converged = most < ROUND_K && system.converged() && exactly == TOLERANCES.length - 1;
        }
        double lost = 0;
        for (int c = 0; c < grid.count; c++) {
            lost += led[c] - leads[c] * cells[c];
        }
        List<HeatMap.Patch> all = new ArrayList<>(n);
        for (int p = 0; p < n; p++) {
            lost += patches.areaMm2[p] / series(p, u[p]) * (env[p] - cells[patches.cell[p]]);
            int near = -1;
            for (int b = 0; b < around.hot().size(); b++) {
                near = near < 0 || arc[b][p] < arc[near][p] ? b : near;
            }
            all.add(new HeatMap.Patch(patches.middle[p], patches.normal[p], patches.areaMm2[p], surface[p], near < 0 ? Double.POSITIVE_INFINITY : arc[near][p], near < 0 ? "" : around.hot().get(near).id()));
        }
        return new HeatMap(all, drawn ? pieces() : List.of(), grid.h, grid.count, converged, lost);
    }

    /** What metal leads into each cell it goes through: W pulled in against 0 °C, and W/K that pull. */
    private void lead(double[] led, double[] leads) {
        double step = grid.h / 4;
        for (Bridge b : around.bridges()) {
            Vec3 way = b.to().minus(b.from()).unit();
            Vec3 u = (Math.abs(way.x()) < 0.7 ? Vec3.X : Vec3.Y).cross(way).unit();
            Vec3 v = way.cross(u);
            // Cells half a cell off its shank are met: its bore is empty.
            double ring = b.radiusMm() + grid.h / 2;
            double g = step * b.takesWmmK(kWmmK, ring) / RING;
            for (double x = step / 2; x < b.lengthMm(); x += step) {
                double tempC = b.tempC(x, kWmmK, around.roomC());
                Vec3 at = b.from().plus(way.times(x));
                for (int k = 0; k < RING; k++) {
                    double a = 2 * Math.PI * k / RING;
                    int c = grid.cellAt(at.plus(u.times(ring * Math.cos(a))).plus(v.times(ring * Math.sin(a))));
                    if (c >= 0) {
                        leads[c] += g;
                        led[c] += g * tempC;
                    }
                }
            }
        }
    }

    private List<HeatMap.Piece> pieces() {
        List<HeatMap.Piece> all = new ArrayList<>(patches.pieces.size());
        for (int i = 0; i < patches.pieces.size(); i++) {
            double[] poly = patches.pieces.get(i);
            List<Vec3> corners = new ArrayList<>(poly.length / 3);
            for (int k = 0; k + 2 < poly.length; k += 3) {
                corners.add(new Vec3(poly[k], poly[k + 1], poly[k + 2]));
            }
            if (patches.patchOf.get(i) >= 0) {
                all.add(new HeatMap.Piece(corners, patches.patchOf.get(i)));
            }
        }
        return all;
    }

    /** What a patch's heat has to get through from what is around to its cell's middle, mm²K/W; a patch behind the middle is not let through it the wrong way. */
    private double series(int p, double u) {
        return Math.max(0.1 / u, 1 / u + patches.depthMm[p] / kWmmK);
    }

    /** How a patch of a temperature exchanges with everything around: conductance W/mm²K and the temperature it pulls towards. */
    private void exchange(int p, double tempC, double[] u, double[] env) {
        double film = around.filmWm2K() * 1e-6;
        double sum = 0;
        double pull = 0;
        double free = 1;
        double open = 1;
        for (int b = 0; b < around.hot().size(); b++) {
            HotBody hot = around.hot().get(b);
            double w = clamp((GAP_NONE_MM - arc[b][p]) / (GAP_NONE_MM - GAP_WHOLE_MM), 0, 1);
            if (w > 0) {
                double g = w * airWmmK((tempC + hot.tempC()) / 2) / arc[b][p];
                sum += g;
                pull += g * hot.tempC();
                free *= 1 - w;
            }
            double f = view[b][p];
            if (f > 0) {
                double e = HotBody.DULL * hot.emissivity() / (1 - (1 - HotBody.DULL) * (1 - hot.emissivity()) * f);
                double g = e * f * linear(tempC, hot.tempC());
                sum += g;
                pull += g * hot.tempC();
                open -= f;
            }
        }
        double room = film * free + HotBody.DULL * Math.max(0, open) * linear(tempC, around.roomC());
        u[p] = sum + room;
        env[p] = (pull + room * around.roomC()) / u[p];
    }

    private static double linear(double aC, double bC) {
        double a = aC + KELVIN;
        double b = bC + KELVIN;
        return SIGMA * (a * a + b * b) * (a + b);
    }

    /** Conductivity of air, W/mm·K (Sutherland's form with constants from memory: 2.334e-3 T^1.5/(164.54 + T) W/mK). */
    static double airWmmK(double tempC) {
        double t = tempC + KELVIN;
        return 2.334e-6 * t * Math.sqrt(t) / (164.54 + t);
    }
}
