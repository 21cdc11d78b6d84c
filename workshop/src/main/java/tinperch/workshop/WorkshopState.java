package tinperch.workshop;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.Models;
import tinperch.upgrade.Fitted;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;

/** Everything a workshop knows, at one moment. An edit makes a new one. Revisions stand in order of upgrade, part and number. */
public record WorkshopState(List<Machine> machines, List<Upgrade> upgrades, List<Revision> revisions, ScrewDrawer drawer) {
    private static final Comparator<Revision> IN_ORDER =
            Comparator.comparing(Revision::upgradeId).thenComparing(Revision::partId).thenComparingInt(Revision::number);

    public static final WorkshopState EMPTY =
            new WorkshopState(List.of(), List.of(), List.of(), new ScrewDrawer(java.util.Map.of()));

    public WorkshopState {
        machines = List.copyOf(machines);
        upgrades = List.copyOf(upgrades);
        revisions = revisions.stream().sorted(IN_ORDER).toList();
    }

    /** @param models where parts and neighbours made from downloaded models get them */
    public Shop shop(Models models) {
        return new Shop(machines, HardwareTables.STANDARD, drawer, models, fitted());
    }

    /** Of each part the last revision that is in use. */
    private List<Fitted> fitted() {
        Map<List<String>, Fitted> all = new LinkedHashMap<>();
        for (Revision r : revisions) {
            if (r.life().end() == Revision.End.RUNNING && r.recipe().isPresent()) {
                upgrade(r.upgradeId()).ifPresent(u -> all.put(List.of(u.id(), r.partId()), Fitted.of(u, r, r.recipe().get())));
            }
        }
        return List.copyOf(all.values());
    }

    /** A machine by its id; empty when there is none of it. */
    public Optional<Machine> machine(String id) {
        return machines.stream().filter(m -> m.id().equals(id)).findFirst();
    }

    /** An upgrade by its id; empty when there is none of it. */
    public Optional<Upgrade> upgrade(String id) {
        return upgrades.stream().filter(u -> u.id().equals(id)).findFirst();
    }

    /** All upgrades of a machine, oldest first. */
    public List<Upgrade> upgradesOf(String machineId) {
        return upgrades.stream().filter(u -> u.machineId().equals(machineId)).toList();
    }

    /** Kept revisions of all parts of an upgrade, part by part, oldest first. */
    public List<Revision> revisionsOf(String upgradeId) {
        return revisions.stream().filter(r -> r.upgradeId().equals(upgradeId)).toList();
    }

    /** Kept revisions of a part, oldest first. */
    public List<Revision> revisionsOf(String upgradeId, String partId) {
        return revisions.stream().filter(r -> r.upgradeId().equals(upgradeId) && r.partId().equals(partId)).toList();
    }

    /** The number the next kept revision of a part will have. */
    public int nextRevision(String upgradeId, String partId) {
        return revisionsOf(upgradeId, partId).stream().mapToInt(Revision::number).max().orElse(0) + 1;
    }

    /** The mark engraved in the part being worked on. */
    public String nextMark(String upgradeId, String partId) {
        return Revision.mark(nextRevision(upgradeId, partId));
    }

    /** The part of an upgrade, if both are there. */
    public Optional<PartDesign> part(String upgradeId, String partId) {
        return upgrade(upgradeId).flatMap(u -> u.part(partId));
    }

    /** With a machine put in, or changed when its id is known. */
    public WorkshopState with(Machine machine) {
        return new WorkshopState(replaced(machines, machine, m -> m.id().equals(machine.id())), upgrades, revisions, drawer);
    }

    /** With an upgrade put in, or changed when its id is known. */
    public WorkshopState with(Upgrade upgrade) {
        return new WorkshopState(machines, replaced(upgrades, upgrade, u -> u.id().equals(upgrade.id())), revisions, drawer);
    }

    /** With a revision put in, or changed when its number is known. */
    public WorkshopState with(Revision revision) {
        return new WorkshopState(machines, upgrades, replaced(revisions, revision,
                r -> r.upgradeId().equals(revision.upgradeId()) && r.partId().equals(revision.partId()) && r.number() == revision.number()), drawer);
    }

    /** With another screw drawer. */
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
