package tinperch.workshop.store;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.sql.ResultSet;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.testng.annotations.Test;
import tinperch.files.json.Json;
import tinperch.machine.Machine;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.TempFolder;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoWorkshop;

/** What a machine or an upgrade has many of is one row a thing. */
public class BodyTest extends TempFolder {
    @Test
    public void aRecordTakenApartAndPutTogetherIsTheSame() throws IOException {
        for (Machine m : DemoWorkshop.state().machines()) {
            Body b = Body.of((ObjectNode) Json.tree(m), Body.OF_MACHINE);
            assertEquals(b.items().keySet().stream().filter(i -> i.field().equals("sheets")).count(), m.sheets().size());
            assertFalse(b.rest().contains("\"readings\""), "no sheet is left inside");
            ObjectNode tree = (ObjectNode) Json.tree(b.rest());
            assertFalse(Body.isWhole(tree));
            Body.join(tree, b.rows(), lost -> {
                throw new AssertionError(lost);
            });
            assertEquals(Json.read(tree, Machine.class), m);
        }
        for (Upgrade u : DemoWorkshop.state().upgrades()) {
            ObjectNode tree = (ObjectNode) Json.tree(Body.of((ObjectNode) Json.tree(u), Body.OF_UPGRADE).rest());
            Body.join(tree, Body.of((ObjectNode) Json.tree(u), Body.OF_UPGRADE).rows(), lost -> {
                throw new AssertionError(lost);
            });
            assertEquals(Json.read(tree, Upgrade.class), u);
        }
    }

    @Test
    public void thingsThatCannotBeToldApartStayWhereTheyAre() throws IOException {
        ObjectNode odd = (ObjectNode) Json.tree("{\"id\":\"m\",\"sheets\":[{\"id\":\"a\"},{\"id\":\"a\"}],\"models\":[{\"id\":\"x\"},3],\"book\":7}");
        Body b = Body.of((ObjectNode) Json.tree(odd), Body.OF_MACHINE);
        assertTrue(b.items().isEmpty());
        assertEquals(Json.tree(b.rest()), odd);
    }

    @Test
    public void aBrokenRowIsSaidAndTheOthersStay() throws IOException {
        ObjectNode tree = (ObjectNode) Json.tree("{\"id\":\"m\",\"book\":7}");
        List<String> lost = new ArrayList<>();
        Body.join(tree, List.of(new Body.Row("sheets", "a", 0, "{\"id\":\"a\"}"), new Body.Row("sheets", "b", 1, "{half"),
                new Body.Row("book/hours", "c", 0, "{\"id\":\"c\"}"), new Body.Row("surroundings/sites", "d", 0, "{\"id\":\"d\"}")), lost::add);
        assertEquals(lost.size(), 2, lost.toString());
        assertEquals(tree.get("sheets").size(), 1);
        assertEquals(tree.at("/surroundings/sites/0/id").asText(), "d");
    }

    private Map<String, String> rows(WorkshopStore store) throws Exception {
        Map<String, String> all = new TreeMap<>();
        try (Statement s = store.connection().createStatement(); ResultSet r = s.executeQuery("SELECT kind || '/' || owner || '/' || field || '/' || id, position || body FROM item "
                + "UNION ALL SELECT 'machine ' || id, body FROM machine UNION ALL SELECT 'upgrade ' || id, body FROM upgrade")) {
            while (r.next()) {
                all.put(r.getString(1), r.getString(2));
            }
        }
        return all;
    }

    @Test
    public void anEditWritesTheRowsItChangedAndNoOthers() throws Exception {
        WorkshopState demo = DemoWorkshop.state();
        try (WorkshopStore store = WorkshopStore.open(folder.resolve("workshop.db"))) {
            store.save(WorkshopState.EMPTY, demo);
            Map<String, String> before = rows(store);
            Machine avocet = demo.machine("avocet").orElseThrow();
            WorkshopState named = demo.with(avocet.with(avocet.sheets().get(1).named("another name")));
            store.save(demo, named);
            Map<String, String> after = rows(store);
            assertEquals(after.keySet(), before.keySet());
            List<String> changed = after.keySet().stream().filter(k -> !after.get(k).equals(before.get(k))).toList();
            assertEquals(changed, List.of("machine/avocet/sheets/" + avocet.sheets().get(1).id()));
            WorkshopState without = named.with(named.machine("avocet").orElseThrow().withoutSheet(avocet.sheets().get(0).id()));
            store.save(named, without);
            assertEquals(rows(store).size(), before.size() - 1);
            assertEquals(store.load(), without);
            store.save(without, named);
            assertEquals(store.load(), named, "undo puts it back in its place");
        }
    }
}
