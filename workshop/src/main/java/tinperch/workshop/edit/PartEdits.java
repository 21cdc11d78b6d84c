package tinperch.workshop.edit;

import java.util.Optional;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Draft;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.engine.FactEngine;

/** Changes to a part that are tried before they are made: what cannot be built is refused with a sentence. */
public final class PartEdits {
    private final Workshop workshop;
    private final FactEngine engine;

    public PartEdits(Workshop workshop, FactEngine engine) {
        this.workshop = workshop;
        this.engine = engine;
    }

    /**
     * Sets one parameter from what was typed or chosen.
     *
     * @return why it was refused, or empty when the edit was made; a refused edit changes nothing
     */
    public Optional<String> set(String upgradeId, String partId, Param<?> param, String text) {
        PartDesign part = workshop.state().part(upgradeId, partId).orElseThrow();
        Values values;
        try {
            values = param.typed(part.values(), text);
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
        return make(upgradeId, part.with(values), Quantity.inSentence(param.label()) + " " + param.show(values));
    }

    /** The case an edit asked for, though it was refused; empty when the text is no value at all. */
    public Optional<Case> asked(String upgradeId, String partId, Param<?> param, String text) {
        Upgrade u = workshop.state().upgrade(upgradeId).orElseThrow();
        PartDesign part = u.part(partId).orElseThrow();
        try {
            return Optional.of(Case.of(u.with(part.with(param.typed(part.values(), text))), partId, workshop.shop(), workshop.state().nextMark(upgradeId, partId)));
        } catch (QuantityException | PartProblem e) {
            return Optional.empty();
        }
    }

    /**
     * Makes a changed part of an upgrade one undoable edit.
     *
     * @return why it was refused: it could be built before and could not be built then
     */
    public Optional<String> make(String upgradeId, PartDesign next, String label) {
        Upgrade before = workshop.state().upgrade(upgradeId).orElseThrow();
        Upgrade after = before.with(next);
        Optional<String> problem = problem(after, next.id());
        // A part that cannot be built anyway may be changed step by step.
        if (problem.isPresent() && before.part(next.id()).isPresent() && problem(before, next.id()).isEmpty()) {
            return problem;
        }
        workshop.edit(label, s -> s.with(after));
        return Optional.empty();
    }

    /** Makes a remedy's changes one undoable edit, as they were previewed. */
    public void apply(String label, Case c, java.util.List<Change> changes) {
        Draft d = Change.all(c.draft(), changes);
        workshop.edit(label, s -> {
            WorkshopState next = s.with(d.upgrade());
            if (!d.machine().equals(c.machine())) {
                next = next.with(d.machine());
            }
            return d.drawer().equals(c.drawer()) ? next : next.with(d.drawer());
        });
    }

    /** Why a part cannot be built as it is; empty when it can. */
    public Optional<String> problem(Upgrade upgrade, String partId) {
        try {
            String why = engine.form(Case.of(upgrade, partId, workshop.shop(), workshop.state().nextMark(upgrade.id(), partId))).problem();
            return why.isEmpty() ? Optional.empty() : Optional.of(why);
        } catch (PartProblem e) {
            return Optional.of(e.getMessage());
        }
    }
}
