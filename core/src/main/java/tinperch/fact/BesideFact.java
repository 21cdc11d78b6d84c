package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.part.bind.Binding;
import tinperch.part.form.PartForm;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/**
 * The upgrade's other parts and what of other upgrades is in use, where they mount, with what they carry: to this part they are neighbours.
 * Those on the same site are none, they take its place; one that cannot be made stands nowhere.
 */
public final class BesideFact implements Fact<List<BesideFact.Beside>> {
    public static final BesideFact BESIDE = new BesideFact();

    private BesideFact() {}

    /**
     * Another part.
     *
     * @param place of its assembly in the machine with all axes at zero
     * @param standing as something that stands there
     * @param joined whether one of the two is bound to the other: they are meant to touch
     */
    public record Beside(PartForm form, Placement place, Neighbour standing, Shape shape, boolean joined) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return c.site().isEmpty() ? List.of() : c.others().stream().map(o -> List.of(id(c, o), o.recipe(), o.part().siteId(), name(c, o), o.site(), joined(c, o))).toList();
    }

    @Override
    public List<Beside> compute(Case c, Facts facts) {
        List<Beside> all = new ArrayList<>();
        for (Case o : c.site().isEmpty() ? List.<Case>of() : c.others()) {
            facts.stop().check();
            Facts its = facts.of(o);
            Optional<Placement> place = RestFact.inMachine(o, its);
            if (place.isPresent() && !its.get(MeshesFact.BARE).pieces().isEmpty()) {
                List<Mesh> meshes = MotionFact.bodies(its, place.get()).stream().map(b -> b.tree().mesh().placed(b.place())).toList();
                Mesh mesh = Mesh.gathered(meshes);
                Bounds b = mesh.bounds();
                Neighbour n = new Neighbour(id(c, o), name(c, o), o.site().orElseThrow().group(), Neighbour.Kind.SOLID, Neighbour.Form.MODEL, b.min(), b.size(), "z", 0, 0);
                all.add(new Beside(its.get(FormFact.FORM).form().orElseThrow(), place.get(), n, Shape.of(mesh), joined(c, o)));
            }
        }
        return all;
    }

    private static boolean isOfTheSame(Case c, Case o) {
        return c.upgrade().id().equals(o.upgrade().id());
    }

    private static String id(Case c, Case o) {
        return isOfTheSame(c, o) ? "part." + o.part().id() : "fitted." + o.upgrade().id() + "." + o.part().id();
    }

    private static String name(Case c, Case o) {
        return isOfTheSame(c, o) ? o.part().name() : o.part().name() + " of “" + o.upgrade().name() + "”";
    }

    /** Parts of one upgrade only are bound to each other. */
    private static boolean joined(Case c, Case o) {
        return isOfTheSame(c, o) && (binds(c.part(), o.part()) || binds(o.part(), c.part()));
    }

    private static boolean binds(PartDesign a, PartDesign b) {
        return a.bindings().values().stream().anyMatch(x -> x instanceof Binding.OfPort port && port.partId().equals(b.id()));
    }
}
