package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.upgrade.Case;

/** Does every piece carry its revision mark? */
public final class MarkCheck implements Check {
    @Override
    public String about() {
        return "mark";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (c.recipe().mark().isEmpty()) {
            return List.of();
        }
        List<Finding> all = new ArrayList<>();
        for (MeshesFact.Made m : facts.get(MeshesFact.MESHES).pieces()) {
            if (m.mark().isEmpty()) {
                all.add(Finding.of("mark." + m.piece().id(), Severity.LOOK, "No room for the mark " + c.recipe().mark() + " on the " + m.piece().name(),
                        "Loose prototypes cannot be told apart afterwards; make room for it, or write it on with a pen."));
            }
        }
        return all;
    }
}
