package tinperch.upgrade;

import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;

/** What a change of a part may touch: its upgrade, the machine it is for, the screw drawer. */
public record Draft(Upgrade upgrade, String partId, Machine machine, ScrewDrawer drawer) {
    /** The part it is about. */
    public PartDesign part() {
        return upgrade.part(partId).orElseThrow();
    }

    /** With the part changed. */
    public Draft with(PartDesign part) {
        return new Draft(upgrade.with(part), partId, machine, drawer);
    }

    /** With the upgrade changed. */
    public Draft with(Upgrade next) {
        return new Draft(next, partId, machine, drawer);
    }

    /** With the machine changed. */
    public Draft with(Machine next) {
        return new Draft(upgrade, partId, next, drawer);
    }

    /** With another screw drawer. */
    public Draft with(ScrewDrawer next) {
        return new Draft(upgrade, partId, machine, next);
    }
}
