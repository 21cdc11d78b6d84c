package tinperch.upgrade;

import java.util.List;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;

/** The workshop as the judgement needs it: machines, tables, the screw drawer. */
public record Shop(List<Machine> machines, HardwareTables hardware, ScrewDrawer drawer) {
    public Shop {
        machines = List.copyOf(machines);
    }
}
