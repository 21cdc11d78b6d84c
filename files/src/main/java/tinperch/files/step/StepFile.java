package tinperch.files.step;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * Writes solids as STEP AP214 in millimetres: boundary representations with flat faces and shared edges, round holes as true
 * cylinders, several bodies as an assembly of named parts.
 */
public final class StepFile {
    private final Entities to;
    private String context;
    private String application;

    private StepFile(Entities to) {
        this.to = to;
    }

    /**
     * A body to write.
     *
     * @param mesh closed, with its faces
     * @param rounds the round holes in it, as they were designed
     * @param place where it goes in the assembly; only looked at where there are several
     */
    public record Body(String name, Mesh mesh, List<Round> rounds, Placement place) {
        public Body {
            rounds = List.copyOf(rounds);
        }
    }

    /**
     * Writes bodies; the stream is left open. The same bodies give the same file.
     *
     * @param bodies one at least
     * @param title what the whole is called
     */
    public static void write(List<Body> bodies, String title, OutputStream out) throws IOException {
        Writer w = new OutputStreamWriter(out, StandardCharsets.US_ASCII);
        try {
            w.write("ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME(" + Entities.text(title)
                    + ",'2000-01-01T00:00:00',(''),(''),'Tin Perch','Tin Perch','');\n"
                    + "FILE_SCHEMA(('AUTOMOTIVE_DESIGN { 1 0 10303 214 1 1 1 1 }'));\nENDSEC;\nDATA;\n");
            new StepFile(new Entities(w)).all(bodies, title);
            w.write("ENDSEC;\nEND-ISO-10303-21;\n");
            w.flush();
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
    }

    private void all(List<Body> bodies, String title) {
        application = to.add("APPLICATION_CONTEXT('core data for automotive mechanical design processes')");
        to.add("APPLICATION_PROTOCOL_DEFINITION('international standard','automotive_design',2000," + application + ")");
        String length = to.add("(LENGTH_UNIT() NAMED_UNIT(*) SI_UNIT(.MILLI.,.METRE.))");
        String angle = to.add("(NAMED_UNIT(*) PLANE_ANGLE_UNIT() SI_UNIT($,.RADIAN.))");
        String solid = to.add("(NAMED_UNIT(*) SI_UNIT($,.STERADIAN.) SOLID_ANGLE_UNIT())");
        String about = to.add("UNCERTAINTY_MEASURE_WITH_UNIT(LENGTH_MEASURE(1.E-07)," + length + ",'distance_accuracy_value','confusion accuracy')");
        context = to.add("(GEOMETRIC_REPRESENTATION_CONTEXT(3) GLOBAL_UNCERTAINTY_ASSIGNED_CONTEXT((" + about + ")) GLOBAL_UNIT_ASSIGNED_CONTEXT(("
                + length + "," + angle + "," + solid + ")) REPRESENTATION_CONTEXT('',''))");
        if (bodies.size() == 1) {
            shape(bodies.get(0), title);
            return;
        }
        Map<String, String> places = new LinkedHashMap<>();
        List<Shape> shapes = new ArrayList<>();
        List<String> items = new ArrayList<>();
        String origin = to.place(Vec3.ZERO, Vec3.Z, Vec3.X);
        items.add(origin);
        for (Body b : bodies) {
            shapes.add(shape(b, b.name()));
            items.add(to.place(b.place().origin(), b.place().w(), b.place().u()));
        }
        String whole = to.add("SHAPE_REPRESENTATION(''," + list(items) + "," + context + ")");
        Shape assembly = product(title, whole);
        for (int i = 0; i < shapes.size(); i++) {
            occurrence(assembly, shapes.get(i), "p" + (i + 1), bodies.get(i).name(), items.get(i + 1));
        }
    }

    /** @param definition its product definition, {@code representation} its shape, {@code origin} the placement that is its zero */
    private record Shape(String definition, String representation, String origin) {}

    private void occurrence(Shape assembly, Shape part, String id, String name, String place) {
        String used = to.add("NEXT_ASSEMBLY_USAGE_OCCURRENCE('" + id + "'," + Entities.text(name) + ",''," + assembly.definition + "," + part.definition + ",$)");
        String shape = to.add("PRODUCT_DEFINITION_SHAPE('','',"  + used + ")");
        String moved = to.add("ITEM_DEFINED_TRANSFORMATION('',''," + part.origin + "," + place + ")");
        String related = to.add("(REPRESENTATION_RELATIONSHIP('',''," + part.representation + "," + assembly.representation
                + ") REPRESENTATION_RELATIONSHIP_WITH_TRANSFORMATION(" + moved + ") SHAPE_REPRESENTATION_RELATIONSHIP())");
        to.add("CONTEXT_DEPENDENT_SHAPE_REPRESENTATION(" + related + "," + shape + ")");
    }

    private Shape product(String name, String representation) {
        String context3 = to.add("PRODUCT_CONTEXT(''," + application + ",'mechanical')");
        String product = to.add("PRODUCT(" + Entities.text(name) + "," + Entities.text(name) + ",'',(" + context3 + "))");
        to.add("PRODUCT_RELATED_PRODUCT_CATEGORY('part',$,(" + product + "))");
        String formation = to.add("PRODUCT_DEFINITION_FORMATION('',''," + product + ")");
        String design = to.add("PRODUCT_DEFINITION_CONTEXT('part definition'," + application + ",'design')");
        String definition = to.add("PRODUCT_DEFINITION('design',''," + formation + "," + design + ")");
        String shape = to.add("PRODUCT_DEFINITION_SHAPE('','',"  + definition + ")");
        to.add("SHAPE_DEFINITION_REPRESENTATION(" + shape + "," + representation + ")");
        return new Shape(definition, representation, "");
    }

    private Shape shape(Body body, String name) {
        String origin = to.place(Vec3.ZERO, Vec3.Z, Vec3.X);
        List<String> items = new ArrayList<>();
        items.add(origin);
        items.addAll(breps(body, name));
        String representation = to.add("ADVANCED_BREP_SHAPE_REPRESENTATION(" + Entities.text(name) + "," + list(items) + "," + context + ")");
        return new Shape(product(name, representation).definition, representation, origin);
    }

    /** A brep for each connected body; what is hollow inside one is a void of it. */
    private List<String> breps(Body body, String name) {
        Mesh m = body.mesh();
        Map<Integer, List<Integer>> triangles = new HashMap<>();
        for (int t = 0; t < m.triangleCount(); t++) {
            triangles.computeIfAbsent(m.faceOf(t), k -> new ArrayList<>()).add(t);
        }
        Shell shell = new Shell(m, to);
        List<Band> bands = Bands.of(m, body.rounds());
        Set<Integer> round = new HashSet<>();
        Skins skins = Skins.of(m);
        Map<Integer, List<String>> faces = new LinkedHashMap<>();
        for (Band b : bands) {
            Arrays.stream(b.faces()).forEach(round::add);
            faces.computeIfAbsent(skins.of(b.low()[0]), k -> new ArrayList<>()).add(shell.cylinder(b));
        }
        for (int f = 0; f < m.faces().size(); f++) {
            if (!round.contains(f) && triangles.containsKey(f)) {
                Mesh.Face face = m.faces().get(f);
                faces.computeIfAbsent(skins.of(face.rings().get(0)[0]), k -> new ArrayList<>()).addAll(shell.flat(face, triangles.get(f)));
            }
        }
        Map<Integer, String> shells = new LinkedHashMap<>();
        faces.forEach((skin, of) -> shells.put(skin, to.add("CLOSED_SHELL(''," + list(of) + ")")));
        List<String> all = new ArrayList<>();
        for (int outer : skins.bodies()) {
            List<Integer> voids = skins.voidsOf(outer);
            if (voids.isEmpty()) {
                all.add(to.add("MANIFOLD_SOLID_BREP(" + Entities.text(name) + "," + shells.get(outer) + ")"));
            } else {
                List<String> inner = voids.stream().map(v -> to.add("ORIENTED_CLOSED_SHELL('',*," + shells.get(v) + ",.T.)")).toList();
                all.add(to.add("BREP_WITH_VOIDS(" + Entities.text(name) + "," + shells.get(outer) + "," + list(inner) + ")"));
            }
        }
        return all;
    }

    private static String list(List<String> refs) {
        return "(" + String.join(",", refs) + ")";
    }
}
