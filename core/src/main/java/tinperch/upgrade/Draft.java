package tinperch.upgrade;

import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;

/** What a change of a part may touch: its upgrade, the machine it is for, the screw drawer. */
public record Draft(Upgrade upgrade, String partId, Machine machine, ScrewDrawer drawer) {
    public PartDesign part() {
        return upgrade.part(partId).orElseThrow();
    }

    public Draft with(PartDesign part) {
        return new Draft(upgrade.with(part), partId, machine, drawer);
    }

    public Draft with(Upgrade next) {
        return new Draft(next, partId, machine, drawer);
    }

    public Draft with(Machine next) {
        return new Draft(upgrade, partId, next, drawer);
    }

    public Draft with(ScrewDrawer next) {
        return new Draft(upgrade, partId, machine, next);
    }
}
