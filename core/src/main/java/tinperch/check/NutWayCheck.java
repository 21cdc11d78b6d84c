package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.fact.Facts;
import tinperch.fact.NutWayFact;
import tinperch.fact.NutWayFact.Closed;
import tinperch.upgrade.Case;

/** Does every captive nut get into its pocket, from behind or from a side? */
public final class NutWayCheck implements Check {
    @Override
    public String about() {
        return "nuts' way in";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Map<String, Closed> first = new LinkedHashMap<>();
        facts.get(NutWayFact.NUT_WAY).forEach(x -> first.putIfAbsent(x.screw().row(), x));
        List<Finding> all = new ArrayList<>();
        first.forEach((row, x) -> all.add(Finding.of("nut." + row, Severity.LOOK, "No way in for the nuts of the " + x.screw().rowLabel() + ": " + x.feature() + " closes the pocket",
                "A captive nut goes in straight from behind or from a side; here something is in each of these ways. Open it there, turn the screw round, or stop the print before that layer and lay the nuts in.").at(x.piece().id(), row).about(Subject.LAYOUT)));
        return all;
    }
}
