package tinperch.files.threemf;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import tinperch.files.FileFault;
import tinperch.files.MeshGrower;
import tinperch.files.model.Progress;
import tinperch.files.model.Stopped;

/**
 * Reads a 3MF as its core specification says: the root model the package names, the items of its build with their transforms, components of
 * components, other model files of the production extension, any unit. Names of entries are never used as paths, nothing outside is followed;
 * bytes, tags, depth, entries and triangles are bounded.
 */
final class ThreeMfReader {
    private static final String START = "http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel";
    private static final String PRODUCTION = "http://schemas.microsoft.com/3dmanufacturing/production/2015/06";
    /** Colours and textures: they change no shape. */
    private static final Set<String> KNOWN = Set.of(ThreeMfFile.CORE, PRODUCTION, "http://schemas.microsoft.com/3dmanufacturing/material/2015/02");
    private static final int MOST_ENTRIES = 2000;
    private static final int DEEPEST_TAG = 64;
    private static final int DEEPEST_COMPONENT = 16;
    private static final int MOST_PLACED = 20_000;
    private static final int MOST_OBJECTS = 20_000;

    private final ZipFile zip;
    private final Progress progress;
    private final Map<String, Model> models = new HashMap<>();
    private final Map<String, String> entries = new HashMap<>();
    private MeshGrower growing = new MeshGrower();
    private final Set<String> leftOut = new java.util.TreeSet<>();
    private int placed;
    private int read;

    /** One model file of the package. */
    private static final class Model {
        private String unit = "millimeter";
        private final Map<String, Thing> things = new HashMap<>();
        private final List<String> order = new ArrayList<>();
        private final List<Use> build = new ArrayList<>();
        private final Map<String, String> metadata = new TreeMap<>();
    }

    /** An object: a mesh of its own, or other objects put together. */
    private static final class Thing {
        private final String type;
        private final String name;
        private MeshGrower mesh;
        private final List<Use> components = new ArrayList<>();

        Thing(String type, String name) {
            this.type = type;
            this.name = name;
        }
    }

    /**
     * An object used somewhere.
     *
     * @param path of another model file, empty for the same
     */
    private record Use(String path, String id, Transform at) {}

    private ThreeMfReader(ZipFile zip, Progress progress) {
        this.zip = zip;
        this.progress = progress;
    }

