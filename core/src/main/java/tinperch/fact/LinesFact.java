package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.upgrade.Case;

/** The shapes of a machine's cables and belts with the axes at home: they follow from the machine alone. */
public final class LinesFact implements Fact<List<LinesFact.Line>> {
    public static final LinesFact LINES = new LinesFact();

    private LinesFact() {}

    /**
     * A cable or a belt.
     *
     * @param standing as something that stands there
     * @param atZero with all axes at zero, for one that moves as a whole; empty for one that bends
     */
    public record Line(Neighbour standing, Shape atHome, Optional<Shape> atZero) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        Surroundings s = c.machine().surroundings();
        return List.of(s.runs(), s.axes(), s.groups());
    }

    @Override
    public List<Line> compute(Case c, Facts facts) {
        Surroundings space = c.machine().surroundings();
        List<Line> all = new ArrayList<>();
        for (Run r : space.runs()) {
            facts.stop().check();
            // Filament touches what leads it.
            Mesh mesh = r.kind() == Run.Kind.FILAMENT ? Mesh.gathered(List.of()) : r.mesh(space, space.home());
            if (mesh.triangleCount() > 0) {
                String group = r.isMoved() ? "" : r.holds().get(0).group();
                all.add(new Line(r.standing(mesh).in(group), Shape.of(mesh), r.isMoved() ? Optional.empty() : Optional.of(Shape.of(mesh.placed(Placement.HERE.moved(space.shift(group, space.home()).times(-1)))))));
            }
        }
        return all;
    }
}
