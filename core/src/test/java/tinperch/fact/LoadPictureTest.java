package tinperch.fact;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Comparator;
import java.util.List;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.material.Material;
import tinperch.part.PartExamples;
import tinperch.part.form.Lie;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.strength.SectionWalk;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;
import tinperch.upgrade.PartDesign;

/** The picture of what sections bear: nothing of the surface is lost, each band has its own section's share. */
public class LoadPictureTest {
    private static Case bearing(boolean loaded) {
        Site site = new Site("s", "wall", "", new Vec3(40, 20, 60), Vec3.Y, 15, 0.1, "");
        PartDesign p = PartDesign.of("p1", "corner-bracket", "Angle", Values.START).withMaterial("PETG").atSite("s");
        return PartExamples.caseOf(loaded ? p.bearing(new Load("l1", "a hand", "part", far(p), new Vec3(20, 30, 0), Load.Lasting.STEADY)) : p, PartExamples.shop(PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG")
                .withSurroundings(new Surroundings(List.of(), List.of(), List.of(), List.of(site)))));
    }

    /** The corner of the piece that is farthest off the wall. */
    private static Vec3 far(PartDesign p) {
        FactsOnce f = new FactsOnce(PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32)));
        MeshesFact.Made m = f.get(MeshesFact.BARE).pieces().get(0);
        Placement wall = m.piece().place().inverse().times(f.get(FormFact.FORM).form().orElseThrow().mount().orElseThrow().frame());
        Vec3 best = m.mesh().point(0);
        for (int i = 0; i < m.mesh().pointCount(); i++) {
            best = wall.local(m.mesh().point(i)).z() > wall.local(best).z() ? m.mesh().point(i) : best;
        }
        return best;
    }

    private static double area(Mesh m, int t) {
        Vec3 a = m.point(m.corner(t, 0));
        return m.point(m.corner(t, 1)).minus(a).cross(m.point(m.corner(t, 2)).minus(a)).length() / 2;
    }

    @Test
    public void bandsCoverThePartAndHaveTheirSectionsShares() {
        Case c = bearing(true);
        FactsOnce f = new FactsOnce(c);
        LoadPictureFact.Picture p = f.get(LoadPictureFact.PICTURE).orElseThrow();
        Mesh whole = f.get(PlacedFact.PLACED).orElseThrow().part().drawn();
        double before = 0;
        for (int t = 0; t < whole.triangleCount(); t++) {
            before += area(whole, t);
        }
        StrengthFact.Borne b = f.get(StrengthFact.STRENGTH).get(0);
        List<SectionWalk.Station> stations = b.walk().orElseThrow().stations();
        Material m = Material.find("PETG").orElseThrow();
        Placement toPiece = RestFact.inMachine(c, f).orElseThrow().times(b.piece().place()).inverse();
        double step = stations.get(1).alongMm() - stations.get(0).alongMm();
        double after = 0;
        int banded = 0;
        for (int t = 0; t < p.mesh().triangleCount(); t++) {
            after += area(p.mesh(), t);
            double share = p.shares().get(p.mesh().faceOf(t));
            Vec3 middle = p.mesh().point(p.mesh().corner(t, 0)).plus(p.mesh().point(p.mesh().corner(t, 1))).plus(p.mesh().point(p.mesh().corner(t, 2))).times(1 / 3.0);
            double along = toPiece.point(middle.x(), middle.y(), middle.z()).minus(b.load().at()).dot(stations.get(0).normal());
            if (Double.isFinite(share) && area(p.mesh(), t) > 1e-6) {
                banded++;
                SectionWalk.Station near = stations.stream().min(Comparator.comparingDouble(s -> Math.abs(s.alongMm() - along))).orElseThrow();
                assertTrue(Math.abs(near.alongMm() - along) <= step / 2 + 1e-6, "a band reaches half way to the next section");
                assertEquals(share, near.stressMPa() / StrengthFact.allowedMPa(b.load(), near, Lie.BOTTOM, m), 1e-9);
            }
        }
        assertEquals(after, before, 1e-6 * before, "all of the surface");
        assertTrue(banded > 100, banded + " pieces of bands");
        assertEquals(p.worst(), stations.stream().mapToDouble(s -> s.stressMPa() / StrengthFact.allowedMPa(b.load(), s, Lie.BOTTOM, m)).max().orElseThrow(), 1e-9);
    }

    @Test
    public void withoutALoadThereIsNoPicture() {
        assertTrue(new FactsOnce(bearing(false)).get(LoadPictureFact.PICTURE).isEmpty());
    }
}
