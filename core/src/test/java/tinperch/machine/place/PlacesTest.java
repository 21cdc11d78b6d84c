package tinperch.machine.place;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.machine.space.Along;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.measure.Adjustment;
import tinperch.measure.Adjustment.Observation;
import tinperch.measure.Adjustment.Term;
import tinperch.measure.Reading;
import tinperch.solid.Vec3;

/** Places from distances read face to face; the least squares themselves are checked in AdjustmentTest. */
public class PlacesTest {
    private static final Axis Z = new Axis("z", Vec3.Z, 0, 200, false, 1);

    private static Neighbour box(String id, String group, double x, double y, double z, double sx, double sy, double sz) {
        return new Neighbour(id, id, group, Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(x, y, z), new Vec3(sx, sy, sz), "z", 2, 0);
    }

    private static Distance read(String id, Along along, String from, End.Where a, String to, End.Where b, double... mm) {
        List<Reading> readings = new ArrayList<>();
        for (double v : mm) {
            readings.add(new Reading(v, Instant.EPOCH, "calipers"));
        }
        return new Distance(id, along, new End(from, a), new End(to, b), readings, 0, Map.of(), "");
    }

    private static Surroundings bench(Neighbour... all) {
        Surroundings s = new Surroundings(List.of(Z), List.of(new Group("head", List.of("z"))), List.of());
        for (Neighbour n : all) {
            s = s.with(n);
        }
        return s;
    }

    private static Surroundings start() {
        return bench(box("bed", "", 0, 0, -4, 200, 200, 4), box("block", "head", 90, 90, 30, 20, 16, 12), box("shroud", "head", 60, 80, 50, 30, 40, 30));
    }

    @Test
    public void aBlockIsPutWhereItWasReadAboveTheBedWithTheAxisWhereItStood() {
        Distance d = new Distance("d1", Along.Z, new End("bed", End.Where.HIGH), new End("block", End.Where.LOW),
                List.of(new Reading(8.2, Instant.EPOCH, "calipers")), 0, Map.of("z", 5.0), "");
        Surroundings s = Places.of(start().with(d), End.Holes.NONE).settled();
        // Bed's top at 0; the head stood 5 mm up: with the axis at zero the block's underside is at 3.2.
        assertEquals(s.neighbour("block").orElseThrow().corner().z(), 3.2, 1e-9);
        assertEquals(s.neighbour("block").orElseThrow().corner().x(), 90.0, "nothing was read along x");
        Places p = Places.of(s, End.Holes.NONE);
        assertEquals(p.of("block", Along.Z).how(), Place.How.MEASURED);
        assertEquals(p.of("block", Along.Z).halfWidthMm(), 0.03, 1e-9, "one reading of calipers: ±0.03 (common practice)");
        assertEquals(p.of("block", Along.X).how(), Place.How.USUAL);
        assertEquals(p.of("bed", Along.Z).how(), Place.How.DATUM);
        assertSame(p.settled(), s, "what is settled stays as it is");
    }

    /** By hand: block from bed 10.00, shroud from block's top 5.00, shroud from bed 27.06, all ±0.03: the loop misses by 0.06, each takes a third. */
    @Test
    public void aRedundantReadingSharesWhatTheLoopMissesBy() {
        Surroundings s = start().with(read("a", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW, 10.00))
                .with(read("b", Along.Z, "block", End.Where.HIGH, "shroud", End.Where.LOW, 5.00))
                .with(read("c", Along.Z, "bed", End.Where.HIGH, "shroud", End.Where.LOW, 27.06));
        Places p = Places.of(s, End.Holes.NONE);
        assertEquals(p.of("block", Along.Z).mm(), 10.02, 1e-9);
        assertEquals(p.of("shroud", Along.Z).mm(), 27.04, 1e-9);
        assertTrue(p.doubts().isEmpty());
        // Two thirds of the variance of one reading remain.
        assertEquals(p.of("block", Along.Z).halfWidthMm(), 0.03 * Math.sqrt(2.0 / 3), 1e-9);
    }

