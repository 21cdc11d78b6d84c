package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.material.Material;
import tinperch.part.feature.Feature;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Can the part be made of its values at all, with every feature placed on it, in a material that is known? */
public final class BuildCheck implements Check {
    @Override
    public String about() {
        return "shape";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        MeshesFact.Answer meshes = facts.get(MeshesFact.BARE);
        if (!meshes.problem().isEmpty()) {
            List<Remedy> ways = WaysOut.of(c, Optional.empty(), facts.stop()).stream().map(w -> Remedy.of(w.label(), new Change.Set<>(w.param(), w.to()))).toList();
            all.add(Finding.of("part", Severity.STOP, "The part cannot be built", meshes.problem()).about(Subject.NO_PART).with(ways));
        }
        facts.get(FormFact.FORM).left().forEach((id, why) -> all.add(Finding.of("feature." + id, Severity.LOOK, "“" + c.part().feature(id)
                .map(Feature::name).orElse(id) + "” is left out", why)));
        if (Material.find(c.part().material()).isEmpty()) {
            all.add(Finding.of("material", Severity.STOP, "“" + c.part().material() + "” is no material of the table",
                    "What it stands and on which machine it prints cannot be told. Choose a material on the Print station.",
                    Remedy.of("print it in PETG", new tinperch.upgrade.Change.OfMaterial(tinperch.upgrade.PartDesign.FIRST_MATERIAL)))
                    .about(Subject.PRINTING).settledBy(Settle.By.MATERIAL, "", "choose a material"));
        }
        return all;
    }
}
