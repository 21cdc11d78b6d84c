package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.BesideFact;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.AirPath;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/**
 * Do fans work against each other? Two that draw from the same gap starve each other: the plane midway is to each what a wall is, so the gap has to be twice the half diameter a wall may come near
 * (common practice, by symmetry). Two jets that meet head on take the push out of each other within the six diameters a free jet keeps its speed for (handbook value). Fans of the machine are neighbours that
 * say where they blow to.
 */
public final class FansCheck implements Check {
    /** Straight on, give or take: less opposed they pass each other. */
    private static final double HEAD_ON = -Math.cos(Math.toRadians(30));
    private static final double CORE = 6;
    private static final double ROUND = Math.PI / 4;

    /** Where air goes in or comes out: z away from what is behind it. */
    private record Mouth(String name, Placement at, double diameterMm, boolean draws) {
        /** How far the other lies straight before it; empty where they do not look at each other. */
        Optional<Double> facing(Mouth o) {
            Vec3 way = o.at.origin().minus(at.origin());
            double along = way.dot(at.w());
            double beside = way.minus(at.w().times(along)).length();
            return draws == o.draws && along > 0 && at.w().dot(o.at.w()) <= HEAD_ON && beside < (diameterMm + o.diameterMm) / 2 ? Optional.of(along) : Optional.empty();
        }

        double wantedMm(Mouth o) {
            return draws ? (diameterMm + o.diameterMm) / 2 : CORE * Math.min(diameterMm, o.diameterMm);
        }
    }

    @Override
    public String about() {
        return "fans";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<AirPath> air = facts.get(FormFact.FORM).form().map(f -> f.air()).orElse(List.of());
        Optional<Placement> place = air.isEmpty() ? Optional.empty() : RestFact.inMachine(c, facts);
        if (place.isEmpty()) {
            return List.of();
        }
        List<Mouth> own = mouths(air, place.get(), "");
        List<Mouth> others = others(c, facts);
        List<Finding> all = new ArrayList<>();
        for (int i = 0; i < own.size(); i++) {
            Mouth m = own.get(i);
            // Its own others only once.
            List<Mouth> against = new ArrayList<>(own.subList(i + 1, own.size()));
            against.addAll(others);
            for (Mouth o : against) {
                m.facing(o).ifPresent(mm -> all.add(finding("fans." + all.size(), m, o, mm)));
            }
        }
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    /** @param of what the fans are of, " of the duct"; empty for the part's own */
    private static List<Mouth> mouths(List<AirPath> air, Placement place, String of) {
        List<Mouth> all = new ArrayList<>();
        for (AirPath a : air) {
            a.intake().ifPresent(i -> all.add(new Mouth(a.mover() + of, place.times(i.at()), i.diameterMm(), true)));
            all.add(new Mouth(a.mover() + of, place.times(a.outlet()), Math.sqrt(a.outletMm2() / ROUND), false));
        }
        return all;
    }

    /** Both mouths of each fan of the machine and of the upgrade's other parts, axes at home. */
    private static List<Mouth> others(Case c, Facts facts) {
        Surroundings space = c.machine().surroundings();
        Vec3 own = space.shift(c.site().orElseThrow().group(), space.home());
        List<Mouth> all = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            n.blows().ifPresent(w -> {
                Vec3 lies = space.shift(n.group(), space.home()).minus(own);
                Vec3 middle = n.corner().plus(n.size().times(0.5)).plus(lies);
                double deep = Math.abs(n.size().dot(w));
                double across = Math.min(Math.abs(w.x()) > 0.5 ? Double.MAX_VALUE : n.size().x(), Math.min(Math.abs(w.y()) > 0.5 ? Double.MAX_VALUE : n.size().y(), Math.abs(w.z()) > 0.5 ? Double.MAX_VALUE : n.size().z()));
                all.add(new Mouth(n.name(), mouth(middle.plus(w.times(deep / 2)), w), across, false));
                all.add(new Mouth(n.name(), mouth(middle.minus(w.times(deep / 2)), w.times(-1)), across, true));
            });
        }
        for (BesideFact.Beside b : facts.get(BesideFact.BESIDE)) {
            Vec3 lies = space.shift(b.standing().group(), space.home()).minus(own);
            all.addAll(mouths(b.form().air(), b.place().moved(lies), " of " + b.standing().name()));
        }
        return all;
    }

    /** @param w along one of the machine's axes */
    private static Placement mouth(Vec3 at, Vec3 w) {
        return Placement.along(at, w, new Vec3(w.y(), w.z(), w.x()));
    }

    private static Finding finding(String id, Mouth a, Mouth b, double mm) {
        double wanted = a.wantedMm(b);
        boolean good = mm >= wanted;
        String pair = a.name() + " and " + b.name();
        String what = good ? pair + " leave each other air" : a.draws() ? pair + " draw from the same gap of " + Quantity.mm(Math.round(mm * 10) / 10.0) : pair + " blow against each other, " + Quantity.mm(Math.round(mm * 10) / 10.0) + " apart";
        return Finding.of(id, good ? Severity.FINE : Severity.LOOK, what, a.draws() ? "Two intakes that face each other have a plane midway that is to each what a wall is; nearer than half a diameter that starves a fan (common practice)."
                : "Two jets that meet head on take the push out of each other; beyond about six diameters a free jet has lost it anyway (handbook value). Turn one aside.").measured(new Margin(mm, wanted, Unit.MM, true));
    }
}