    @Test
    public void theReadingThatDisagreesIsNamedAndSwappedEndsAreSeen() {
        Surroundings s = start().with(read("a", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW, 10.00))
                .with(read("a2", Along.Z, "bed", End.Where.HIGH, "block", End.Where.MIDDLE, 16.01))
                .with(read("a3", Along.Z, "bed", End.Where.LOW, "block", End.Where.HIGH, 26.00));
        assertTrue(Places.of(s, End.Holes.NONE).doubts().isEmpty());
        Doubt wrong = Places.of(s.with(read("b", Along.Z, "bed", End.Where.HIGH, "block", End.Where.HIGH, 23.0)), End.Holes.NONE).doubts().get(0);
        assertEquals(wrong.distances().stream().map(Distance::id).toList(), List.of("b"));
        assertEquals(wrong.byMm(), 1.0, 0.02, "the others say 22.0");
        assertFalse(wrong.swapped());
        assertTrue(wrong.words(Distance::id).startsWith("“b” disagrees with the other readings by 1"), wrong.words(Distance::id));
        Doubt turned = Places.of(s.with(read("b", Along.Z, "block", End.Where.HIGH, "bed", End.Where.HIGH, 22.0)), End.Holes.NONE).doubts().get(0);
        assertEquals(turned.distances().get(0).id(), "b");
        assertTrue(turned.swapped());
    }

    @Test
    public void inASingleLoopNobodyCanSayWhichIsWrong() {
        Surroundings s = start().with(read("a", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW, 10.00))
                .with(read("b", Along.Z, "block", End.Where.HIGH, "shroud", End.Where.LOW, 5.00))
                .with(read("c", Along.Z, "bed", End.Where.HIGH, "shroud", End.Where.LOW, 29));
        Doubt d = Places.of(s, End.Holes.NONE).doubts().get(0);
        assertEquals(d.distances().size(), 3);
        assertEquals(d.byMm(), 2, 1e-6);
        assertTrue(d.words(Distance::id).startsWith("These cannot all be true"), d.words(Distance::id));
    }

    @Test
    public void whatHangsOnNothingIsSaidWithTheReadingThatSettlesMost() {
        Surroundings s = start().with(box("fan", "head", 150, 80, 60, 10, 40, 40)).with(read("x1", Along.X, "shroud", End.Where.HIGH, "block", End.Where.LOW, 3.5))
                .with(read("x2", Along.X, "block", End.Where.HIGH, "fan", End.Where.LOW, 12));
        Places p = Places.of(s, End.Holes.NONE);
        assertEquals(p.of("block", Along.X).how(), Place.How.LOOSE);
        assertTrue(Double.isNaN(p.of("shroud", Along.X).halfWidthMm()));
        assertFalse(p.of("fan", Along.X).isKnown());
        assertEquals(p.of("fan", Along.X).mm() - p.of("block", Along.X).mm(), 32, 1e-9, "among each other they are where they were read");
        assertEquals(p.of("block", Along.X).mm(), 90, 1e-9, "the first of them stays");
        Places.Next next = p.next().orElseThrow();
        assertEquals(next.along(), Along.X);
        assertEquals(next.settles(), 3);
        Surroundings tied = s.with(read("x0", Along.X, "bed", End.Where.LOW, next.neighbourId(), End.Where.LOW, 88));
        assertTrue(Places.of(tied, End.Holes.NONE).of("fan", Along.X).isKnown());
    }

    @Test
    public void anotherThingMayBeWhatAllIsMeasuredFrom() {
        Surroundings s = start().with(read("a", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW, 10)).measuredFrom("block");
        Places p = Places.of(s, End.Holes.NONE);
        assertEquals(p.of("block", Along.Z).how(), Place.How.DATUM);
        assertEquals(p.of("bed", Along.Z).mm(), 30 - 10 - 4, 1e-9);
    }

    /** JCGM 101:2008: intervals of places by throwing dice. */
    @Test
    public void theIntervalOfAPlaceHoldsItNineteenTimesInTwenty() {
        Random r = new Random(8);
        int inside = 0;
        for (int i = 0; i < 3000; i++) {
            double sigma = 0.03 / 1.96;
            Surroundings s = start().with(read("a", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW, 10 + sigma * r.nextGaussian()))
                    .with(read("b", Along.Z, "block", End.Where.HIGH, "shroud", End.Where.LOW, 5 + sigma * r.nextGaussian()))
                    .with(read("c", Along.Z, "bed", End.Where.HIGH, "shroud", End.Where.LOW, 27 + sigma * r.nextGaussian()));
            Place p = Places.of(s, End.Holes.NONE).of("shroud", Along.Z);
            inside += Math.abs(p.mm() - 27) < p.halfWidthMm() ? 1 : 0;
        }
        assertEquals(inside / 3000.0, 0.95, 0.013);
    }