    static ThreeMfFile.Content read(java.nio.file.Path file, Progress progress) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8)) {
            return new ThreeMfReader(zip, progress).content();
        } catch (ZipException | IllegalArgumentException | java.io.EOFException e) {
            throw new FileFault("The 3MF is damaged (" + (e.getMessage() == null ? "it ends too early" : e.getMessage()) + "). Nothing was imported.", e);
        }
    }

    private ThreeMfFile.Content content() throws IOException {
        if (zip.size() > MOST_ENTRIES) {
            throw new FileFault("The 3MF holds more than " + MOST_ENTRIES + " files; it was left alone.");
        }
        zip.stream().forEach(e -> entries.putIfAbsent(plain(e.getName()), e.getName()));
        String root = root();
        Model model = model(root);
        double toMm = millimetres(model.unit);
        List<Use> build = new ArrayList<>(model.build);
        if (build.isEmpty()) {
            // Nothing is said to be made of it: every object that is no part of another is meant.
            Set<String> used = new HashSet<>();
            model.things.values().forEach(t -> t.components.forEach(u -> used.add(u.id)));
            model.order.stream().filter(id -> !used.contains(id)).forEach(id -> build.add(new Use("", id, Transform.NONE)));
        }
        List<ThreeMfFile.Piece> pieces = new ArrayList<>();
        long triangles = 0;
        for (Use u : build) {
            growing = new MeshGrower();
            put(root, u, Transform.NONE, 0, new HashSet<>());
            triangles += growing.triangles();
            if (triangles > MeshGrower.MOST_TRIANGLES) {
                throw new FileFault("The 3MF builds more than " + MeshGrower.MOST_TRIANGLES / 1_000_000 + " million triangles; it was left alone.");
            }
            if (growing.triangles() > 0) {
                pieces.add(new ThreeMfFile.Piece(thing(root, u).name, u.path + "#" + u.id + u.at.turn(), growing.mesh().scaled(toMm)));
            }
        }
        if (pieces.isEmpty()) {
            throw new FileFault("The 3MF holds no triangles" + (leftOut.isEmpty() ? "" : " besides " + String.join(", ", leftOut)) + ". Nothing was imported.");
        }
        return new ThreeMfFile.Content(pieces, model.unit, model.metadata, leftOut.isEmpty() ? "" : "Left out: " + String.join(", ", leftOut) + ".");
    }

    /** Entries are asked for without a slash before them and in small letters, as the package convention compares them. */
    private static String plain(String path) {
        return (path.startsWith("/") ? path.substring(1) : path).toLowerCase(Locale.ROOT);
    }

    /** The model the package's relations name; where they name none, the only one there is. */
    private String root() throws IOException {
        Optional<String> target = Optional.empty();
        if (entries.containsKey("_rels/.rels")) {
            target = relation("_rels/.rels");
        }
        if (target.isPresent() && entries.containsKey(plain(target.get()))) {
            return plain(target.get());
        }
        if (target.isPresent()) {
            throw new FileFault("The 3MF names “" + target.get() + "” as its model, which is not in it. Nothing was imported.");
        }
        List<String> only = entries.keySet().stream().filter(n -> n.endsWith(".model")).toList();
        if (only.size() != 1) {
            throw new FileFault(only.isEmpty() ? "This is not a 3MF: no model was found inside. Nothing was imported."
                    : "The 3MF holds " + only.size() + " models and does not say which is meant. Nothing was imported.");
        }
        return only.get(0);
    }

    private Optional<String> relation(String entry) throws IOException {
        String[] found = {null};
        parse(entry, (xml, depth) -> {
            if (xml.getLocalName().equals("Relationship") && START.equals(xml.getAttributeValue(null, "Type"))) {
                found[0] = xml.getAttributeValue(null, "Target");
            }
        }, xml -> { });
        return Optional.ofNullable(found[0]);
    }

    private interface Start {
        void at(XMLStreamReader xml, int depth) throws IOException, XMLStreamException;
    }

    private interface End {
        void at(XMLStreamReader xml);
    }

    private void parse(String entry, Start start, End end) throws IOException {
        ZipEntry e = zip.getEntry(entries.get(entry));
        try (InputStream in = new BufferedInputStream(new BoundedXml(zip.getInputStream(e)), 1 << 16)) {
            XMLInputFactory factory = XMLInputFactory.newFactory();
            factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
            factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
            XMLStreamReader xml = factory.createXMLStreamReader(in);
            int depth = 0;
            while (xml.hasNext()) {
                int event = xml.next();
                if ((++read & 0xFFF) == 0 && !progress.at(0.5)) {
                    throw new Stopped();
                }
                if (event == XMLStreamConstants.START_ELEMENT) {
                    if (++depth > DEEPEST_TAG) {
                        throw new FileFault("The model inside the 3MF is nested deeper than a model can be; it was left alone. Nothing was imported.");
                    }
                    start.at(xml, depth);
                    // Text of an element was taken with its end.
                    depth -= xml.getEventType() == XMLStreamConstants.END_ELEMENT ? 1 : 0;
                } else if (event == XMLStreamConstants.END_ELEMENT) {
                    depth--;
                    end.at(xml);
                }
            }
        } catch (XMLStreamException | IndexOutOfBoundsException x) {
            for (Throwable t = x; t != null; t = t instanceof XMLStreamException s && s.getNestedException() != null ? s.getNestedException() : t.getCause()) {
                if (t instanceof FileFault f) {
                    throw f;
                }
                if (t instanceof Stopped s) {
                    throw s;
                }
            }
            throw new FileFault("The model inside the 3MF cannot be read. Nothing was imported.", x);
        }
    }

    private Model model(String entry) throws IOException {
        Model known = models.get(entry);
        if (known != null) {
            return known;
        }
        if (!entries.containsKey(entry)) {
            throw new FileFault("The 3MF speaks of a model file “" + entry + "” that is not in it. Nothing was imported.");
        }
        Model m = new Model();
        models.put(entry, m);
        Thing[] at = {null};
        parse(entry, (xml, depth) -> {
            if (!ThreeMfFile.CORE.equals(xml.getNamespaceURI()) && xml.getNamespaceURI() != null) {
                return;
            }
            switch (xml.getLocalName()) {
                case "model" -> begin(xml, m);
                case "metadata" -> {
                    String key = xml.getAttributeValue(null, "name");
                    if (key != null && m.metadata.size() < 100) {
                        m.metadata.put(key, xml.getElementText());
                    }
                }
                case "object" -> {
                    if (m.things.size() >= MOST_OBJECTS) {
                        throw new FileFault("The 3MF holds more than " + MOST_OBJECTS + " objects; it was left alone. Nothing was imported.");
                    }
                    at[0] = new Thing(text(xml, "type", "model"), text(xml, "name", ""));
                    String id = text(xml, "id", "");
                    if (m.things.put(id, at[0]) != null) {
                        throw new FileFault("The 3MF has two objects numbered " + id + "; which is meant cannot be told. Nothing was imported.");
                    }
                    m.order.add(id);
                }
                case "mesh" -> in(at).mesh = new MeshGrower();
                case "vertex" -> grown(at).point(number(xml, "x"), number(xml, "y"), number(xml, "z"));
                case "triangle" -> {
                    MeshGrower g = grown(at);
                    g.triangle(index(xml, "v1", g.points()), index(xml, "v2", g.points()), index(xml, "v3", g.points()));
                }
                case "component" -> in(at).components.add(use(xml));
                case "item" -> m.build.add(use(xml));
                default -> { }
            }
        }, xml -> at[0] = xml.getLocalName().equals("object") ? null : at[0]);
        return m;
    }

    private static Thing in(Thing[] at) throws FileFault {
        if (at[0] == null) {
            throw new FileFault("The 3MF has a mesh or a component outside of any object. Nothing was imported.");
        }
        return at[0];
    }

    private static MeshGrower grown(Thing[] at) throws FileFault {
        if (in(at).mesh == null) {
            throw new FileFault("The 3MF has corners or triangles outside of any mesh. Nothing was imported.");
        }
        return at[0].mesh;
    }

    /** Unit and what the model wants whoever reads it to know. */
    private static void begin(XMLStreamReader xml, Model m) throws FileFault {
        m.unit = text(xml, "unit", "millimeter");
        for (String prefix : text(xml, "requiredextensions", "").strip().split("\\s+")) {
            String space = prefix.isEmpty() ? null : xml.getNamespaceURI(prefix);
            if (!prefix.isEmpty() && (space == null || !KNOWN.contains(space))) {
                throw new FileFault("The 3MF wants its reader to know the extension “" + (space == null ? prefix : space) + "”, which is not known here; what it shows could be wrong. "
                        + "Nothing was imported; export it without.");
            }
        }
    }

    private static Use use(XMLStreamReader xml) throws FileFault {
        String path = xml.getAttributeValue(PRODUCTION, "path");
        return new Use(path == null ? "" : plain(path), text(xml, "objectid", ""), Transform.of(text(xml, "transform", "")));
    }

    private static String text(XMLStreamReader xml, String attribute, String otherwise) {
        String v = xml.getAttributeValue(null, attribute);
        return v == null ? otherwise : v;
    }

    private Thing thing(String entry, Use u) throws IOException {
        String in = u.path.isEmpty() ? entry : u.path;
        Thing t = model(in).things.get(u.id);
        if (t == null) {
            throw new FileFault("The 3MF wants an object numbered “" + u.id + "” that is not in it. Nothing was imported.");
        }
        return t;
    }

    /** Puts an object, and what it is put together from, where it is used. */
    private void put(String entry, Use u, Transform outer, int depth, Set<Thing> around) throws IOException {
        if (depth > DEEPEST_COMPONENT || ++placed > MOST_PLACED) {
            throw new FileFault("The objects of the 3MF are put together deeper or of more pieces than can be handled here. Nothing was imported.");
        }
        Thing t = thing(entry, u);
        if (!around.add(t)) {
            throw new FileFault("An object of the 3MF is put together from itself. Nothing was imported.");
        }
        if (!t.type.equals("model")) {
            leftOut.add(t.type.equals("solidsupport") || t.type.equals("support") ? "support" : "an object of type “" + t.type + "”");
            around.remove(t);
            return;
        }
        Transform at = u.at.then(outer);
        if (t.mesh != null) {
            if (!progress.at(0.9)) {
                throw new Stopped();
            }
            at.put(t.mesh.mesh(), growing);
        }
        String in = u.path.isEmpty() ? entry : u.path;
        for (Use c : t.components) {
            put(in, c, at, depth + 1, around);
        }
        around.remove(t);
    }

    private static double number(XMLStreamReader xml, String attribute) throws FileFault {
        try {
            double v = Double.parseDouble(xml.getAttributeValue(null, attribute));
            if (Math.abs(v) < 1e6) {
                return v;
            }
        } catch (NumberFormatException | NullPointerException e) {
            // Said below, the same for all.
        }
        throw new FileFault("A corner in the 3MF has no usable " + attribute + ". Nothing was imported.");
    }

    private static int index(XMLStreamReader xml, String attribute, int points) throws FileFault {
        try {
            int i = Integer.parseInt(xml.getAttributeValue(null, attribute));
            if (i >= 0 && i < points) {
                return i;
            }
        } catch (NumberFormatException e) {
            // Said below.
        }
        throw new FileFault("A triangle in the 3MF points at a corner that is not there. Nothing was imported.");
    }

    private static double millimetres(String unit) throws FileFault {
        return switch (unit) {
            case "micron" -> 1e-3;
            case "millimeter" -> 1;
            case "centimeter" -> 10;
            case "inch" -> 25.4;
            case "foot" -> 304.8;
            case "meter" -> 1000;
            default -> throw new FileFault("The 3MF uses an unknown unit “" + unit + "”. Nothing was imported.");
        };
    }
}
