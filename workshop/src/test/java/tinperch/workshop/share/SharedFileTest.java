package tinperch.workshop.share;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.check.Finding;
import tinperch.check.Severity;
import tinperch.fact.FactsOnce;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.part.Models;
import tinperch.part.bind.Binding;
import tinperch.upgrade.Case;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.TempFolder;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoModels;
import tinperch.workshop.demo.DemoWorkshop;

/** A workshop as one open file, there and back, and files as people and accidents write them. */
public class SharedFileTest extends TempFolder {
    private static Optional<byte[]> mesh(String id) {
        return DemoModels.blobs().stream().filter(b -> b.id().equals(id)).map(MeshBlob::bytes).findFirst();
    }

    @Test
    public void theWholeWorkshopGoesThereAndBack() throws IOException {
        Path file = folder.resolve("all.zip");
        SharedFile.write(DemoWorkshop.state(), SharedFileTest::mesh, file);
        SharedFile.Opened o = SharedFile.read(file);
        assertEquals(o.problems(), List.of());
        assertEquals(o.state(), DemoWorkshop.state());
        assertEquals(o.meshes().size(), 3);
        assertEquals(o.meshes().get(DemoModels.blobs().get(0).id()), DemoModels.blobs().get(0).bytes());
    }

    @Test
    public void oneUpgradeTakesItsMachineAlong() throws IOException {
        WorkshopState one = Sharing.ofUpgrade(DemoWorkshop.state(), "ruff-fume");
        assertEquals(one.machines().stream().map(Machine::id).toList(), List.of("ruff"));
        assertEquals(one.upgrades().size(), 1);
        Path file = folder.resolve("one.json");
        SharedFile.write(one, id -> Optional.empty(), file);
        assertTrue(Files.readString(file).startsWith("{"), "without meshes it is plain JSON");
        assertEquals(SharedFile.read(file).state().upgrades(), one.upgrades());
        assertEquals(Sharing.ofMachine(DemoWorkshop.state(), "avocet").revisions().size(), 4);
    }

    @Test
    public void putBesideItselfNothingIsLostAndNothingTakesAnothersPlace() {
        WorkshopState own = DemoWorkshop.state();
        WorkshopState twice = Sharing.with(own, own);
        assertEquals(twice.machines().size(), 8);
        assertEquals(twice.upgrades().size(), 2 * own.upgrades().size());
        assertEquals(twice.revisions().size(), 10);
        assertEquals(twice.upgrade("avocet-blower-2").orElseThrow().machineId(), "avocet-2");
        assertEquals(twice.machines().subList(0, 4), own.machines());
    }

    @Test
    public void aSharedPartAsksForTheOtherMachinesReadingsAndRefitsItself() {
        WorkshopState own = DemoWorkshop.state();
        Machine curlew = own.machine("curlew").orElseThrow();
        WorkshopState s = Sharing.onto(own, Sharing.ofUpgrade(own, "avocet-blower"), curlew);
        Upgrade u = s.upgrades().get(s.upgrades().size() - 1);
        assertEquals(u.machineId(), "curlew");
        assertTrue(u.parts().get(0).bindings().values().stream().allMatch(b -> b instanceof Binding.Usual), u.parts().get(0).bindings().toString());
        Case c = Case.of(u, u.parts().get(0).id(), s.shop(Models.NONE), "R1");
        List<Finding> f = Judge.judge(c, new FactsOnce(c)).findings();
        assertEquals(f.stream().filter(x -> x.id().startsWith("known.") && x.severity() == Severity.LOOK).count(), 2);
        assertTrue(f.stream().noneMatch(x -> x.severity() == Severity.STOP && !x.id().equals("bed")), f.toString());
    }

