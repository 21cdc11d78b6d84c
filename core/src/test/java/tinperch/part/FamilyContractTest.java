package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.quantity.Unit;
import tinperch.part.form.SeatKind;
import tinperch.part.block.CarriageRide;
import tinperch.part.family.GantryEnd;
import tinperch.part.family.WheelCarriage;
import tinperch.solid.Vec3;
import tinperch.part.bind.TipRef;
import tinperch.machine.space.Surroundings;
import tinperch.machine.space.Site;
import tinperch.machine.space.Neighbour;
import tinperch.machine.Machine;
import tinperch.upgrade.PartDesign;
import tinperch.part.bind.Binding;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.judge.Assessment;
import tinperch.judge.Judge;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.Role;
import tinperch.part.form.PartForm;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Solid;
import tinperch.upgrade.Case;
import tinperch.upgrade.Families;

/** What every kind of part promises, tried on all of them. */
public class FamilyContractTest {
    @DataProvider
    public static Object[][] families() {
        // Kinds made from somebody's model need one; they have tests of their own.
        return Families.ALL.stream().filter(f -> f.roles().stream().noneMatch(r -> r.kind().equals(MeshRef.KIND))).map(f -> new Object[] {f}).toArray(Object[][]::new);
    }

    static Case marked(PartFamily f, Values v) {
        Case c = PartExamples.usual(f.id(), v);
        return Case.of(c.upgrade(), "p1", PartExamples.shop(60, 50, 32, 32), "R7");
    }

    /** What can be seen of a part without computing a triangle: the corners of all leaves, the screws, the dimensions; a text when there is none. */
    private static Object seen(Case c) {
        FormFact.Answer a = new FactsOnce(c).get(FormFact.FORM);
        if (a.form().isEmpty()) {
            return a.problem();
        }
        List<Object> all = new ArrayList<>();
        a.form().get().pieces().forEach(p -> corners(p.solid(), all));
        PartForm f = a.form().get();
        f.held().forEach(h -> corners(h.solid(), all));
        return List.of(all, f.screws(), f.mount(), f.joints(), f.air(), Marking.HEIGHT.of(c.recipe().values()));
    }

    private static void corners(Solid s, List<Object> into) {
        if (s instanceof Leaf l) {
            double sum = 0;
            for (int i = 0; i < l.cornerCount(); i++) {
                sum += Math.sin(1.3 * i + 0.5) * l.corner(i, 0) + Math.cos(0.7 * i) * l.corner(i, 1) + Math.sin(2.1 * i + 1) * l.corner(i, 2);
            }
            into.add(l.feature() + Math.rint(sum * 1e6));
        } else if (s instanceof Solid.Union u) {
            u.parts().forEach(p -> corners(p, into));
        } else if (s instanceof Solid.Difference d) {
            corners(d.body(), into);
            d.cuts().forEach(p -> corners(p, into));
        } else if (s instanceof Solid.Intersection i) {
            i.parts().forEach(p -> corners(p, into));
        }
    }

    private static List<Values> others(Param<?> p, Values base) {
        List<Values> all = new ArrayList<>();
        if (p instanceof NumberParam n) {
            double now = n.of(base);
            for (double v : new double[] {now + 1, now - 1, now + 4, now + 0.3, now * 1.3, now + 25}) {
                if (n.holds(v) && v != now) {
                    all.add(n.set(base, v));
                }
            }
        } else if (p instanceof ChoiceParam<?> c) {
            c.options().forEach(o -> all.add(c.typed(base, o.label())));
        } else {
            all.add(p.typed(base, "yes"));
            all.add(p.typed(base, "no"));
        }
        return all;
    }

