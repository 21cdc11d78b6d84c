package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.ShownCool;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.material.Material;
import tinperch.part.PartExamples;
import tinperch.part.param.Values;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.Run;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** What was recorded counts: against parts that got too hot, and for materials whose bed a contact is seen to stand. */
public class SpotCheckTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 20);

    private static Case logged(double peakC, String revision) {
        Channel spot = Channel.named("c0", "Lower edge").withKind(Channel.Kind.SPOT).of("u/p1", revision).keeping(new Kept(peakC, true, peakC - 1, 0.1));
        Run run = new Run("r", "Four hours", LocalDateTime.of(2026, 11, 1, 9, 0), 3600, List.of(spot), "logger", false, "");
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        Case plain = PartExamples.caseOf(PartDesign.of("p1", "soft-foot", "Foot", Values.START), shop);
        String me = plain.upgrade().id() + "/p1";
        Shop with = new Shop(shop.machines().stream().map(m -> m.id().equals(plain.machine().id()) ? m.with(run.with(spot.of(me, revision))) : m).toList(), shop.hardware(), shop.drawer(), shop.models());
        return PartExamples.caseOf(plain.part(), with);
    }

    /** PETG's use limit is 68 °C in the table; 10 K to spare are wanted. */
    @Test
    public void aSpotIsHeldAgainstTheMaterialsLimit() {
        assertEquals(PartExamples.find(logged(55, ""), "spot.0").severity(), Severity.FINE);
        Finding near = PartExamples.find(logged(64, "R1"), "spot.0");
        assertEquals(near.severity(), Severity.LOOK);
        assertTrue(near.why().contains("64 °C in “Four hours”, measured on R1"), near.why());
        Finding over = PartExamples.find(logged(71, ""), "spot.0");
        assertEquals(over.severity(), Severity.STOP);
        assertEquals(over.margin().orElseThrow().limit(), 68.0);
        assertEquals(PartExamples.find(logged(71, "R1"), "spot.0").severity(), Severity.LOOK, "what changed since R1 is not known");
        assertTrue(PartExamples.findings(PartExamples.usual("soft-foot", Values.START)).stream().noneMatch(f -> f.id().startsWith("spot")), "nothing was logged");
    }

    private static Machine machine(double contactC, double bedC, double limitC) {
        Component contact = new Component("k", ComponentKind.CONTACT, "Bed connector", "", new Ratings(0, 12, 0, limitC, 0), DAY.minusYears(1), Optional.empty(), Optional.empty(), "", "").feeding(ComponentKind.BED);
        Component bed = new Component("b", ComponentKind.BED, "Bed", "", new Ratings(24, 12, 0, 120, 0), DAY.minusYears(1), Optional.empty(), Optional.empty(), "", "");
        Machine m = PartExamples.machine("m", 200, 200, 200, Machine.State.FIT, "PETG").withBook(new Book(DAY.minusYears(2), List.of(contact, bed), List.of(), List.of(), List.of(), List.of()));
        Run run = new Run("r", "r", LocalDateTime.of(2026, 11, 1, 9, 0), 3600, List.of(Channel.named("c0", "Bed connector").of("k", "").keeping(new Kept(contactC + 1, true, contactC, 0.2)),
                Channel.named("c1", "Bed").keeping(new Kept(bedC + 0.5, true, bedC, 0.1))), "", false, "");
        return m.with(run);
    }

    private static List<String> unlocked(Machine m) {
        return ShownCool.unlockedBy(m.runs().get(0), m, DAY).stream().map(Material::name).toList();
    }

    /** 12 A through a contact of 12 A is more than 0.8 of its rating; seen at 83 °C with the bed at 100 it stays 21 K below its 105. */
    @Test
    public void aContactSeenCoolUnlocksWhatItStoodAgainst() {
        assertEquals(unlocked(machine(83, 100, 105)), List.of("ABS", "ASA", "PA12"));
        assertEquals(unlocked(machine(95, 100, 105)), List.of(), "10 K are wanted");
        assertEquals(unlocked(machine(70, 90, 105)), List.of("PA12"), "at 90 °C nothing is said of 100");
        assertEquals(unlocked(machine(83, 110.2, 105)), List.of("ABS", "ASA", "PA12", "PC"));
        assertEquals(unlocked(machine(83, 100, 0)), List.of(), "its limit is not known");
        Machine real = machine(83, 100, 105);
        Run r = real.runs().get(0);
        Machine simulated = real.with(new Run(r.id(), r.name(), r.start(), r.lengthS(), r.channels(), r.source(), true, ""));
        assertEquals(unlocked(simulated), List.of(), "nothing real stood behind it");
    }
}
