package tinperch.workshop.torture;

import static org.testng.Assert.assertEquals;

import org.testng.annotations.Test;
import tinperch.workshop.TempFolder;

/** A little of what {@code ./tinperch torture} does at length. */
public class TortureTest extends TempFolder {
    @Test(groups = "deep")
    public void nothingIsLostWithoutAWord() throws Exception {
        Torture t = new Torture(20_261_126, folder);
        t.readers(40);
        t.bombs(48);
        t.stores(15);
        t.kills(1);
        assertEquals(t.failures(), 0, t.failed().toString());
    }
}
