package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.testng.annotations.Test;
import tinperch.solid.Placement;
import tinperch.part.bind.BodyRef;
import tinperch.part.bind.AccessRef;
import tinperch.part.bind.NearRef;
import tinperch.part.bind.BlowerRef;
import tinperch.part.bind.TipRef;
import tinperch.hardware.Fits;
import tinperch.files.json.Json;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.Wired;
import tinperch.machine.space.Site;
import tinperch.part.bind.Binding;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.HoseRef;
import tinperch.part.bind.Known;
import tinperch.part.bind.Refs;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Recipe;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

public class JsonTest {
    private static Upgrade upgrade(boolean withPart) {
        PartDesign part = PartDesign.of("p1", "f", "Plate\n2", new Values(Map.of("a", 1.5), Map.of("b", "captive nut")))
                .bound("mount", new Binding.OnSheet("s", "")).bound("tool", new Binding.Usual("fan-40x10")).bound("other", new Binding.OfPort("p2", "tool"))
                .with(new Feature("f1", "hole", "Hole 1", new Anchor("part", "plate", Vec3.Z, Anchor.From.MIDDLE, 1.5, Anchor.From.FAR_EDGE, 2), Values.START, false));
        return new Upgrade("u", "m", "Café ☕", LocalDate.of(2026, 5, 9), new Trouble("sags", "bridge", "1,8 mm"), withPart ? List.of(part) : List.of(), "h");
    }

    private static Recipe recipe() {
        Known known = new Known(Known.How.MEASURED, "measured once", 0.02, List.of());
        return new Recipe("f", Values.START, new Refs(Map.of("mount", new HolesRef("plate", List.of(new HolesRef.Hole("A", 1, 2, 3.3)), true, known),
                "hose", new HoseRef("hose", 50, 56, known), "aim", new TipRef("nozzle", new Vec3(1, 2, 3), new Vec3(0, 0, -1), known), "fan", new BlowerRef("fan", 51, 15, 20, 15, known),
                "near", new NearRef(List.of(new NearRef.Thing(new BodyRef("post", true, new Vec3(4, 4, 60), Placement.at(3, 2, 1), known), 3)), known),
                "access", new AccessRef(List.of(new BodyRef("switch", false, new Vec3(4, 5, 6), Placement.at(1, 2, 3), known)), known)), Map.of()), upgrade(true).parts().get(0).features(), 0.2, new Fits(0.25, -0.2, 0.02, 0.3), "R3");
    }

    @Test
    public void recordsComeBackEqual() throws IOException {
        for (boolean part : new boolean[] {true, false}) {
            Upgrade u = upgrade(part);
            assertEquals(Json.read(Json.text(u), Upgrade.class), u);
        }
        Revision r = new Revision("u", "p1", 3, LocalDateTime.of(2026, 5, 9, 10, 5, 7), "why", upgrade(true).parts().get(0), Optional.of(recipe()), "h",
                List.of(new Revision.KeptPiece("", "0123", 1, tinperch.part.form.Lie.LEFT)), new Revision.Life(61.5, Revision.End.FAILED, "cracked"));
        assertEquals(Json.read(Json.pretty(r), Revision.class), r);
    }

    /** What earlier versions did not write, and what a hand may write. */
    @Test
    public void wiringOfEarlierVersionsAndOfHostileFilesIsRead() throws IOException {
        Wired w = new Wired("o1", 300, 0.25, 2, List.of("+24 V", "GND"));
        assertEquals(Json.read(Json.text(w), Wired.class), w);
        assertEquals(Json.read("{\"from\":\"o1\",\"lengthMm\":300,\"areaMm2\":0.25}", Wired.class), new Wired("o1", 300, 0.25), "one contact, pins not said");
        Wired odd = Json.read("{\"from\":null,\"lengthMm\":-1,\"areaMm2\":1e99,\"beside\":-7,\"pins\":[null,\"  a very long name of a pin that nobody would ever read to its end \"]}", Wired.class);
        assertEquals(odd.beside(), 1);
        assertEquals(odd.pins(), List.of("a very long name of a pin that"));
        assertEquals(odd.areaMm2(), 0.0);
        assertEquals(Json.read("{\"voltageV\":24,\"currentA\":1,\"powerW\":0,\"limitC\":0,\"massG\":0}", Ratings.class), new Ratings(24, 1, 0, 0, 0), "no resistor");
        Site site = new Site("s", "front", "", Vec3.ZERO, Vec3.Y, 0, 0.3, "").blown(true);
        assertEquals(Json.read(Json.text(site), Site.class), site);
        assertFalse(Json.read(Json.text(site).replaceAll(",?\"blown\":true", ""), Site.class).blown(), "before there was such a word the air stood still");
    }

    /** Which record of a family a value is stands in its field "kind". */
    @Test
    public void kindsAreWrittenByTheirNameAndUnknownOnesAreReadAsNothing() throws IOException {
        String text = Json.text(upgrade(true));
        assertTrue(text.contains("{\"kind\":\"onSheet\",\"sheetId\":\"s\""), text);
        assertTrue(Json.text(recipe()).contains("\"kind\":\"hose\""), Json.text(recipe()));
        Upgrade odd = Json.read(text.replace("\"kind\":\"onSheet\"", "\"kind\":\"byMagic\""), Upgrade.class);
        assertEquals(odd.parts().get(0).bindings().keySet(), Set.of("tool", "other"), "the others are read");
        Upgrade none = Json.read(text.replace("\"kind\":\"usual\",", ""), Upgrade.class);
        assertEquals(none.parts().get(0).bindings().keySet(), Set.of("mount", "other"));
    }

    @Test
    public void unknownFieldsArePassedOver() throws IOException {
        String text = Json.text(upgrade(true)).replaceFirst("\\{", "{\"fromTheFuture\":[1,2],");
        assertEquals(Json.read(text, Upgrade.class), upgrade(true));
    }

    @Test
    public void otherTextIsRefusedInWords() {
        for (String s : List.of("", "null", "{", "[]", "{\"id\":{}}", "hello", "{\"started\":\"yesterday\"}", "[".repeat(5000))) {
            FileFault e = expectThrows(FileFault.class, () -> Json.read(s, Upgrade.class));
            assertTrue(e.getMessage().length() > 5);
        }
    }

    @Test
    public void damagedTextNeverDoesAnythingElse() {
        Random r = new Random(6);
        String good = Json.text(upgrade(true));
        for (int i = 0; i < 10_000; i++) {
            StringBuilder s = new StringBuilder(good);
            for (int k = r.nextInt(4); k >= 0; k--) {
                s.setCharAt(r.nextInt(s.length()), (char) (32 + r.nextInt(96)));
            }
            try {
                Json.read(s.toString(), Upgrade.class);
            } catch (FileFault e) {
                assertTrue(e.getMessage().startsWith("This is not what it should be"), e.getMessage());
            }
        }
    }

    /** What a person writes by hand: no more than must be there. */
    @Test
    public void aShortPartIsReadWithEverythingElseAtItsStart() throws IOException {
        Upgrade u = Json.read("{\"id\":\"u\",\"machineId\":\"m\",\"parts\":[{\"familyId\":\"hose-adapter\",\"values\":{\"numbers\":{\"ring.height\":9,\"x\":null}}}]}", Upgrade.class);
        PartDesign p = u.parts().get(0);
        assertEquals(p.id(), "p1");
        assertEquals(p.material(), PartDesign.FIRST_MATERIAL);
        assertEquals(p.values().numbers(), Map.of("ring.height", 9.0));
    }
}
