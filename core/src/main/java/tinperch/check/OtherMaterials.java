package tinperch.check;

import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import tinperch.material.Material;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Materials the printer may print that bear what the part's own does not. */
final class OtherMaterials {
    private OtherMaterials() {}

    /** Remedies that print it in another, the first by an order first. */
    static List<Remedy> of(Case c, Predicate<Material> bears, Comparator<Material> order, int most) {
        return Material.STANDARD.stream().filter(o -> !o.name().equals(c.part().material()) && bears.test(o) && c.host().map(h -> h.materials().contains(o.name())).orElse(true)).sorted(order).limit(most)
                .map(o -> Remedy.of("print it in " + o.name(), new Change.OfMaterial(o.name()))).toList();
    }
}
