package tinperch.workshop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.Bases;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;

/** Everything a workshop knows, at one moment. An edit makes a new one. Revisions stand in order of upgrade and number. */
public record WorkshopState(List<Machine> machines, List<Upgrade> upgrades, List<Revision> revisions, ScrewDrawer drawer) {
    private static final Comparator<Revision> BY_UPGRADE_AND_NUMBER =
            Comparator.comparing(Revision::upgradeId).thenComparingInt(Revision::number);

    public static final WorkshopState EMPTY =
            new WorkshopState(List.of(), List.of(), List.of(), new ScrewDrawer(java.util.Map.of()));

    public WorkshopState {
        machines = List.copyOf(machines);
        upgrades = List.copyOf(upgrades);
        revisions = revisions.stream().sorted(BY_UPGRADE_AND_NUMBER).toList();
    }

    /** @param bases where the parts made from downloaded models get them */
    public Shop shop(Bases bases) {
        return new Shop(machines, HardwareTables.STANDARD, drawer, bases);
    }

    public Optional<Machine> machine(String id) {
        return machines.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    public Optional<Upgrade> upgrade(String id) {
        return upgrades.stream().filter(u -> u.id().equals(id)).findFirst();
    }

    public List<Upgrade> upgradesOf(String machineId) {
        return upgrades.stream().filter(u -> u.machineId().equals(machineId)).toList();
    }

    /** Kept revisions of an upgrade, oldest first. */
    public List<Revision> revisionsOf(String upgradeId) {
        return revisions.stream().filter(r -> r.upgradeId().equals(upgradeId)).toList();
    }

    /** The number the next kept revision will have. */
    public int nextRevision(String upgradeId) {
        return revisionsOf(upgradeId).stream().mapToInt(Revision::number).max().orElse(0) + 1;
    }

    /** The mark engraved in the part being worked on. */
    public String nextMark(String upgradeId) {
        return Revision.mark(nextRevision(upgradeId));
    }

    public WorkshopState with(Machine machine) {
        return new WorkshopState(replaced(machines, machine, m -> m.id().equals(machine.id())), upgrades, revisions, drawer);
    }

    public WorkshopState with(Upgrade upgrade) {
        return new WorkshopState(machines, replaced(upgrades, upgrade, u -> u.id().equals(upgrade.id())), revisions, drawer);
    }

    public WorkshopState with(Revision revision) {
        return new WorkshopState(machines, upgrades, replaced(revisions, revision,
                r -> r.upgradeId().equals(revision.upgradeId()) && r.number() == revision.number()), drawer);
    }

    public WorkshopState with(ScrewDrawer next) {
        return new WorkshopState(machines, upgrades, revisions, next);
    }

    private static <T> List<T> replaced(List<T> list, T item, java.util.function.Predicate<T> same) {
        List<T> copy = new ArrayList<>(list);
        for (int i = 0; i < copy.size(); i++) {
            if (same.test(copy.get(i))) {
                copy.set(i, item);
                return copy;
            }
        }
        copy.add(item);
        return copy;
    }
}
