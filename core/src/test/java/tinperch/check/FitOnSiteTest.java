package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.family.WheelCarriage;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Screws over the holes of their site, irons past what stands beside an insert. The mistakes themselves are in the practice rows. */
public class FitOnSiteTest {
    private static Optional<Finding> found(Case c, String id) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith(id)).findFirst();
    }

    private static Case at(double turnDeg, double w, double h) {
        return at(turnDeg, w, h, "mount");
    }

    /** @param sheet the site's holes were read on */
    private static Case at(double turnDeg, double w, double h, String sheet) {
        Site s = new Site("s", "wall", "", Vec3.ZERO, Vec3.Y, turnDeg, 0.1, sheet);
        return PartExamples.caseOf(PartExamples.plate(PartExamples.values()).bound("mount", new Binding.OnSheet("mount", "")).atSite("s"),
                PartExamples.shop(PartExamples.machine("upgraded", 200, 200, 200, tinperch.machine.Machine.State.IN_PIECES, "PETG").with(PartExamples.holes("mount", w, h)).with(PartExamples.holes("tool", 32, 32))
                        .withSurroundings(new Surroundings(List.of(), List.of(), List.of(), List.of(s)))));
    }

    /** Without a site, or with one whose holes nobody knows, nothing is said. */
    @Test
    public void itsOwnReadingsFitAndNothingIsSaidWhereNothingIsKnown() {
        assertEquals(found(at(0, 60, 50), "site-holes").orElseThrow().severity(), Severity.FINE);
        assertEquals(found(at(0, 60, 50), "site-holes").orElseThrow().margin().orElseThrow().value(), 0.1, 0.02, "nothing missed: only what printing adds");
        assertTrue(found(PartExamples.plateCase(PartExamples.values()), "site-holes").isEmpty());
    }

    /** Screws that end in the part do not hold it there, whatever holes theirs are like. */
    @Test
    public void onlyScrewsThatGoIntoTheSiteCount() {
        Finding f = found(at(0, 60, 50, "tool"), "site-holes").orElseThrow();
        assertEquals(f.severity(), Severity.STOP, f.what());
        assertEquals(f.feature(), "mount");
    }

    /** The site's turn is the part's turn too: it stands with it. */
    @Test
    public void aTurnedSiteTurnsThePart() {
        assertEquals(found(at(90, 60, 50), "site-holes").orElseThrow().severity(), Severity.FINE);
    }

    private static Case clamped(double y, double wide) {
        return PartExamples.usual("wheel-carriage", Values.START.with(WheelCarriage.BELT.y, y).with(WheelCarriage.BELT.wide, wide).with(WheelCarriage.BELT.apart, 32.0));
    }

    @Test
    public void aHighPostBesideAnInsertIsInTheIronsWay() {
        assertEquals(found(clamped(-4, 0), "iron").orElseThrow().severity(), Severity.FINE, "no clamps");
        // Inserts at y = ±16; the post's side 3 mm beside one of them.
        Finding f = found(clamped(-8, 25), "iron.tool").orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertTrue(f.what().contains("belt clamp"), f.what());
        Remedy nut = f.remedies().stream().filter(r -> r.label().startsWith("captive nut")).findFirst().orElseThrow();
        Case c = clamped(-8, 25);
        assertTrue(found(c.after(Change.all(c.draft(), nut.changes())), "iron.tool").isEmpty(), "a nut needs no iron");
        assertEquals(found(clamped(-8, 6), "iron").orElseThrow().severity(), Severity.FINE, "a low one ends below the inserts' mouths");
    }
}
