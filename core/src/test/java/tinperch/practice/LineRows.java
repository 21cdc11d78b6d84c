package tinperch.practice;

import java.time.LocalDate;
import java.util.List;
import java.util.function.UnaryOperator;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;
import tinperch.machine.Machine;
import tinperch.machine.book.SettingChange;
import tinperch.machine.space.Along;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.family.WheelCarriage;
import tinperch.part.form.Track;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/** Filament, belts and probes that must meet what is on the machine: a carriage that lies flat and runs along x. */
final class LineRows {
    private static final Vec3 AT = new Vec3(100, 50, 80);

    private LineRows() {}

    private static Case carriage(Values v, UnaryOperator<Machine> machine, List<Neighbour> around, List<Run> runs) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1)), List.of(new Group("carriage", List.of("x"))), around, List.of(new Site("s", "top", "carriage", AT, Vec3.Z, 0, 0.3, "")), List.of(), "", List.of(), runs);
        return Bench.caseOf(PartDesign.of("p1", "wheel-carriage", "carriage", v).withMaterial("PETG").atSite("s"), m -> machine.apply(m.withSurroundings(s)));
    }

    private static Vec3 line(Case c, Track.Kind kind) {
        FactsOnce f = new FactsOnce(c);
        Track t = f.get(FormFact.FORM).form().orElseThrow().tracks().stream().filter(k -> k.kind() == kind).findFirst().orElseThrow();
        return RestFact.inMachine(c, f).orElseThrow().times(t.along()).origin();
    }

    /** A hot end whose middle stands so far beside where the filament comes down. */
    private static Case filament(double besideMm) {
        Values v = Bench.PLAIN.with(WheelCarriage.PATH, 4.2);
        Vec3 p = line(carriage(v, m -> m, List.of(), List.of()), Track.Kind.FILAMENT);
        return carriage(v, m -> m, List.of(Bench.hot("hot end", 230, new Vec3(p.x() + besideMm - 10, p.y() - 8, 20), new Vec3(20, 16, 20))), List.of());
    }

    /** A pulley 150 mm on whose belt runs so much lower than the clamp. */
    private static Case belt(double lowerMm) {
        Vec3 p = line(carriage(Bench.PLAIN, m -> m, List.of(), List.of()), Track.Kind.BELT);
        Run belt = new Run("b", "x belt", Run.Kind.BELT, List.of(new Run.Hold("", new Vec3(p.x() + 260, p.y(), p.z() - lowerMm)), new Run.Hold("carriage", p)), 6, Along.Z, 0, 0);
        return carriage(Bench.PLAIN, m -> m, List.of(), List.of(belt));
    }

    /** The book holds the offset the old mount had, this much other than the new one's. */
    private static Case probe(double movedMm) {
        Values v = Bench.PLAIN.with(WheelCarriage.PROBE, 12.0);
        Vec3 p = line(carriage(v, m -> m, List.of(), List.of()), Track.Kind.PROBE);
        LocalDate day = LocalDate.of(2026, 1, 1);
        return carriage(v, m -> m.withBook(m.book().set(new SettingChange("s1", "probe.x", 42 + movedMm, "", day, "", "")).set(new SettingChange("s2", "probe.y", -3, "", day, "", ""))),
                List.of(Bench.hot("hot end", 230, new Vec3(p.x() - 42 - 10, p.y() + 3 - 8, 20), new Vec3(20, 16, 20))), List.of());
    }

    /** Filament led round three guides at right angles, or one, to a drive of 6 N; the foot is the first guide. */
    private static Case guided(int guides) {
        Vec3[] way = {new Vec3(0, 20, -200), new Vec3(0, 20, 0), new Vec3(150, 20, 0), new Vec3(150, 20, 150), new Vec3(300, 20, 150)};
        List<Run.Hold> holds = java.util.Arrays.stream(way).limit(guides + 2).map(v -> new Run.Hold("", v)).toList();
        Run filament = new Run("f", "filament", Run.Kind.FILAMENT, holds, 1.75, Along.Z, 0, 0);
        return Bench.on("soft-foot", Bench.PLAIN, "PETG", m -> m.withBook(m.book().set(new SettingChange("s", "pull.drive", 6, "", LocalDate.of(2026, 1, 1), "", ""))), List.of(), List.of(filament));
    }

    static List<Row> rows() {
        return List.of(
                // Three right angles at μ = 0.25 are e^(0.25·3π/2) = 3.25 (capstan, TRADE check value): 2 N become 6.5.
                Row.of("P63", "three guides at right angles and a weak drive", () -> guided(3), () -> guided(1), "pull.f", "The drive slips: filament wants 6.5 N behind its guides.*270° together: 3.25 times").measures(6.496, 0.001).cures(),
                Row.of("P05", "a belt clamp 1.2 mm higher than the pulley's belt line", () -> belt(1.2), () -> belt(0.2), "line.belt", "1.2 mm off its line.* over 60 mm, that is 1.1°").measures(1.2, 1e-6).cures(),
                Row.of("P64", "the filament comes down 1 mm beside the hot end's inlet", () -> filament(1), () -> filament(0.2), "line.filament", "1 mm beside the hot end's inlet").measures(1, 1e-6).cures(),
                Row.of("P65", "a probe not measured anew after a new mount", () -> probe(-5), () -> probe(0), "line.probe", "becomes x 42 mm, y −3 mm; the machine still has x 37 mm, y −3 mm").measures(5, 1e-6));
    }
}
