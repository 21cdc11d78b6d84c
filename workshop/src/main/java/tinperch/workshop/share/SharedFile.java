package tinperch.workshop.share;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tinperch.files.FileFault;
import tinperch.files.SafeWrite;
import tinperch.files.json.Json;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/**
 * A workshop as one documented JSON file (docs/WORKSHOP-FORMAT.md); where meshes belong to it, a zip of that file and them. A file written by
 * hand may lack fields or hold more: what can be read is read, what cannot is said.
 */
public final class SharedFile {
    private static final String FORMAT = "tinperch-workshop";
    private static final int VERSION = 1;
    private static final String INSIDE = "workshop.json";
    private static final String MESHES = "meshes/";
    private static final long MOST_BYTES = 64L << 20;
    private static final long MOST_MESH_BYTES = 256L << 20;
    private static final int MOST_ENTRIES = 20_000;

    private SharedFile() {}

    /**
     * What a file held.
     *
     * @param problems what could not be read, in sentences
     * @param meshes bytes of meshes by their ids
     */
    public record Opened(WorkshopState state, List<String> problems, Map<String, byte[]> meshes) {}

    /**
     * Writes a workshop, or the part of it that is given.
     *
     * @param meshBytes bytes of a kept mesh by its id; a lost one is left out
     * @throws FileFault in plain words; nothing half-written is left
     */
    public static void write(WorkshopState state, Function<String, Optional<byte[]>> meshBytes, Path target) throws FileFault {
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("format", FORMAT);
        all.put("version", VERSION);
        all.put("machines", state.machines());
        all.put("upgrades", state.upgrades());
        all.put("revisions", state.revisions());
        all.put("drawer", state.drawer().lengthsMm());
        byte[] json = Json.pretty(all).getBytes(StandardCharsets.UTF_8);
        Map<String, byte[]> meshes = new LinkedHashMap<>();
        TreeSet<String> ids = new TreeSet<>();
        state.machines().forEach(m -> m.models().stream().map(Model::meshId).forEach(ids::add));
        state.revisions().forEach(r -> ids.addAll(r.blobIds()));
        ids.forEach(id -> meshBytes.apply(id).ifPresent(b -> meshes.put(id, b)));
        SafeWrite.write(target, out -> {
            if (meshes.isEmpty()) {
                out.write(json);
                return;
            }
            ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
            entry(zip, INSIDE, json);
            for (Map.Entry<String, byte[]> m : meshes.entrySet()) {
                entry(zip, MESHES + m.getKey(), m.getValue());
            }
            zip.finish();
        });
    }

    private static void entry(ZipOutputStream zip, String name, byte[] bytes) throws IOException {
        ZipEntry e = new ZipEntry(name);
        e.setTimeLocal(java.time.LocalDateTime.of(2000, 1, 1, 0, 0));
        zip.putNextEntry(e);
        zip.write(bytes);
        zip.closeEntry();
    }

