package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.SeatsFact;
import tinperch.fact.SeatsFact.Seat;
import tinperch.fact.StrengthFact;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.material.Material;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.strength.ScrewGroup;
import tinperch.strength.ScrewHold;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/**
 * Do the screws hold what the part bears, and how tight may they be? Plastic under a head creeps until little of the clamp is left, so for good a screw clamps only as hard as
 * the plastic bears all the time; each row is looked at as if it held the load alone. Without a load it says how tight they may be.
 */
public final class HoldCheck implements Check {
    /** What a thread cut into plastic is long, in diameters (common practice). */
    private static final double CUT_DIAMETERS = 1.5;
    private static final double SHAKEN = 0.5;
    private static final String ESTIMATE = " Once more after a day: plastic gives. Estimate: T = 0.2·d·F, friction 0.2.";

    @Override
    public String about() {
        return "holding";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Optional<Material> m = Material.find(c.part().material());
        Map<String, List<Seat>> rows = new LinkedHashMap<>();
        facts.get(SeatsFact.SEATS).forEach(s -> rows.computeIfAbsent(s.screw().pieceId() + " " + s.screw().row(), k -> new ArrayList<>()).add(s));
        if (m.isEmpty() || rows.isEmpty()) {
            return List.of();
        }
        List<Finding> all = new ArrayList<>();
        List<String> torques = new ArrayList<>();
        // What one piece hands on to the next acts where it always did.
        List<StrengthFact.Borne> borne = c.part().loads().isEmpty() ? List.of() : facts.get(StrengthFact.STRENGTH);
        List<Load> loads = borne.isEmpty() ? c.part().loads() : borne.stream().map(x -> new Load(x.load().id(), x.load().name(), x.piece().id(), x.actsAt(), x.load().forceN(), x.load().lasting())).toList();
        rows.values().forEach(row -> {
            Hold h = Hold.of(row, m.get(), share(row, m.get(), false));
            torques.add(h.screw.rowLabel() + " (" + h.screw.thread().name() + ") " + h.torque());
            loads.stream().filter(l -> l.pieceId().equals(h.screw.pieceId()) && l.forceN().length() > 0).map(l -> finding(row, Hold.of(row, m.get(), share(row, m.get(), l.lasting() == Load.Lasting.AGAIN)), l, c, m.get()))
                    .max(Comparator.comparingDouble(f -> f.margin().orElseThrow().value() / Math.max(1e-9, f.margin().orElseThrow().limit()))).ifPresent(all::add);
        });
        if (all.isEmpty()) {
            all.add(Finding.of("hold", Severity.FINE, "How tight the screws may be is known", "At most, by hand: " + String.join("; ", torques.stream().distinct().toList()) + "." + ESTIMATE));
        }
        return all;
    }

    /** What one row's worst screw clamps for good, and where it gives first. */
    private record Hold(Screw screw, double clampN, String where) {
        /** @param share of its strength that the plastic is asked for */
        static Hold of(List<Seat> row, Material m, double share) {
            return row.stream().map(s -> of(s, share * m.strengthMPa())).min(Comparator.comparingDouble(Hold::clampN)).orElseThrow();
        }

        private static Hold of(Seat s, double bears) {
            Screw k = s.screw();
            ScrewThread t = k.thread();
            Hold least = new Hold(k, ScrewHold.steelN(t), "the screw itself");
            if (k.onPart()) {
                least = least.or(ScrewHold.underHeadN(k.seatWidthMm(), k.boreMm(), s.bearing(), bears), k.washer() ? "under its washer" : "under its head");
            }
            if (k.end() == SeatKind.INSERT) {
                HeatSetInsert i = k.insert().orElseThrow();
                least = least.or(ScrewHold.pullOutN(i.outerMm(), i.lengthMm(), bears), "around its insert");
            } else if (k.end() == SeatKind.CUT) {
                least = least.or(ScrewHold.pullOutN(t.diameterMm(), s.threadMm(), bears), "around the thread it cuts");
            } else if (k.end().isCaptive()) {
                least = least.or(ScrewHold.underNutN(t.nutAcrossFlatsMm(), k.boreMm(), s.bearing(), bears), "under its nut");
            }
            return least;
        }

