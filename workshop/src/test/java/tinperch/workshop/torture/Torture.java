package tinperch.workshop.torture;

import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tinperch.files.log.HoursLog;
import tinperch.files.model.MeshBlob;
import tinperch.files.model.ModelFile;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Mesh;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.model.ReadModel;
import tinperch.workshop.share.SharedFile;
import tinperch.workshop.store.WorkshopStore;

/** Damages files and stores in many ways and sees that each is read, or refused in a sentence, and that nothing is ever lost without a word. */
public final class Torture {
    private final Random random;
    private final Path folder;
    private final List<Tally> all = new ArrayList<>();

    Torture(long seed, Path folder) {
        random = new Random(seed);
        this.folder = folder;
    }

    /** Arguments: how many mutated files a reader, and a seed; ends with 1 on any failure. */
    public static void main(String[] args) throws Exception {
        int n = args.length > 0 ? Integer.parseInt(args[0]) : 1000;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        Path folder = Files.createTempDirectory("tinperch-torture");
        Torture t = new Torture(seed, folder);
        try {
            t.readers(n);
            t.bombs(1024);
            t.stores(Math.max(1, n / 10));
            t.kills(Math.max(1, n / 50));
            t.fullDisk();
        } finally {
            clear(folder);
        }
        t.all.forEach(x -> x.print(System.out));
        int failures = t.failures();
        System.out.println(failures == 0 ? "Nothing failed." : failures + " failed.");
        System.exit(failures == 0 ? 0 : 1);
    }

    int failures() {
        return all.stream().mapToInt(Tally::failures).sum();
    }

    List<String> failed() {
        return all.stream().flatMap(t -> t.failed().stream()).toList();
    }

    private static void clear(Path folder) throws IOException {
        try (var files = Files.walk(folder)) {
            for (Path p : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        }
    }

    /** A reader that takes longer than this hangs, s; a process that is killed may take longer to come up on a busy machine. */
    private static final int HANGS_S = 10;
    private static final int STARTS_S = 60;

    private Tally tally(String name) {
        return tally(name, HANGS_S);
    }

    private Tally tally(String name, int slowS) {
        Tally t = new Tally(name, slowS);
        all.add(t);
        return t;
    }

    /** Bits, bytes and stretches changed, taken out, put in, doubled, or the end cut off. */
    private byte[] mutated(byte[] sound) {
        byte[] b = sound.clone();
        for (int k = 0; k <= random.nextInt(4); k++) {
            int at = b.length == 0 ? 0 : random.nextInt(b.length);
            int len = Math.min(b.length - at, 1 + random.nextInt(1 << random.nextInt(9)));
            switch (b.length == 0 ? 4 : random.nextInt(6)) {
                case 0 -> b[at] ^= (byte) (1 << random.nextInt(8));
                case 1 -> b[at] = (byte) random.nextInt(256);
                case 2 -> b = Arrays.copyOf(b, at);
                case 3 -> b = joined(Arrays.copyOf(b, at), Arrays.copyOfRange(b, at + len, b.length));
                case 4 -> {
                    byte[] more = new byte[1 + random.nextInt(40)];
                    random.nextBytes(more);
                    b = joined(Arrays.copyOf(b, at), more, Arrays.copyOfRange(b, at, b.length));
                }
                default -> b = joined(Arrays.copyOf(b, at + len), Arrays.copyOfRange(b, at, b.length));
            }
        }
        return b;
    }

    private static byte[] joined(byte[]... parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (byte[] p : parts) {
            out.write(p, 0, p.length);
        }
        return out.toByteArray();
    }

    private static String checked(Mesh m) {
        for (int i = 0; i < m.pointCount(); i++) {
            if (!(Math.abs(m.x(i)) < 1e10 && Math.abs(m.y(i)) < 1e10 && Math.abs(m.z(i)) < 1e10)) {
                return "a corner that is no place";
            }
        }
        return m.triangleCount() > 0 ? null : "nothing in it";
    }

    void readers(int n) throws IOException {
        Mesh plate = MeshBlob.mesh(DemoModels.blobs().get(0).bytes());
        ByteArrayOutputStream stl = new ByteArrayOutputStream();
        StlFile.write(plate, "plate", stl);
        ByteArrayOutputStream threeMf = new ByteArrayOutputStream();
        ThreeMfFile.write(plate, "plate", Map.of(), threeMf);
        StringBuilder text = new StringBuilder("solid a\n");
        StringBuilder obj = new StringBuilder();
        for (int i = 0; i < plate.pointCount(); i++) {
            obj.append("v ").append(plate.x(i)).append(' ').append(plate.y(i)).append(' ').append(plate.z(i)).append('\n');
        }
        for (int t = 0; t < plate.triangleCount(); t++) {
            text.append("facet normal 0 0 1\nouter loop\n");
            obj.append('f');
            for (int k = 0; k < 3; k++) {
                int p = plate.corner(t, k);
                text.append("vertex ").append(plate.x(p)).append(' ').append(plate.y(p)).append(' ').append(plate.z(p)).append('\n');
                obj.append(' ').append(p + 1);
            }
            text.append("endloop\nendfacet\n");
            obj.append('\n');
        }
        text.append("endsolid a\n");
        Map<String, byte[]> models = new LinkedHashMap<>();
        models.put("binary.stl", stl.toByteArray());
        models.put("text.stl", text.toString().getBytes(StandardCharsets.US_ASCII));
        models.put("model.obj", obj.toString().getBytes(StandardCharsets.US_ASCII));
        models.put("model.3mf", threeMf.toByteArray());
        for (Map.Entry<String, byte[]> m : models.entrySet()) {
            Tally t = tally(m.getKey());
            for (int i = 0; i < n; i++) {
                Path file = folder.resolve(m.getKey());
                Files.write(file, mutated(m.getValue()));
                // Every tenth is mended too, as bringing it in would.
                boolean mend = i % 10 == 0;
                t.give("round " + i, () -> checked(mend ? ReadModel.of(file, share -> true).get(0).mesh() : ModelFile.read(file, share -> true).mesh()));
            }
        }
        byte[] log = "2026-09-26T10:00:00+02:00 hours 1671\n2026-09-27 1,675.5 h\n2026-09-28;1680\n".getBytes(StandardCharsets.US_ASCII);
        Tally hours = tally("hours log");
        for (int i = 0; i < n; i++) {
            byte[] b = mutated(log);
            hours.give("round " + i, () -> HoursLog.read(new ByteArrayInputStream(b), HoursLog.Mark.UNSAID, share -> true).counters().stream().allMatch(c -> c.hours() >= 0 && c.hours() <= 1e6) ? null
                    : "hours that cannot be");
        }
        Path shared = folder.resolve("shared.zip");
        SharedFile.write(DemoWorkshop.state(), id -> DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes).findFirst(), shared);
        byte[] zip = Files.readAllBytes(shared);
        Tally share = tally("shared workshop");
        for (int i = 0; i < Math.max(1, n / 10); i++) {
            Files.write(shared, mutated(zip));
            share.give("round " + i, () -> SharedFile.read(shared).state() == null ? "nothing" : null);
        }
    }

