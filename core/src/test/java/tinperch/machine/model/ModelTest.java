package tinperch.machine.model;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.measure.Reading;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;

/** A downloaded model is believed when readings agree with it. */
public class ModelTest {
    private static Model model(double scale, double... foundAndRead) {
        Model m = new Model("m", "bracket", "x", scale, 12, new Vec3(40, 30, 10), "", List.of());
        for (int i = 0; i < foundAndRead.length; i += 2) {
            m = m.with(new ModelCheck("c" + i, "length", foundAndRead[i], Double.isNaN(foundAndRead[i + 1]) ? List.of()
                    : List.of(new Reading(foundAndRead[i + 1], Instant.EPOCH, "calipers"))));
        }
        return m;
    }

    @Test
    public void oneReadingIsNotEnoughTwoThatAgreeAre() {
        assertEquals(model(1).verdict(), Model.Verdict.UNCHECKED);
        assertEquals(model(1, 40, 40.1).verdict(), Model.Verdict.UNCHECKED);
        assertEquals(model(1, 40, 40.1, 30, Double.NaN).verdict(), Model.Verdict.UNCHECKED);
        assertEquals(model(1, 40, 40.1, 30, 30.2).verdict(), Model.Verdict.AGREES);
        assertEquals(model(1, 40, 40.1, 30, 30.4).verdict(), Model.Verdict.DISAGREES);
        assertEquals(model(1, 40, 41).verdict(), Model.Verdict.DISAGREES, "one that disagrees is enough");
    }

    /** 1 in = 25.4 mm (ISO 80000-3). */
    @Test
    public void inchesAreRecognisedFromReadingsAndFromSize() {
        Model inches = new Model("m", "bracket", "x", 1, 12, new Vec3(1.575, 1.181, 0.394), "", List.of())
                .with(new ModelCheck("a", "length", 1.575, List.of(new Reading(40, Instant.EPOCH, "calipers"))))
                .with(new ModelCheck("b", "length", 1.181, List.of(new Reading(30.1, Instant.EPOCH, "calipers"))));
        assertEquals(inches.likelyScale(), Optional.of(25.4));
        assertTrue(inches.verdictWords().contains("seems to be in inches"), inches.verdictWords());
        assertTrue(inches.unitDoubt().orElseThrow().contains("was it drawn in inches? Then it is 40 mm"), inches.unitDoubt().get());
        assertEquals(inches.scaled(25.4).verdict(), Model.Verdict.AGREES);
        assertEquals(inches.scaled(25.4).unitDoubt(), Optional.empty());
        assertTrue(model(25.4).unitDoubt().isEmpty() && model(1000).unitDoubt().isPresent());
    }

    @Test
    public void noMoreThanFourChecksAreTaken() {
        Model m = model(1, 1, 1, 2, 2, 3, 3, 4, 4, 5, 5);
        assertEquals(m.checks().size(), 4);
        assertEquals(m.withoutCheck("c0").checks().size(), 3);
        assertEquals(m.with(m.checks().get(1).with(List.of())).checks().get(1).readings(), List.of());
    }

    @Test
    public void whatCanBeReadIsNamedOnce() {
        List<MeshRounds.Round> rounds = List.of(new MeshRounds.Round(2, new Vec3(0, 0, 5), 4, 10, true),
                new MeshRounds.Round(2, new Vec3(30, 0, 5), 4, 10, true), new MeshRounds.Round(2, new Vec3(0, 20, 5), 4, 10, true),
                new MeshRounds.Round(0, new Vec3(0, 20, 5), 8, 10, false));
        List<String> words = Candidate.of(new Vec3(40, 30, 10), rounds, 1).stream().map(Candidate::what).toList();
        assertEquals(words.subList(0, 5), List.of("length along x, 40 mm", "length along y, 30 mm", "length along z, 10 mm",
                "hole Ø 4 mm (3 of them)", "peg Ø 8 mm"));
        assertTrue(words.contains("two holes Ø 4 mm, 30 mm apart") && words.contains("two holes Ø 4 mm, 36.06 mm apart"), words.toString());
        assertEquals(Candidate.of(new Vec3(40, 30, 10), rounds, 1).get(5).name(), "two holes Ø 4 mm apart");
    }
}
