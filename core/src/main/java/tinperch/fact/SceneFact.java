package tinperch.fact;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Shape;
import tinperch.measure.sheet.HolePattern;
import tinperch.part.Models;
import tinperch.part.bind.MeshRef;
import tinperch.part.param.PartProblem;
import tinperch.solid.Mesh;
import tinperch.upgrade.Case;

/** The shapes of a machine's neighbours with all axes at zero, by their ids. */
public final class SceneFact implements Fact<Map<String, Shape>> {
    public static final SceneFact SCENE = new SceneFact();

    private SceneFact() {}

    @Override
    public Object inputs(Case c, Facts facts) {
        List<Object> of = new ArrayList<>();
        for (Neighbour n : c.machine().surroundings().neighbours()) {
            of.add(n);
            c.machine().sheet(n.of()).ifPresent(of::add);
            c.machine().model(n.of()).ifPresent(of::add);
        }
        return of;
    }

    @Override
    public Map<String, Shape> compute(Case c, Facts facts) {
        Map<String, Shape> all = new LinkedHashMap<>();
        Machine machine = c.machine();
        NeighbourMesh meshes = new NeighbourMesh(id -> machine.sheet(id).flatMap(HolePattern::of), id -> model(machine, id, c.models()));
        for (Neighbour n : machine.surroundings().neighbours()) {
            facts.stop().check();
            all.put(n.id(), Shape.of(n, meshes));
        }
        return all;
    }

    private static Optional<Mesh> model(Machine machine, String id, Models models) {
        try {
            return machine.model(id).map(m -> models.mesh(MeshRef.of(m)));
        } catch (PartProblem e) {
            return Optional.empty();
        }
    }
}
