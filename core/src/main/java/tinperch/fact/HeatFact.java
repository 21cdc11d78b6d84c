package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.heat.Around;
import tinperch.heat.Bridge;
import tinperch.heat.HeatMap;
import tinperch.heat.HeatModel;
import tinperch.heat.HotBody;
import tinperch.machine.AirAround;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.material.Material;
import tinperch.part.form.Piece;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/**
 * How warm the pieces of a part on its site get for good, near what is hot on its machine, axes at home. What it touches that is not hot takes no heat off it, what it carries
 * shades nothing, pieces do not warm each other; hot things count as their boxes. Empty without a site, a part or a material.
 */
public final class HeatFact implements Fact<Optional<HeatFact.Answer>> {
    /** As finely as a judgement needs it. */
    public static final HeatFact HEAT = new HeatFact(HeatModel.CELLS, false);
    /** As finely as a picture needs it, with the pieces to be drawn. */
    public static final HeatFact FINE = new HeatFact(HeatModel.FINE_CELLS, true);
    /** To still air, W/m²K (common practice: 8…12). */
    public static final double FILM_WM2K = 10;
    /** To air a fan keeps moving, W/m²K (common practice: 25…60; what is counted on is the least). */
    public static final double BLOWN_WM2K = 25;
    /** A screw that ends so near something hot is in it, mm. */
    private static final double TOUCH_MM = 0.5;
    /** A sock's outside has this share of the block's rise over the room (value from memory: 120 °C on a block at 240 °C). */
    private static final double SOCK_SHARE = 0.44;
    /** Through the air heat is felt this near at most, mm. */
    private static final double AIR_MM = 12;
    /** Radiation that warms a face which looks straight at it by less than this is not felt, K. */
    public static final double FELT_K = 3;

    private final int cells;
    private final boolean drawn;

    private HeatFact(int cells, boolean drawn) {
        this.cells = cells;
        this.drawn = drawn;
    }

    /**
     * What was found.
     *
     * @param anyHot whether anything hot is drawn on the machine at all
     * @param nearestMm from the part to the nearest hot thing, box to box; infinite where there is none
     */
    public record Answer(List<Warm> pieces, boolean anyHot, double nearestMm, double roomC) {
        public Answer {
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * A piece near something hot.
     *
     * @param place of the piece as it lies on the bed, in the map's coordinates
     * @param screws how many screws lead heat into it from something hot
     */
    public record Warm(Piece piece, Placement place, HeatMap map, int screws) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(RestFact.REST.inputs(c, facts), Material.find(c.part().material()).map(Material::conductivityWmK), AirAround.tempC(c.machine()), bridges(c, facts));
    }

    @Override
    public Optional<Answer> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        Optional<Material> material = Material.find(c.part().material());
        List<MeshesFact.Made> made = facts.get(MeshesFact.BARE).pieces();
        if (place.isEmpty() || material.isEmpty() || made.isEmpty()) {
            return Optional.empty();
        }
        double roomC = AirAround.tempC(c.machine());
        List<HotBody> hot = hot(c, roomC);
        Surroundings space = c.machine().surroundings();
        Placement here = place.get().moved(space.shift(c.site().orElseThrow().group(), space.home()));
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        List<Around.Screen> screens = screens(c, facts);
        for (int i = 0; i < made.size(); i++) {
            screens.add(new Around.Screen(trees.get(i), here.times(made.get(i).piece().place())));
        }
        List<PieceBridge> bridges = bridges(c, facts);
        List<Warm> all = new ArrayList<>();
        double nearest = Double.POSITIVE_INFINITY;
        for (MeshesFact.Made m : made) {
            facts.stop().check();
            Placement at = here.times(m.piece().place());
            Mesh mesh = m.mesh().placed(at);
            List<HotBody> felt = new ArrayList<>();
            for (HotBody h : hot) {
                Vec3 way = way(mesh.bounds(), h.box());
                nearest = Math.min(nearest, way.length());
                if (way.length() < AIR_MM || HeatModel.mostRiseK(way, h, roomC, FILM_WM2K) > FELT_K) {
                    felt.add(h);
                }
            }
            List<Bridge> led = bridges.stream().filter(x -> x.pieceId().equals(m.piece().id())).map(PieceBridge::bridge).toList();
            if (!felt.isEmpty() || !led.isEmpty()) {
                Around around = new Around(roomC, c.site().get().blown() ? BLOWN_WM2K : FILM_WM2K, felt, screens, led);
                double cellMm = HeatModel.cellMm(mesh, cells);
                HeatMap map = drawn ? HeatModel.drawn(mesh, material.get().conductivityWmK(), around, cellMm, facts.hands(), facts.stop())
                        : HeatModel.of(mesh, material.get().conductivityWmK(), around, cellMm, facts.hands(), facts.stop());
                all.add(new Warm(m.piece(), at, map, led.size()));
            }
        }
        return Optional.of(new Answer(all, !hot.isEmpty(), nearest, roomC));
    }

