package tinperch.upgrade;

import java.util.List;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.Models;

/**
 * The workshop as the judgement needs it: machines, tables, the screw drawer, bodies of downloaded models.
 *
 * @param fitted parts in use, of all machines and upgrades
 */
public record Shop(List<Machine> machines, HardwareTables hardware, ScrewDrawer drawer, Models models, List<Fitted> fitted) {
    public Shop {
        machines = List.copyOf(machines);
        fitted = List.copyOf(fitted);
    }

    /** One where nothing was fitted yet. */
    public Shop(List<Machine> machines, HardwareTables hardware, ScrewDrawer drawer, Models models) {
        this(machines, hardware, drawer, models, List.of());
    }
}
