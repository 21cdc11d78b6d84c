package tinperch.practice;

import java.util.List;
import tinperch.machine.Machine;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.measure.HolePair;
import tinperch.measure.MeasuredPatternTest;
import tinperch.measure.PatternSheet;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Parts of one side put on the other: a plate on a wall whose four holes were read. */
final class SideRows {
    private SideRows() {}

    private static Sheet sheet(String id, double... xy) {
        PatternSheet p = MeasuredPatternTest.exact(xy, 3.3, HolePair.values());
        return new Sheet(id, SheetKind.HOLES, id, p.readings());
    }

    private static Case plate(Sheet partFrom, Sheet siteHas) {
        Surroundings s = new Surroundings(List.of(), List.of(), List.of(), List.of(new Site("s", "right post", "", Vec3.ZERO, Vec3.Y, 0, 0.1, siteHas.id())));
        PartDesign part = PartExamples.plate(PartExamples.values()).bound("mount", new Binding.OnSheet(partFrom.id(), "")).atSite("s");
        return Bench.caseOf(part, m -> {
            Machine with = m.with(partFrom);
            return (siteHas.id().equals(partFrom.id()) ? with : with.with(siteHas)).withSurroundings(s);
        });
    }

    static List<Row> rows() {
        Sheet left = sheet("left", 0, 0, 60, 0, 60, 50, 0, 50);
        Sheet right = sheet("right", 0, 0, 60, 0, 60, 56, 0, 56);
        Sheet odd = sheet("odd", 0, 0, 60, 0, 60, 50, 8, 50);
        Sheet mirror = sheet("mirror", 0, 0, 60, 0, 52, 50, 0, 50);
        return List.of(
                Row.of("P01", "the right post's part from the left one's readings, whose holes are 6 mm nearer", () -> plate(left, right), () -> plate(right, right), "site-holes", "do not meet the holes of right post.*misses by 3 mm").cures(),
                Row.of("P02", "modelled as the mirror image of the pattern it must meet", () -> plate(mirror, odd), () -> plate(odd, odd), "site-holes", "only turned over: it is the mirror image").cures());
    }
}
