package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertSame;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.LiesFact;
import tinperch.fact.MeshesFact;
import tinperch.fact.ThinFact;
import tinperch.machine.Machine;
import tinperch.material.Material;
import tinperch.part.PartExamples;
import tinperch.part.family.CornerBracket;
import tinperch.part.family.HoseAdapter;
import tinperch.part.form.Lie;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Differences;
import tinperch.upgrade.Load;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** How pieces lie when they are printed: what hangs, stands, warps, splits and fits follows, and laying them otherwise cures it. */
public class LiesTest {
    private static Case laid(Case c, Lie lie) {
        return PartExamples.caseOf(c.part().laid("part", lie), PartExamples.shop(60, 50, 32, 32));
    }

    private static Case bracket() {
        return PartExamples.usual("corner-bracket", Values.START.with(CornerBracket.WEB, 0.0));
    }

    private static Optional<Finding> found(Case c, String id) {
        return PartExamples.findings(c).stream().filter(f -> f.id().equals(id)).findFirst();
    }

    private static Case after(Case c, Remedy r) {
        return c.after(Change.all(c.draft(), r.changes()));
    }

    @Test
    public void aPlateOnItsBossesHangsAndIsLaidBack() {
        Case plate = PartExamples.plateCase(PartExamples.values());
        assertTrue(found(plate, "overhang.part").isEmpty());
        Case over = laid(plate, Lie.TOP);
        Finding f = found(over, "overhang.part").orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        // All of the plate but its bosses hangs: the plate's other face less what lies on the bed and the holes through it.
        double foot = new FactsOnce(over).get(LiesFact.LIES).get("part").get(Lie.TOP).footing().areaMm2();
        assertTrue(f.margin().orElseThrow().value() > 80 * 70 * 0.85 && f.margin().orElseThrow().value() < 80 * 70 - foot, f.what());
        Remedy back = f.remedies().get(0);
        assertEquals(back.label(), "lay it as it is drawn");
        assertTrue(found(after(over, back), "overhang.part").isEmpty());
        assertEquals(after(over, back).part(), plate.part());
    }

    /** A bracket printed on the side its legs are drawn in has its layers round the corner; laid on a leg the other leg is pulled off between layers. */
    @Test
    public void layersBearLessAcrossAndLayingItOtherwiseCuresIt() {
        Bounds b = PartExamples.mesh(bracket()).bounds();
        Vec3 far = new Vec3((b.min().x() + b.max().x()) / 2, b.max().y() - 0.3, b.max().z() - 0.3);
        Case one = PartExamples.caseOf(bracket().part().withMaterial("PLA").bearing(new Load("l", "a pull", "part", far, Vec3.X, Load.Lasting.STEADY)), PartExamples.shop(60, 50, 32, 32));
        Finding drawn = found(one, "strength.l").orElseThrow();
        Material pla = Material.named("PLA");
        List<Lie> weaker = new ArrayList<>();
        for (Lie l : Lie.values()) {
            double allowed = found(laid(one, l), "strength.l").orElseThrow().margin().orElseThrow().limit();
            double share = pla.steadyPercent() / 100;
            assertTrue(Math.abs(allowed - share * pla.strengthMPa()) < 1e-9 || Math.abs(allowed - share * pla.acrossLayersMPa()) < 1e-9, l + " " + allowed);
            if (allowed < share * pla.strengthMPa() - 1e-9) {
                weaker.add(l);
            }
        }
        assertFalse(weaker.contains(Lie.BOTTOM), "as it is drawn");
        assertEquals(weaker.size(), 2, "standing up or upside down along the leg that is bent: " + weaker);
        // So much that layers bear it and what is between them does not.
        Margin m = drawn.margin().orElseThrow();
        double n = (pla.acrossLayersMPa() + pla.strengthMPa()) / 2 / pla.strengthMPa() * m.limit() / m.value();
        Case pulled = laid(PartExamples.caseOf(one.part().bearing(new Load("l", "a pull", "part", far, Vec3.X.times(n), Load.Lasting.STEADY)), PartExamples.shop(60, 50, 32, 32)), weaker.get(0));
        Finding f = found(pulled, "strength.l").orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertTrue(f.why().contains("between layers"), f.why());
        Remedy lay = f.remedies().stream().filter(r -> r.label().startsWith("lay it")).findFirst().orElseThrow();
        assertEquals(found(after(pulled, lay), "strength.l").orElseThrow().severity(), Severity.FINE, lay.label());
    }

    @Test
    public void whatStandsOnAnEdgeIsSaidAndLaidDown() {
        Lie thin = null;
        for (Lie l : Lie.values()) {
            LiesFact.Lying lying = new FactsOnce(bracket()).get(LiesFact.LIES).get("part").get(l);
            if (lying.footing().areaMm2() > 50 && lying.footing().heightMm() > 6 * lying.footing().widthMm()) {
                thin = l;
            }
        }
        Finding f = found(laid(bracket(), thin), "foot.part").orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertTrue(f.what().contains("times as high as its foot is wide"), f.what());
        assertTrue(f.margin().orElseThrow().spare() < 0);
        assertTrue(found(after(laid(bracket(), thin), f.remedies().get(0)), "foot.part").isEmpty());
        assertTrue(found(bracket(), "foot.part").isEmpty());
    }

