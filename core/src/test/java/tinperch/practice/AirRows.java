package tinperch.practice;

import static tinperch.practice.Bench.PLAIN;

import java.util.List;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.family.FanDuct;
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

    static List<Row> rows() {
        Values leaning = PLAIN.with(FanDuct.OUTLETS.offset, 40.0).with(FanDuct.OUTLETS.tilt, 0.0).with(FanDuct.OUTLETS.length, 45.0);
        return List.of(
                Row.of("P32", "new cooling without an insulating sock", () -> duct(PLAIN, nozzle(0.5)), () -> duct(PLAIN, nozzle(0.5).socked(true)), "draught.", "cools hot end, which is bare.*tune the heater anew").cures(),
                Row.of("P40", "a loft that thins where it leans", () -> duct(leaning.with(FanDuct.OUTLETS.wall, 0.9)), () -> duct(PLAIN), "skin.0", "at its thinnest").cures(),
                Row.of("P41", "a fan's intake 4 mm from a plate", () -> duct(PLAIN, wall(4)), () -> duct(PLAIN, wall(25)), "intake.0", "plate").measures(4, 1e-6),
                Row.of("P43", "a slot with a third of the fan's opening", () -> duct(PLAIN.with(FanDuct.OUTLETS.width, 18.0).with(FanDuct.OUTLETS.height, 16.0)), () -> duct(PLAIN), "air.0", "held back").cures(),
                Row.of("P44", "a jet that misses the tip by 4 mm", () -> duct(PLAIN, nozzle(4)), () -> duct(PLAIN, nozzle(0.5)), "aim.0", "misses the tip of hot end by 4 mm").measures(4, 0.01));
    }
}
