package tinperch.workshop.share;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import tinperch.fact.FactsOnce;
import tinperch.judge.Starts;
import tinperch.machine.Machine;
import tinperch.machine.space.Site;
import tinperch.part.Models;
import tinperch.part.bind.Binding;
import tinperch.part.bind.Role;
import tinperch.upgrade.Families;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** Taking a part of a workshop out, and putting what was shared into another. */
public final class Sharing {
    private Sharing() {}

    /** One machine with its upgrades and revisions. */
    public static WorkshopState ofMachine(WorkshopState s, String machineId) {
        return only(s, m -> m.id().equals(machineId), u -> u.machineId().equals(machineId));
    }

    /** One upgrade with its machine and its revisions. */
    public static WorkshopState ofUpgrade(WorkshopState s, String upgradeId) {
        String machine = s.upgrade(upgradeId).map(Upgrade::machineId).orElse("");
        return only(s, m -> m.id().equals(machine), u -> u.id().equals(upgradeId));
    }

    private static WorkshopState only(WorkshopState s, Predicate<Machine> machines, Predicate<Upgrade> upgrades) {
        List<Upgrade> kept = s.upgrades().stream().filter(upgrades).toList();
        Set<String> ids = kept.stream().map(Upgrade::id).collect(Collectors.toSet());
        return new WorkshopState(s.machines().stream().filter(machines).toList(), kept, s.revisions().stream().filter(r -> ids.contains(r.upgradeId())).toList(), s.drawer());
    }

    /** Everything of another workshop put beside what is there; ids that are taken are changed. The drawer stays. */
    public static WorkshopState with(WorkshopState own, WorkshopState other) {
        WorkshopState s = own;
        Map<String, String> machines = new HashMap<>();
        Map<String, String> upgrades = new HashMap<>();
        for (Machine m : other.machines()) {
            WorkshopState now = s;
            String id = free(m.id(), k -> now.machine(k).isPresent());
            machines.put(m.id(), id);
            s = s.with(m.withId(id));
        }
        for (Upgrade u : other.upgrades()) {
            WorkshopState now = s;
            String id = free(u.id(), k -> now.upgrade(k).isPresent());
            upgrades.put(u.id(), id);
            s = s.with(new Upgrade(id, machines.getOrDefault(u.machineId(), u.machineId()), u.name(), u.started(), u.trouble(), u.parts(),
                    machines.getOrDefault(u.hostMachineId(), u.hostMachineId())).tried(u.trials()));
        }
        for (Revision r : other.revisions()) {
            s = s.with(r.of(upgrades.getOrDefault(r.upgradeId(), r.upgradeId()), machines.getOrDefault(r.hostMachineId(), r.hostMachineId())));
        }
        return s;
    }

    /**
     * The upgrades of another workshop put onto a machine of this one: their parts ask for this machine's readings, begin from usual sizes and
     * are fitted anew. Their revisions stay where they were printed.
     */
    public static WorkshopState onto(WorkshopState own, WorkshopState other, Machine machine) {
        WorkshopState s = own;
        for (Upgrade u : other.upgrades()) {
            WorkshopState now = s;
            Upgrade moved = new Upgrade(free(u.id(), k -> now.upgrade(k).isPresent()), machine.id(), u.name(), u.started(), u.trouble(), List.of(), machine.id());
            for (PartDesign p : u.parts()) {
                PartDesign unbound = unbound(p, machine);
                moved = moved.with(Families.byId(p.familyId()).isPresent() ? Starts.refit(moved, unbound, s.shop(Models.NONE), FactsOnce::new) : unbound);
            }
            s = s.with(moved);
        }
        return s;
    }

    /** Bindings to what the other machine had become usual sizes; a site is kept only where this machine has one of the same id. */
    private static PartDesign unbound(PartDesign p, Machine machine) {
        Map<String, Binding> next = new TreeMap<>();
        List<Role<?>> roles = Families.byId(p.familyId()).map(f -> f.roles()).orElse(List.of());
        p.bindings().forEach((roleId, b) -> {
            Optional<Role<?>> role = roles.stream().filter(r -> r.id().equals(roleId)).findFirst();
            String usual = b instanceof Binding.OnSheet s && !s.usualId().isEmpty() ? s.usualId() : role.map(Role::usual).orElse("");
            if (b instanceof Binding.Usual || b instanceof Binding.OfPort) {
                next.put(roleId, b);
            } else if (!usual.isEmpty()) {
                next.put(roleId, new Binding.Usual(usual));
            }
        });
        boolean siteStays = machine.surroundings().sites().stream().map(Site::id).anyMatch(p.siteId()::equals);
        return p.bound(next).atSite(siteStays ? p.siteId() : "");
    }

    private static String free(String id, Predicate<String> taken) {
        String next = id;
        for (int n = 2; taken.test(next); n++) {
            next = id + "-" + n;
        }
        return next;
    }
}
