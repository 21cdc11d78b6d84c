package tinperch.practice;

import java.util.ArrayList;
import java.util.List;
import tinperch.machine.Machine;
import tinperch.part.ModelExamples;
import tinperch.part.PartExamples;
import tinperch.part.family.ChannelGuide;
import tinperch.part.family.CornerBracket;
import tinperch.part.family.BallArm;
import tinperch.part.family.HoseAdapter;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;
import tinperch.upgrade.Shop;

/** What cannot be printed, or breaks. */
final class PrintRows {
    private PrintRows() {}

    private static Case adapter(double wallMm, double nozzleMm) {
        Case c = PartExamples.usual("hose-adapter", Values.START.with(HoseAdapter.WALL, wallMm));
        List<Machine> all = new ArrayList<>(c.printers());
        all.replaceAll(m -> m.id().equals(c.upgrade().hostMachineId()) ? m.withNozzle(nozzleMm) : m);
        return Case.of(c.upgrade(), c.part().id(), new Shop(all, c.hardware(), c.drawer(), c.models()), "");
    }

    private static Case guide(double lengthMm, String host) {
        Case c = PartExamples.usual("channel-guide", Values.START.with(ChannelGuide.LENGTH, lengthMm));
        return Case.of(c.upgrade().onHost(host), c.part().id(), new Shop(c.printers(), c.hardware(), c.drawer(), c.models()), "");
    }

    /** A wheel's preload on the far end of a leg. */
    private static Case bracket(double legMm, double newton) {
        Case c = PartExamples.usual("corner-bracket", Values.START.with(CornerBracket.THICKNESS, legMm).with(CornerBracket.WEB, 0.0));
        Bounds b = PartExamples.mesh(c).bounds();
        Vec3 far = new Vec3(b.max().x() - 0.3, (b.min().y() + b.max().y()) / 2, b.max().z() - 0.3);
        return PartExamples.caseOf(c.part().bearing(new Load("l", "the wheel's preload", "part", far, Vec3.X.times(-newton), Load.Lasting.STEADY)), PartExamples.shop(60, 50, 32, 32));
    }

    /** An arm of so many ball links with a board of 150 g at its end. */
    private static Case arm(int links, double ballMm) {
        Case c = PartExamples.usual("ball-arm", Values.START.with(BallArm.LINKS, (double) links).with(BallArm.CUP.ball, ballMm));
        return PartExamples.caseOf(c.part().withMaterial("PLA").bearing(new Load("l", "the board", "head", Vec3.ZERO, Vec3.Z.times(0.15 * 9.80665), Load.Lasting.STEADY)), PartExamples.shop(60, 50, 32, 32));
    }

    /** A plate of PLA so long, on a bed that is cold or warm; the other machine's is warm. */
    private static Case flat(double longMm, boolean warm) {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        List<Machine> all = new ArrayList<>(shop.machines());
        all.replaceAll(m -> m.id().equals("large") ? m.withHeatedBed(warm) : m.withMaterials(List.of("PLA")).withState(Machine.State.FIT, ""));
        return PartExamples.caseOf(PartExamples.plate(PartExamples.values().with(ToolCarriagePlate.WIDTH, longMm)).withMaterial("PLA"), new Shop(all, shop.hardware(), shop.drawer(), shop.models()));
    }

    /** A plate with bosses above and, or not, a block below: whichever way it lies, a rim hangs. */
    private static Case rim(boolean block) {
        Case c = PartExamples.plateCase(PartExamples.values());
        Feature f = new Feature("f1", "pad", "Block", Anchor.middle("part", "plate", Vec3.Z.times(-1)), Values.START.with(PadFeature.LENGTH, 20.0).with(PadFeature.WIDTH, 20.0).with(PadFeature.HEIGHT, 6.0), false);
        return block ? PartExamples.caseOf(c.part().with(f), PartExamples.shop(60, 50, 32, 32)) : c;
    }

    /** Somebody's bracket with two holes so wide, on a printer whose holes come out 0.2 small. */
    private static Case holder(double holesMm) {
        Solid holes = Solid.union(Leaf.extrusion("a", Profile.hole(-10, 0, holesMm, 64), Placement.HERE, -1, 7), Leaf.extrusion("b", Profile.hole(10, 0, holesMm, 64), Placement.HERE, -1, 7));
        Mesh mesh = SolidKernel.evaluate(new Solid.Difference(Leaf.extrusion("block", Profile.rectangle(0, 0, 40, 20), Placement.HERE, 0, 6), List.of(holes)), Tolerances.USUAL);
        return ModelExamples.of(mesh, Values.START.with(Marking.HEIGHT, 0.0), 0.2, "");
    }

    static List<Row> rows() {
        return List.of(
                Row.of("P07", "holes drawn at 3.0 for M3, and the printer's come out 0.2 small", () -> holder(3), () -> holder(3.6), "bore.part.m3", "2 holes drawn at 3 mm come out at 2.8 mm: no M3.*3.4 mm .ISO 273").measures(2.8, 0.02).cures(),
                Row.of("P55", "a flat part of 150 mm on an unheated bed", () -> flat(150, false), () -> flat(150, true), "warp.part", "ends may pull up.*150|shrinks by 0.3 %.*A cold bed").measures(Math.hypot(150, 70) * 0.003, 1e-6).cures(),
                Row.of("P56", "a rim that needs support in every orientation", () -> rim(true), () -> rim(false), "overhang.part", "hang in the air.*On none of its sides less of it hangs: two pieces"),
                Row.of("P38", "five ball links carry a board: it sinks over weeks", () -> arm(5, 20), () -> arm(1, 20), "ball.0", "The arm sinks over weeks.*for good .25 %: they creep").cures(),
                Row.of("P35", "an unsupported tab bends under a wheel's preload", () -> bracket(3, 60), () -> bracket(12, 6), "strength.l", "bear|breaks"),
                Row.of("P54", "a guide of 230 mm on a bed of 84", () -> guide(230, "small"), () -> guide(120, "large"), "bed", "Too large for small"),
                Row.of("P58", "the machine that is in pieces is to print its own part", () -> guide(120, "upgraded"), () -> guide(120, "large"), "bed", "cannot print it now|in pieces").cures(),
                Row.of("P59", "walls of 1 mm, and the host carries a nozzle of 1.2", () -> adapter(1, 1.2), () -> adapter(1, 0.4), "thin.", "vanishes").measures(1, 0.15));
    }
}
