package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.fact.BesideFact;
import tinperch.fact.FactsOnce;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Fitted;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

/** Parts of one upgrade are each other's neighbours: two soft feet side by side, each on a site of its own, one of which may ride on an axis of 100 mm. */
public class BesideTest {
    private static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);
    /** How far a foot of the start values reaches along x: measured on one that stands alone. */
    private static final double WIDE_MM = PartExamples.mesh(PartExamples.usual("soft-foot", PLAIN)).bounds().size().x();

    private static Shop shop(double apartMm, String group) {
        Neighbour far = new Neighbour("far", "far wall", "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(900, 900, 900), new Vec3(5, 5, 5), "z", 0, 0);
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 100, false, 1)), List.of(new Group("slide", List.of("x"))), List.of(far),
                List.of(new Site("a", "first", "", Vec3.ZERO, Vec3.Z, 0, 0.3, ""), new Site("b", "second", group, Vec3.X.times(apartMm), Vec3.Z, 0, 0.3, "")));
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s).withEnclosed(false);
        return PartExamples.shop(m);
    }

    private static PartDesign foot(String id, String site) {
        return PartDesign.of(id, "soft-foot", "Foot " + id, PLAIN).atSite(site);
    }

    private static Case first(Shop shop, PartDesign... parts) {
        return Case.of(PartExamples.upgrade(parts), parts[0].id(), shop, "");
    }

    private static Case two(double apartMm, String group) {
        return first(shop(apartMm, group), foot("p1", "a"), foot("p2", "b"));
    }

    private static Optional<Finding> found(Case c, String begins) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith(begins) && f.severity() != Severity.FINE).findFirst();
    }

    @Test
    public void whatStandsTooNearIsSaidOfBoth() {
        Finding f = found(two(WIDE_MM + 0.4, ""), "rest.part.p2").orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertEquals(f.margin().orElseThrow().value(), 0.4, 0.02);
        assertTrue(f.what().contains("Foot p2"), f.what());
        Case other = Case.of(two(WIDE_MM + 0.4, "").upgrade(), "p2", shop(WIDE_MM + 0.4, ""), "");
        assertEquals(found(other, "rest.part.p1").orElseThrow().margin().orElseThrow().value(), 0.4, 0.02);
        Finding in = found(two(WIDE_MM - 3, ""), "rest.part.p2").orElseThrow();
        assertEquals(in.severity(), Severity.STOP);
        assertTrue(in.what().contains("into Foot p2"), in.what());
        assertTrue(found(two(WIDE_MM + 5, ""), "rest.part").isEmpty());
    }

    @Test
    public void whatRidesOnAnAxisIsMetOnItsWay() {
        // At home beside it by 60 mm; at the far end they are in one another.
        Case c = first(shop(-WIDE_MM - 60, "slide"), foot("p1", "a"), foot("p2", "b"));
        assertTrue(found(c, "rest.part").isEmpty(), "at home there is room");
        Finding f = found(c, "motion.part.p2").orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(found(first(shop(-WIDE_MM - 110, "slide"), foot("p1", "a"), foot("p2", "b")), "motion.part").isEmpty());
    }

    @Test
    public void whatTakesItsPlaceOrIsNowhereIsNoNeighbour() {
        Shop shop = shop(5, "");
        assertTrue(new FactsOnce(first(shop, foot("p1", "a"), foot("p2", "a"))).get(BesideFact.BESIDE).isEmpty(), "on the same site it takes its place");
        assertTrue(new FactsOnce(first(shop, foot("p1", "a"), foot("p2", ""))).get(BesideFact.BESIDE).isEmpty());
        assertTrue(new FactsOnce(first(shop, foot("p1", "a"), foot("p2", "gone"))).get(BesideFact.BESIDE).isEmpty());
        assertTrue(new FactsOnce(first(shop, foot("p1", ""), foot("p2", "b"))).get(BesideFact.BESIDE).isEmpty());
        PartDesign strange = PartDesign.of("p2", "moon-base", "x", PLAIN).atSite("b");
        assertTrue(new FactsOnce(first(shop, foot("p1", "a"), strange)).get(BesideFact.BESIDE).isEmpty(), "what cannot be made stands nowhere");
        PartDesign circle = foot("p2", "b").bound("mount", new Binding.OfPort("p2", "x"));
        assertTrue(new FactsOnce(first(shop, foot("p1", "a"), circle)).get(BesideFact.BESIDE).size() <= 1, "one bound to itself breaks nothing");
    }

    /** Two plates, the second on the bosses of the first: bound to these it may touch them, else it may not. */
    @Test
    public void partsThatAreJoinedMayTouch() {
        Vec3 up = Vec3.Z.times(PartExamples.mesh(PartExamples.plateCase(PartExamples.values())).bounds().size().z());
        Surroundings s = shop(0, "").machines().get(0).surroundings();
        Machine m = PartExamples.shop(60, 50, 32, 32).machines().get(0).withEnclosed(false)
                .withSurroundings(new Surroundings(s.axes(), s.groups(), s.neighbours(), List.of(new Site("a", "first", "", Vec3.ZERO, Vec3.Z, 0, 0.3, ""), new Site("b", "on its bosses", "", up, Vec3.Z, 0, 0.3, ""))));
        PartDesign below = PartExamples.plate(PartExamples.values()).atSite("a");
        PartDesign above = PartExamples.plate(PartExamples.values().with(ToolCarriagePlate.CARRIED.standoff, 0.0)).withId("p2").atSite("b");
        Case apart = first(PartExamples.shop(m), above, below);
        Case joined = first(PartExamples.shop(m), above.bound("mount", new Binding.OfPort("p1", "tool")), below);
        assertFalse(new FactsOnce(apart).get(BesideFact.BESIDE).get(0).joined());
        assertTrue(found(apart, "rest.part.p1").isPresent());
        assertTrue(new FactsOnce(joined).get(BesideFact.BESIDE).get(0).joined());
        assertTrue(found(joined, "rest.part.p1").map(f -> f.margin().orElseThrow().value() < -0.1).orElse(true), "screws through both may still meet");
        assertTrue(new FactsOnce(first(PartExamples.shop(m), below, above.bound("mount", new Binding.OfPort("p1", "tool")))).get(BesideFact.BESIDE).get(0).joined(), "either way round");
    }

    @Test
    public void anEditOfTheOtherIsAnotherCase() {
        Case c = two(WIDE_MM + 5, "");
        Case moved = Case.of(c.upgrade().with(foot("p2", "")), "p1", shop(WIDE_MM + 5, ""), "");
        assertNotEquals(moved.key(), c.key());
        assertEquals(two(WIDE_MM + 5, "").key(), c.key());
    }

    private static Fitted fitted(String upgradeId, String machineId, String site, double apartMm) {
        PartDesign of = foot("p1", site);
        Upgrade u = new Upgrade(upgradeId, machineId, "Quiet feet", LocalDate.EPOCH, Trouble.NONE, List.of(of), "large");
        return new Fitted(u, Case.of(new Upgrade(upgradeId, "upgraded", "", LocalDate.EPOCH, Trouble.NONE, List.of(of), "large"), "p1", shop(apartMm, ""), "R2").recipe());
    }

    private static Shop with(Shop shop, Fitted... fitted) {
        return new Shop(shop.machines(), shop.hardware(), shop.drawer(), shop.models(), List.of(fitted));
    }

    /** What another upgrade put there stays there, as it was kept, whatever that upgrade has become since. */
    @Test
    public void whatIsInUseOfAnotherUpgradeIsANeighbour() {
        Shop shop = shop(WIDE_MM + 0.4, "");
        Case c = first(with(shop, fitted("quiet", "upgraded", "b", WIDE_MM + 0.4)), foot("p1", "a"));
        Finding f = found(c, "rest.fitted.quiet.p1").orElseThrow();
        assertEquals(f.margin().orElseThrow().value(), 0.4, 0.02);
        assertTrue(f.what().contains("Foot p1 of “Quiet feet”"), f.what());
        assertNotEquals(c.key(), first(shop, foot("p1", "a")).key());
        // A remedy's case is of the same workshop.
        assertEquals(c.after(c.draft()).others().size(), 1);
    }

    @Test
    public void whatIsElsewhereOrMakesWayIsNone() {
        Shop shop = shop(5, "");
        for (Fitted f : List.of(fitted("quiet", "another machine", "b", 5), fitted("quiet", "upgraded", "a", 5), fitted("quiet", "upgraded", "", 5), fitted("u", "upgraded", "b", 5))) {
            assertTrue(new FactsOnce(first(with(shop, f), foot("p1", "a"))).get(BesideFact.BESIDE).isEmpty(), f.upgrade() + " on " + f.part().siteId());
        }
    }

    /** Parts of two upgrades may have the same id: that one of this upgrade is bound to its own p1 joins it to no other. */
    @Test
    public void nothingIsJoinedAcrossUpgrades() {
        PartDesign bound = foot("p2", "a").bound("mount", new Binding.OfPort("p1", "x"));
        Case c = first(with(shop(WIDE_MM + 5, ""), fitted("quiet", "upgraded", "b", WIDE_MM + 5)), bound);
        List<BesideFact.Beside> beside = new FactsOnce(c).get(BesideFact.BESIDE);
        assertEquals(beside.size(), 1);
        assertFalse(beside.get(0).joined());
    }
}
