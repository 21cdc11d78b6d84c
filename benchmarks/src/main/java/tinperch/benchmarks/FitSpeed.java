package tinperch.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.check.Check;
import tinperch.check.Severity;
import tinperch.fact.HeatFact;
import tinperch.fact.MeshesFact;
import tinperch.fact.MotionFact;
import tinperch.fact.RestFact;
import tinperch.fact.Sweep;
import tinperch.heat.Around;
import tinperch.heat.HeatMap;
import tinperch.heat.HeatModel;
import tinperch.heat.HotBody;
import tinperch.judge.Checks;
import tinperch.judge.Judge;
import tinperch.judge.SettleSearch;
import tinperch.machine.space.Shape;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Stop;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.quantity.Unit;
import tinperch.workshop.KeptModels;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.background.Helpers;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.engine.FactEngine;

/** What Dry fit costs, warm: all checks of every demo part after an edit, the sweep and the heat map apart; a map of 10,000 and 100,000 cells; settling what stops. */
public final class FitSpeed {
    private static final int ROUNDS = 9;

    private FitSpeed() {}

    public static void main(String[] args) {
        WorkshopState state = DemoWorkshop.state();
        Shop shop = state.shop(new KeptModels(id -> DemoModels.blobs().stream().filter(m -> m.id().equals(id)).map(m -> m.bytes()).findFirst().or(Optional::empty)));
        System.out.printf("%-28s %9s %9s %9s%n", "part", "checks", "sweep", "heat");
        for (int round = 0; round < 2; round++) {
            for (Upgrade u : state.upgrades()) {
                for (PartDesign p : u.parts()) {
                    double[] ms = checks(u, p, shop);
                    if (round == 1) {
                        System.out.printf("%-28s %6.0f ms %6.0f ms %6.0f ms%n", p.name().substring(0, Math.min(28, p.name().length())), ms[0], ms[1], ms[2]);
                    }
                }
            }
        }
        for (int cells : new int[] {10_000, 100_000}) {
            System.out.printf("heat map of %d cells: %.0f ms%n", cells, heat(cells));
        }
        for (double gap : new double[] {20, 2.5, 0.4, -1}) {
            System.out.printf("sweep of 20,000 against 20,000 triangles over three axes, %.1f mm apart at the nearest: %.0f ms%n", gap, sweep(gap));
        }
        settle(state, shop);
    }

    /** A round body with ribs driven over 200 mm of three axes past another. */
    private static double sweep(double gapMm) {
        Mesh one = round();
        TriangleTree own = TriangleTree.of(one);
        Shape other = Shape.of(round().placed(Placement.at(100, 60 + gapMm, 100)));
        other.tree();
        List<Sweep.Travel> travels = List.of(new Sweep.Travel("x", Vec3.X, 0, 200), new Sweep.Travel("y", Vec3.Y, -200, 0), new Sweep.Travel("z", Vec3.Z, 0, 200));
        List<Double> ms = new ArrayList<>();
        for (int r = 0; r < ROUNDS; r++) {
            long t = System.nanoTime();
            Sweep.tightest(own, Placement.HERE, other, travels, 3, Stop.NEVER);
            ms.add((System.nanoTime() - t) / 1e6);
        }
        return median(ms);
    }

    private static Mesh round() {
        return SolidKernel.evaluate(Leaf.extrusion("body", Profile.disc(0, 0, 60, 5000), Placement.HERE, 0, 40), Tolerances.USUAL);
    }

    /** Medians of an edit's judgement, of the sweep and of the heat map in it, ms. */
    private static double[] checks(Upgrade u, PartDesign p, Shop shop) {
        List<List<Double>> all = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        NumberParam n = null;
        for (Param<?> q : Case.of(u, p.id(), shop, "R1").family().orElseThrow().params()) {
            n = n == null && q instanceof NumberParam k && k.unit() == Unit.MM && k.of(p.values()) + 0.2 < k.max() ? k : n;
        }
        FactEngine engine = new FactEngine(Runnable::run);
        for (int r = 0; r < ROUNDS; r++) {
            Case c = Case.of(u.with(p.with(p.values().with(n, n.of(p.values()) + 0.011 * (r + 1)))), p.id(), shop, "R1");
            var facts = engine.now(c);
            facts.get(MeshesFact.MESHES);
            facts.get(RestFact.REST);
            long t0 = System.nanoTime();
            facts.get(MotionFact.MOTION);
            long t1 = System.nanoTime();
            facts.get(HeatFact.HEAT);
            long t2 = System.nanoTime();
            for (Check check : Checks.ALL) {
                Judge.ask(check, c, facts);
            }
            all.get(0).add((System.nanoTime() - t2) / 1e6);
            all.get(1).add((t1 - t0) / 1e6);
            all.get(2).add((t2 - t1) / 1e6);
        }
        return all.stream().mapToDouble(FitSpeed::median).toArray();
    }

    private static double median(List<Double> ms) {
        return ms.stream().sorted().toList().get(ms.size() / 2);
    }

    private static double heat(int cells) {
        Mesh m = SolidKernel.evaluate(Leaf.extrusion("plate", Profile.rectangle(50, 35, 100, 70), Placement.HERE, 0, 6), Tolerances.USUAL);
        Around a = new Around(25, 10, List.of(new HotBody("block", new Bounds(new Vec3(40, 25, 9), new Vec3(60, 45, 21)), 240, HotBody.BARE)), List.of(new Around.Screen(TriangleTree.of(m), Placement.HERE)));
        List<Double> ms = new ArrayList<>();
        for (int r = 0; r < ROUNDS; r++) {
            long t = System.nanoTime();
            HeatMap h = HeatModel.of(m, 0.2, a, HeatModel.cellMm(m, cells), Helpers.ALL, Stop.NEVER);
            if (h.converged()) {
                ms.add((System.nanoTime() - t) / 1e6);
            }
        }
        return median(ms);
    }

    private static void settle(WorkshopState state, Shop shop) {
        for (Upgrade u : state.upgrades()) {
            for (PartDesign p : u.parts()) {
                Case c = Case.of(u, p.id(), shop, "R1");
                FactEngine engine = new FactEngine(Runnable::run);
                if (Judge.judge(c, engine.now(c)).count(Severity.STOP) > 0) {
                    long t = System.nanoTime();
                    SettleSearch.Proposal s = SettleSearch.of(c, engine::now, Helpers.ALL, () -> false, k -> { });
                    System.out.printf("settle %-24s %5.0f ms, %d designs, %s%n", p.name(), (System.nanoTime() - t) / 1e6, s.tried(), s.settled() ? Map.of("steps", s.steps().size()) : "no way found");
                }
            }
        }
    }
}