    @Test
    public void tooWideForTheBedItIsLaidOnItsSide() {
        Vec3 size = PartExamples.mesh(bracket()).bounds().size();
        Machine narrow = PartExamples.machine("large", size.x() + 11, size.z() + 11, size.y() + 1, Machine.State.FIT, "PETG");
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        List<Machine> all = new ArrayList<>(shop.machines());
        all.replaceAll(m -> m.id().equals("large") ? narrow : m.id().equals("small") ? m.withMaterials(List.of()) : m);
        Case c = PartExamples.caseOf(bracket().part(), new Shop(all, shop.hardware(), shop.drawer(), shop.models()));
        Finding f = found(c, "bed").orElseThrow();
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.what().startsWith("Too large"), f.what());
        Remedy lay = f.remedies().stream().filter(r -> r.label().startsWith("lay it")).findFirst().orElseThrow();
        assertEquals(found(after(c, lay), "bed").orElseThrow().severity(), Severity.FINE, lay.label());
    }

    /** Linear shrinkage × length by hand: PLA 0.3 % of the diagonal of a foot. */
    @Test
    public void aLongFlatPieceOnAColdBedPullsUp() {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        List<Machine> all = new ArrayList<>(shop.machines());
        all.replaceAll(m -> m.id().equals("large") ? m.withHeatedBed(false) : m.withMaterials(List.of("PLA", "PETG")));
        Shop cold = new Shop(all, shop.hardware(), shop.drawer(), shop.models());
        Values longPlate = PartExamples.values().with(tinperch.part.family.ToolCarriagePlate.WIDTH, 150.0);
        Case c = PartExamples.caseOf(PartExamples.plate(longPlate).withMaterial("PLA"), cold);
        Finding f = found(c, "warp.part").orElseThrow();
        assertEquals(f.margin().orElseThrow().value(), Math.hypot(150, 70) * 0.003, 1e-6);
        assertEquals(f.margin().orElseThrow().limit(), 0.35, 1e-9);
        assertTrue(f.why().contains("A cold bed") && f.why().contains("brim") && f.why().contains("two pieces"), f.why());
        assertTrue(found(PartExamples.caseOf(c.part(), shop), "warp.part").isEmpty(), "a warm bed holds it");
        assertTrue(found(PartExamples.caseOf(PartExamples.plate(PartExamples.values()).withMaterial("PLA"), cold), "warp.part").isEmpty(), "a short one stays");
        Remedy host = f.remedies().stream().filter(r -> r.label().startsWith("print on")).findFirst().orElseThrow();
        assertTrue(found(after(c, host), "warp.part").isEmpty());
    }

    /** The wall of a hose adapter is as thick whichever way its layers run, where a layer cuts it square. */
    @Test
    public void thinPlacesAreFoundInTheLayersItIsLaidIn() {
        Case c = PartExamples.usual("hose-adapter", Values.START.with(HoseAdapter.WALL, 1.0));
        List<Machine> all = new ArrayList<>(c.printers());
        all.replaceAll(m -> m.id().equals(c.upgrade().hostMachineId()) ? m.withNozzle(1.2) : m);
        PartDesign turned = c.part().laid("tube", Lie.TOP);
        Case over = Case.of(c.upgrade().with(turned), "p1", new Shop(all, c.hardware(), c.drawer(), c.models()), "");
        ThinFact.Thin t = new FactsOnce(over).get(ThinFact.THIN).stream().filter(x -> x.piece().id().equals("tube")).findFirst().orElseThrow();
        assertEquals(t.widthMm().orElseThrow(), 1.0, 0.12);
        Bounds b = new FactsOnce(over).get(MeshesFact.BARE).mesh("tube").orElseThrow().bounds();
        assertTrue(t.at().z() > b.min().z() && t.at().z() < b.max().z(), "the place is told in the piece's own coordinates");
    }

    @Test
    public void layingChangesNoShapeAndIsKept() {
        Case c = bracket();
        Case over = laid(c, Lie.LEFT);
        assertEquals(over.recipe().ofForm(), c.recipe().ofForm());
        assertNotEquals(over.key(), c.key());
        assertSame(over.lie("part"), Lie.LEFT);
        assertSame(over.with(c.recipe()).lie("part"), Lie.BOTTOM, "a kept recipe says how it lay");
        assertEquals(PartExamples.mesh(over).volumeMm3(), PartExamples.mesh(c).volumeMm3());
        assertEquals(Differences.between(c.part(), Optional.empty(), over.part(), Optional.empty()).toString(), "[How the part lies as it is drawn → on its left side]");
        assertEquals(over.part().laid("part", Lie.BOTTOM), c.part(), "nothing is said of what lies as it is drawn");
    }
}
