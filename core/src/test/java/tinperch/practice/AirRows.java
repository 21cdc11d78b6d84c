package tinperch.practice;

import static tinperch.practice.Bench.PLAIN;

import java.util.List;
import java.util.Optional;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.family.FanDuct;
import tinperch.part.family.FilterHousing;
import tinperch.part.param.Values;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;

/** Air that does not get there. */
final class AirRows {
    private static final Values STRAIGHT = PLAIN.with(FanDuct.OUTLETS.tilt, 0.0).with(FanDuct.OUTLETS.offset, 0.0);

    private AirRows() {}

    private static Case duct(Values v, Neighbour... around) {
        Surroundings s = Surroundings.NONE.with(new Site("there", "there", "", Vec3.ZERO, Vec3.X, 0, 0.3, ""));
        for (Neighbour n : around) {
            s = s.with(n);
        }
        Machine m = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").withSurroundings(s).withEnclosed(false);
        return PartExamples.caseOf(PartDesign.of("p1", "fan-duct", "duct", v).atSite("there"), PartExamples.shop(m));
    }

    private static Neighbour wall(double gapMm) {
        return Bench.solid("plate", "", new Vec3(-10 - gapMm - 3, -50, -50), new Vec3(3, 100, 100));
    }

    /** A nozzle whose tip lies 25 mm before the outlet and so far beside its middle line. */
    private static Neighbour nozzle(double besideMm) {
        Case c = duct(PLAIN);
        FactsOnce f = new FactsOnce(c);
        Placement out = RestFact.inMachine(c, f).orElseThrow().times(f.get(FormFact.FORM).form().orElseThrow().air().get(0).outlet());
        Vec3 tip = out.point(besideMm, 0, 25);
        return new Neighbour("hot end", "hot end", "", Neighbour.Kind.HOT, Neighbour.Form.BOX, new Vec3(tip.x() - 5, tip.y() - 5, tip.z()), new Vec3(10, 10, 12), "z", 0.1, 240);
    }

    /** A fan that draws from the gap before the duct's own fan, so far away. */
    private static Neighbour fan(double gapMm) {
        return Bench.solid("fins fan", "", new Vec3(-10 - gapMm - 10, -20, -20), new Vec3(10, 40, 40)).going("-x");
    }

    /** A fan that blows at the duct's outlet, so far from it. */
    private static Neighbour against(double gapMm) {
        Case c = duct(STRAIGHT);
        FactsOnce f = new FactsOnce(c);
        Placement out = RestFact.inMachine(c, f).orElseThrow().times(f.get(FormFact.FORM).form().orElseThrow().air().get(0).outlet());
        Vec3 at = out.point(0, 0, gapMm);
        return Bench.solid("room fan", "", new Vec3(at.x(), at.y() - 20, at.z() - 20), new Vec3(10, 40, 40)).going("-x");
    }

    private static Case filter(String medium) {
        return Bench.caseOf(PartDesign.of("p1", "filter-housing", "filter box", PLAIN.with(FilterHousing.MEDIUM, Optional.of(medium))), m -> m);
    }

    static List<Row> rows() {
        Values leaning = PLAIN.with(FanDuct.OUTLETS.offset, 40.0).with(FanDuct.OUTLETS.tilt, 0.0).with(FanDuct.OUTLETS.length, 45.0);
        return List.of(
                Row.of("P32", "new cooling without an insulating sock", () -> duct(PLAIN, nozzle(0.5)), () -> duct(PLAIN, nozzle(0.5).socked(true)), "draught.", "cools hot end, which is bare.*tune the heater anew").cures(),
                Row.of("P40", "a loft that thins where it leans", () -> duct(leaning.with(FanDuct.OUTLETS.wall, 0.9)), () -> duct(PLAIN), "skin.0", "at its thinnest").cures(),
                Row.of("P41", "a fan's intake 4 mm from a plate", () -> duct(PLAIN, wall(4)), () -> duct(PLAIN, wall(25)), "intake.0", "plate").measures(4, 1e-6),
                Row.of("P41b", "another fan that draws from the same gap", () -> duct(PLAIN, fan(20)), () -> duct(PLAIN, fan(45)), "fans.", "40 mm fan, 10 thick and fins fan draw from the same gap of 20 mm").measures(20, 1e-6),
                Row.of("P41c", "a fan that blows against the duct", () -> duct(STRAIGHT, against(60)), () -> duct(STRAIGHT, against(300)), "fans.", "and room fan blow against each other, 60 mm apart").measures(60, 1e-6),
                Row.of("P45", "charcoal alone against particles", () -> filter("carbon"), () -> filter("fine particles and carbon"), "filter.0", "A cartridge of carbon lets the fine particles of ABS, ASA, PC through").cures(),
                Row.of("P43", "a slot with a third of the fan's opening", () -> duct(PLAIN.with(FanDuct.OUTLETS.width, 18.0).with(FanDuct.OUTLETS.height, 16.0)), () -> duct(PLAIN), "air.0", "held back").cures(),
                Row.of("P44", "a jet that misses the tip by 4 mm", () -> duct(PLAIN, nozzle(4)), () -> duct(PLAIN, nozzle(0.5)), "aim.0", "misses the tip of hot end by 4 mm").measures(4, 0.01));
    }
}
