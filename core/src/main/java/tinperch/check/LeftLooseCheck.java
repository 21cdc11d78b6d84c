package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.machine.space.Site;
import tinperch.upgrade.Case;

/**
 * Who holds what the part before this one held besides its own work? A cable, a probe or a shield it held is loose once it is off. What was written down at teardown is asked for once each: it is answered by living with it and
 * saying where it is now.
 */
public final class LeftLooseCheck implements Check {
    @Override
    public String about() {
        return "left loose";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (String held : c.site().map(Site::alsoHeld).orElse(List.of())) {
            all.add(Finding.of("loose." + held, Severity.LOOK, "Nothing is known to hold the " + held + " any more", "The part that was at " + c.site().orElseThrow().name()
                    + " held it too. Say where it is held now: live with it and write that down, or give this part a place for it (a boss, a slot, a hook)."));
        }
        return all;
    }
}