    /** The example of docs/WORKSHOP-FORMAT.md, word for word. */
    @Test
    public void theExampleOfTheDocumentIsReadAndJudged() throws IOException {
        String doc = Files.readString(Path.of("..", "docs", "WORKSHOP-FORMAT.md"));
        String json = doc.substring(doc.indexOf("```json") + 7, doc.indexOf("```", doc.indexOf("```json") + 7));
        Path file = folder.resolve("hand.json");
        Files.writeString(file, json);
        SharedFile.Opened o = SharedFile.read(file);
        assertEquals(o.problems(), List.of());
        Upgrade u = o.state().upgrades().get(0);
        Case c = Case.of(u, u.parts().get(0).id(), o.state().shop(Models.NONE), "R1");
        List<Finding> f = Judge.judge(c, new FactsOnce(c)).findings();
        assertTrue(f.stream().noneMatch(x -> x.id().equals("part")), f.toString());
        assertTrue(f.stream().anyMatch(x -> x.severity() == Severity.LOOK && x.id().equals("known.tool")));
    }

    private Path written(String text) throws IOException {
        Path p = folder.resolve("x.json");
        Files.writeString(p, text);
        return p;
    }

    @Test
    public void whatCannotBeReadIsSaidAndTheRestIsRead() throws IOException {
        SharedFile.Opened o = SharedFile.read(written("{\"format\":\"tinperch-workshop\",\"version\":9,\"extra\":1,\"machines\":[{\"id\":\"m\",\"name\":\"Mill\"},7,{\"name\":\"no id\"}],"
                + "\"upgrades\":[{\"id\":\"u\",\"machineId\":\"m\",\"name\":\"x\",\"parts\":[{\"familyId\":\"board-mount\",\"count\":0}]},{\"id\":\"v\",\"machineId\":\"gone\"},"
                + "{\"id\":5,\"machineId\":\"m\",\"parts\":\"many\"}],\"revisions\":{},\"drawer\":{\"M3\":[8,\"x\",-1]}}"));
        assertEquals(o.state().machines().size(), 1);
        assertEquals(o.state().upgrades().size(), 1);
        assertEquals(o.state().drawer().lengths("M3"), List.of(8.0));
        String all = String.join(" ", o.problems());
        for (String part : List.of("newer version", "no id", "not in the file", "One of the upgrades cannot be read", "should be a list", "no screw length")) {
            assertTrue(all.contains(part), part + " in " + all);
        }
    }

    @Test
    public void otherFilesAreRefusedInWords() throws IOException {
        for (String text : List.of("", "hello", "[]", "{}", "{\"format\":\"other\"}", "[".repeat(10_000), "PK not a zip")) {
            FileFault e = expectThrows(FileFault.class, () -> SharedFile.read(written(text)));
            assertTrue(e.getMessage().length() > 15, e.getMessage());
        }
        expectThrows(FileFault.class, () -> SharedFile.read(folder.resolve("nowhere.json")));
    }

    @Test(groups = "deep")
    public void damagedFilesAreReadInPartOrRefused() throws IOException {
        Path good = folder.resolve("good.json");
        SharedFile.write(Sharing.ofUpgrade(DemoWorkshop.state(), "turnstone-board"), id -> Optional.empty(), good);
        byte[] bytes = Files.readAllBytes(good);
        Random r = new Random(9);
        Path file = folder.resolve("bad.json");
        for (int n = 0; n < 1500; n++) {
            byte[] bad = bytes.clone();
            for (int k = r.nextInt(6); k >= 0; k--) {
                bad[r.nextInt(bad.length)] = (byte) r.nextInt(256);
            }
            if (n % 5 == 0) {
                bad = java.util.Arrays.copyOf(bad, r.nextInt(bad.length));
            }
            Files.write(file, bad);
            try {
                SharedFile.Opened o = SharedFile.read(file);
                for (Upgrade u : o.state().upgrades()) {
                    if (n % 25 == 0 && !u.parts().isEmpty()) {
                        Case c = Case.of(u, u.parts().get(0).id(), o.state().shop(Models.NONE), "R1");
                        Judge.judge(c, new FactsOnce(c));
                    }
                }
            } catch (FileFault e) {
                assertTrue(e.getMessage().length() > 10, new String(bad, StandardCharsets.UTF_8));
            }
        }
    }

