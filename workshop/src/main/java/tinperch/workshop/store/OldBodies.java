package tinperch.workshop.store;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.files.FileFault;
import tinperch.files.json.Json;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.part.Models;
import tinperch.part.param.PartProblem;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Recipe;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

/**
 * Records of before parts could be several: readings stood with the upgrade, a part stood alone. The readings go to the machine, the part
 * is bound to them; revisions get the recipe they followed from, by the readings they were kept with.
 */
final class OldBodies {
    private static final String PART_ID = "p1";

    private OldBodies() {}

    /** Whether an upgrade's or a revision's body is of that time. */
    static boolean isOld(JsonNode body) {
        return body.has("sheets") || body.has("part") && !body.has("partId") || body.has("state");
    }

    /** Moves the readings of old upgrades to their machines and gives the upgrades their parts. */
    static void upgrades(List<ObjectNode> machines, List<ObjectNode> upgrades) {
        Map<String, ObjectNode> byId = new HashMap<>();
        machines.forEach(m -> byId.put(m.path("id").asText(), m));
        for (ObjectNode u : upgrades) {
            if (isOld(u)) {
                String id = u.path("id").asText();
                ObjectNode machine = byId.get(u.path("machineId").asText());
                if (machine != null) {
                    sheets(id, u.path("sheets"), machine);
                }
                part(id, u);
            }
        }
    }

    private static void sheets(String upgradeId, JsonNode sheets, ObjectNode machine) {
        ArrayNode kept = machine.withArray("sheets");
        Iterator<Map.Entry<String, JsonNode>> all = sheets.fields();
        while (all.hasNext()) {
            Map.Entry<String, JsonNode> e = all.next();
            kept.add(sheet(sheetId(upgradeId, e.getKey()), e.getValue()));
        }
    }

    private static String sheetId(String upgradeId, String role) {
        return upgradeId + "." + role;
    }

    private static ObjectNode sheet(String id, JsonNode old) {
        ObjectNode s = ((ObjectNode) old).deepCopy();
        s.put("id", id);
        s.put("kind", "holes");
        return s;
    }

    /** Turns the one part of an upgrade's body into a list of parts bound to its readings. */
    private static void part(String upgradeId, ObjectNode u) {
        JsonNode sheets = u.remove("sheets");
        JsonNode part = u.remove("part");
        ArrayNode parts = u.putArray("parts");
        if (part instanceof ObjectNode p) {
            parts.add(bound(upgradeId, p.deepCopy(), sheets));
        }
    }

    private static ObjectNode bound(String upgradeId, ObjectNode p, JsonNode sheets) {
        p.put("id", PART_ID);
        ObjectNode bindings = p.putObject("bindings");
        if (sheets != null) {
            sheets.fieldNames().forEachRemaining(role -> bindings.putObject(role).put("kind", "onSheet").put("sheetId", sheetId(upgradeId, role)).put("usualId", ""));
        }
        JsonNode base = p.remove("base");
        if (base != null && !base.asText().isEmpty()) {
            bindings.putObject("model").put("kind", "ofModel").put("modelId", base.asText());
        }
        return p;
    }

    /**
     * A revision of before.
     *
     * @param machines as they are now: they say how large holes come out and hold downloaded models
     * @throws FileFault when the body is not that of a revision
     */
    static Revision revision(ObjectNode body, List<Machine> machines) throws FileFault {
        JsonNode state = body.path("state");
        String upgradeId = body.path("upgradeId").asText();
        String host = state.path("hostMachineId").asText();
        ObjectNode bodyOfPart = state.path("part") instanceof ObjectNode p ? bound(upgradeId, p.deepCopy(), state.path("sheets")) : null;
        if (bodyOfPart == null) {
            throw new FileFault("A revision without a part.");
        }
        ObjectNode fresh = body.deepCopy();
        fresh.remove("state");
        fresh.put("partId", PART_ID);
        fresh.put("hostMachineId", host);
        fresh.set("part", bodyOfPart);
        Revision r = Json.read(fresh, Revision.class);
        return new Revision(r.upgradeId(), r.partId(), r.number(), r.keptAt(), r.reason(), r.part(), recipe(r, state, machines), host, r.pieces(), r.life());
    }

    /** What it followed from: its own readings, on its machine as that is now. */
    private static Optional<Recipe> recipe(Revision r, JsonNode state, List<Machine> machines) throws FileFault {
        List<Machine> then = new ArrayList<>();
        for (Machine m : machines) {
            Machine at = m;
            if (m.id().equals(state.path("machineId").asText())) {
                Iterator<Map.Entry<String, JsonNode>> all = state.path("sheets").fields();
                while (all.hasNext()) {
                    Map.Entry<String, JsonNode> e = all.next();
                    at = at.with(Json.read(sheet(sheetId(r.upgradeId(), e.getKey()), e.getValue()), tinperch.measure.sheet.Sheet.class));
                }
            }
            then.add(at);
        }
        try {
            PartDesign part = r.part();
            Upgrade u = new Upgrade(r.upgradeId(), state.path("machineId").asText(), "", null, Trouble.NONE, List.of(part), r.hostMachineId());
            return Optional.of(Case.of(u, part.id(), new Shop(then, HardwareTables.STANDARD, new ScrewDrawer(Map.of()), Models.NONE), r.mark()).recipe());
        } catch (PartProblem e) {
            return Optional.empty();
        }
    }
}
