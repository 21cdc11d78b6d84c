package tinperch.workshop.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;

/** What a stored body says that this version does not know, so that an edit does not erase it. */
final class Extra {
    private final Map<String, JsonNode> fields = new LinkedHashMap<>();
    private final Map<String, Extra> inside = new LinkedHashMap<>();

    private Extra() {}

    /**
     * What is in a stored tree and not in the one made from what was understood of it.
     *
     * @param known the record that was read from it, as it would be written now
     */
    static Extra of(JsonNode stored, JsonNode known) {
        Extra e = new Extra();
        if (stored instanceof ObjectNode s && known instanceof ObjectNode k) {
            Iterator<Map.Entry<String, JsonNode>> all = s.fields();
            while (all.hasNext()) {
                Map.Entry<String, JsonNode> f = all.next();
                if (!k.has(f.getKey())) {
                    if (!f.getValue().isNull()) {
                        e.fields.put(f.getKey(), f.getValue());
                    }
                } else {
                    e.inside(f.getKey(), of(f.getValue(), k.get(f.getKey())));
                }
            }
        } else if (stored instanceof ArrayNode s && known instanceof ArrayNode k && s.size() == k.size()) {
            for (int i = 0; i < s.size(); i++) {
                e.inside(name(k, i), of(s.get(i), k.get(i)));
            }
        }
        return e;
    }

    private void inside(String name, Extra e) {
        if (!e.isEmpty()) {
            inside.put(name, e);
        }
    }

    /** Things of a list are told apart by their id, else by their place. */
    private static String name(ArrayNode list, int i) {
        JsonNode id = list.get(i).path("id");
        return id.isTextual() ? "id " + id.asText() : "no " + i + " of " + list.size();
    }

    boolean isEmpty() {
        return fields.isEmpty() && inside.isEmpty();
    }

    /** Puts it back into a tree that is about to be written. */
    void into(JsonNode tree) {
        if (tree instanceof ObjectNode o) {
            fields.forEach((name, value) -> {
                if (!o.has(name)) {
                    o.set(name, value);
                }
            });
            inside.forEach((name, e) -> {
                if (o.has(name)) {
                    e.into(o.get(name));
                }
            });
        } else if (tree instanceof ArrayNode a) {
            for (int i = 0; i < a.size(); i++) {
                Extra e = inside.get(name(a, i));
                if (e != null) {
                    e.into(a.get(i));
                }
            }
        }
    }
}
