package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.HeatFact;
import tinperch.fact.HeatFact.Warm;
import tinperch.heat.HeatMap;
import tinperch.machine.space.Neighbour;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Does the part stay cool enough beside what is hot? An estimate with a wide band: it stops only where even the cool side of the band is over what the material stands loaded, and asks to
 * look, and to log, where the band reaches it.
 */
public final class HeatCheck implements Check {
    /** Gap in mm and half the band in K that held for nine of ten trials of the model against variations of what it assumes. */
    private static final double[][] BAND = {{0.8, 17}, {3, 18}, {7, 24}, {12, 15}};
    /** Where little heat arrives the band is as little, in shares of the rise. */
    private static final double MOST_SHARE = 1.5;
    private static final double LEAST_K = 3;

    private static final double MOST_FARTHER_MM = 40;

    @Override
    public String about() {
        return "heat";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Optional<HeatFact.Answer> found = facts.get(HeatFact.HEAT);
        if (found.isEmpty()) {
            return List.of();
        }
        HeatFact.Answer heat = found.get();
        if (!heat.anyHot()) {
            return c.machine().prints() ? List.of(Finding.of("heat", Severity.CANT_TELL, "How warm it gets cannot be told", "Nothing hot is drawn on " + c.machine().name() + ": no block, no heated bed. Draw what is hot near its site, with its temperature.")
                    .settledBy(Settle.By.NEIGHBOURS, "", "draw what is hot")) : List.of();
        }
        if (heat.pieces().isEmpty()) {
            return List.of(Finding.of("heat", Severity.FINE, "No heat reaches it", Quantity.mm(Math.round(heat.nearestMm() * 10) / 10.0) + " to the nearest hot thing, which warms a face at that distance by less than " + Math.round(HeatFact.FELT_K) + " K (estimate)."));
        }
        List<Finding> all = new ArrayList<>();
        heat.pieces().stream().sorted(Comparator.comparingDouble(w -> -w.map().hottest().tempC())).forEach(w -> all.add(of(w, c, heat.roomC())));
        return all;
    }

    /** Half the band of an estimate, K. */
    static double bandK(double gapMm, double riseK) {
        double k = BAND[0][1];
        for (int i = 1; i < BAND.length; i++) {
            double f = Math.max(0, Math.min(1, (gapMm - BAND[i - 1][0]) / (BAND[i][0] - BAND[i - 1][0])));
            k = gapMm > BAND[i - 1][0] ? BAND[i - 1][1] + f * (BAND[i][1] - BAND[i - 1][1]) : k;
        }
        return Math.max(LEAST_K, Math.min(k, MOST_SHARE * riseK));
    }

    private static Finding of(Warm w, Case c, double roomC) {
        Material m = Material.named(c.part().material());
        HeatMap.Patch top = w.map().hottest();
        Optional<LoggedHeat> logged = LoggedHeat.of(w, c, roomC);
        double t = logged.map(l -> l.corrected(top, roomC)).orElse(top.tempC());
        double band = logged.map(l -> l.bandK(top)).orElse(bandK(top.gapMm(), t - roomC));
        String id = "heat." + w.piece().id();
        if (!w.map().converged()) {
            return Finding.of(id, Severity.CANT_TELL, "The temperatures of the " + w.piece().name() + " could not be reckoned to the end", "Its shape near the heat is too fine for the grid of " + Quantity.mm(w.map().cellMm()) + ".")
                    .settledBy(Settle.By.AGAIN, "", "reckon once more");
        }
        Neighbour hot = c.machine().surroundings().neighbours().stream().filter(n -> n.id().equals(top.nearest())).findFirst().orElse(null);
        Severity severity = t - band > m.useLimitC() ? Severity.STOP : t + band > m.useLimitC() ? Severity.LOOK : Severity.FINE;
        String what = "About " + Math.round(t) + " ± " + Math.round(band) + " °C" + (hot == null ? "" : " beside " + hot.name()) + ", " + m.name() + " stands " + Quantity.show(m.useLimitC(), Unit.CELSIUS);
        String why = "An estimate" + (hot == null || !Double.isFinite(top.gapMm()) ? "" : " for " + Quantity.mm(Math.round(top.gapMm() * 10) / 10.0) + " of air to " + hot.name() + " at " + Quantity.show(hot.tempC(), Unit.CELSIUS) + (hot.sock() ? " under a sock" : ", bare"))
                + (c.site().get().blown() ? ", moved air of " : ", still air of ") + Quantity.show(roomC, Unit.CELSIUS) + ", axes at home, the material as if solid. " + (w.screws() > 0 ? w.screws() + (w.screws() == 1 ? " screw leads" : " screws lead") + " heat into it from what they are fixed to. " : "") + logged.map(HeatCheck::said).orElse("")
                + switch (severity) {
                    case STOP -> "Even the cool end of it is over what the material stands loaded: it creeps and sags.";
                    case LOOK -> "The limit lies within the band" + (logged.isPresent() ? "." : ": log a spot there in the first hours.");
                    default -> "Even the warm end of it stays below.";
                };
        Finding f = Finding.of(id, severity, what, why).measured(new Margin(t, m.useLimitC(), Unit.CELSIUS, false)).at(w.piece().id(), "").about(Subject.HEAT);
        Finding asked = severity == Severity.LOOK && logged.isEmpty() ? f.settledBy(Settle.By.LOG, "", "log a spot there") : f;
        return severity == Severity.FINE ? f : asked.with(remedies(c, w, hot, (t + band - roomC) / Math.max(1, m.useLimitC() - roomC), t + band));
    }

    private static String said(LoggedHeat l) {
        double off = l.spotC() - l.estimatedC();
        return "“" + l.channel().name() + "” stood at " + Quantity.show(Math.round(l.spotC() * 10) / 10.0, Unit.CELSIUS) + " in “" + l.run().name() + "” where " + Quantity.show(Math.round(l.estimatedC() * 10) / 10.0, Unit.CELSIUS)
                + " was estimated, " + Quantity.fixed(Math.abs(off), 1) + " K " + (off >= 0 ? "more" : "less") + ": the estimate follows it, for this gap only. ";
    }

    /** @param over how many times too much it warms, {@code warmC} how warm it may get */
    private static List<Remedy> remedies(Case c, Warm w, Neighbour hot, double over, double warmC) {
        List<Remedy> all = new ArrayList<>();
        if (hot != null && !hot.sock() && hot.tempC() > LoggedHeat.HOTTEST_BED_C) {
            all.add(Remedy.of("put a sock on " + hot.name(), new Change.PutNeighbour(hot.socked(true))));
        }
        all.addAll(farther(c, w, over));
        c.site().filter(s -> !s.blown()).ifPresent(s -> all.add(Remedy.of("a fan that blows over it", new Change.PutSite(s.blown(true)))));
        all.addAll(OtherMaterials.of(c, o -> o.useLimitC() >= warmC, Comparator.comparingDouble(Material::useLimitC), 1));
        return all;
    }

    /** What draws back the faces that look at the heat: warmth falls about as the gap grows. */
    private static List<Remedy> farther(Case c, Warm w, double over) {
        HeatMap.Patch top = w.map().hottest();
        if (!Double.isFinite(top.gapMm())) {
            return List.of();
        }
        return Clearing.towards(w.piece(), w.place().inverse().turned(top.normal()), Math.min(MOST_FARTHER_MM, top.gapMm() * (over - 1) + 0.5), c);
    }
}
