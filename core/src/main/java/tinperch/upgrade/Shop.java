package tinperch.upgrade;

import java.util.List;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.Bases;

/** The workshop as the judgement needs it: machines, tables, the screw drawer, downloaded models that parts are made from. */
public record Shop(List<Machine> machines, HardwareTables hardware, ScrewDrawer drawer, Bases bases) {
    public Shop {
        machines = List.copyOf(machines);
    }
}
