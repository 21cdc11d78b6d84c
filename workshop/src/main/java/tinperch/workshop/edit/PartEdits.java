package tinperch.workshop.edit;

import java.util.Optional;
import tinperch.part.Parameter;
import tinperch.part.PartDesign;
import tinperch.part.PartProblem;
import tinperch.part.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.solid.SolidException;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;

/** Changes to a part that are tried before they are made: what cannot be built is refused with a sentence. */
public final class PartEdits {
    private PartEdits() {}

    /**
     * Sets one parameter from what was typed or chosen.
     *
     * @return why it was refused, or empty when the edit was made; a refused edit changes nothing
     */
    public static Optional<String> set(Workshop workshop, String upgradeId, String key, String text) {
        Upgrade upgrade = workshop.state().upgrade(upgradeId).orElseThrow();
        PartDesign part = upgrade.part().orElseThrow();
        Parameter parameter = Assessor.family(part).parameter(key);
        Values values;
        try {
            values = parameter.isChoice() ? part.values().with(key, text) : part.values().with(key, parameter.parse(text));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
        Upgrade next = upgrade.with(part.with(values));
        Optional<String> problem = problem(workshop, next);
        // A part that cannot be built anyway may be changed step by step.
        if (problem.isPresent() && problem(workshop, upgrade).isEmpty()) {
            return problem;
        }
        workshop.edit(Quantity.inSentence(parameter.label()) + " " + parameter.show(values),
                s -> s.with(next));
        return Optional.empty();
    }

    /** Why the part of an upgrade cannot be built as it is; empty when it can. */
    public static Optional<String> problem(Workshop workshop, Upgrade upgrade) {
        try {
            Assessor.form(upgrade, workshop.shop(), workshop.state().nextMark(upgrade.id()));
            return Optional.empty();
        } catch (PartProblem | SolidException e) {
            return Optional.of(e.getMessage());
        }
    }
}
