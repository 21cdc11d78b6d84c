package tinperch.upgrade;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.trial.Trial;

/**
 * One upgrade as it stands now; an edit makes a new one. What was measured for it is kept with its machine.
 *
 * @param parts designed for it, in the order they were made
 * @param hostMachineId the machine that is to print them
 * @param trials what was measured before and after, in the order it was tried
 */
public record Upgrade(String id, String machineId, String name, LocalDate started, Trouble trouble, List<PartDesign> parts, String hostMachineId, List<Trial> trials) {
    public Upgrade {
        java.util.Objects.requireNonNull(id, "id");
        java.util.Objects.requireNonNull(machineId, "machineId");
        started = started == null ? LocalDate.EPOCH : started;
        name = name == null ? "" : name;
        trouble = trouble == null ? Trouble.NONE : trouble;
        parts = parts == null ? List.of() : List.copyOf(parts);
        hostMachineId = hostMachineId == null ? "" : hostMachineId;
        trials = trials == null ? List.of() : List.copyOf(trials);
    }

    /** One that was not tried yet. */
    public Upgrade(String id, String machineId, String name, LocalDate started, Trouble trouble, List<PartDesign> parts, String hostMachineId) {
        this(id, machineId, name, started, trouble, parts, hostMachineId, List.of());
    }

    /** With other trials. */
    public Upgrade tried(List<Trial> next) {
        return new Upgrade(id, machineId, name, started, trouble, parts, hostMachineId, next);
    }

    /** With other words about the trouble. */
    public Upgrade with(Trouble next) {
        return new Upgrade(id, machineId, name, started, next, parts, hostMachineId, trials);
    }

    /** Under another name. */
    public Upgrade named(String next) {
        return new Upgrade(id, machineId, next, started, trouble, parts, hostMachineId, trials);
    }

    /** Printed on another machine. */
    public Upgrade onHost(String machine) {
        return new Upgrade(id, machineId, name, started, trouble, parts, machine, trials);
    }

    /** A part by its id; empty when there is none of it. */
    public Optional<PartDesign> part(String partId) {
        return parts.stream().filter(p -> p.id().equals(partId)).findFirst();
    }

    /** With a part put in, or changed when its id is known. */
    public Upgrade with(PartDesign part) {
        List<PartDesign> next = new ArrayList<>(parts);
        int at = parts.stream().map(PartDesign::id).toList().indexOf(part.id());
        if (at >= 0) {
            next.set(at, part);
        } else {
            next.add(part);
        }
        return new Upgrade(id, machineId, name, started, trouble, next, hostMachineId, trials);
    }

    /** Without a part. */
    public Upgrade without(String partId) {
        return new Upgrade(id, machineId, name, started, trouble, parts.stream().filter(p -> !p.id().equals(partId)).toList(), hostMachineId, trials);
    }

    /** An id no part of this upgrade has had: "p1", "p2" … */
    public String nextPartId() {
        int n = 1;
        while (part("p" + n).isPresent()) {
            n++;
        }
        return "p" + n;
    }
}
