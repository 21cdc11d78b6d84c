package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.air.FilterMedium;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.book.HoursRun;
import tinperch.part.PartExamples;
import tinperch.part.family.FilterHousing;
import tinperch.part.param.Values;
import tinperch.upgrade.PartDesign;

/** What a cartridge keeps, what it costs of the flow, how long it lasts. */
public class FilterCheckTest {
    private static List<Finding> found(Values v, Book book, String... materials) {
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, materials).withBook(book);
        return PartExamples.findings(PartExamples.caseOf(PartDesign.of("p1", "filter-housing", "box", v), PartExamples.shop(m)));
    }

    private static Finding one(String id, List<Finding> all) {
        return all.stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow(() -> new AssertionError(all.stream().map(Finding::id).toList().toString()));
    }

    private static Values of(String medium) {
        return Values.START.with(FilterHousing.MEDIUM, Optional.of(medium));
    }

    @Test
    public void onlyWhatGivesOffFumesAsksForFineAndCarbon() {
        assertEquals(one("filter.0", found(Values.START, Book.EMPTY, "ABS")).severity(), Severity.CANT_TELL, "never fine over what nobody said");
        assertEquals(one("filter.0", found(of("carbon"), Book.EMPTY, "PLA", "PETG")).severity(), Severity.FINE);
        assertEquals(one("filter.0", found(of("carbon"), Book.EMPTY, "PLA", "ABS")).severity(), Severity.LOOK);
        assertTrue(one("filter.0", found(of("fine particles (H13)"), Book.EMPTY, "ABS")).what().contains("the vapours of ABS"));
        assertTrue(one("filter.0", found(of("dust mat"), Book.EMPTY, "ABS")).what().contains("fine particles and vapours"));
        assertEquals(one("filter.0", found(of("dust mat"), Book.EMPTY, "ABS")).margin().orElseThrow().limit(), 99.95, "what class H13 keeps");
        assertTrue(one("filter.0", found(of("fine particles (H13)"), Book.EMPTY, "ABS")).margin().isEmpty(), "of vapours there is no number");
        // EN 1822 and ISO 29463: class H13 keeps at least 99.95 % of the most penetrating size.
        assertEquals(FilterMedium.of("fine particles (H13)").orElseThrow().particlesPercent(), 99.95, 1e-9);
    }

    @Test
    public void hoursAreOverEarlierOnAMachineThatRunsALot() {
        LocalDate came = LocalDate.of(2025, 1, 1);
        // 365.28 days are twelve months of 30.44 days: 2400 h in them are 200 a month.
        Book busy = Book.begun(came).run(new HoursRun("a", came, 0, "")).run(new HoursRun("b", LocalDate.of(2026, 1, 1), 2400, ""));
        Finding f = one("filter.life.1", found(of("fine particles (H13)"), busy, "ABS"));
        assertTrue(f.what().contains("after 5 months"), f.what());
        Book always = Book.begun(came).run(new HoursRun("a", came, 0, "")).run(new HoursRun("b", LocalDate.of(2025, 2, 1), 740, ""));
        assertEquals(one("filter.life.1", found(of("carbon"), always, "ABS")).severity(), Severity.LOOK, "500 h are over in three weeks");
        assertTrue(one("filter.life.1", found(of("carbon"), Book.EMPTY, "ABS")).what().contains("after 6 months"), "the calendar");
        assertTrue(one("filter.life.1", found(of("carbon"), Book.begun(came).run(new HoursRun("a", came, 5, "")).run(new HoursRun("b", came.plusDays(90), 5, "")), "ABS")).what().contains("after 6 months"), "it never ran");
    }

}
