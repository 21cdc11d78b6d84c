package tinperch.check;

import java.util.List;
import java.util.Optional;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.PartForm;
import tinperch.part.Values;

/**
 * What a check may look at.
 *
 * @param upgradedMachineId the machine that is in pieces while the part is needed
 * @param hostMachineId the machine chosen to print it
 * @param material name of the material chosen
 */
public record Situation(PartForm form, Values values, List<Machine> machines, String upgradedMachineId,
        String hostMachineId, String material, HardwareTables hardware, ScrewDrawer drawer) {
    public Situation {
        machines = List.copyOf(machines);
    }

    public Optional<Machine> machine(String id) {
        return machines.stream().filter(m -> m.id().equals(id)).findFirst();
    }
}
