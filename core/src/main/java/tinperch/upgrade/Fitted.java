package tinperch.upgrade;

import java.time.LocalDate;
import java.util.List;

/**
 * A part in use on its machine: to parts of other upgrades it stands in the way like anything else there.
 *
 * @param upgrade it belongs to, with this part alone, as it was designed when it was kept
 * @param recipe what its shape followed from
 */
public record Fitted(Upgrade upgrade, Recipe recipe) {
    /** What of a revision stands on the machine; its upgrade says which machine and what it is called. */
    public static Fitted of(Upgrade upgrade, Revision r, Recipe recipe) {
        return new Fitted(new Upgrade(upgrade.id(), upgrade.machineId(), upgrade.name(), LocalDate.EPOCH, Trouble.NONE, List.of(r.part()), r.hostMachineId()), recipe);
    }

    /** The part. */
    public PartDesign part() {
        return upgrade.parts().get(0);
    }
}
