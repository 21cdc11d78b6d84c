package tinperch.fact;

import java.util.List;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** Trees to measure distances against, one for each piece as it lies on the bed. */
public final class TreesFact implements Fact<List<TriangleTree>> {
    public static final TreesFact TREES = new TreesFact();

    private TreesFact() {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return FormFact.solids(c, facts);
    }

    @Override
    public List<TriangleTree> compute(Case c, Facts facts) {
        return facts.get(MeshesFact.BARE).pieces().stream().map(m -> TriangleTree.of(m.mesh())).toList();
    }
}
