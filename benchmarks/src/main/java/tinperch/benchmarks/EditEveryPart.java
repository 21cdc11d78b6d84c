package tinperch.benchmarks;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import tinperch.fact.MeshesFact;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.KeptModels;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.engine.FactEngine;

/**
 * From an edit to the new meshes, for every part of the demo and every number of it, warm and on one thread as the window asks: each number is moved a
 * little up and down again. Prints, for each part, the median of all and the numbers that cost most.
 */
public final class EditEveryPart {
    private static final int ROUNDS = 12;
    private static final int WARM = 4;

    private EditEveryPart() {}

    private record Cost(String number, double ms) {}

    public static void main(String[] args) {
        WorkshopState state = DemoWorkshop.state();
        Shop shop = state.shop(new KeptModels(id -> DemoModels.blobs().stream().filter(m -> m.id().equals(id)).map(m -> m.bytes()).findFirst().or(Optional::empty)));
        System.out.printf("%-28s %-22s %8s %8s   %s%n", "part", "kind", "median", "dearest", "number that costs most");
        for (Upgrade u : state.upgrades()) {
            for (PartDesign p : u.parts()) {
                List<Cost> costs = costs(u, p, shop);
                List<Double> all = new ArrayList<>(costs.stream().map(Cost::ms).sorted().toList());
                Cost worst = Collections.max(costs, java.util.Comparator.comparingDouble(Cost::ms));
                System.out.printf("%-28s %-22s %8.1f %8.1f   %s%n", p.name().substring(0, Math.min(28, p.name().length())), p.familyId(), all.get(all.size() / 2), worst.ms, worst.number);
            }
        }
    }

    /** The median of each number's edits, ms. */
    private static List<Cost> costs(Upgrade u, PartDesign p, Shop shop) {
        FactEngine engine = new FactEngine(Runnable::run);
        List<NumberParam> numbers = new ArrayList<>();
        for (Param<?> q : Case.of(u, p.id(), shop, "R1").family().orElseThrow().params()) {
            if (q instanceof NumberParam n && (n.unit() == Unit.MM || n.unit() == Unit.DEG)) {
                numbers.add(n);
            }
        }
        List<List<Double>> ms = numbers.stream().map(n -> (List<Double>) new ArrayList<Double>()).toList();
        for (int round = 0; round < ROUNDS; round++) {
            for (int i = 0; i < numbers.size(); i++) {
                NumberParam n = numbers.get(i);
                double from = n.of(p.values());
                double to = from + (from + 0.1 > n.max() ? -1 : 1) * (0.02 + 0.005 * round);
                Case c = Case.of(u.with(p.with(p.values().with(n, to))), p.id(), shop, "R1");
                long t = System.nanoTime();
                boolean made = !engine.now(c).get(MeshesFact.MESHES).pieces().isEmpty();
                if (made && round >= WARM) {
                    ms.get(i).add((System.nanoTime() - t) / 1e6);
                }
            }
        }
        List<Cost> all = new ArrayList<>();
        for (int i = 0; i < numbers.size(); i++) {
            List<Double> sorted = ms.get(i).stream().sorted().toList();
            if (!sorted.isEmpty()) {
                all.add(new Cost(numbers.get(i).label(), sorted.get(sorted.size() / 2)));
            }
        }
        return all;
    }
}
