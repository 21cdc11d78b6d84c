package tinperch.part;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.judge.Judge;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.measure.HolePair;
import tinperch.measure.MeasuredPatternTest;
import tinperch.measure.PatternSheet;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.bind.Binding;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.mark.Marking;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

/** Machines, parts and cases for many tests. */
public final class PartExamples {
    public static final ScrewDrawer DRAWER = new ScrewDrawer(Map.of("M3", List.of(6d, 8d, 10d, 12d, 16d, 20d, 25d), "M5", List.of(20d, 25d)));

    private PartExamples() {}

    public static Machine machine(String id, double x, double y, double z, Machine.State state, String... materials) {
        return new Machine(id, id, Machine.Kind.CUBE, "", new Machine.Space(x, y, z), 0.4, true, 24, 0, List.of(materials), state, "", Book.EMPTY);
    }

    public static Sheet holes(String id, double w, double h, HolePair... pairs) {
        PatternSheet p = MeasuredPatternTest.exact(new double[] {0, 0, w, 0, w, h, 0, h}, 3.3, pairs.length == 0 ? HolePair.values() : pairs);
        return new Sheet(id, SheetKind.HOLES, id, p.readings());
    }

    /** The machine under upgrade with two patterns read, a large one to print on, a small one. */
    public static Shop shop(double mountW, double mountH, double toolW, double toolH) {
        return shop(machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").with(holes("mount", mountW, mountH)).with(holes("tool", toolW, toolH)));
    }

    public static Shop shop(Machine upgraded) {
        return new Shop(List.of(upgraded, machine("large", 200, 200, 200, Machine.State.FIT, "PETG", "PLA"),
                machine("small", 84, 84, 84, Machine.State.FIT, "PETG")), HardwareTables.STANDARD, DRAWER, Models.NONE);
    }

    /** Plate 80 × 70 × 8, no rounding, no mark. */
    public static Values values() {
        return Values.START.with(ToolCarriagePlate.WIDTH, 80.0).with(ToolCarriagePlate.HEIGHT, 70.0).with(ToolCarriagePlate.THICKNESS, 8.0)
                .with(ToolCarriagePlate.CORNER, 0.0).with(Marking.HEIGHT, 0.0).with(ToolCarriagePlate.MOUNT.held, 3.0).with(ToolCarriagePlate.MOUNT.length, 16.0);
    }

    /** The plate bound to the two patterns. */
    public static PartDesign plate(Values v) {
        return PartDesign.of("p1", "tool-carriage-plate", "Carriage plate", v).bound("mount", new Binding.OnSheet("mount", "")).bound("tool", new Binding.OnSheet("tool", ""));
    }

    public static Upgrade upgrade(PartDesign... parts) {
        return new Upgrade("u", "upgraded", "Carriage", LocalDate.of(2026, 1, 5), Trouble.NONE, List.of(parts), "large");
    }

    /** The plate between a 60 × 50 pattern on the machine and a 32 × 32 one of the tool. */
    public static Case plateCase(Values v) {
        return caseOf(plate(v), shop(60, 50, 32, 32));
    }

    public static Case caseOf(PartDesign part, Shop shop) {
        return Case.of(upgrade(part), part.id(), shop, "");
    }

    /** A part of a family bound to nothing but usual sizes. */
    public static Case usual(String familyId, Values v) {
        return caseOf(PartDesign.of("p1", familyId, "part", v), shop(60, 50, 32, 32));
    }

    public static List<Mesh> meshes(Case c) {
        MeshesFact.Answer a = new FactsOnce(c).get(MeshesFact.MESHES);
        if (a.pieces().isEmpty()) {
            throw new PartProblem(a.problem());
        }
        return a.pieces().stream().map(MeshesFact.Made::mesh).toList();
    }

    public static Mesh mesh(Case c) {
        return meshes(c).get(0);
    }

    public static List<tinperch.check.Finding> findings(Case c) {
        return Judge.judge(c, new FactsOnce(c)).findings();
    }

    public static tinperch.check.Finding find(Case c, String id) {
        return findings(c).stream().filter(f -> f.id().equals(id)).findFirst().orElseThrow(() -> new AssertionError("no finding " + id + " among "
                + findings(c).stream().map(tinperch.check.Finding::id).toList()));
    }
}