    private static byte[] packed(String name, int copies, byte[] piece) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(name));
            for (int i = 0; i < copies; i++) {
                zip.write(piece);
            }
            zip.closeEntry();
        }
        return out.toByteArray();
    }

    /**
     * Small files that unpack, nest or count to more than anything can be.
     *
     * @param megabytes what each unpacks to
     */
    void bombs(int megabytes) throws IOException {
        Tally t = tally("bombs");
        byte[] megabyte = new byte[1 << 20];
        Arrays.fill(megabyte, (byte) ' ');
        Map<String, byte[]> all3mf = new LinkedHashMap<>();
        all3mf.put("a gigabyte of blanks", packed("3D/3dmodel.model", megabytes, megabyte));
        all3mf.put("nested tags", packed("3D/3dmodel.model", 200, "<a>".repeat(5000).getBytes(StandardCharsets.US_ASCII)));
        all3mf.put("a file beside the model", packed("Metadata/thumbnail.png", megabytes, megabyte));
        all3mf.put("one attribute without end", packed("3D/3dmodel.model", 64, joined("<model unit=\"".getBytes(StandardCharsets.US_ASCII), megabyte)));
        for (Map.Entry<String, byte[]> e : all3mf.entrySet()) {
            Path file = folder.resolve("bomb.3mf");
            Files.write(file, e.getValue());
            t.give(e.getKey(), () -> checked(ModelFile.read(file, share -> true).mesh()));
        }
        Path line = folder.resolve("line.obj");
        Files.write(line, joined("v ".getBytes(StandardCharsets.US_ASCII), "1".repeat(megabytes << 16).getBytes(StandardCharsets.US_ASCII)));
        t.give("a line of " + megabytes / 16 + " MB", () -> checked(ModelFile.read(line, share -> true).mesh()));
        Files.delete(line);
    }

    private void fill(Path file) {
        try (WorkshopStore s = WorkshopStore.open(file)) {
            DemoModels.blobs().forEach(s::keepMesh);
            s.save(WorkshopState.EMPTY, DemoWorkshop.state());
        }
    }

    void stores(int n) throws IOException {
        Path shop = Files.createDirectories(folder.resolve("shop"));
        Path file = shop.resolve("workshop.db");
        fill(file);
        byte[] sound = Files.readAllBytes(file);
        Tally t = tally("damaged stores");
        for (int i = 0; i < n; i++) {
            clear(shop);
            Files.createDirectories(shop);
            byte[] broken = sound.clone();
            for (int k = 0; k <= random.nextInt(3); k++) {
                int at = random.nextInt(broken.length);
                if (random.nextBoolean()) {
                    broken[at] ^= (byte) (1 << random.nextInt(8));
                } else {
                    for (int j = at; j < Math.min(broken.length, at + (1 << random.nextInt(12))); j++) {
                        broken[j] = (byte) random.nextInt(256);
                    }
                }
            }
            byte[] b = random.nextInt(8) == 0 ? Arrays.copyOf(broken, random.nextInt(broken.length)) : broken;
            Files.write(file, b);
            t.give("round " + i, () -> {
                try (Workshop w = new Workshop(WorkshopStore.open(file))) {
                    if (w.isReadOnly()) {
                        return !w.notice().orElse("").contains("edits in this window are not kept") ? "read-only without a word" : !Arrays.equals(Files.readAllBytes(file), b) ? "the damaged file was changed" : null;
                    }
                    return w.state().equals(DemoWorkshop.state()) ? null : "opened as if nothing were lost";
                }
            });
        }
        clear(shop);
    }

    void kills(int n) throws IOException {
        Tally t = tally("kills while editing", STARTS_S);
        for (int i = 0; i < n; i++) {
            Path file = folder.resolve("kill" + i).resolve("workshop.db");
            int after = 1 + random.nextInt(40);
            t.give("kill " + i, () -> {
                Process child = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:TieredStopAtLevel=1", "-cp", System.getProperty("java.class.path"),
                        Editor.class.getName(), file.toString()).redirectError(ProcessBuilder.Redirect.DISCARD).start();
                int confirmed = 0;
                try (BufferedReader out = new BufferedReader(new InputStreamReader(child.getInputStream(), StandardCharsets.UTF_8))) {
                    for (String line = out.readLine(); line != null && confirmed < after; line = out.readLine()) {
                        // Others may write there too.
                        confirmed = line.startsWith("confirmed ") ? Integer.parseInt(line.substring(10)) : confirmed;
                    }
                } finally {
                    child.destroyForcibly().waitFor();
                }
                try (Workshop w = new Workshop(WorkshopStore.open(file))) {
                    int there = w.isReadOnly() ? -1 : Integer.parseInt(w.state().machines().get(0).name().substring(1));
                    return there >= confirmed ? null : "edit " + confirmed + " was confirmed, " + there + " is there";
                }
            });
        }
    }

    /** Edits without end and says which is confirmed. */
    public static final class Editor {
        public static void main(String[] args) {
            Workshop w = new Workshop(WorkshopStore.open(Path.of(args[0])));
            w.edit("demo", s -> DemoWorkshop.state());
            for (int i = 1; i < 10_000; i++) {
                int n = i;
                w.edit("name", s -> s.with(s.machines().get(0).withName("n" + n)));
                System.out.println("confirmed " + i);
                System.out.flush();
            }
        }
    }

    /** On a folder of four megabytes, where the system lets one be made. */
    void fullDisk() throws IOException, InterruptedException {
        Path small = Files.createDirectories(folder.resolve("small"));
        boolean mounted = run("mount", "-t", "tmpfs", "-o", "size=4m", "tmpfs", small.toString()) == 0;
        if (!mounted) {
            System.out.println("full disk: no folder of limited size can be made here; not tried.");
            return;
        }
        Tally t = tally("full disk");
        try {
            Path file = small.resolve("workshop.db");
            t.give("edits until it is full", () -> {
                try (Workshop w = new Workshop(WorkshopStore.open(file))) {
                    w.edit("demo", s -> DemoWorkshop.state());
                    int last = 0;
                    for (int i = 0; i < 400 && w.unsaved().isEmpty(); i++) {
                        String name = i + "x".repeat(40_000);
                        w.edit("grow", s -> s.with(s.upgrades().get(0).named(name)).with(s.machines().get(0).withSummary(name)));
                        last = i;
                    }
                    return w.unsaved().isEmpty() ? "it never became full" : !w.unsaved().get().contains("the disk is full") ? w.unsaved().get()
                            : w.state().upgrades().get(0).name().startsWith(last + "x") ? null : "the edit is not in the window";
                }
            });
            t.give("opened while full", () -> {
                Files.write(small.resolve("rest"), new byte[0]);
                try (var out = Files.newOutputStream(small.resolve("rest"))) {
                    for (int i = 0; i < 5000; i++) {
                        out.write(new byte[1024]);
                    }
                } catch (IOException full) {
                    // As meant.
                }
                try (Workshop w = new Workshop(WorkshopStore.open(file))) {
                    return w.state().machines().size() == 4 ? null : "machines are lost";
                }
            });
        } finally {
            run("umount", small.toString());
        }
    }

    private static int run(String... command) throws InterruptedException {
        try {
            return new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start().waitFor();
        } catch (IOException e) {
            return 1;
        }
    }
}
