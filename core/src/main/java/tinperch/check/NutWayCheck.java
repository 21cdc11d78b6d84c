package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.NutWayFact.Closed;
import tinperch.fact.NutWayFact;
import tinperch.part.form.Screw;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Does every captive nut get into its pocket, from behind or from a side? */
public final class NutWayCheck implements Check {
    /** Across corners for across flats of a hexagon. */
    private static final double CORNERS = 2 / Math.sqrt(3);
    private static final double PLAY_MM = 0.6;
    private static final double AS_FAR_MM = 100;

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
                "A captive nut goes in straight from behind or from a side; here something is in each of these ways. Open it there, turn the screw round, or stop the print before that layer and lay the nuts in.").measured(new Margin(Math.round(10 * x.freeMm()) / 10.0, x.wantedMm(), Unit.MM, true)).at(x.piece().id(), row).about(Subject.LAYOUT).with(remedies(x, c, facts))));
        return all;
    }

    /** Each nut's way from behind opened: all screws of the row that are shut in, at once. */
    private static List<Remedy> remedies(Closed x, Case c, Facts facts) {
        List<Change> holes = new ArrayList<>();
        Case now = c;
        String label = "open the pocket from behind";
        for (Closed k : facts.get(NutWayFact.NUT_WAY)) {
            if (k.screw().row().equals(x.screw().row())) {
                Screw s = k.screw();
                Vec3 nut = s.axis().point(0, 0, s.endMm() + s.end().nutMm(s.thread()) / 2);
                Optional<Remedy> hole = Opening.of(label, k.piece().place().times(Placement.along(nut, s.axis().w(), s.axis().u())), s.thread().nutAcrossFlatsMm() * CORNERS + PLAY_MM, AS_FAR_MM, now, facts);
                if (hole.isEmpty()) {
                    return List.of();
                }
                holes.addAll(hole.get().changes());
                now = now.after(Change.all(now.draft(), hole.get().changes()));
            }
        }
        return List.of(new Remedy(label, holes, Optional.empty(), ""));
    }
}