    /**
     * Reads a file, however it was written.
     *
     * @throws FileFault when it is no such file at all
     */
    public static Opened read(Path file) throws FileFault {
        Map<String, byte[]> meshes = new HashMap<>();
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            in.mark(4);
            byte[] head = in.readNBytes(2);
            in.reset();
            boolean zip = head.length == 2 && head[0] == 'P' && head[1] == 'K';
            String text = zip ? unzip(in, meshes) : new String(limited(in, MOST_BYTES), StandardCharsets.UTF_8);
            return parse(text, meshes);
        } catch (NoSuchFileException e) {
            throw new FileFault("There is no file " + file + ".", e);
        } catch (FileFault e) {
            throw new FileFault("“" + file.getFileName() + "” is no workshop file that can be read, and nothing was changed. " + e.getMessage()
                    + " docs/WORKSHOP-FORMAT.md tells what it should be.", e);
        } catch (IOException | IllegalArgumentException e) {
            // A name inside a damaged archive need not even be letters.
            throw new FileFault("“" + file.getFileName() + "” cannot be read (" + (e.getMessage() == null ? "it ends too early" : e.getMessage()) + "). Nothing was changed.", e);
        }
    }

    private static byte[] limited(InputStream in, long most) throws IOException {
        byte[] all = in.readNBytes((int) most + 1);
        if (all.length > most) {
            throw new FileFault("The file is larger than " + (most >> 20) + " MB; it is no workshop file.");
        }
        return all;
    }

    private static String unzip(InputStream in, Map<String, byte[]> meshes) throws IOException {
        ZipInputStream zip = new ZipInputStream(in, StandardCharsets.UTF_8);
        String text = null;
        long left = MOST_MESH_BYTES;
        int entries = 0;
        for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
            if (++entries > MOST_ENTRIES) {
                throw new FileFault("The file holds more than " + MOST_ENTRIES + " entries; it is no workshop file.");
            }
            // Everything is counted, also what is passed over: a small file may unpack to a very large one.
            byte[] bytes = limited(zip, Math.min(left, MOST_BYTES));
            left -= bytes.length;
            if (e.getName().equals(INSIDE)) {
                text = new String(bytes, StandardCharsets.UTF_8);
            } else if (e.getName().startsWith(MESHES)) {
                meshes.put(e.getName().substring(MESHES.length()), bytes);
            }
        }
        if (text == null) {
            throw new FileFault("The zip holds no " + INSIDE + "; it is no workshop file.");
        }
        return text;
    }

    private static Opened parse(String text, Map<String, byte[]> meshes) throws FileFault {
        JsonNode root = Json.tree(text);
        if (!root.path("format").asText().equals(FORMAT)) {
            throw new FileFault("This is no workshop file: its \"format\" should be \"" + FORMAT + "\".");
        }
        List<String> problems = new ArrayList<>();
        if (root.path("version").asInt(VERSION) > VERSION) {
            problems.add("It was written by a newer version; what this one does not know was passed over.");
        }
        tooMany(root, problems);
        WorkshopState s = WorkshopState.EMPTY;
        for (Machine m : records(root, "machines", Machine.class, problems)) {
            if (m.id() == null || m.id().isBlank() || m.name() == null) {
                problems.add("A machine has no id or no name; it was left out.");
            } else if (s.machine(m.id()).isPresent()) {
                problems.add("Two machines of the file have the id “" + m.id() + "”; “" + m.name() + "” was left out.");
            } else {
                s = s.with(m);
            }
        }
        for (Upgrade u : records(root, "upgrades", Upgrade.class, problems)) {
            if (s.machine(u.machineId()).isEmpty()) {
                problems.add("The upgrade “" + u.name() + "” is of a machine that is not in the file (" + u.machineId() + "); it was left out.");
            } else if (s.upgrade(u.id()).isPresent()) {
                problems.add("Two upgrades of the file have the id “" + u.id() + "”; “" + u.name() + "” was left out.");
            } else {
                s = s.with(u);
            }
        }
        for (Revision r : records(root, "revisions", Revision.class, problems)) {
            if (r.upgradeId() == null || r.partId() == null || r.part() == null || s.upgrade(r.upgradeId()).isEmpty()) {
                problems.add("A revision is of no upgrade of the file; it was left out.");
            } else {
                s = s.with(r);
            }
        }
        return new Opened(s.with(drawer(root.path("drawer"), problems)), problems, meshes);
    }

    /** Parts with more features than a part may have: the rest is left out, and that is said. */
    private static void tooMany(JsonNode root, List<String> problems) {
        for (JsonNode u : root.path("upgrades")) {
            for (JsonNode p : u.path("parts")) {
                int n = p.path("features").size();
                if (n > PartDesign.MOST_FEATURES) {
                    problems.add("“" + p.path("name").asText() + "” has " + n + " features; the first " + PartDesign.MOST_FEATURES + " were read, the others were left out.");
                }
            }
        }
    }

    private static ScrewDrawer drawer(JsonNode node, List<String> problems) {
        ScrewDrawer drawer = new ScrewDrawer(Map.of());
        if (node instanceof ObjectNode o) {
            for (var e : o.properties()) {
                List<Double> lengths = new ArrayList<>();
                e.getValue().forEach(l -> {
                    if (l.isNumber() && l.asDouble() > 0 && l.asDouble() < 1000) {
                        lengths.add(l.asDouble());
                    } else {
                        problems.add("“" + l + "” is no screw length; it was left out of the drawer.");
                    }
                });
                drawer = drawer.with(e.getKey(), lengths);
            }
        } else if (!node.isMissingNode()) {
            problems.add("The drawer should list lengths by thread; it was left out.");
        }
        return drawer;
    }

    private static <T> List<T> records(JsonNode root, String field, Class<T> type, List<String> problems) {
        List<T> all = new ArrayList<>();
        JsonNode list = root.path(field);
        if (!list.isArray() && !list.isMissingNode()) {
            problems.add("“" + field + "” should be a list; it was left out.");
        }
        for (JsonNode n : list) {
            try {
                all.add(Json.read(n, type));
            } catch (FileFault | RuntimeException e) {
                problems.add("One of the " + field + " cannot be read and was left out: " + e.getMessage());
            }
        }
        return all;
    }
}
