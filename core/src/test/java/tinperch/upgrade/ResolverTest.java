package tinperch.upgrade;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;
import static tinperch.part.PartExamples.holes;
import static tinperch.part.PartExamples.machine;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tinperch.catalogue.UsualThing;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.machine.model.Model;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.bind.Binding;
import tinperch.part.bind.BoardRef;
import tinperch.part.bind.BodyRef;
import tinperch.part.bind.FanRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.HoseRef;
import tinperch.part.bind.Known;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Ref;
import tinperch.part.bind.RefKind;
import tinperch.part.bind.RodRef;
import tinperch.part.param.PartProblem;
import tinperch.solid.Vec3;

/** Every way a role can be bound, on one machine; and every way that can go wrong, in words. */
public class ResolverTest {
    private static final LocalDate DAY = LocalDate.of(2026, 3, 1);

    private static Component part(String id, ComponentKind kind, String name) {
        return new Component(id, kind, name, "", Ratings.NONE, DAY, Optional.empty(), Optional.empty(), "", "");
    }

    private static Machine rich() {
        Book book = Book.begun(LocalDate.of(2026, 1, 1)).fit(part("fan", ComponentKind.FAN, "Cooling fan").being("fan-40x20"))
                .fit(part("brd", ComponentKind.BOARD, "Main board")).fit(part("rail", ComponentKind.RAIL, "Z rods").being("rod-8"));
        Surroundings space = Surroundings.NONE.with(new Site("top", "top plate", "", new Vec3(0, 0, 10), Vec3.Z, 0, 0.2, "holes"))
                .with(new Site("bare", "bare face", "", new Vec3(0, 50, 10), Vec3.Z, 0, 0.2, ""))
                .with(new Neighbour("rod", "guide rod", "", Neighbour.Kind.SOLID, Neighbour.Form.CYLINDER, new Vec3(0, 0, 0), new Vec3(10, 300, 10), "y", 0, 0))
                .with(new Neighbour("rail", "rail", "", Neighbour.Kind.SOLID, Neighbour.Form.PROFILE, new Vec3(0, 0, 0), new Vec3(500, 20, 40), "x", 0, 0));
        return machine("upgraded", 200, 200, 200, Machine.State.FIT, "PETG").with(holes("holes", 60, 50)).withBook(book).withSurroundings(space)
                .with(new Model("mod", "guard", "m1", 1, 12, new Vec3(10, 20, 30), "", List.of()));
    }

    private static <R extends Ref> R resolved(RefKind<R> kind, Binding b) {
        return new Resolver(rich(), (part, port) -> new HoseRef("tube of another part", 48, 52, new Known(Known.How.DRAWN, "as drawn", 0, List.of()))).resolve(kind, b);
    }

    @Test
    public void eachKindOfBindingGivesItsReference() {
        assertEquals(resolved(FanRef.KIND, new Binding.Usual("fan-30")).frameMm(), 30.0);
        assertEquals(resolved(HolesRef.KIND, new Binding.OnSheet("holes", "")).holes().size(), 4);
        assertEquals(resolved(HolesRef.KIND, new Binding.AtSite("top")).holes().size(), 4);
        assertEquals(resolved(MeshRef.KIND, new Binding.OfModel("mod")).name(), "guard");
        assertEquals(resolved(HoseRef.KIND, new Binding.OfPort("p2", "tube")).innerMm(), 48.0);
    }

    @Test
    public void aNeighbourGivesWhatItMeasuresAcrossAndAlong() {
        RodRef rod = resolved(RodRef.KIND, new Binding.OfNeighbour("rod"));
        assertEquals(rod.diameterMm(), 10.0);
        assertEquals(rod.lengthMm(), 300.0, "along y");
        ProfileRef rail = resolved(ProfileRef.KIND, new Binding.OfNeighbour("rail"));
        assertEquals(rail.widthMm(), 20.0);
        assertEquals(rail.heightMm(), 40.0);
    }

