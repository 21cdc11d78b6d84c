package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.OverlapsFact;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Does anything of the assembly go through anything else of it? */
public final class OverlapCheck implements Check {
    /** Less is rounding of circles by polygons, mm. */
    private static final double TOUCH_MM = 0.08;

    @Override
    public String about() {
        return "assembly";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        int n = 0;
        for (OverlapsFact.Overlap o : facts.get(OverlapsFact.OVERLAPS)) {
            n++;
            if (o.depthMm() > o.allowedMm() + TOUCH_MM) {
                all.add(Finding.of("overlap." + o.piece().id() + "." + n, Severity.STOP, "The " + o.piece().name() + " goes " + Quantity.mm(o.depthMm()) + " into " + o.other(),
                        "Both cannot be in the same place; change the sizes that bring them together.").measured(new Margin(Math.round(100 * o.depthMm()) / 100.0, o.allowedMm(), Unit.MM, false)).at(o.piece().id(), "").about(Subject.LAYOUT));
            }
        }
        if (all.isEmpty() && n > 0) {
            all.add(Finding.of("overlap", Severity.FINE, "Nothing of the assembly goes through anything else", "Pieces and what is mounted on them, measured against each other."));
        }
        return all;
    }
}
