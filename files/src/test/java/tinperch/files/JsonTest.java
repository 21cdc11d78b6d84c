package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.files.json.Json;
import tinperch.measure.HolePair;
import tinperch.measure.Jaw;
import tinperch.measure.PatternSheet;
import tinperch.measure.Reading;
import tinperch.part.PartDesign;
import tinperch.part.Values;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

public class JsonTest {
    private static Upgrade upgrade(boolean withPart) {
        PatternSheet sheet = PatternSheet.empty("wheel “plate”").plus(HolePair.AB, Jaw.OUTSIDE,
                new Reading(47.31, Instant.parse("2026-05-09T10:05:00Z"), "calipers"));
        Optional<PartDesign> part = withPart ? Optional.of(new PartDesign("f", "Plate\n2", new Values(Map.of("a", 1.5),
                Map.of("b", "captive nut")), "PETG")) : Optional.empty();
        return new Upgrade("u", "m", "Café ☕", LocalDate.of(2026, 5, 9), new Trouble("sags", "bridge", "1,8 mm"),
                Map.of("mount", sheet), part, "h");
    }

    @Test
    public void recordsComeBackEqual() throws IOException {
        for (boolean part : new boolean[] {true, false}) {
            Upgrade u = upgrade(part);
            assertEquals(Json.read(Json.text(u), Upgrade.class), u);
            Revision r = new Revision("u", 3, LocalDateTime.of(2026, 5, 9, 10, 5, 7), "why", u,
                    new Revision.Life(61.5, Revision.End.FAILED, "cracked"));
            assertEquals(Json.read(Json.pretty(r), Revision.class), r);
        }
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

    /** Parts written down before they could be made from a model. */
    @Test
    public void aPartWithoutABaseIsDrawnFromNothing() throws IOException {
        String old = Json.text(upgrade(true)).replace(",\"base\":\"\"", "");
        assertTrue(!old.contains("\"base\":"), old);
        assertEquals(Json.read(old, Upgrade.class), upgrade(true));
    }
}
