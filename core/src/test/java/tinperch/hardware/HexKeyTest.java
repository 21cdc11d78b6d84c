package tinperch.hardware;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;

/** Keys and the sockets they fit. */
public class HexKeyTest {
    @Test
    public void standardsSayWhichKeyFits() {
        // ISO 4762: M3 2.5, M4 3, M5 4, M6 5, M8 6; ISO 7380-1: M3 2, M4 2.5; ISO 4026: M3 1.5 (values from memory).
        assertEquals(HexKey.of("M3", ScrewThread.Head.CAP).acrossMm(), 2.5);
        assertEquals(HexKey.of("M8", ScrewThread.Head.CAP).acrossMm(), 6.0);
        assertEquals(HexKey.of("M4", ScrewThread.Head.BUTTON).acrossMm(), 2.5);
        assertEquals(HexKey.ofSetScrew("M3").acrossMm(), 1.5);
        // ISO 2936: a key of 2.5 has arms of 18 and 56 (values from memory).
        assertEquals(HexKey.of("M3", ScrewThread.Head.CAP).shortMm(), 18.0);
        assertEquals(HexKey.of("M3", ScrewThread.Head.CAP).longMm(), 56.0);
        assertTrue(HexKey.of("M99", ScrewThread.Head.CAP).longMm() >= 90, "of a thread in no table the largest is asked for");
        for (ScrewThread t : HardwareTables.STANDARD.threads()) {
            assertTrue(HexKey.of(t.name(), ScrewThread.Head.CAP).acrossMm() < t.diameterMm(), t.name());
        }
    }
}
