package tinperch.upgrade;

import java.util.List;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.Models;

/** The workshop as the judgement needs it: machines, tables, the screw drawer, bodies of downloaded models. */
public record Shop(List<Machine> machines, HardwareTables hardware, ScrewDrawer drawer, Models models) {
    public Shop {
        machines = List.copyOf(machines);
    }
}
