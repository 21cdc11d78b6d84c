package tinperch.files.threemf;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;
import tinperch.files.FileFault;
import tinperch.files.MeshGrower;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;

/** Writes one part as 3MF and reads the first mesh of one. */
public final class ThreeMfFile {
    private static final String CORE = "http://schemas.microsoft.com/3dmanufacturing/core/2015/02";
    private static final String MODEL_PATH = "3D/3dmodel.model";
    private static final int MOST_ENTRIES = 2000;

    private ThreeMfFile() {}

    /**
     * What was read.
     *
     * @param mesh in mm whatever the file's unit
     * @param unit the unit the file is written in
     * @param metadata name → text, "Title", "Description" …
     */
    public record Content(Mesh mesh, String objectName, String unit, Map<String, String> metadata) {}

    /**
     * An object to write.
     *
     * @param count how many of it lie on the bed
     */
    public record Item(String name, Mesh mesh, int count) {}

    /** Between objects laid out side by side, mm. */
    private static final double APART_MM = 10;

    /** Writes one mesh in millimetres. */
    public static void write(Mesh mesh, String name, Map<String, String> metadata, OutputStream out) throws IOException {
        write(List.of(new Item(name, mesh, 1)), name, metadata, out);
    }

    /**
     * Writes meshes in millimetres, each as an object of its own name; several are laid out in a row along x.
     *
     * @param title of the whole
     * @param metadata further entries by their names in the core specification ("Description", "CreationDate" …)
     */
    public static void write(List<Item> items, String title, Map<String, String> metadata, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        entry(zip, "[Content_Types].xml", "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
                + "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
                + "<Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
                + "<Default Extension=\"model\" ContentType=\"application/vnd.ms-package.3dmanufacturing-3dmodel+xml\"/>"
                + "</Types>");
        entry(zip, "_rels/.rels", "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
                + "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
                + "<Relationship Target=\"/" + MODEL_PATH + "\" Id=\"rel0\" "
                + "Type=\"http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel\"/></Relationships>");
        zip.putNextEntry(stamped(MODEL_PATH));
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(zip, "UTF-8");
            model(items, title, metadata, xml);
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
        zip.closeEntry();
        zip.finish();
    }

    /** A fixed time, so that the same part gives the same file. */
    private static ZipEntry stamped(String name) {
        ZipEntry e = new ZipEntry(name);
        e.setTimeLocal(java.time.LocalDateTime.of(2000, 1, 1, 0, 0));
        return e;
    }

