package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNotNull;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.machine.Machine;
import tinperch.machine.place.Place;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.Neighbour;

/** A machine's pages by key, and places typed in as distances read from face to face, in the real window. */
public class DistancesTest extends WindowTest {
    private Machine machine(String id) {
        return desk.state().machine(id).orElseThrow();
    }

    private Neighbour thing(String machine, String name) {
        return machine(machine).surroundings().neighbours().stream().filter(n -> n.name().equals(name)).findFirst().orElseThrow();
    }

    private void read(String from, String face, String to, String other, String mm) throws Exception {
        choose("distance-from", from);
        choose("distance-from-face", face);
        choose("distance-to", to);
        choose("distance-to-face", other);
        type("distance-reading", mm);
    }

    @Test
    public void everyPageIsOneKeyAwayAndStaysAsItWasLeft() throws Exception {
        click("machine-avocet");
        Page[] pages = Page.values();
        for (int i = pages.length - 1; i >= 0; i--) {
            robot.push(KeyCode.valueOf("F" + (i + 1)));
            assertEquals(desk.page(), pages[i]);
        }
        robot.push(KeyCode.F2);
        click("side-sites");
        robot.push(KeyCode.F5);
        robot.push(KeyCode.F2);
        assertTrue(onFx(() -> find("site-name").isVisible() && find("site-name").getParent().isVisible()), "sites are still in view");
        // At an upgrade the same keys go to its stations.
        click("upgrade-avocet-blower");
        robot.push(KeyCode.F2);
        assertEquals(desk.place(), new Desk.Place.AtUpgrade("avocet-blower", tinperch.desktop.desk.Station.MEASURE));
    }

    @Test
    public void aDistanceTypedInPutsAThingInItsPlaceAndUndoPutsItBack() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        Neighbour before = thing("avocet", "supply");
        assertFalse(machine("avocet").places().of(before.id(), Along.X).isKnown());
        click("side-distances");
        // The right upright ends at 292, the supply begins 4.5 mm further on, read with the axes at home.
        read("right upright", "right side", "supply", "left side", "4.5");
        assertEquals(thing("avocet", "supply").corner().x(), 296.5, 1e-6);
        assertEquals(thing("avocet", "supply").corner().z(), before.corner().z(), "only along x it was read");
        Place place = machine("avocet").places().of(before.id(), Along.X);
        assertEquals(place.how(), Place.How.MEASURED);
        assertTrue(place.halfWidthMm() > 0.03, "the way from the bed adds up: " + place.halfWidthMm());
        int distances = machine("avocet").surroundings().distances().size();
        // Read again, it is the same distance with two readings.
        type("distance-reading", "4,54");
        assertEquals(machine("avocet").surroundings().distances().size(), distances);
        assertEquals(thing("avocet", "supply").corner().x(), 296.52, 1e-6);
        click("undo");
        click("undo");
        assertEquals(thing("avocet", "supply"), before);
    }

    @Test
    public void aReadingThatDisagreesIsNamedAndRemovedAgain() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        click("side-distances");
        assertNull(find("distance-doubt"), "the one of the demo that disagreed is left out");
        read("bed", "top", "carriage", "underside", "19.2");
        assertTrue(text("distance-doubt").contains("bed, top – carriage, underside") && text("distance-doubt").contains("1.2"), text("distance-doubt"));
        Distance wrong = machine("avocet").surroundings().distances().get(machine("avocet").surroundings().distances().size() - 1);
        press("distance-" + wrong.id());
        // Left out it says nothing; taken in again it disagrees again.
        press("chip-distance-0");
        press("chip-out");
        assertNull(find("distance-doubt"));
        press("chip-distance-0");
        press("chip-out");
        need("distance-doubt");
        press("distance-remove");
        assertNull(find("distance-doubt"));
        assertEquals(thing("avocet", "carriage").corner().z(), 18, 1e-6);
    }

    @Test
    public void whatIsNoDistanceIsSaidAndChangesNothing() throws Exception {
        click("machine-avocet");
        click("page-surroundings");
        click("side-distances");
        Machine before = machine("avocet");
        read("bed", "top", "bed", "underside", "4");
        assertTrue(text("distance-complaint").contains("Both ends lie on the bed"), text("distance-complaint"));
        choose("distance-to", "supply");
        type("distance-reading", "four");
        assertFalse(text("distance-complaint").isEmpty());
        assertEquals(machine("avocet"), before);
        // Taking a thing away takes its distances along; undo brings both back.
        int all = before.surroundings().distances().size();
        press("neighbour-" + thing("avocet", "hot block").id());
        press("neighbour-remove");
        assertTrue(machine("avocet").surroundings().distances().size() < all - 3);
        click("undo");
        assertEquals(machine("avocet"), before);
        assertNotNull(find("distance-reading"));
    }
}
