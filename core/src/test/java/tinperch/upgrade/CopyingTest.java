package tinperch.upgrade;

import static org.testng.Assert.assertEquals;
import static tinperch.part.PartExamples.mesh;
import static tinperch.part.PartExamples.plate;
import static tinperch.part.PartExamples.values;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.family.BoardMount;
import tinperch.part.family.FanDuct;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.BossFeature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;

/** Features and bindings taken over from one part to another. */
public class CopyingTest {
    @Test
    public void featuresThatStandOnOneAnotherStillDoUnderNewNames() {
        Values plain = BossFeature.INSERT.typed(Values.START, "none");
        PartDesign from = plate(values()).with(new Feature("f1", "boss", "Boss", Anchor.middle("other piece", "plate", Vec3.Z).at(30, 10), plain, false))
                .with(new Feature("f2", "pad", "On it", Anchor.middle("other piece", "f1 boss", Vec3.Z), Values.START.with(PadFeature.LENGTH, 4.0).with(PadFeature.WIDTH, 4.0).with(PadFeature.HEIGHT, 2.0), false));
        PartDesign to = plate(values()).with(new Feature("f1", "hole", "Hole", Anchor.middle("part", "plate", Vec3.Z).at(-30, 10), Values.START, false));
        PartDesign next = Copying.features(from, to, List.of("part"));
        assertEquals(next.features().stream().map(Feature::id).toList(), List.of("f1", "f2", "f3"));
        double before = mesh(PartExamples.caseOf(to, PartExamples.shop(60, 50, 32, 32))).volumeMm3();
        double after = mesh(PartExamples.caseOf(next, PartExamples.shop(60, 50, 32, 32))).volumeMm3();
        // A boss of 9.2 × 6 as a polygon of 48 sides, and a pad of 4 × 4 × 2 upon it.
        assertEquals(after - before, 48 * 9.2 * 9.2 / 8 * Math.sin(2 * Math.PI / 48) * 6 + 32, 1e-5);
    }

    @Test
    public void bindingsGoToRolesOfTheSameNameOrKind() {
        PartDesign plate = plate(values()).bound(ToolCarriagePlate.MACHINE_SIDE.id(), new Binding.OnSheet("carriage", "")).bound(ToolCarriagePlate.TOOL_SIDE.id(), new Binding.OnSheet("tool", "")).atSite("front");
        PartDesign board = PartDesign.of("p2", "board-mount", "Board", Values.START);
        PartDesign next = Copying.bindings(plate, new ToolCarriagePlate(), board, new BoardMount(), true);
        assertEquals(next.bindings().get(BoardMount.MACHINE_SIDE.id()), new Binding.OnSheet("carriage", ""), "the role of the same name");
        assertEquals(next.bindings().containsKey(BoardMount.BOARD.id()), false, "nothing of the kind");
        assertEquals(next.siteId(), "front");
        PartDesign port = plate.bound(ToolCarriagePlate.MACHINE_SIDE.id(), new Binding.OfPort("p2", "x")).bound(ToolCarriagePlate.TOOL_SIDE.id(), new Binding.Usual("pair-40"));
        assertEquals(Copying.bindings(port, new ToolCarriagePlate(), board, new BoardMount(), true).bindings().size(), 0, "no part is bound to itself");
        PartDesign third = plate.bound(Map.of(ToolCarriagePlate.MACHINE_SIDE.id(), new Binding.OfPort("p7", "x")));
        assertEquals(Copying.bindings(third, new ToolCarriagePlate(), board, new BoardMount(), true).bindings().size(), 1);
        assertEquals(Copying.bindings(third, new ToolCarriagePlate(), board, new BoardMount(), false).bindings().size(), 0, "that part is not in this upgrade");
        assertEquals(Copying.bindings(board, new BoardMount(), PartDesign.of("p3", "fan-duct", "D", Values.START), new FanDuct(), true).bindings().size(), 0);
    }
}
