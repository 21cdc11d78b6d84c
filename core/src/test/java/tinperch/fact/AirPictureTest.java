package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** The way of the air, as it is drawn. */
public class AirPictureTest {
    @DataProvider
    public Object[][] ducts() {
        return new Object[][] {{"fan-duct"}, {"blower-duct"}, {"fan-bracket"}, {"filter-housing"}};
    }

    private static Case of(String family, boolean onSite) {
        Case usual = PartExamples.usual(family, Values.START);
        Surroundings s = new Surroundings(List.of(), List.of(), List.of(), List.of(new Site("s", "front", "", new Vec3(100, 50, 30), Vec3.Y, 0, 0.3, "")));
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        List<tinperch.machine.Machine> all = new java.util.ArrayList<>(shop.machines());
        all.replaceAll(m -> m.id().equals(usual.machine().id()) ? m.withSurroundings(s) : m);
        PartDesign part = onSite ? usual.part().atSite("s") : usual.part();
        return PartExamples.caseOf(part, new Shop(all, shop.hardware(), shop.drawer(), shop.models()));
    }

    @Test(dataProvider = "ducts")
    public void itGoesFromBeforeTheFanThroughFreeAirOutOfTheOutlet(String family) {
        Case c = of(family, true);
        FactsOnce f = new FactsOnce(c);
        AirPictureFact.Picture p = f.get(AirPictureFact.PICTURE).orElseThrow();
        assertTrue(!p.ways().isEmpty());
        for (AirPictureFact.Way w : p.ways()) {
            Vec3 last = w.points().get(w.points().size() - 1);
            Vec3 out = last.minus(w.air().outlet().origin());
            assertEquals(out.unit().dot(w.air().outlet().w()), 1, 1e-9, "it leaves the way the outlet looks");
            w.air().intake().ifPresent(i -> assertTrue(i.at().local(w.points().get(0)).z() > 5, "it begins before the intake"));
            // In the duct it runs through air: every point of the middle lies outside the plastic.
            for (MeshesFact.Made m : f.get(MeshesFact.BARE).pieces()) {
                Mesh mesh = m.mesh().placed(m.piece().place());
                Rays rays = new Rays(TriangleTree.of(mesh));
                for (Vec3 v : w.air().inside().isEmpty() ? List.<Vec3>of() : w.points()) {
                    assertTrue(!isInside(mesh, v, rays), family + ": " + v + " lies in the " + m.piece().name());
                }
            }
        }
        assertEquals(p.arrows().openEdges(), 0);
    }

    /** An odd number of walls on a slanting line. */
    private static boolean isInside(Mesh mesh, Vec3 v, Rays rays) {
        Vec3 way = new Vec3(0.31, 0.52, 0.79).unit();
        int walls = 0;
        Vec3 at = v;
        for (Optional<Rays.Hit> h = hit(rays, at, way); h.isPresent() && walls < 100; h = hit(rays, at, way)) {
            walls++;
            at = at.plus(way.times(h.get().distanceMm() + 1e-6));
        }
        return walls % 2 == 1;
    }

    private static Optional<Rays.Hit> hit(Rays rays, Vec3 from, Vec3 way) {
        return rays.first(from, way, 0);
    }

    @Test
    public void itStandsWhereThePartStands() {
        Case c = of("fan-duct", true);
        FactsOnce f = new FactsOnce(c);
        Placement place = RestFact.inMachine(c, f).orElseThrow();
        Vec3 outlet = f.get(AirPictureFact.PICTURE).orElseThrow().ways().get(0).air().outlet().origin();
        Vec3 there = place.point(outlet.x(), outlet.y(), outlet.z());
        assertTrue(f.get(AirPictureFact.PICTURE).orElseThrow().arrows().bounds().overlaps(new tinperch.solid.Bounds(there, there), 0.1));
    }

    @Test
    public void withoutAirOrASiteThereIsNone() {
        assertTrue(new FactsOnce(of("soft-foot", true)).get(AirPictureFact.PICTURE).isEmpty());
        assertTrue(new FactsOnce(of("fan-duct", false)).get(AirPictureFact.PICTURE).isEmpty());
    }
}
