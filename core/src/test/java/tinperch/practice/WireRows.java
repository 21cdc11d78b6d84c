package tinperch.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.part.bind.Binding;
import tinperch.part.family.FanDuct;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** What is wired to what. */
final class WireRows {
    private WireRows() {}

    private static Case duct(double fanV) {
        LocalDate day = LocalDate.of(2026, 1, 1);
        Component fan = new Component("f", ComponentKind.FAN, "Fan from the old machine", "", new Ratings(fanV, 0.1, 0, 0, 0), day, Optional.empty(), Optional.empty(), "", "");
        PartDesign part = PartDesign.of("p1", "fan-duct", "duct", Bench.PLAIN).bound(new FanDuct().roles().get(0).id(), new Binding.OfComponent("f"));
        return Bench.caseOf(part, m -> m.withBook(m.book().fit(fan).being("f", "fan-40x10")));
    }

    static List<Row> rows() {
        return List.of(Row.of("P47", "a fan for 12 V moved to a machine of 24 V", () -> duct(12), () -> duct(24), "voltage.", "made for 12 V.*4.0 times its power").measures(24, 1e-9));
    }
}
