package tinperch.fact;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Shape;
import tinperch.solid.Placement;
import tinperch.upgrade.Case;

/** The part in its place on its machine with all axes at zero, and the shapes of the neighbours; empty when it has no site. */
public final class PlacedFact implements Fact<Optional<PlacedFact.Placed>> {
    public static final PlacedFact PLACED = new PlacedFact();

    private PlacedFact() {}

    /**
     * A part among its neighbours.
     *
     * @param group what it moves with
     * @param neighbours by their ids
     * @param beside the upgrade's other parts
     */
    public record Placed(Shape part, String group, Map<String, Shape> neighbours, List<BesideFact.Beside> beside) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(c.recipe(), c.part().siteId(), c.machine().surroundings(), SceneFact.SCENE.inputs(c, facts), BesideFact.BESIDE.inputs(c, facts));
    }

    @Override
    public Optional<Placed> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        DrawingFact.Drawing drawing = facts.get(DrawingFact.DRAWING);
        return drawing == null ? Optional.empty() : place.map(p -> new Placed(Shape.of(drawing.mesh().placed(p)).ready(), c.site().orElseThrow().group(),
                facts.get(SceneFact.SCENE), facts.get(BesideFact.BESIDE)));
    }
}