        private Hold or(double otherN, String place) {
            return otherN < clampN ? new Hold(screw, otherN, place) : this;
        }

        String torque() {
            return Quantity.fixed(ScrewHold.torqueNm(screw.thread(), clampN), 2) + " N·m";
        }
    }

    /** What plastic is asked for, for good; a cut thread that is shaken works loose at half of that (common practice). */
    private static double share(List<Seat> row, Material m, boolean shaken) {
        return m.steadyPercent() / 100 * (shaken && row.get(0).screw().end() == SeatKind.CUT ? SHAKEN : 1);
    }

    private static Finding finding(List<Seat> row, Hold h, Load l, Case c, Material m) {
        Screw k = h.screw;
        Vec3 axis = k.axis().w();
        ScrewGroup g = ScrewGroup.of(row.stream().map(s -> s.screw().axis().origin()).toList(), axis, k.seatWidthMm(), l.at(), l.forceN());
        double once = Hold.of(row, m, 1).clampN;
        Severity severity = g.clampN() > once ? Severity.STOP : g.clampN() > h.clampN ? Severity.LOOK : Severity.FINE;
        String name = l.name().isBlank() ? "the load" : "“" + l.name() + "”";
        String what = switch (severity) {
            case STOP -> "The " + k.rowLabel() + " cannot hold " + name;
            case LOOK -> "The " + k.rowLabel() + " do not hold " + name + " for good";
            default -> "The " + k.rowLabel() + " hold " + name;
        };
        String why = Quantity.show(Math.round(l.forceN().length() * 10) / 10.0, Unit.NEWTON) + ", were they alone, ask each of " + row.size() + " to clamp with " + newtons(g.clampN()) + " (pulled " + newtons(g.pullN()) + ", pushed aside " + newtons(g.slideN()) + "). "
                + capital(h.where) + " " + m.name() + " bears " + newtons(h.clampN) + " for good (" + Quantity.fixed(m.steadyPercent(), 0) + " %: it creeps): tighten to " + h.torque() + " at most." + compared(k, m) + ESTIMATE;
        Finding f = Finding.of("hold." + k.pieceId() + "." + k.row(), severity, what, why).measured(new Margin(g.clampN(), h.clampN, Unit.NEWTON, false)).at(k.pieceId(), k.row());
        if (severity == Severity.FINE) {
            return f;
        }
        List<Remedy> remedies = new ArrayList<>(OtherSeats.of(k, c));
        remedies.addAll(OtherMaterials.of(c, o -> Hold.of(row, o, share(row, o, l.lasting() == Load.Lasting.AGAIN)).clampN >= g.clampN(), Comparator.comparingDouble(Material::strengthMPa), 1));
        return f.with(remedies);
    }

    /** What other ends of a screw would hold there. */
    private static String compared(Screw k, Material m) {
        ScrewThread t = k.thread();
        double bears = m.steadyPercent() / 100 * m.strengthMPa();
        return k.end() == SeatKind.TAPPED || k.end() == SeatKind.CUT ? "" : " Here a captive nut holds " + newtons(ScrewHold.underNutN(t.nutAcrossFlatsMm(), k.boreMm(), 1, bears))
                + k.insert().map(i -> ", an insert " + i.name() + " " + newtons(ScrewHold.pullOutN(i.outerMm(), i.lengthMm(), bears))).orElse("")
                + ", a cut thread " + newtons(ScrewHold.pullOutN(t.diameterMm(), CUT_DIAMETERS * t.diameterMm(), bears)) + ".";
    }

    private static String newtons(double n) {
        return Quantity.show((double) Math.round(n), Unit.NEWTON);
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }
}
