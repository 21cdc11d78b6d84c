package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** The things a part holds or is held by, in the assembly's coordinates; what cannot be drawn is left out: it is in nobody's way. */
public final class HeldFact implements Fact<List<HeldFact.Thing>> {
    public static final HeldFact HELD = new HeldFact();

    private HeldFact() {}

    /** A thing and its shape. */
    public record Thing(Held held, TriangleTree tree) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return FormFact.solids(c, facts);
    }

    @Override
    public List<Thing> compute(Case c, Facts facts) {
        List<Thing> all = new ArrayList<>();
        for (Held h : facts.get(FormFact.FORM).form().map(PartForm::held).orElse(List.of())) {
            facts.stop().check();
            try {
                all.add(new Thing(h, TriangleTree.of(SolidKernel.evaluate(h.solid(), Tolerances.USUAL, facts.hands(), facts.memory("held " + h.name())))));
            } catch (SolidException e) {
                continue;
            }
        }
        return all;
    }
}
