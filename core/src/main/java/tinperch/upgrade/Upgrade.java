package tinperch.upgrade;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.measure.PatternSheet;
import tinperch.part.PartDesign;

/**
 * One upgrade as it stands now; an edit makes a new one.
 *
 * @param sheets reading sheets by role ("mount", "tool")
 * @param part the part designed for it, absent until a family is chosen
 * @param hostMachineId the machine that is to print it
 */
public record Upgrade(String id, String machineId, String name, LocalDate started, Trouble trouble,
        Map<String, PatternSheet> sheets, Optional<PartDesign> part, String hostMachineId) {
    public Upgrade {
        sheets = java.util.Collections.unmodifiableMap(new TreeMap<>(sheets));
    }

    public Upgrade with(Trouble next) {
        return new Upgrade(id, machineId, name, started, next, sheets, part, hostMachineId);
    }

    public Upgrade with(String role, PatternSheet sheet) {
        Map<String, PatternSheet> copy = new TreeMap<>(sheets);
        copy.put(role, sheet);
        return new Upgrade(id, machineId, name, started, trouble, copy, part, hostMachineId);
    }

    public Upgrade with(PartDesign design) {
        return new Upgrade(id, machineId, name, started, trouble, sheets, Optional.of(design), hostMachineId);
    }

    public Upgrade named(String next) {
        return new Upgrade(id, machineId, next, started, trouble, sheets, part, hostMachineId);
    }

    public Upgrade onHost(String machine) {
        return new Upgrade(id, machineId, name, started, trouble, sheets, part, machine);
    }

    public PatternSheet sheet(String role) {
        return sheets.getOrDefault(role, PatternSheet.empty(role));
    }
}
