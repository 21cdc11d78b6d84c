package tinperch.judge;

import java.util.List;
import java.util.function.Function;
import tinperch.check.Severity;
import tinperch.check.Subject;
import tinperch.fact.Facts;
import tinperch.part.param.Values;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;

/** Chooses what a new part begins with: the first of its family's starts that nothing stops, or the one that least does. */
public final class Starts {
    private Starts() {}

    /** A part that came from another machine: as it is where nothing stops it, else as a new one of its kind would begin. */
    public static PartDesign refit(Upgrade upgrade, PartDesign part, Shop shop, Function<Case, Facts> facts) {
        Case c = Case.of(upgrade.with(part), part.id(), shop, "");
        return stops(c, facts) == 0 ? part : choose(upgrade, part, shop, facts);
    }

    private static long stops(Case c, Function<Case, Facts> facts) {
        return Judge.judge(c, facts.apply(c)).findings().stream().filter(f -> f.severity() == Severity.STOP && f.subject() != Subject.PRINTING).count();
    }

    /** The part with its values. Where it is printed does not count. */
    public static PartDesign choose(Upgrade upgrade, PartDesign part, Shop shop, Function<Case, Facts> facts) {
        Case first = Case.of(upgrade.with(part), part.id(), shop, "");
        List<Values> all = first.family().map(f -> f.starts(first.recipe().refs())).orElse(List.of(part.values()));
        PartDesign best = part.with(all.get(0));
        long fewest = Long.MAX_VALUE;
        for (Values v : all) {
            Case c = Case.of(upgrade.with(part.with(v)), part.id(), shop, "");
            long stops = stops(c, facts);
            if (stops < fewest) {
                fewest = stops;
                best = part.with(v);
            }
            if (stops == 0) {
                break;
            }
        }
        return best;
    }
}