    @Test
    public void aComponentOfTheBookGivesItsUsualSizeUnderItsOwnName() {
        FanRef fan = resolved(FanRef.KIND, new Binding.OfComponent("fan"));
        assertEquals(fan.name(), "Cooling fan");
        assertEquals(fan.depthMm(), 20.0);
        assertEquals(fan.known().how(), Known.How.USUAL);
        assertEquals(fan.known().words(), "Cooling fan: usual 40 mm fan, 20 thick, not measured");
        assertEquals(resolved(RodRef.KIND, new Binding.OfComponent("rail")).diameterMm(), 8.0);
        Machine later = rich().withBook(rich().book().takeOff("fan", LocalDate.of(2026, 5, 1)));
        assertTrue(new Resolver(later, (p, q) -> null).resolve(FanRef.KIND, new Binding.OfComponent("fan")).name().contains("taken off"));
        Machine back = later.withBook(later.book().fit(part("fan2", ComponentKind.FAN, "New fan").being("fan-30")));
        assertEquals(new Resolver(back, (p, q) -> null).resolve(FanRef.KIND, new Binding.OfComponent("fan2")).frameMm(), 30.0);
    }

    @DataProvider
    public Object[][] wrong() {
        return new Object[][] {
            {FanRef.KIND, new Binding.Usual("fan-7"), "not known to this version"},
            {FanRef.KIND, new Binding.Usual("hose-50"), "is of another kind"},
            {HolesRef.KIND, new Binding.OnSheet("gone", ""), "is gone from upgraded"},
            {FanRef.KIND, new Binding.OnSheet("holes", ""), "is of another kind"},
            {HolesRef.KIND, new Binding.AtSite("gone"), "is gone from upgraded"},
            {HolesRef.KIND, new Binding.AtSite("bare"), "No holes were read"},
            {MeshRef.KIND, new Binding.OfModel("gone"), "is not kept any more"},
            {RodRef.KIND, new Binding.OfNeighbour("gone"), "is gone from upgraded"},
            {FanRef.KIND, new Binding.OfNeighbour("rod"), "is of another kind"},
            {FanRef.KIND, new Binding.OfComponent("gone"), "is not in the book"},
            {FanRef.KIND, new Binding.OfComponent("rail"), "does not say what size"},
            {BoardRef.KIND, new Binding.OfComponent("brd"), "does not say what size “Main board” is"},
            {FanRef.KIND, new Binding.OfPort("p2", "tube"), "is of another kind"},
            {BodyRef.KIND, new Binding.Usual("fan-30"), "is of another kind"},
        };
    }

    @Test(dataProvider = "wrong")
    public void whatIsGoneOrOfAnotherKindIsSaid(RefKind<?> kind, Binding b, String words) {
        PartProblem e = expectThrows(PartProblem.class, () -> resolved(kind, b));
        assertTrue(e.getMessage().contains(words), e.getMessage());
    }

    /** Every kind of component that can be a usual thing has some to choose from. */
    @Test
    public void kindsOfComponentsNameKindsOfSheets() {
        for (ComponentKind k : ComponentKind.values()) {
            for (String thing : k.things()) {
                assertTrue(SheetKind.of(thing).isPresent(), k + " names the sheet “" + thing + "”");
                assertTrue(!UsualThing.ofKinds(List.of(thing)).isEmpty(), k.label());
            }
        }
    }

    @Test
    public void aMovedComponentStaysTheUsualThingItIs() {
        Book b = rich().book().add(new tinperch.machine.book.Loadout("fine", "Fine nozzle", "")).move("fan", "fan-moved", "fine", LocalDate.of(2026, 6, 1));
        assertEquals(b.component("fan-moved").orElseThrow().usual(), "fan-40x20");
        Book undone = b.strikeOut("fan-moved");
        assertEquals(undone.component("fan").orElseThrow().usual(), "fan-40x20");
        assertTrue(undone.component("fan").orElseThrow().off().isEmpty(), "back on");
        expectThrows(tinperch.machine.book.BookProblem.class, () -> b.being("nobody", "fan-30"));
    }
}