    private record PieceBridge(String pieceId, Bridge bridge) {}

    /** Screws whose head or tip is in something hot, from there on. */
    private static List<PieceBridge> bridges(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        Surroundings space = c.machine().surroundings();
        List<Neighbour> hot = space.neighbours().stream().filter(n -> n.kind() == Neighbour.Kind.HOT && n.tempC() > AirAround.tempC(c.machine())).toList();
        if (place.isEmpty() || hot.isEmpty()) {
            return List.of();
        }
        Placement here = place.get().moved(space.shift(c.site().orElseThrow().group(), space.home()));
        List<PieceBridge> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.screws().forEach(s -> f.pieces().stream().filter(p -> p.id().equals(s.pieceId())).findFirst().ifPresent(p -> {
            Placement at = here.times(p.place()).times(s.axis());
            Vec3 head = at.point(0, 0, s.shankFromMm());
            Vec3 tip = at.point(0, 0, s.shankFromMm() + s.lengthMm());
            for (Neighbour n : hot) {
                // A sock keeps a block's outside cool, not what is screwed into it.
                Bounds box = n.bounds(space.shift(n.group(), space.home()));
                boolean byTip = box.overlaps(new Bounds(tip, tip), TOUCH_MM);
                if (byTip || box.overlaps(new Bounds(head, head), TOUCH_MM)) {
                    Vec3 to = byTip ? head : tip;
                    Vec3 from = leaving(box, byTip ? tip : head, to);
                    if (to.minus(from).length() > TOUCH_MM) {
                        all.add(new PieceBridge(p.id(), new Bridge(from, to, n.tempC(), s.thread().diameterMm() / 2, s.thread().stressAreaMm2())));
                    }
                    break;
                }
            }
        })));
        return all;
    }

    /** Where the way from a point in a box to another comes out of it; that other where it does not. */
    private static Vec3 leaving(Bounds box, Vec3 from, Vec3 to) {
        Vec3 d = to.minus(from);
        double t = Math.min(out(from.x(), d.x(), box.min().x(), box.max().x()), Math.min(out(from.y(), d.y(), box.min().y(), box.max().y()), out(from.z(), d.z(), box.min().z(), box.max().z())));
        return from.plus(d.times(Math.max(0, Math.min(1, t))));
    }

    private static double out(double at, double way, double low, double high) {
        return way > 1e-9 ? (high - at) / way : way < -1e-9 ? (low - at) / way : Double.POSITIVE_INFINITY;
    }

    /** What is hot, where it stands with the axes at home. */
    private static List<HotBody> hot(Case c, double roomC) {
        Surroundings space = c.machine().surroundings();
        return space.neighbours().stream().filter(n -> n.kind() == Neighbour.Kind.HOT && n.tempC() > roomC).map(n -> new HotBody(n.id(), n.bounds(space.shift(n.group(), space.home())), surfaceC(n, roomC),
                n.sock() ? HotBody.DULL : HotBody.BARE)).toList();
    }

    /** How warm it is outside, °C. */
    private static double surfaceC(Neighbour n, double roomC) {
        return n.sock() ? roomC + SOCK_SHARE * (n.tempC() - roomC) : n.tempC();
    }

    private static List<Around.Screen> screens(Case c, Facts facts) {
        Surroundings space = c.machine().surroundings();
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        List<Around.Screen> all = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            if (n.kind() == Neighbour.Kind.SOLID) {
                all.add(new Around.Screen(shapes.get(n.id()).tree(), Placement.HERE.moved(space.shift(n.group(), space.home()))));
            }
        }
        return all;
    }

    /** The shortest way from one box to another. */
    private static Vec3 way(Bounds a, Bounds b) {
        return new Vec3(way(a.min().x(), a.max().x(), b.min().x(), b.max().x()), way(a.min().y(), a.max().y(), b.min().y(), b.max().y()), way(a.min().z(), a.max().z(), b.min().z(), b.max().z()));
    }

    private static double way(double a0, double a1, double b0, double b1) {
        return b0 > a1 ? b0 - a1 : b1 < a0 ? b1 - a0 : 0;
    }
}