    /** Values from which a parameter may be seen: the start, every choice or switch set otherwise, alone and beside every switch, every number off its zero, every count by one more. */
    private static List<Values> bases(PartFamily f) {
        List<Values> all = new ArrayList<>(List.of(Values.START));
        // What most show first.
        f.params().stream().filter(SwitchParam.class::isInstance).forEach(p -> all.addAll(others(p, Values.START)));
        f.params().stream().filter(p -> p instanceof NumberParam n && n.unit() == Unit.COUNT && n.holds(n.start() + 1)).map(NumberParam.class::cast).forEach(n -> all.add(n.set(Values.START, n.start() + 1)));
        if (f instanceof GantryEnd) {
            // A profile lies where the belt goes between rods.
            all.add(Values.START.with(GantryEnd.PASSAGE, 0.0));
        }
        if (f instanceof WheelCarriage) {
            // Two choices at once show what these do.
            Values blocks = Values.START.with(WheelCarriage.RIDE.on, CarriageRide.On.BLOCKS).with(WheelCarriage.RIDE.rows, 60.0);
            all.addAll(List.of(blocks.with(WheelCarriage.RIDE.blocks.standoff, 4.0), blocks.with(WheelCarriage.RIDE.blocks.seat, SeatKind.INSERT)));
        }
        f.params().stream().filter(p -> p instanceof NumberParam n && n.start() == 0 && n.holds(4)).map(NumberParam.class::cast).forEach(n -> all.add(n.set(Values.START, 4.0)));
        f.params().stream().filter(ChoiceParam.class::isInstance).forEach(p -> all.addAll(others(p, Values.START)));
        for (Param<?> p : f.params()) {
            if (p instanceof SwitchParam) {
                // All of them with the switch the other way too; where that gets too many, the first few.
                for (Values v : List.copyOf(all.subList(0, Math.min(all.size(), MOST_TURNED)))) {
                    all.addAll(others(p, v));
                }
            }
        }
        return all;
    }

    private static final int MOST_TURNED = 60;
    private static final int FIRST = 20;

    /** Bound to everything it can be bound to, optional things too. */
    private static Case whole(PartFamily f, Values v) {
        Case c = marked(f, v);
        PartDesign p = c.part().atSite("there");
        for (Role<?> r : f.roles()) {
            p = r.kind().equals(TipRef.KIND) ? p.bound(r.id(), new Binding.OfNeighbour("nozzle"))
                    : r.optional() && !r.usual().isEmpty() ? p.bound(r.id(), new Binding.Usual(r.usual())) : p;
        }
        // A nozzle's tip before the site and above it.
        Machine m = c.machine().withSurroundings(Surroundings.NONE.with(new Site("there", "there", "", Vec3.ZERO, Vec3.X, 0, 0.3, ""))
                .with(new Neighbour("nozzle", "nozzle", "", Neighbour.Kind.HOT, Neighbour.Form.CYLINDER, new Vec3(36, -4, 60), new Vec3(8, 8, 30), "z", 2, 250))
                .with(new Neighbour("switch", "switch", "", Neighbour.Kind.ACCESS, Neighbour.Form.BOX, new Vec3(0, 54.6, -5), new Vec3(20, 6, 10), "x", 0, 0))
                .with(new Neighbour("post", "post", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(0, 30, 15), new Vec3(40, 20, 25), "x", 2, 0)));
        return Case.of(c.upgrade().with(p), "p1", PartExamples.shop(m.with(PartExamples.holes("mount", 60, 50)).with(PartExamples.holes("tool", 32, 32))), "R7");
    }

    /** A part with one thing set otherwise or two, bound to as little as it can be or to everything. */
    private static final class Base {
        private final PartFamily family;
        private final Values values;
        private final BiFunction<PartFamily, Values, Case> bound;
        private final Set<Card> touched;
        private Object seen;

        Base(PartFamily family, Values values, BiFunction<PartFamily, Values, Case> bound) {
            this.family = family;
            this.values = values;
            this.bound = bound;
            touched = family.params().stream().filter(p -> !p.show(values).equals(p.show(Values.START))).map(Param::card).collect(Collectors.toSet());
        }

        /** Whether a parameter set otherwise changes what is seen here. */
        boolean shows(Param<?> p) {
            seen = seen == null ? seen(bound.apply(family, values)) : seen;
            return !(seen instanceof String) && others(p, values).stream().map(v -> seen(bound.apply(family, v))).anyMatch(after -> !(after instanceof String) && !after.equals(seen));
        }
    }

    @Test(dataProvider = "families")
    public void everyParameterIsSeen(PartFamily f) {
        List<Values> bases = bases(f);
        List<Base> first = new ArrayList<>(bases.subList(0, Math.min(bases.size(), FIRST)).stream().map(v -> new Base(f, v, FamilyContractTest::whole)).toList());
        List<Base> all = new ArrayList<>(bases.stream().flatMap(v -> Stream.of(new Base(f, v, FamilyContractTest::marked), new Base(f, v, FamilyContractTest::whole))).toList());
        List<Param<?>> unseen = unseen(unseen(f.params(), first), all);
        assertEquals(String.join(", ", unseen.stream().map(Param::key).toList()), "", "parameters that change nothing");
    }