    @Test
    public void moreFeaturesThanAPartMayHaveAreCutOffAloudAndIdsStayUnique() throws IOException {
        String feature = "{\"id\":\"f%d\",\"kindId\":\"hole\",\"name\":\"h\",\"anchor\":{\"pieceId\":\"part\",\"face\":\"plate\",\"outward\":{\"x\":0,\"y\":0,\"z\":1},"
                + "\"across\":\"MIDDLE\",\"acrossMm\":0,\"upwards\":\"MIDDLE\",\"upwardsMm\":0}}";
        String many = java.util.stream.IntStream.range(0, 20_000).mapToObj(i -> String.format(feature, i)).collect(java.util.stream.Collectors.joining(","));
        Path file = folder.resolve("many.json");
        Files.writeString(file, "{\"format\":\"tinperch-workshop\",\"machines\":[{\"id\":\"m\",\"name\":\"Mill\"},{\"id\":\"m\",\"name\":\"Other\"}],\"upgrades\":[{\"id\":\"u\","
                + "\"machineId\":\"m\",\"name\":\"U\",\"parts\":[{\"familyId\":\"tool-carriage-plate\",\"name\":\"Sieve\",\"features\":[" + many + "]}]}]}");
        SharedFile.Opened o = SharedFile.read(file);
        assertEquals(o.state().upgrades().get(0).parts().get(0).features().size(), 500);
        assertEquals(o.state().machines().size(), 1);
        assertEquals(o.state().machines().get(0).name(), "Mill");
        assertTrue(o.problems().stream().anyMatch(x -> x.contains("“Sieve” has 20000 features; the first 500 were read")), o.problems().toString());
        assertTrue(o.problems().stream().anyMatch(x -> x.contains("Two machines of the file have the id “m”")), o.problems().toString());
    }

    /** What is cut around a neighbour, and what the book says, are of one machine: on another the part says what is gone and still stands. */
    @Test
    public void whatBelongsToOneMachineIsSaidToBeGoneOnAnother() {
        WorkshopState own = DemoWorkshop.state();
        Upgrade blower = own.upgrade("avocet-blower").orElseThrow();
        String near = own.machine("avocet").orElseThrow().surroundings().neighbours().get(0).id();
        WorkshopState with = own.with(blower.with(blower.parts().get(0).bound("tool", new Binding.OfComponent("fan-2")).with(new tinperch.part.feature.Feature("f1", "avoid", "around it",
                tinperch.part.feature.Anchor.piece("part"), new Binding.OfNeighbour(near), tinperch.part.param.Values.START, false))));
        Machine curlew = with.machine("curlew").orElseThrow();
        WorkshopState s = Sharing.onto(with, Sharing.ofUpgrade(with, "avocet-blower"), curlew);
        Upgrade u = s.upgrades().get(s.upgrades().size() - 1);
        assertTrue(u.parts().get(0).bindings().get("tool") instanceof Binding.Usual, "the book of another machine knows no fan-2");
        Case c = Case.of(u, u.parts().get(0).id(), s.shop(Models.NONE), "R1");
        Finding f = Judge.judge(c, new FactsOnce(c)).findings().stream().filter(x -> x.id().equals("feature.f1")).findFirst().orElseThrow();
        assertEquals(f.severity(), Severity.LOOK);
        assertTrue(f.why().contains("say where the part mounts") || f.why().contains("is gone from"), f.why());
    }

    /** A name in a damaged archive that is not even letters, and one that ends in the middle of itself: found by the torture. */
    @Test
    public void aNameThatIsNoLettersIsRefusedInASentence() throws Exception {
        java.nio.file.Path file = java.nio.file.Files.createTempFile("tinperch", ".zip");
        try {
            byte[] zip = {'P', 'K', 3, 4, 20, 0, 0, 8, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 3, 0, 0, 0, (byte) 0xC3, (byte) 0x28, (byte) 0xFF};
            for (int length : new int[] {zip.length, 31, 12, 3}) {
                java.nio.file.Files.write(file, java.util.Arrays.copyOf(zip, length));
                String m = org.testng.Assert.expectThrows(tinperch.files.FileFault.class, () -> SharedFile.read(file)).getMessage();
                org.testng.Assert.assertTrue(m.endsWith(".") && !m.contains("null"), m);
            }
        } finally {
            java.nio.file.Files.delete(file);
        }
    }
}
