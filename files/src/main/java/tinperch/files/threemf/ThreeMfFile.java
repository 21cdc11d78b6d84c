package tinperch.files.threemf;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import tinperch.files.model.Progress;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.SinglePrecision;

/** Writes parts as 3MF and reads what one builds. */
public final class ThreeMfFile {
    static final String CORE = "http://schemas.microsoft.com/3dmanufacturing/core/2015/02";
    private static final String MODEL_PATH = "3D/3dmodel.model";
    /** JPEG by its longer ending: there are readers that take every png in a package for a texture and fall over it. */
    private static final String PICTURE_PATH = "Metadata/thumbnail.jpeg";

    private ThreeMfFile() {}

    /**
     * One thing the file builds.
     *
     * @param name as its object is called there; may be empty
     * @param like the same for things that are the same object, turned and scaled the same way
     * @param mesh in mm whatever the file's unit, where the build puts it
     */
    public record Piece(String name, String like, Mesh mesh) {}

    /**
     * What was read.
     *
     * @param pieces all that is built, one at least
     * @param unit the unit the file is written in
     * @param metadata name → text, "Title", "Description" …
     * @param note what was left out, in a sentence; empty for nothing
     */
    public record Content(List<Piece> pieces, String unit, Map<String, String> metadata, String note) {
        public Content {
            pieces = List.copyOf(pieces);
        }

        /** All that is built, as it stands there, as one mesh. */
        public Mesh mesh() {
            return Mesh.gathered(pieces.stream().map(Piece::mesh).toList());
        }

        /** What the first piece with a name is called; empty when none has one. */
        public String objectName() {
            return pieces.stream().map(Piece::name).filter(n -> !n.isEmpty()).findFirst().orElse("");
        }
    }

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
        write(List.of(new Item(name, mesh, 1)), name, metadata, Optional.empty(), out);
    }

    /**
     * Writes meshes in millimetres, each as an object of its own name; several are laid out in a row along x.
     *
     * @param title of the whole
     * @param metadata further entries by their names in the core specification ("Description", "CreationDate" …)
     * @param picture a small picture of it, JPEG
     */
    public static void write(List<Item> items, String title, Map<String, String> metadata, Optional<byte[]> picture, OutputStream out) throws IOException {
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        entry(zip, "[Content_Types].xml", "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
                + "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\">"
                + "<Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/>"
                + "<Default Extension=\"model\" ContentType=\"application/vnd.ms-package.3dmanufacturing-3dmodel+xml\"/>"
                + (picture.isPresent() ? "<Default Extension=\"jpeg\" ContentType=\"image/jpeg\"/>" : "") + "</Types>");
        entry(zip, "_rels/.rels", "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
                + "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
                + "<Relationship Target=\"/" + MODEL_PATH + "\" Id=\"rel0\" "
                + "Type=\"http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel\"/>"
                + (picture.isPresent() ? "<Relationship Target=\"/" + PICTURE_PATH + "\" Id=\"rel1\" Type=\"http://schemas.openxmlformats.org/package/2006/relationships/metadata/thumbnail\"/>" : "")
                + "</Relationships>");
        if (picture.isPresent()) {
            zip.putNextEntry(stamped(PICTURE_PATH));
            zip.write(picture.get());
            zip.closeEntry();
        }
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
     * Reads what a 3MF builds: all objects of its build where their transforms put them, each a piece of its own; what an object is put together from stays together.
     *
     * @throws FileFault in plain words when it cannot be used
     */
    public static Content read(Path file, Progress progress) throws IOException {
        return ThreeMfReader.read(file, progress);
    }

    /** The same of a stream. */
    public static Content read(InputStream in) throws IOException {
        // A package is read from its end; its copy has a name nobody can guess and is its owner's alone.
        Path copy = Files.createTempFile("tinperch", ".3mf");
        try {
            Files.copy(in, copy, StandardCopyOption.REPLACE_EXISTING);
            return read(copy, share -> true);
        } finally {
            Files.deleteIfExists(copy);
        }
    }
}
