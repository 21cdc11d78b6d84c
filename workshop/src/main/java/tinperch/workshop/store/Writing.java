package tinperch.workshop.store;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;
import com.fasterxml.jackson.databind.node.ObjectNode;
import tinperch.files.json.Json;
import tinperch.machine.Machine;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** Writes what differs between two states: one row a thing, and only rows that changed. */
final class Writing {
    private static final String MACHINE = "machine";
    private static final String UPGRADE = "upgrade";

    private final Handle h;
    private final Map<String, Written> written;
    private final Map<String, Extra> extras;

    /** A record with the body it was written as. */
    record Written(Object record, Body body) {}

    /**
     * @param written what this window wrote last, by kind and id, so that it is not taken apart again
     * @param extras what rows say that this version does not know, by kind and id
     */
    Writing(Handle h, Map<String, Written> written, Map<String, Extra> extras) {
        this.h = h;
        this.written = written;
        this.extras = extras;
    }

    /** A record as it is written: with what this version does not know of it. */
    private ObjectNode tree(String key, Object record) {
        ObjectNode tree = (ObjectNode) Json.tree(record);
        Extra e = extras.get(key);
        if (e != null) {
            e.into(tree);
        }
        return tree;
    }

    void differences(WorkshopState before, WorkshopState after) {
        for (int i = 0; i < after.machines().size(); i++) {
            Machine m = after.machines().get(i);
            int at = i;
            if (i >= before.machines().size() || before.machines().get(i) != m) {
                boolean there = i < before.machines().size() && before.machines().get(i).id().equals(m.id());
                body(MACHINE, m.id(), before.machine(m.id()).orElse(null), m, Body.OF_MACHINE, there).ifPresent(body -> h.createUpdate("INSERT INTO machine (id, position, body, sum) VALUES (:id, :position, :body, :sum) ON CONFLICT (id) DO UPDATE SET position = :position, body = :body, sum = :sum")
                        .bind("id", m.id()).bind("position", at).bind("body", body).bind("sum", Sums.of(m.id(), at, body)).execute());
            }
        }
        for (int i = 0; i < after.upgrades().size(); i++) {
            Upgrade u = after.upgrades().get(i);
            int at = i;
            if (i >= before.upgrades().size() || before.upgrades().get(i) != u) {
                boolean there = i < before.upgrades().size() && before.upgrades().get(i).id().equals(u.id()) && before.upgrades().get(i).machineId().equals(u.machineId());
                body(UPGRADE, u.id(), before.upgrade(u.id()).orElse(null), u, Body.OF_UPGRADE, there).ifPresent(body -> h.createUpdate("INSERT INTO upgrade (id, machine_id, position, body, sum) VALUES (:id, :machine, :position, :body, :sum) "
                                + "ON CONFLICT (id) DO UPDATE SET machine_id = :machine, position = :position, body = :body, sum = :sum")
                        .bind("id", u.id()).bind("machine", u.machineId()).bind("position", at).bind("body", body).bind("sum", Sums.of(u.id(), u.machineId(), at, body)).execute());
            }
        }
        for (int i = 0; i < after.revisions().size(); i++) {
            Revision r = after.revisions().get(i);
            if (i >= before.revisions().size() || before.revisions().get(i) != r) {
                String body = tree(Rows.key(r), r).toString();
                h.createUpdate("INSERT INTO revision (upgrade_id, part_id, number, kept_at, body, sum) VALUES (:upgrade, :part, :number, :at, :body, :sum) "
                                + "ON CONFLICT (upgrade_id, part_id, number) DO UPDATE SET kept_at = :at, body = :body, sum = :sum")
                        .bind("upgrade", r.upgradeId()).bind("part", r.partId()).bind("number", r.number())
                        .bind("at", r.keptAt().toString()).bind("body", body)
                        .bind("sum", Sums.of(r.upgradeId(), r.partId(), r.number(), r.keptAt(), body)).execute();
            }
        }
        dropGone(before, after);
        if (!after.drawer().equals(before.drawer())) {
            h.execute("DELETE FROM drawer");
            after.drawer().lengthsMm().forEach((thread, lengths) -> drawer(thread, String.join(" ", lengths.stream().map(String::valueOf).toList())));
        }
    }

    private void drawer(String thread, String lengths) {
        h.execute("INSERT INTO drawer (thread, lengths, sum) VALUES (?, ?, ?)", thread, lengths, Sums.of(thread, lengths));
    }

    /** What is gone from the new state: the undo of adding. */
    private void dropGone(WorkshopState before, WorkshopState after) {
        for (Revision r : before.revisions()) {
            if (after.revisions().stream().noneMatch(k -> k.number() == r.number() && k.partId().equals(r.partId()) && k.upgradeId().equals(r.upgradeId()))) {
                h.execute("DELETE FROM revision WHERE upgrade_id = ? AND part_id = ? AND number = ?", r.upgradeId(), r.partId(), r.number());
            }
        }
        before.upgrades().stream().map(Upgrade::id).filter(id -> after.upgrade(id).isEmpty()).forEach(id -> drop(UPGRADE, id));
        before.machines().stream().map(Machine::id).filter(id -> after.machine(id).isEmpty()).forEach(id -> drop(MACHINE, id));
    }

    private void drop(String kind, String id) {
        h.execute("DELETE FROM item WHERE kind = ? AND owner = ?", kind, id);
        h.execute("DELETE FROM " + kind + " WHERE id = ?", id);
        written.remove(kind + "/" + id);
    }

    /**
     * Writes the things a record has many of, as far as they changed.
     *
     * @param there whether its row stands where it should already
     * @return the rest of its body, when that must be written too
     */
    private Optional<String> body(String kind, String id, Object before, Object after, List<String> lists, boolean there) {
        Written last = written.get(kind + "/" + id);
        Body was = before == null ? new Body("", Map.of()) : last != null && last.record == before ? last.body : Body.of(tree(kind + "/" + id, before), lists);
        Body is = Body.of(tree(kind + "/" + id, after), lists);
        Map<Body.Item, Integer> places = new HashMap<>();
        was.rows().forEach(r -> places.put(new Body.Item(r.field(), r.id()), r.position()));
        for (Body.Row r : is.rows()) {
            Body.Item item = new Body.Item(r.field(), r.id());
            Integer place = places.remove(item);
            if (place == null || place != r.position() || !r.body().equals(was.items().get(item))) {
                h.execute("INSERT INTO item (kind, owner, field, id, position, body, sum) VALUES (?, ?, ?, ?, ?, ?, ?) "
                        + "ON CONFLICT (kind, owner, field, id) DO UPDATE SET position = excluded.position, body = excluded.body, sum = excluded.sum",
                        kind, id, r.field(), r.id(), r.position(), r.body(), Sums.of(kind, id, r.field(), r.id(), r.position(), r.body()));
            }
        }
        places.keySet().forEach(i -> h.execute("DELETE FROM item WHERE kind = ? AND owner = ? AND field = ? AND id = ?", kind, id, i.field(), i.id()));
        written.put(kind + "/" + id, new Written(after, is));
        return there && is.rest().equals(was.rest()) ? Optional.empty() : Optional.of(is.rest());
    }
}
