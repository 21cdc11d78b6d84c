package tinperch.workshop.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tinperch.files.json.Json;

/**
 * A record's body with the things it has many of taken out, each to be a row of its own.
 *
 * @param rest the body without them
 * @param items by which list they are of and their id, in order
 */
record Body(String rest, Map<Item, String> items) {
    /**
     * Which thing of a record.
     *
     * @param field path of its list, "surroundings/neighbours"
     */
    record Item(String field, String id) {}

    /**
     * A thing as it is stored.
     *
     * @param position in its list
     */
    record Row(String field, String id, int position, String body) {}

    /** Lists of a machine and of an upgrade that are rows of their own. */
    static final List<String> OF_MACHINE = List.of("sheets", "models", "runs", "surroundings/neighbours", "surroundings/sites", "surroundings/distances", "book/components", "book/settings",
            "book/loadouts", "book/redone", "book/hours");
    static final List<String> OF_UPGRADE = List.of("parts", "trials");

    /** Takes lists out of a record's tree. One whose things cannot be told apart by their ids stays where it is. */
    static Body of(ObjectNode tree, List<String> lists) {
        Map<Item, String> items = new LinkedHashMap<>();
        for (String field : lists) {
            ObjectNode holder = holder(tree, field, false);
            String name = field.substring(field.lastIndexOf('/') + 1);
            if (holder != null && holder.get(name) instanceof ArrayNode list && apart(list)) {
                list.forEach(n -> items.put(new Item(field, n.get("id").asText()), n.toString()));
                holder.putArray(name);
            }
        }
        return new Body(tree.toString(), items);
    }

    private static boolean apart(ArrayNode list) {
        Set<String> ids = new HashSet<>();
        for (JsonNode n : list) {
            if (!n.isObject() || !n.path("id").isTextual() || !ids.add(n.get("id").asText())) {
                return false;
            }
        }
        return true;
    }

    /** What a list is in; null when there is nothing of the kind and none is made. */
    private static ObjectNode holder(ObjectNode tree, String field, boolean make) {
        int slash = field.lastIndexOf('/');
        if (slash < 0) {
            return tree;
        }
        ObjectNode outer = holder(tree, field.substring(0, slash), make);
        String name = field.substring(field.lastIndexOf('/', slash - 1) + 1, slash);
        JsonNode at = outer == null ? null : outer.get(name);
        return at instanceof ObjectNode o ? o : at == null && make && outer != null ? outer.putObject(name) : null;
    }

    /** Whether a body still has such lists inside, as those written by an earlier version do. */
    static boolean isWhole(ObjectNode tree) {
        return java.util.stream.Stream.concat(OF_MACHINE.stream(), OF_UPGRADE.stream()).anyMatch(f -> {
            ObjectNode holder = holder(tree, f, false);
            return holder != null && holder.path(f.substring(f.lastIndexOf('/') + 1)) instanceof ArrayNode list && !list.isEmpty() && apart(list);
        });
    }

    /** Positions of the things, each in its list. */
    List<Row> rows() {
        Map<String, Integer> next = new LinkedHashMap<>();
        List<Row> all = new ArrayList<>();
        items.forEach((i, body) -> all.add(new Row(i.field, i.id, next.merge(i.field, 1, Integer::sum) - 1, body)));
        return all;
    }

    /** Puts things back where they were taken from; one that is no JSON goes to {@code lost}. */
    static void join(ObjectNode tree, List<Row> rows, java.util.function.Consumer<String> lost) {
        for (Row r : rows) {
            try {
                JsonNode item = Json.tree(r.body);
                ObjectNode holder = holder(tree, r.field, true);
                String name = r.field.substring(r.field.lastIndexOf('/') + 1);
                if (holder != null && item.isObject()) {
                    (holder.get(name) instanceof ArrayNode list ? list : holder.putArray(name)).add(item);
                } else {
                    lost.accept("“" + r.field + "” of a record is no list.");
                }
            } catch (java.io.IOException e) {
                lost.accept(e.getMessage());
            }
        }
    }
}
