package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import tinperch.desktop.desk.Desk;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.part.bind.Binding;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;

/** What can be done with the downloaded models of a machine. */
final class ModelEdits {
    private final Desk desk;
    private final String machineId;
    private final Consumer<String> used;

    /** @param used told the id of the neighbour a model was made into */
    ModelEdits(Desk desk, String machineId, Consumer<String> used) {
        this.desk = desk;
        this.machineId = machineId;
        this.used = used;
    }

    Machine machine() {
        return desk.state().machine(machineId).orElseThrow();
    }

    void edit(String label, UnaryOperator<Machine> change) {
        desk.workshop().edit(label, s -> s.with(change.apply(s.machine(machineId).orElseThrow())));
    }

    /** Changes a model, as it is by now. */
    void change(Model m, String label, UnaryOperator<Model> change) {
        edit(label, k -> k.with(change.apply(k.model(m.id()).orElseThrow())));
    }

    /** Puts it among the neighbours; answers why not, or empty. */
    Optional<String> use(Model m) {
        Neighbour n = new Neighbour(BookEdit.freshId(), m.name(), "", Neighbour.Kind.SOLID, Neighbour.Form.MODEL, Vec3.ZERO,
                NeighbourMesh.laidDown(m.sizeMm(), Vec3.Z, 0), "z", 3, 0, m.id(), 0);
        try {
            var next = machine().surroundings().with(n);
            edit("put " + m.name() + " among the neighbours", k -> k.withSurroundings(next));
            used.accept(n.id());
            return Optional.empty();
        } catch (tinperch.machine.space.SpaceProblem e) {
            return Optional.of(e.getMessage());
        }
    }

    /** The upgrade whose part, or one of whose kept revisions, is made from a model. */
    private Optional<String> madeFrom(Model m) {
        Stream<PartDesign> parts = Stream.concat(desk.state().upgrades().stream().flatMap(u -> u.parts().stream()), desk.state().revisions().stream().map(Revision::part));
        return parts.filter(p -> p.bindings().values().contains(new Binding.OfModel(m.id()))).map(PartDesign::name).findFirst();
    }

    /** Reads its file in another unit; what is made from it must not change its size behind its owner's back. Answers why not, or empty. */
    Optional<String> rescale(Model m, double scale) {
        Optional<String> made = madeFrom(m);
        if (made.isPresent() && scale != m.scale()) {
            return Optional.of("“" + made.get() + "” is made from it in " + Model.unitName(m.scale())
                    + "; bring the file in once more to read it in another unit. Nothing was changed.");
        }
        edit("unit of " + m.name(), k -> k.rescaled(m.id(), scale));
        return Optional.empty();
    }

    /** Takes it away unless something stands on it; answers why not, or empty. */
    Optional<String> remove(Model m) {
        List<String> standing = new ArrayList<>(machine().neighboursOf(m.id()).stream().map(Neighbour::name).toList());
        if (!standing.isEmpty()) {
            return Optional.of("“" + standing.get(0) + "” among the neighbours is made of it; remove that one first. Nothing was changed.");
        }
        Optional<String> made = madeFrom(m);
        if (made.isPresent()) {
            return Optional.of("“" + made.get() + "” is made from it, or a kept revision is; it has to stay. Nothing was changed.");
        }
        edit("remove " + m.name(), k -> k.withoutModel(m.id()));
        return Optional.empty();
    }
}
