package tinperch.part;

import static org.testng.Assert.assertTrue;

import java.util.Random;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Severity;
import tinperch.fact.Facts;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.judge.Judge;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** What remedies of every kind of part promise, tried on random ones. */
public class FamilyRemediesTest {
    /** Every remedy offered after it was tried does what it says when it is made. */
    @Test(dataProvider = "families", dataProviderClass = FamilyContractTest.class, groups = "deep")
    public void everyRemedyCuresWhatItPromises(PartFamily f) {
        Random r = new Random(5);
        int tried = 0;
        for (int n = 0; n < 12; n++) {
            Case c = FamilyContractTest.marked(f, FamilyContractTest.random(f, r, 0.12));
            Facts facts = new FactsOnce(c);
            if (facts.get(MeshesFact.BARE).pieces().isEmpty()) {
                continue;
            }
            for (Finding x : Judge.thorough(c).findings()) {
                for (Remedy remedy : x.remedies()) {
                    Case after = c.after(Change.all(c.draft(), remedy.changes()));
                    Severity then = Judge.ask(x.check(), after, facts.of(after)).stream().filter(y -> y.id().equals(x.id())).map(Finding::severity).findFirst()
                            .orElse(Severity.FINE);
                    assertTrue(then == Severity.FINE || !remedy.leaves().isEmpty(), x.what() + " → " + remedy.label() + " leaves " + then);
                    tried++;
                }
            }
        }
        assertTrue(tried > 0, f.id() + " had no remedy to try");
    }
}
