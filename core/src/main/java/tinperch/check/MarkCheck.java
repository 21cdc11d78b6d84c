package tinperch.check;

import java.util.List;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.part.Does;
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
        List<String> bare = facts.get(MeshesFact.MESHES).pieces().stream().filter(m -> m.mark().isEmpty()).map(m -> m.piece().name()).toList();
        return bare.isEmpty() ? List.of() : List.of(Finding.of("mark", Severity.LOOK, "No room for the mark " + c.recipe().mark() + " on the " + String.join(", the ", bare),
                "Loose prototypes cannot be told apart afterwards; make room for it, or write it on with a pen."));
    }
}
