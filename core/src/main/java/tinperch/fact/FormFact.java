package tinperch.fact;

import java.util.Map;
import java.util.Optional;
import tinperch.part.PartFamily;
import tinperch.part.feature.Featured;
import tinperch.part.feature.Spot;
import tinperch.part.form.PartForm;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.solid.SolidException;
import tinperch.upgrade.Case;
import tinperch.upgrade.FeatureKinds;
import tinperch.upgrade.Recipe;

/** The form of a part with the features placed on it, or why there is none. */
public final class FormFact implements Fact<FormFact.Answer> {
    public static final FormFact FORM = new FormFact();

    private FormFact() {}

    /**
     * A form, or a problem.
     *
     * @param problem a sentence when there is no form
     * @param param the parameter to change first, where one is known
     * @param left why a feature was left out, by its id
     * @param spots where features stand on their faces, by their ids
     * @param solids pieces and held things, to tell whether another case has the same; empty where there is none
     */
    public record Answer(Optional<PartForm> form, String problem, Optional<Param<?>> param, Map<String, String> left, Map<String, Spot> spots,
            Optional<Solids> solids) {
        static Answer none(String problem, Optional<Param<?>> param) {
            return new Answer(Optional.empty(), problem, param, Map.of(), Map.of(), Optional.empty());
        }
    }

    /** Inputs of the form: the recipe before it is marked and laid. */
    static Recipe shape(Case c) {
        return c.recipe().ofForm();
    }

    /** Inputs of everything that follows from the solids alone: a longer screw, another material leave them as they are. */
    static Object solids(Case c, Facts facts) {
        Optional<Solids> solids = facts.get(FORM).solids();
        return solids.isPresent() ? solids.get() : shape(c);
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return shape(c);
    }

    @Override
    public Answer compute(Case c, Facts facts) {
        Optional<PartFamily> family = c.family();
        if (family.isEmpty()) {
            return Answer.none("This part is of a kind this version does not know (" + c.part().familyId() + "); a newer version made it.", Optional.empty());
        }
        try {
            for (Param<?> p : family.get().params()) {
                p.of(c.recipe().values());
            }
            Featured f = Featured.of(family.get().form(c.inputs()), c.recipe().features(), c.inputs(), FeatureKinds::byId);
            return new Answer(Optional.of(f.form()), "", Optional.empty(), f.left(), f.spots(), Optional.of(new Solids(f.form().pieces(), f.form().held())));
        } catch (PartProblem e) {
            return Answer.none(e.getMessage(), e.param());
        } catch (SolidException | IllegalArgumentException e) {
            return Answer.none(e.getMessage(), Optional.empty());
        }
    }
}
