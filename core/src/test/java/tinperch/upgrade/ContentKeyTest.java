package tinperch.upgrade;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.expectThrows;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.plateCase;
import static tinperch.part.PartExamples.values;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.part.PartExamples;
import tinperch.part.family.ToolCarriagePlate;

/** The same contents have the same key, whatever differs has another. */
public class ContentKeyTest {
    private record Point(double x, double y) {}

    private record Other(double x, double y) {}

    /** SHA-256 of the canonical form worked out by hand: 'i' and the number as eight bytes, big end first (FIPS 180-4 by the system's own sha256sum). */
    @Test
    public void theCanonicalFormIsWhatIsWrittenDown() {
        assertEquals(ContentKey.of(1).hex(), "c4301e8aaf94fa472f44437799d09b1d7d1097297db3b978611674c06093f189");
        assertEquals(ContentKey.of(null).hex(), "1b16b1df538ba12dc3f97edbb85caa7050d46c148134290feba80f8236c83db9");
    }

    @Test
    public void whatDiffersHasAnotherKey() {
        Set<String> keys = new HashSet<>();
        List<Object> all = java.util.Arrays.asList(null, 1, 1.0, "1", "", List.of(), List.of(""), List.of("a", "b"), List.of("ab"), List.of(List.of("a"), "b"), Map.of(),
                Map.of("a", "b"), Optional.empty(), Optional.of("a"), Optional.of(1), new Point(1, 2), new Point(2, 1), new Other(1, 2), true, LocalDate.of(2026, 1, 2), Machine.State.FIT);
        all.forEach(v -> keys.add(ContentKey.of(v).hex()));
        assertEquals(keys.size(), all.size());
    }

    @Test
    public void orderOfAMapAndTheSignOfZeroAreNoContent() {
        Map<String, Integer> one = new LinkedHashMap<>();
        one.put("a", 1);
        one.put("b", 2);
        Map<String, Integer> two = new LinkedHashMap<>();
        two.put("b", 2);
        two.put("a", 1);
        assertEquals(ContentKey.of(one), ContentKey.of(two));
        assertEquals(ContentKey.of(new Point(0.0, 1)), ContentKey.of(new Point(-0.0, 1)));
        expectThrows(IllegalArgumentException.class, () -> ContentKey.of(new Object()));
    }

    @Test
    public void aCaseHasTheKeyOfEverythingItsJudgementMayLookAt() {
        Case c = plateCase(values());
        assertEquals(plateCase(values()).key(), c.key(), "made anew of the same");
        Set<ContentKey> others = new HashSet<>(List.of(c.key()));
        others.add(plateCase(values().with(ToolCarriagePlate.THICKNESS, 8.01)).key());
        others.add(PartExamples.caseOf(plate(values()).withMaterial("PLA"), PartExamples.shop(60, 50, 32, 32)).key());
        others.add(PartExamples.caseOf(plate(values()), PartExamples.shop(60, 50, 32, 32.01)).key());
        others.add(Case.of(c.upgrade(), "p1", PartExamples.shop(60, 50, 32, 32), "R2").key());
        others.add(Case.of(c.upgrade().onHost("small"), "p1", PartExamples.shop(60, 50, 32, 32), "").key());
        others.add(c.after(new Change.Stock("M3", 18).in(c.draft())).key());
        assertEquals(others.size(), 7);
        assertNotEquals(c.with(c.recipe().ofForm()).key(), new ContentKey(""));
    }
}