    private static void entry(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(stamped(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private static void model(List<Item> items, String title, Map<String, String> metadata, XMLStreamWriter xml)
            throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("model");
        xml.writeDefaultNamespace(CORE);
        xml.writeAttribute("unit", "millimeter");
        xml.writeAttribute("xml:lang", "en-US");
        Map<String, String> all = new TreeMap<>(metadata);
        all.put("Title", title);
        all.put("Application", "Tin Perch");
        for (Map.Entry<String, String> m : all.entrySet()) {
            xml.writeStartElement("metadata");
            xml.writeAttribute("name", m.getKey());
            xml.writeCharacters(clean(m.getValue()));
            xml.writeEndElement();
        }
        xml.writeStartElement("resources");
        for (int i = 0; i < items.size(); i++) {
            object(i + 1, items.get(i).name(), SinglePrecision.of(items.get(i).mesh()), xml);
        }
        xml.writeEndElement();
        xml.writeStartElement("build");
        build(items, xml);
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private static void object(int id, String name, Mesh mesh, XMLStreamWriter xml) throws XMLStreamException {
        xml.writeStartElement("object");
        xml.writeAttribute("id", Integer.toString(id));
        xml.writeAttribute("type", "model");
        xml.writeAttribute("name", clean(name));
        xml.writeStartElement("mesh");
        xml.writeStartElement("vertices");
        for (int p = 0; p < mesh.pointCount(); p++) {
            xml.writeEmptyElement("vertex");
            xml.writeAttribute("x", Float.toString((float) mesh.x(p)));
            xml.writeAttribute("y", Float.toString((float) mesh.y(p)));
            xml.writeAttribute("z", Float.toString((float) mesh.z(p)));
        }
        xml.writeEndElement();
        xml.writeStartElement("triangles");
        for (int t = 0; t < mesh.triangleCount(); t++) {
            xml.writeEmptyElement("triangle");
            xml.writeAttribute("v1", Integer.toString(mesh.corner(t, 0)));
            xml.writeAttribute("v2", Integer.toString(mesh.corner(t, 1)));
            xml.writeAttribute("v3", Integer.toString(mesh.corner(t, 2)));
        }
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndElement();
    }

    private static void build(List<Item> items, XMLStreamWriter xml) throws XMLStreamException {
        boolean one = items.size() == 1 && items.get(0).count() == 1;
        double x = 0;
        for (int i = 0; i < items.size(); i++) {
            Bounds b = items.get(i).mesh().bounds();
            for (int n = 0; n < items.get(i).count(); n++) {
                xml.writeEmptyElement("item");
                xml.writeAttribute("objectid", Integer.toString(i + 1));
                if (!one) {
                    // Twelve numbers, the translation last.
                    xml.writeAttribute("transform", "1 0 0 0 1 0 0 0 1 " + (float) (x - b.min().x()) + " " + (float) -b.centre().y() + " " + (float) -b.min().z());
                    x += b.size().x() + APART_MM;
                }
            }
        }
    }

    /** Characters XML cannot carry are dropped. */
    private static String clean(String s) {
        return s.replaceAll("[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F\\uFFFE\\uFFFF]", "");
    }

    /**
     * Reads the first mesh of a 3MF. Entry names are never used as paths, nothing external is followed, and unpacked size
     * is bounded.
     *
     * @throws FileFault in plain words when it cannot be used
     */
    public static Content read(InputStream in) throws IOException {
        try {
            ZipInputStream zip = new ZipInputStream(new BufferedInputStream(in), StandardCharsets.UTF_8);
            int entries = 0;
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (++entries > MOST_ENTRIES) {
                    throw new FileFault("The 3MF holds more than " + MOST_ENTRIES + " files; it was left alone.");
                }
                if (e.getName().toLowerCase(java.util.Locale.ROOT).endsWith(".model")) {
                    return parse(new BoundedXml(zip));
                }
            }
        } catch (ZipException | IllegalArgumentException | java.io.EOFException e) {
            throw new FileFault("The 3MF is damaged (" + e.getMessage() + "). Nothing was imported.", e);
        } catch (XMLStreamException | IndexOutOfBoundsException e) {
            throw new FileFault("The model inside the 3MF cannot be read. Nothing was imported.", e);
        }
        throw new FileFault("This is not a 3MF: no model was found inside. Nothing was imported.");
    }

    private static Content parse(InputStream in) throws XMLStreamException, FileFault {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        XMLStreamReader xml = factory.createXMLStreamReader(in);
        MeshGrower grown = new MeshGrower();
        String unit = "millimeter";
        String name = "";
        Map<String, String> metadata = new TreeMap<>();
        boolean done = false;
        while (!done && xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.END_ELEMENT) {
                done = "mesh".equals(xml.getLocalName());
                continue;
            }
            if (event != XMLStreamConstants.START_ELEMENT) {
                continue;
            }
            switch (xml.getLocalName()) {
                case "model" -> unit = xml.getAttributeValue(null, "unit") == null ? unit : xml.getAttributeValue(null, "unit");
                case "metadata" -> {
                    String key = xml.getAttributeValue(null, "name");
                    if (key != null && metadata.size() < 100) {
                        metadata.put(key, xml.getElementText());
                    }
                }
                case "object" -> name = xml.getAttributeValue(null, "name") == null ? "" : xml.getAttributeValue(null, "name");
                case "vertex" -> grown.point(number(xml, "x"), number(xml, "y"), number(xml, "z"));
                case "triangle" -> grown.triangle(index(xml, "v1", grown.points()), index(xml, "v2", grown.points()),
                        index(xml, "v3", grown.points()));
                default -> { }
            }
        }
        if (grown.triangles() == 0) {
            throw new FileFault("The 3MF holds no triangles. Nothing was imported.");
        }
        return new Content(grown.mesh().scaled(millimetres(unit)), name, unit, metadata);
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
