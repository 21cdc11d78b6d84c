package tinperch.workshop.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import tinperch.files.json.Json;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** The bodies of a workshop's records, and how they become its state. */
final class Rows {
    private final List<Stored> machines;
    private final List<Stored> upgrades;
    private final List<Stored> revisions;
    private final ScrewDrawer drawer;
    private final Map<String, Extra> extras = new HashMap<>();
    private boolean old;

    /**
     * A record as it is stored.
     *
     * @param id empty for a revision
     * @param items what it has many of, in order
     */
    record Stored(String id, String body, List<Body.Row> items) {}

    Rows(List<Stored> machines, List<Stored> upgrades, List<Stored> revisions, ScrewDrawer drawer) {
        this.machines = machines;
        this.upgrades = upgrades;
        this.revisions = revisions;
        this.drawer = drawer;
    }

    /** Whether their state would be the same: revisions may come in any order. */
    boolean areLike(Rows o) {
        return machines.equals(o.machines) && upgrades.equals(o.upgrades) && revisions.size() == o.revisions.size() && new HashSet<>(revisions).equals(new HashSet<>(o.revisions)) && drawer.equals(o.drawer);
    }

    /** Whether some were written by an earlier version; known once the state was made. */
    boolean isOld() {
        return old;
    }

    /** What their bodies say that this version does not know, by kind and id; known once the state was made. */
    Map<String, Extra> extras() {
        return extras;
    }

    private void carry(String key, JsonNode stored, Object record) {
        Extra e = Extra.of(stored, Json.tree(record));
        if (!e.isEmpty()) {
            extras.put(key, e);
        }
    }

    /**
     * The state; upgrades of lost machines and revisions of lost upgrades are left out, and told of.
     *
     * @param lost told of every record that cannot be read
     */
    WorkshopState state(Consumer<String> lost) {
        List<ObjectNode> m = trees(machines, lost);
        List<ObjectNode> u = trees(upgrades, lost);
        old |= u.stream().anyMatch(OldBodies::isOld);
        OldBodies.upgrades(m, u);
        List<Machine> all = read(m, Machine.class, lost, (x, t) -> carry("machine/" + x.id(), t, x));
        Set<String> known = new HashSet<>(all.stream().map(Machine::id).toList());
        List<Upgrade> their = new ArrayList<>(read(u, Upgrade.class, lost, (x, t) -> carry("upgrade/" + x.id(), t, x)));
        their.removeIf(x -> isLoose(!known.contains(x.machineId()), "the upgrade “" + x.name() + "”, whose machine cannot be read", lost));
        Set<String> alive = new HashSet<>(their.stream().map(Upgrade::id).toList());
        List<Revision> kept = new ArrayList<>();
        for (ObjectNode r : trees(revisions, lost)) {
            try {
                old |= OldBodies.isOld(r);
                Revision x = OldBodies.isOld(r) ? OldBodies.revision(r, all) : Json.read(r, Revision.class);
                if (!OldBodies.isOld(r)) {
                    carry(key(x), r, x);
                }
                kept.add(x);
            } catch (IOException | RuntimeException e) {
                lost.accept(e.getMessage());
            }
        }
        kept.removeIf(r -> isLoose(!alive.contains(r.upgradeId()), "the revision " + r.mark() + " of an upgrade that cannot be read", lost));
        kept.sort(Comparator.comparing((Revision r) -> String.valueOf(r.upgradeId())).thenComparing(r -> String.valueOf(r.partId())).thenComparing(Revision::number));
        return new WorkshopState(all, their, kept, drawer);
    }

    private static boolean isLoose(boolean loose, String what, Consumer<String> lost) {
        if (loose) {
            lost.accept(what);
        }
        return loose;
    }

    /** What a revision is called among what is carried along. */
    static String key(Revision r) {
        return "revision/" + r.upgradeId() + "/" + r.partId() + "/" + r.number();
    }

    private List<ObjectNode> trees(List<Stored> records, Consumer<String> lost) {
        List<ObjectNode> all = new ArrayList<>();
        for (Stored r : records) {
            try {
                // A damaged file was not migrated; readings were called otherwise before V2.
                JsonNode tree = Json.tree(r.body.replace("\"valueMm\":", "\"value\":"));
                if (tree instanceof ObjectNode o) {
                    old |= Body.isWhole(o);
                    Body.join(o, r.items, lost);
                    all.add(o);
                } else {
                    lost.accept("It is no record.");
                }
            } catch (IOException e) {
                lost.accept(e.getMessage());
            }
        }
        return all;
    }

    private static <T> List<T> read(List<ObjectNode> trees, Class<T> type, Consumer<String> lost, BiConsumer<T, ObjectNode> done) {
        List<T> all = new ArrayList<>();
        for (ObjectNode t : trees) {
            try {
                T x = Json.read(t, type);
                done.accept(x, t);
                all.add(x);
            } catch (IOException | RuntimeException e) {
                lost.accept(e.getMessage());
            }
        }
        return all;
    }
}
