package tinperch.practice;

import java.util.List;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.PartExamples;
import tinperch.part.family.ChannelGuide;
import tinperch.part.family.FanBracket;
import tinperch.part.family.FrameBrace;
import tinperch.part.family.HoseAdapter;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.form.Joint;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.PadFeature;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/** Screws, inserts, bushes, snaps. */
final class ScrewRows {
    private ScrewRows() {}

    private static Case plate(Values v) {
        return PartExamples.plateCase(v);
    }

    private static Values screw(double lengthMm) {
        return PartExamples.values().with(ToolCarriagePlate.MOUNT.length, lengthMm);
    }

    private static Case brace(double xMm, double yMm) {
        return PartExamples.usual("frame-brace", Values.START.with(FrameBrace.ROOFS, false).with(FrameBrace.BUSHES.on, true).with(FrameBrace.BUSHES.misfitX, xMm).with(FrameBrace.BUSHES.misfitY, yMm));
    }

    private static Case ring(String material, double beadMm, double slitMm) {
        Case c = PartExamples.usual("hose-adapter", Values.START.with(HoseAdapter.BEAD, beadMm).with(HoseAdapter.SLIT, slitMm));
        return PartExamples.caseOf(c.part().withMaterial(material), PartExamples.shop(60, 50, 32, 32));
    }

    /** A channel with so much play at each side of the slide. */
    private static Case channel(double eachSideMm) {
        Case c = PartExamples.usual("channel-guide", Values.START);
        Joint.Guide g = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow().joints().stream().filter(Joint.Guide.class::isInstance).map(Joint.Guide.class::cast).findFirst().orElseThrow();
        return PartExamples.usual("channel-guide", Values.START.with(ChannelGuide.PLAY, ChannelGuide.PLAY.start() + eachSideMm - g.eachSideMm()));
    }

    /** Captive nuts of the mount, and on the face their pockets open to a pad that covers one of them or stands beside it. */
    private static Case padded(boolean over) {
        Case c = plate(PartExamples.values().with(ToolCarriagePlate.MOUNT.seat, SeatKind.CAPTIVE_NUT).with(ToolCarriagePlate.MOUNT.length, 12.0));
        Screw s = new FactsOnce(c).get(FormFact.FORM).form().orElseThrow().screws().stream().filter(x -> x.row().equals("mount")).findFirst().orElseThrow();
        Vec3 nut = s.axis().point(0, 0, s.endMm());
        Values pad = Values.START.with(PadFeature.LENGTH, 9.0).with(PadFeature.WIDTH, 9.0).with(PadFeature.HEIGHT, 3.0);
        Feature f = new Feature("f1", "pad", "Pad", Anchor.middle("part", "plate", s.axis().w()).at(over ? nut.x() : 0, over ? nut.y() : 26), pad, false);
        return PartExamples.caseOf(c.part().with(f), PartExamples.shop(60, 50, 32, 32));
    }

    /** A tool of a row of screws that cut their own thread into its bosses, shaken with so many newtons. */
    private static Case shaken(double newton, SeatKind into) {
        Case c = plate(screw(16).with(ToolCarriagePlate.CARRIED.seat, into).with(ToolCarriagePlate.CARRIED.length, 8.0));
        return PartExamples.caseOf(c.part().withMaterial("PETG").bearing(new Load("l", "the shaking tool", "part", new Vec3(0, 0, 100), Vec3.X.times(newton), Load.Lasting.AGAIN)), PartExamples.shop(60, 50, 32, 32));
    }

    /** Screws into a bracket's wall that stands on the bed. */
    private static Case between(SeatKind into) {
        return PartExamples.usual("fan-bracket", Values.START.with(Marking.HEIGHT, 0.0).with(FanBracket.WALL, 8.0).with(FanBracket.SCREWS.seat, into).with(FanBracket.SCREWS.length, into == SeatKind.CUT ? 16.0 : 20.0));
    }

    static List<Row> rows() {
        return List.of(
                Row.of("P17", "a pad over the pocket of a captive nut", () -> padded(true), () -> padded(false), "nut.mount", "No way in for the nuts of the machine-side screws: .* closes the pocket").cures(),
                Row.of("P11", "screws cut straight into plastic carry a shaking tool", () -> shaken(90, SeatKind.CUT), () -> shaken(90, SeatKind.INSERT), "hold.part.tool", "do not hold “the shaking tool” for good").cures(),
                Row.of("P18", "screws go in between the layers of an upright wall", () -> between(SeatKind.CUT), () -> between(SeatKind.LOOSE_NUT), "split.part.fan", "go in between the layers and split them apart").measures(2.88, 0.05).cures(),
                Row.of("P28", "a guide round a moving upright with 0.05 mm each side", () -> channel(0.05), () -> channel(0.25), "guide.", "binds in the channel: 0.05 mm each side").measures(0.05, 1e-9).cures(),
                Row.of("P28b", "and with 0.8 mm", () -> channel(0.8), () -> channel(0.25), "guide.", "does not guide .*0.8 mm each side").measures(0.8, 1e-9).cures(),
                Row.of("P06", "upper holes off by (0.7, −0.4) mm: bushes in steps of 0.5 leave 0.45", () -> brace(0.7, -0.4), () -> brace(0.5, 0), "bush.0", "0.45 mm off").measures(Math.hypot(0.2, 0.4), 1e-6),
                Row.of("P09", "a screw of 34 where 14.4 to 23.4 fit", () -> plate(screw(34)), () -> plate(screw(16)), "screw.mount", "M3×34 is .* too long").cures(),
                Row.of("P10", "screws short after the plate was thickened", () -> plate(screw(16).with(ToolCarriagePlate.THICKNESS, 12.0)), () -> plate(screw(16)), "screw.mount", "M3×16 is 2.4 mm short").cures(),
                Row.of("P12", "an insert longer than the wall there", () -> plate(screw(12).with(ToolCarriagePlate.THICKNESS, 4.0).with(ToolCarriagePlate.CARRIED.standoff, 0.0).with(ToolCarriagePlate.CARRIED.insert, 5.7)),
                        () -> plate(screw(16)), "wall.part.tool.insert.under", "insert"),
                Row.of("P13", "an insert 1 mm from the edge", () -> plate(screw(16).with(ToolCarriagePlate.CARRIED.standoff, 0.0).with(ToolCarriagePlate.CARRIED.x, 21.0)),
                        () -> plate(screw(16)), "wall.part.tool.insert.around", "1 mm").measures(1, 0.1).cures(),
                Row.of("P36", "a thin snap ring of PLA bent to 4 %", () -> ring("PLA", 1.2, 0), () -> ring("PETG", 0.5, 2), "snap.0", "breaks after a few times"),
                Row.of("P36b", "a stout closed ring that no hand pushes over its bead", () -> ring("PETG", 0.6, 0), () -> ring("PETG", 0.6, 2), "snap.0", "hard to push on.*squarely").cures());
    }

}