    /** All unknowns solved at once, against the network that first takes off what nothing checks. */
    @Test
    public void randomNetworksAreAsIfSolvedAtOnce() {
        Random r = new Random(21);
        for (int round = 0; round < 40; round++) {
            int n = 3 + r.nextInt(12);
            Surroundings s = bench(box("n0", "", 0, 0, 0, 1, 1, 1));
            List<Observation> all = new ArrayList<>();
            for (int i = 1; i < n; i++) {
                s = s.with(box("n" + i, "", 3 * i, 0, 0, 1, 1, 1));
            }
            for (int k = 1; k < n + r.nextInt(6); k++) {
                int b = k < n ? k : 1 + r.nextInt(n - 1);
                int a = r.nextInt(b);
                double mm = 3 * (b - a) + 0.01 * r.nextGaussian();
                s = s.with(read("d" + k, Along.X, "n" + a, End.Where.LOW, "n" + b, End.Where.LOW, mm));
                List<Term> terms = new ArrayList<>(List.of(new Term(b - 1, 1)));
                if (a > 0) {
                    terms.add(new Term(a - 1, -1));
                }
                all.add(new Observation(terms, mm, 0.03 / 1.96));
            }
            Adjustment plain = Adjustment.of(n - 1, all);
            Places p = Places.of(s, End.Holes.NONE);
            for (int i = 1; i < n; i++) {
                assertEquals(p.of("n" + i, Along.X).mm(), plain.value(i - 1), 1e-9, "round " + round);
                assertEquals(p.of("n" + i, Along.X).halfWidthMm(), 1.96 * plain.sigma(i - 1), 1e-9);
            }
        }
    }

    @Test
    public void readingsThatCannotBeAreRefusedAndWhatIsGoneTakesItsReadingsAlong() {
        Surroundings s = start().with(read("a", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW, 10));
        assertTrue(expectThrows(SpaceProblem.class, () -> s.with(read("b", Along.Z, "bed", End.Where.LOW, "bed", End.Where.HIGH, 4))).getMessage().contains("bed"));
        expectThrows(SpaceProblem.class, () -> s.with(read("b", Along.Z, "bed", End.Where.LOW, "lamp", End.Where.HIGH, 4)));
        expectThrows(SpaceProblem.class, () -> s.with(read("b", Along.Z, "bed", End.Where.LOW, "block", End.Where.HIGH, Double.NaN)));
        expectThrows(SpaceProblem.class, () -> s.with(new Distance("b", Along.Z, new End("bed", End.Where.LOW), new End("block", End.Where.LOW), List.of(), 0,
                Map.of("q", 1.0), "")));
        assertTrue(s.without("block").distances().isEmpty());
        // A hand-written file may hold what no edit makes: it is passed over.
        Surroundings odd = new Surroundings(s.axes(), s.groups(), s.neighbours(), s.sites(), List.of(read("b", Along.Z, "bed", End.Where.LOW, "bed", End.Where.HIGH, 4),
                read("c", Along.Z, "bed", End.Where.LOW, "lamp", End.Where.LOW, 4), read("d", Along.Z, "bed", End.Where.HIGH, "block", End.Where.LOW)), "nobody", List.of(), List.of());
        assertEquals(Places.of(odd, End.Holes.NONE).of("block", Along.Z).how(), Place.How.USUAL);
        Reading out = new Reading(10, Instant.EPOCH, "calipers").leftOut(true);
        Surroundings left = s.with(s.distance("a").orElseThrow().with(List.of(out)));
        assertEquals(Places.of(left, End.Holes.NONE).of("block", Along.Z).how(), Place.How.USUAL, "a reading left out says nothing");
    }

