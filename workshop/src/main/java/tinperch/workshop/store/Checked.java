package tinperch.workshop.store;

import java.io.IOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.workshop.WorkshopState;

/**
 * What a copy of a workshop file holds, read through to the last row.
 *
 * @param schema number of the schema it was written with; 0 for a database that is not ours
 * @param damage what is wrong with it as a whole, in words; empty when its pages and tables are sound
 * @param lost rows that cannot be read or do not add up, each in words
 * @param missing what rows name and what is not there, each in words; nothing is lost by an edit for all that
 * @param state all that can be read
 * @param rows it was made of; null where there were none
 */
record Checked(int schema, Optional<String> damage, List<String> lost, List<String> missing, WorkshopState state, Rows rows) {
    private static final Logger LOG = LoggerFactory.getLogger(Checked.class);
    private static final List<String> TABLES = List.of("machine", "upgrade", "revision", "drawer", "preference", "mesh", "item");
    /** Tables that came later, with the schema they came with. */
    private static final Map<String, Integer> SINCE = Map.of("mesh", 3, "item", 5);

    Checked {
        lost = List.copyOf(lost);
        missing = List.copyOf(missing);
    }

    /** Whether nothing in it is damaged. */
    boolean isSound() {
        return damage.isEmpty() && lost.isEmpty();
    }

    static Checked of(PrivateCopy copy) {
        List<String> lost = new ArrayList<>();
        try (Connection c = copy.connect()) {
            int schema = schema(c);
            Optional<String> damage = damage(c);
            if (schema == 0 && damage.isEmpty()) {
                return new Checked(0, Optional.empty(), List.of(), List.of(), WorkshopState.EMPTY, null);
            }
            Set<String> tables = tables(c);
            List<String> gone = TABLES.stream().filter(t -> SINCE.getOrDefault(t, 1) <= schema && !tables.contains(t)).toList();
            gone.forEach(t -> lost.add("all of its table “" + t + "”"));
            Rows rows = rows(c, tables, lost);
            WorkshopState state = rows.state(lost::add);
            return new Checked(Math.max(1, schema), damage, distinct(lost), meshes(c, tables, state), state, rows);
        } catch (SQLException e) {
            LOG.warn("A copy does not open", e);
            return new Checked(1, Optional.of("its inside cannot be read"), distinct(lost), List.of(), WorkshopState.EMPTY, null);
        }
    }

    private static List<String> distinct(List<String> all) {
        return List.copyOf(new LinkedHashSet<>(all));
    }

    private static Optional<String> damage(Connection c) {
        try (Statement s = c.createStatement(); ResultSet r = s.executeQuery("PRAGMA quick_check(1)")) {
            String verdict = r.next() ? r.getString(1) : "no answer";
            return "ok".equals(verdict) ? Optional.empty() : Optional.of("its pages do not fit together");
        } catch (SQLException e) {
            LOG.warn("A copy cannot be checked", e);
            return Optional.of("its inside cannot be read");
        }
    }

    private static Set<String> tables(Connection c) {
        Set<String> all = new HashSet<>();
        query(c, "SELECT name FROM sqlite_master WHERE type = 'table'", r -> all.add(r.getString(1)), why -> { });
        return all;
    }

    /** The number of its schema: the larger of what its head and its history say, so that neither a newer file nor an older one is taken for ours. */
    private static int schema(Connection c) {
        int[] n = {0};
        query(c, "PRAGMA user_version", r -> n[0] = r.getInt(1), why -> { });
        query(c, "SELECT version FROM flyway_schema_history WHERE success", r -> {
            String v = String.valueOf(r.getString(1));
            n[0] = Math.max(n[0], v.matches("[0-9]{1,6}") ? Integer.parseInt(v) : 0);
        }, why -> { });
        return n[0] > 0 && !tables(c).contains("machine") && !tables(c).contains("flyway_schema_history") ? 0 : n[0] > 0 ? n[0] : tables(c).contains("machine") ? 1 : 0;
    }

