package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.SeatsFact;
import tinperch.fact.SeatsFact.Seat;
import tinperch.fact.WallsFact;
import tinperch.part.form.Cavity;
import tinperch.part.form.Lie;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * Screws that cut their own thread into the part: one and a half diameters of plastic have to be round them, and where they go in between the layers they wedge these apart unless the wall beside them is as
 * thick as the screw (common practice).
 */
public final class CutThreadCheck implements Check {
    private static final double DIAMETERS = 1.5;
    private static final double LIES = Math.sin(Math.toRadians(30));

    @Override
    public String about() {
        return "cut threads";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (facts.get(FormFact.FORM).form().map(f -> f.screws().stream().noneMatch(s -> s.end() == SeatKind.CUT)).orElse(true)) {
            return List.of();
        }
        Map<String, Seat> worst = new LinkedHashMap<>();
        facts.get(SeatsFact.SEATS).stream().filter(s -> s.screw().end() == SeatKind.CUT).forEach(s -> worst.merge(s.screw().pieceId() + "." + s.screw().row(), s, (a, b) -> b.threadMm() < a.threadMm() ? b : a));
        List<Finding> all = new ArrayList<>();
        worst.forEach((row, s) -> {
            all.add(engaged("cut." + row, s, c));
            if (isBetweenLayers(s.screw(), c.lie(s.screw().pieceId()))) {
                walls(s.screw(), facts).ifPresent(mm -> all.add(between("split." + row, s.screw(), mm, c, facts)));
            }
        });
        return all;
    }

    private static Finding engaged(String id, Seat s, Case c) {
        Screw k = s.screw();
        double wanted = DIAMETERS * k.thread().diameterMm();
        double mm = Math.round(s.threadMm() * 100) / 100.0;
        boolean good = mm >= wanted - 0.05;
        String why = "One and a half diameters are wanted, " + Quantity.mm(wanted) + " (common practice). A thread in plastic is worn after a few times of taking out; what is opened often, or shaken, wants an insert or a nut.";
        Finding f = Finding.of(id, good ? Severity.FINE : Severity.LOOK, good ? "The " + k.rowLabel() + " cut " + Quantity.mm(mm) + " into the plastic" : "The " + k.rowLabel() + " find only " + Quantity.mm(mm) + " of plastic to cut into", why)
                .measured(new Margin(mm, wanted, Unit.MM, true)).at(k.pieceId(), k.row());
        if (good) {
            return f;
        }
        List<Remedy> all = new ArrayList<>();
        k.grip().forEach(l -> all.add(Remedy.pull(l, c.recipe().values(), wanted - mm)));
        all.addAll(OtherSeats.of(k, c));
        return f.with(all);
    }

    private static boolean isBetweenLayers(Screw k, Lie lie) {
        return Math.abs(k.axis().w().dot(lie.up())) < LIES;
    }

    /** The least wall beside the holes of its row. */
    private static OptionalDouble walls(Screw k, Facts facts) {
        Set<String> ids = facts.get(SeatsFact.SEATS).stream().map(Seat::screw).filter(s -> s.row().equals(k.row()) && s.pieceId().equals(k.pieceId())).map(Screw::id).collect(Collectors.toSet());
        return facts.get(WallsFact.WALLS).stream().filter(w -> w.piece().id().equals(k.pieceId()) && w.cavity().purpose() == Cavity.Purpose.THREAD && ids.contains(w.cavity().group()) && w.aroundMm().isPresent())
                .mapToDouble(w -> w.aroundMm().getAsDouble()).min();
    }

    private static Finding between(String id, Screw k, double mm, Case c, Facts facts) {
        double wanted = k.thread().diameterMm();
        boolean good = mm >= wanted - 1e-6;
        return Finding.of(id, good ? Severity.FINE : Severity.LOOK, good ? "The " + k.rowLabel() + " go in between the layers of a thick wall" : "The " + k.rowLabel() + " go in between the layers and split them apart",
                "As it lies on the bed they run along its layers, and a screw that cuts its thread wedges them open: a wall as thick as the screw, " + Quantity.mm(wanted) + ", stands that beside it (common practice). Print it so that they go across the layers, or let them go into a nut or an insert.")
                .measured(new Margin(mm, wanted, Unit.MM, true)).at(k.pieceId(), k.row()).with(good ? List.of() : remedies(k, c, facts));
    }

    private static List<Remedy> remedies(Screw k, Case c, Facts facts) {
        List<Remedy> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().flatMap(f -> f.piece(k.pieceId())).ifPresent(p -> all.addAll(OtherLies.of(c, facts, p, o -> !isBetweenLayers(k, o), 1)));
        all.addAll(OtherSeats.of(k, c));
        return all;
    }
}