    private static List<Param<?>> unseen(List<Param<?>> of, List<Base> bases) {
        List<Param<?>> unseen = new ArrayList<>();
        for (Param<?> p : of) {
            // Where one was seen its neighbours are too, mostly; and where something of its own card was set otherwise.
            Optional<Base> shows = Stream.concat(bases.stream().filter(b -> b.touched.contains(p.card())), bases.stream().filter(b -> !b.touched.contains(p.card()))).filter(b -> b.shows(p)).findFirst();
            shows.ifPresent(b -> {
                bases.remove(b);
                bases.add(0, b);
            });
            if (shows.isEmpty()) {
                unseen.add(p);
            }
        }
        return unseen;
    }

    @Test(dataProvider = "families")
    public void keysAndRolesAreUnique(PartFamily f) {
        assertEquals(f.params().stream().map(Param::key).distinct().count(), (long) f.params().size());
        assertEquals(f.roles().stream().map(Role::id).distinct().count(), (long) f.roles().size());
        for (Param<?> p : f.params()) {
            assertTrue(p.wrong(Values.START).isEmpty(), p.key());
            assertTrue(!p.hint().isBlank() && !p.label().isBlank(), p.key());
            assertTrue(!f.summary(p.card(), Values.START).isBlank(), p.card().title());
        }
        f.roles().forEach(r -> assertTrue(r.usual().isEmpty() || tinperch.catalogue.UsualThing.byId(r.usual()).isPresent(), r.usual()));
    }

    @Test(dataProvider = "families")
    public void aNewOneIsMadeFromUsualSizesWithoutAStop(PartFamily f) {
        Assessment a = null;
        for (Values v : f.starts(marked(f, Values.START).recipe().refs())) {
            Case c = marked(f, v);
            a = a == null || a.findings().stream().anyMatch(x -> x.severity() == Severity.STOP) ? Judge.judge(c, new FactsOnce(c)) : a;
        }
        assertEquals(a.findings().stream().filter(x -> x.severity() == Severity.STOP).map(Finding::what).toList().toString(), "[]");
        assertTrue(a.findings().stream().anyMatch(x -> x.id().startsWith("known.") && x.severity() == Severity.LOOK), "what is not measured is said");
    }

    @Test(dataProvider = "families")
    public void extremesBuildOrSayWhyNot(PartFamily f) {
        for (Param<?> p : f.params()) {
            if (p instanceof NumberParam n) {
                for (double v : new double[] {n.min(), n.max()}) {
                    closedOrSaid(marked(f, n.set(Values.START, v)), p.key() + " " + v);
                }
            }
        }
    }

    private static boolean closedOrSaid(Case c, String what) {
        MeshesFact.Answer a = new FactsOnce(c).get(MeshesFact.MESHES);
        if (a.pieces().isEmpty()) {
            assertTrue(a.problem().endsWith(".") && a.problem().length() > 20, what + ": " + a.problem());
            return false;
        }
        for (Mesh m : a.pieces().stream().map(MeshesFact.Made::mesh).toList()) {
            assertEquals(m.openEdges(), 0, what);
            assertTrue(m.volumeMm3() > 0, what);
        }
        return true;
    }

    static Values random(PartFamily f, Random r, double share) {
        Values v = Values.START;
        for (Param<?> p : f.params()) {
            if (p instanceof NumberParam n) {
                if (r.nextInt(3) == 0) {
                    double near = n.start() + (n.max() - n.min()) * share * r.nextGaussian();
                    double x = Math.max(n.min(), Math.min(n.max(), near));
                    v = n.set(v, n.unit() == tinperch.quantity.Unit.COUNT ? Math.rint(x) : Math.round(x * 10) / 10.0);
                    v = n.holds(n.of(v)) ? v : n.set(v, n.start());
                }
            } else if (r.nextInt(3) == 0) {
                List<Values> some = others(p, v);
                v = some.get(r.nextInt(some.size()));
            }
        }
        return v;
    }

    /** Random sets of values a kind; {@code -Dtinperch.sets=500} takes minutes and belongs outside the daily run. */
    private static final int SETS = Integer.getInteger("tinperch.sets", 60);

    @Test(dataProvider = "families", groups = "deep")
    public void anyValuesGiveClosedPiecesOrASentence(PartFamily f) {
        Random r = new Random(21);
        int made = 0;
        for (int n = 0; n < SETS; n++) {
            made += closedOrSaid(marked(f, random(f, r, 0.04)), f.id() + " " + n) ? 1 : 0;
        }
        assertTrue(made > SETS / 5, "made " + made);
    }
}
