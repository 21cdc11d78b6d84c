package tinperch.workshop.share;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.part.Models;
import tinperch.part.bind.Binding;
import tinperch.part.form.PartsList;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.export.Item;

/** A part in a folder of its own, as somebody else gets it. */
public class ShareFolderTest {
    private static final WorkshopState DEMO = DemoWorkshop.state();
    private Path folder;

    @BeforeMethod
    public void make() throws IOException {
        folder = Files.createTempDirectory("tinperch-share");
    }

    @AfterMethod
    public void clear() throws IOException {
        try (var all = Files.walk(folder)) {
            for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(p);
            }
        }
    }

    private static Case part(String upgradeId, String partId) {
        return Case.of(DEMO.upgrade(upgradeId).orElseThrow(), partId, DEMO.shop(Models.NONE), "R5");
    }

    private Path write(Case c, String licence) throws FileFault {
        return ShareFolder.write(DEMO, c, Item.of(new FactsOnce(c).get(MeshesFact.MESHES).pieces(), c), "R5", licence, id -> Optional.empty(), folder);
    }

    private static List<String> names(Path in) throws IOException {
        try (var all = Files.list(in)) {
            return all.map(p -> p.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    public void allOfItLiesInAFolderOfItsOwn() throws Exception {
        Path made = write(part("avocet-blower", "p1"), "share alike, name me");
        assertEquals(made.getFileName().toString(), "Blower carriage plate R5");
        assertEquals(names(made), List.of("Blower carriage plate R5 drawing.pdf", "Blower carriage plate R5.3mf", "Blower carriage plate R5.step", "Blower carriage plate R5.stl",
                "Blower carriage plate R5.tinperch.json", "READ ME.txt"));
        String about = Files.readString(made.resolve("READ ME.txt"));
        assertTrue(about.contains("Licence: share alike, name me") && about.contains("4 x screw M3×16") && about.contains("4 x nut M3 (ISO 4032)"), about);
        SharedFile.Opened opened = SharedFile.read(made.resolve("Blower carriage plate R5.tinperch.json"));
        assertEquals(opened.problems(), List.of());
        assertEquals(opened.state().upgrades().size(), 1);
        assertEquals(opened.state().upgrades().get(0).parts().get(0).values(), part("avocet-blower", "p1").part().values());
        assertEquals(opened.state().revisions().size(), 0);
        assertEquals(opened.state().machines().size(), 1);
        // What is there is left alone.
        assertEquals(write(part("avocet-blower", "p1"), "other").getFileName().toString(), "Blower carriage plate R5 (2)");
        assertTrue(Files.readString(made.resolve("READ ME.txt")).contains("share alike"));
    }

    @Test
    public void severalPiecesEachHaveTheirFile() throws Exception {
        Path made = write(part("ruff-feed", "p1"), "private");
        assertTrue(names(made).containsAll(List.of("Sled-s channel R5 left half.stl", "Sled-s channel R5 right half.stl", "Sled-s channel R5.3mf", "Sled-s channel R5 drawing.pdf")), names(made).toString());
    }

    @Test
    public void withoutALicenceOrAPlaceNothingIsMade() throws Exception {
        assertTrue(expectThrows(FileFault.class, () -> write(part("avocet-blower", "p1"), "  ")).getMessage().contains("is not said"));
        assertEquals(names(folder), List.of());
        Path file = Files.writeString(folder.resolve("a file"), "x");
        Case c = part("avocet-blower", "p1");
        FileFault f = expectThrows(FileFault.class, () -> ShareFolder.write(DEMO, c, List.of(), "R5", "private", id -> Optional.empty(), file.resolve("below")));
        assertTrue(f.getMessage().contains("Choose another place"), f.getMessage());
    }

    @Test
    public void whatAPartIsBoundToGoesWithIt() {
        Upgrade u = DEMO.upgrade("avocet-braces").orElseThrow();
        PartDesign bound = u.part("p2").orElseThrow().bound("post", new Binding.OfPort("p1", "x"));
        WorkshopState only = ShareFolder.ofPart(DEMO.with(u.with(bound)), u.id(), "p2");
        assertEquals(only.upgrades().get(0).parts().stream().map(PartDesign::id).toList(), List.of("p1", "p2"));
        assertEquals(ShareFolder.ofPart(DEMO, u.id(), "p2").upgrades().get(0).parts().stream().map(PartDesign::id).toList(), List.of("p2"));
        // Round a ring of parts it ends too.
        PartDesign back = u.part("p1").orElseThrow().bound("post", new Binding.OfPort("p2", "x"));
        assertEquals(ShareFolder.ofPart(DEMO.with(u.with(bound).with(back)), u.id(), "p2").upgrades().get(0).parts().size(), 2);
    }

    /** The blower's plate: four screws through to loose nuts, washers under their heads; four into inserts. */
    @Test
    public void thePartsListCountsWhatIsBought() {
        List<PartsList.Row> rows = PartsList.of(new FactsOnce(part("avocet-blower", "p1")).get(FormFact.FORM).form().orElseThrow());
        assertTrue(rows.contains(new PartsList.Row(4, "heat-set insert M3×5.7")) && rows.contains(new PartsList.Row(8, "washer M3 (ISO 7089)")), rows.toString());
        assertFalse(rows.stream().anyMatch(r -> r.what().startsWith("nut M2")));
    }
}