    private static Rows rows(Connection c, Set<String> tables, List<String> lost) {
        Map<String, List<Body.Row>> items = new HashMap<>();
        if (tables.contains("item")) {
            boolean summed = hasSum(c, "item");
            query(c, "SELECT kind, owner, field, id, position, body" + (summed ? ", sum" : ", ''") + " FROM item ORDER BY position", r -> {
                String owner = r.getString(1) + "/" + r.getString(2);
                if (Sums.isSound(r.getString(7), r.getString(1), r.getString(2), r.getString(3), r.getString(4), r.getInt(5), r.getString(6))) {
                    items.computeIfAbsent(owner, k -> new ArrayList<>()).add(new Body.Row(String.valueOf(r.getString(3)), String.valueOf(r.getString(4)), r.getInt(5), String.valueOf(r.getString(6))));
                } else {
                    lost.add("“" + r.getString(4) + "” in the " + r.getString(3) + " of " + owner + " does not add up");
                }
            }, why -> lost.add("things of machines and upgrades: " + why));
        }
        List<Rows.Stored> machines = records(c, "machine", "id", "id, position, body", items, lost);
        List<Rows.Stored> upgrades = records(c, "upgrade", "id", "id, machine_id, position, body", items, lost);
        items.keySet().removeAll(machines.stream().map(m -> "machine/" + m.id()).toList());
        items.keySet().removeAll(upgrades.stream().map(u -> "upgrade/" + u.id()).toList());
        items.forEach((owner, rows) -> lost.add(rows.size() + " things of " + owner + ", which is not there"));
        return new Rows(machines, upgrades, records(c, "revision", "''", tables.contains("revision") && hasColumn(c, "revision", "part_id") ? "upgrade_id, part_id, number, kept_at, body"
                : "upgrade_id, number, kept_at, body", Map.of(), lost), drawer(c, tables, lost));
    }

    private static boolean hasSum(Connection c, String table) {
        return hasColumn(c, table, "sum");
    }

    private static boolean hasColumn(Connection c, String table, String column) {
        boolean[] has = {false};
        query(c, "PRAGMA table_info(" + table + ")", r -> has[0] |= column.equals(r.getString(2)), why -> { });
        return has[0];
    }

    private static List<Rows.Stored> records(Connection c, String table, String id, String columns, Map<String, List<Body.Row>> items, List<String> lost) {
        List<Rows.Stored> out = new ArrayList<>();
        int count = columns.split(",").length;
        String order = columns.contains("position") ? " ORDER BY position" : "";
        query(c, "SELECT " + columns + ", " + id + ", " + (hasSum(c, table) ? "sum" : "''") + " FROM " + table + order, r -> {
            Object[] row = new Object[count];
            for (int i = 0; i < count; i++) {
                row[i] = r.getString(i + 1);
            }
            String own = String.valueOf(r.getString(count + 1));
            if (Sums.isSound(r.getString(count + 2), row)) {
                out.add(new Rows.Stored(own, String.valueOf(row[count - 1]), items.getOrDefault(table + "/" + own, List.of())));
            } else {
                lost.add(table + " “" + row[0] + "” does not add up");
            }
        }, why -> lost.add("rows of its table “" + table + "”: " + why));
        return out;
    }

    private static ScrewDrawer drawer(Connection c, Set<String> tables, List<String> lost) {
        ScrewDrawer[] drawer = {new ScrewDrawer(Map.of())};
        if (tables.contains("drawer")) {
            query(c, "SELECT thread, lengths, " + (hasSum(c, "drawer") ? "sum" : "''") + " FROM drawer", r -> {
                if (Sums.isSound(r.getString(3), r.getString(1), r.getString(2))) {
                    drawer[0] = WorkshopStore.drawer(drawer[0], r.getString(1), r.getString(2));
                } else {
                    lost.add("screws “" + r.getString(1) + "” of the drawer do not add up");
                }
            }, why -> lost.add("the screw drawer: " + why));
        }
        return drawer[0];
    }

    /** Models whose mesh is not there. */
    private static List<String> meshes(Connection c, Set<String> tables, WorkshopState state) {
        Set<String> there = new HashSet<>();
        if (tables.contains("mesh")) {
            query(c, "SELECT id FROM mesh", r -> there.add(r.getString(1)), why -> { });
        }
        List<String> missing = new ArrayList<>();
        for (Machine m : state.machines()) {
            for (Model model : m.models()) {
                if (!there.contains(model.meshId())) {
                    missing.add("the mesh of “" + model.name() + "” on " + m.name());
                }
            }
        }
        return missing;
    }

    private interface Row {
        void read(ResultSet r) throws SQLException, IOException;
    }

    /** Reads as many rows as can be read; one that cannot be does not take the next along. */
    private static void query(Connection c, String sql, Row row, java.util.function.Consumer<String> broken) {
        try (Statement s = c.createStatement(); ResultSet r = s.executeQuery(sql)) {
            while (r.next()) {
                try {
                    row.read(r);
                } catch (IOException | RuntimeException e) {
                    broken.accept(String.valueOf(e.getMessage()));
                }
            }
        } catch (SQLException e) {
            LOG.debug("{}", sql, e);
            broken.accept("cannot be read");
        }
    }
}