    /** Whatever a hand-written file holds, places are told and nothing breaks. */
    @Test
    public void wildDistancesNeverBreakAnything() {
        Random r = new Random(77);
        double[] wild = {0, -1, 1e-300, 1e300, -1e300, 3.2, 41, Double.NaN, Double.POSITIVE_INFINITY, 1e5, 250};
        String[] names = {"bed", "block", "shroud", "nobody", null};
        for (int round = 0; round < 400; round++) {
            List<Distance> all = new ArrayList<>();
            for (int k = 0; k < 1 + r.nextInt(9); k++) {
                List<Reading> readings = new ArrayList<>();
                for (int i = 0; i < r.nextInt(4); i++) {
                    readings.add(r.nextInt(9) == 0 ? null : new Reading(wild[r.nextInt(wild.length)], null, null));
                }
                End from = r.nextInt(9) == 0 ? null : new End(names[r.nextInt(5)], r.nextInt(5) == 0 ? null : End.Where.values()[r.nextInt(4)], null);
                End to = r.nextInt(9) == 0 ? null : new End(names[r.nextInt(5)], End.Where.values()[r.nextInt(4)], "A");
                all.add(new Distance(null, r.nextInt(9) == 0 ? null : Along.values()[r.nextInt(3)], from, to, readings, wild[r.nextInt(wild.length)], null, null));
            }
            Surroundings s = start();
            Surroundings odd = new Surroundings(s.axes(), s.groups(), s.neighbours(), s.sites(), all, names[r.nextInt(5)], null, null);
            Places p = Places.of(odd, End.Holes.NONE);
            for (Neighbour n : p.settled().neighbours()) {
                assertTrue(Double.isFinite(n.corner().x()) && Double.isFinite(n.corner().y()) && Double.isFinite(n.corner().z()), "round " + round);
            }
            p.doubts().forEach(d -> d.words(Distance::id));
            p.next();
        }
    }

    @Test
    public void aHoleOfAPlateMayBeAnEnd() {
        Surroundings s = start();
        Distance d = new Distance("h", Along.X, new End("bed", End.Where.LOW), new End("shroud", End.Where.HOLE, "A"), List.of(new Reading(70, Instant.EPOCH, "calipers")), 0, Map.of(), "");
        End.Holes holes = (n, hole) -> n.id().equals("shroud") && hole.equals("A") ? java.util.Optional.of(new Vec3(4, 5, 0)) : java.util.Optional.empty();
        assertEquals(Places.of(s.with(d), holes).of("shroud", Along.X).mm(), 66, 1e-9);
        assertEquals(Places.of(s.with(d), End.Holes.NONE).of("shroud", Along.X).how(), Place.How.USUAL, "a hole nobody has read places nothing");
    }

    /** Five hundred things, each read to two others: places, doubts, gaps and faces are told for all of them. */
    @Test
    public void fiveHundredNeighboursAreNoTrouble() {
        Random r = new Random(5);
        Surroundings s = new Surroundings(List.of(Z), List.of(new Group("head", List.of("z"))), List.of());
        double[] x = new double[500];
        for (int i = 0; i < 500; i++) {
            x[i] = i * 12;
            s = s.with(new Neighbour("n" + i, "thing " + i, i % 3 == 0 ? "head" : "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(x[i] + r.nextDouble(), 0, 0), new Vec3(10, 10, 10), "z", 1, 0));
        }
        for (int i = 1; i < 500; i++) {
            for (int back : new int[] {1, 7}) {
                if (i >= back) {
                    s = s.with(read("d" + i + "-" + back, Along.X, "n" + (i - back), End.Where.LOW, "n" + i, End.Where.LOW, x[i] - x[i - back]));
                }
            }
        }
        Places p = Places.of(s, End.Holes.NONE);
        assertEquals(p.of("n499", Along.X).mm() - p.of("n0", Along.X).mm(), x[499], 1e-6);
        assertTrue(p.doubts().isEmpty());
        assertEquals(new tinperch.machine.space.Gaps(p.settled()).betweenBoxes(s.home()).orElseThrow().mm(), 2, 1e-6);
        assertEquals(tinperch.machine.space.Facing.nearest(p.settled(), p.settled().neighbour("n250").orElseThrow(), Vec3.ZERO, Along.X, s.home()).orElseThrow().gapMm(), 2, 1e-6);
    }
}
