package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.LiesFact;
import tinperch.fact.OverhangsFact;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.query.Overhangs;
import tinperch.upgrade.Case;

/** Does every piece print without support as it lies? Bridges are safe to 10 mm and usually work to 30 mm (common practice); what leans out farther than 50° hangs. */
public final class OverhangCheck implements Check {
    private static final double BRIDGE_MM = 30;
    /** Less than this droops a little and holds, mm². */
    private static final double SMALL_MM2 = 25;

    @Override
    public String about() {
        return "overhangs";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (OverhangsFact.Hanging h : facts.get(OverhangsFact.OVERHANGS)) {
            double hangs = h.faces().stream().filter(o -> o.bridgeMm().isEmpty()).mapToDouble(Overhangs::areaMm2).sum();
            Optional<Overhangs> largest = h.faces().stream().filter(o -> o.bridgeMm().isEmpty()).findFirst();
            double longest = h.faces().stream().filter(o -> o.bridgeMm().isPresent()).mapToDouble(o -> o.bridgeMm().getAsDouble()).max().orElse(0);
            String id = "overhang." + h.piece().id();
            if (hangs > SMALL_MM2 && largest.isPresent() && largest.get().areaMm2() > SMALL_MM2 / 3) {
                List<Remedy> less = less(c, facts, h, hangs);
                all.add(Finding.of(id, Severity.LOOK, Quantity.fixed(hangs, 0) + " mm² of the " + h.piece().name() + " hang in the air", "The largest is its " + largest.get().feature() + ", leaning out by " + Quantity.fixed(largest.get().fromVerticalDeg(), 0)
                        + "°. As it lies on the bed it needs support there (steeper than " + Math.round(OverhangsFact.LIMIT_DEG) + "° from vertical, common practice), or an edge of 45°."
                        + (less.isEmpty() ? " On none of its sides less of it hangs: two pieces, each flat on the bed, that are screwed or snapped together print without." : ""))
                        .measured(new Margin(hangs, SMALL_MM2, Unit.MM2, false)).at(h.piece().id(), largest.get().feature()).with(less).about(Subject.PRINTING));
            } else if (longest > BRIDGE_MM) {
                Overhangs o = h.faces().stream().filter(x -> x.bridgeMm().isPresent() && x.bridgeMm().getAsDouble() == longest).findFirst().orElseThrow();
                all.add(Finding.of(id, Severity.LOOK, "A bridge of " + Quantity.mm(Math.round(longest * 10) / 10.0) + " in the " + h.piece().name(), "Bridges are safe to 10 mm and usually work to 30 mm (common practice); a longer one sags.")
                        .measured(new Margin(longest, BRIDGE_MM, Unit.MM, false)).at(h.piece().id(), o.feature()).with(less(c, facts, h, SMALL_MM2)).about(Subject.PRINTING));
            }
        }
        return all;
    }

    /** Sides to lie on where less hangs. */
    private static List<Remedy> less(Case c, Facts facts, OverhangsFact.Hanging h, double mm2) {
        return OtherLies.of(c, facts, h.piece(), l -> facts.get(LiesFact.LIES).get(h.piece().id()).get(l).hangsMm2() < mm2, 2);
    }
}
