package tinperch.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.WallsFact.Wall;
import tinperch.fact.WallsFact;
import tinperch.hardware.HeatSetInsert;
import tinperch.part.form.Cavity;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.param.Lever;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Is there enough plastic around and behind every insert, nut and hole? Of cavities that are alike the tightest is told.
 *
 * <p>Limits are common practice: 1.6 mm around; 2 mm for a nut or head to pull against; 1 mm of ledge behind an insert's hole; plastic
 * around an insert twice as wide as its outside.
 */
public final class WallCheck implements Check {
    static final double AROUND_MM = 1.6;
    static final double UNDER_NUT_MM = 2;
    static final double LEDGE_MM = 1;

    @Override
    public String about() {
        return "walls";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Map<String, Wall> around = new LinkedHashMap<>();
        Map<String, Wall> behind = new LinkedHashMap<>();
        for (Wall w : facts.get(WallsFact.WALLS)) {
            String row = w.piece().id() + "." + row(w.cavity());
            if (w.aroundMm().isPresent()) {
                around.merge(row, w, (a, b) -> b.aroundMm().getAsDouble() < a.aroundMm().getAsDouble() ? b : a);
            }
            // Behind a thread the screw cuts itself nothing is pushed.
            if (w.behindMm().isPresent() && w.cavity().purpose() != Cavity.Purpose.THREAD) {
                behind.merge(row, w, (a, b) -> b.behindMm().getAsDouble() < a.behindMm().getAsDouble() ? b : a);
            }
        }
        List<Screw> screws = facts.get(FormFact.FORM).form().map(f -> f.screws()).orElse(List.of());
        List<Finding> all = new ArrayList<>();
        around.forEach((row, w) -> {
            all.add(around(row, w, c));
            insert(w, screws).flatMap(i -> slim(row, w, i, c)).ifPresent(all::add);
        });
        behind.forEach((row, w) -> all.add(behind(row, w, c, screws)));
        return all;
    }

    /** Cavities whose labels differ in their last word only are told together. */
    private static String row(Cavity v) {
        int dot = v.group().lastIndexOf('.');
        return (dot < 0 ? v.group() : v.group().substring(0, dot)) + "." + v.purpose().name().toLowerCase(java.util.Locale.ROOT);
    }

    private static Finding around(String row, Wall w, Case c) {
        Margin m = new Margin(w.aroundMm().getAsDouble(), AROUND_MM, Unit.MM, true);
        String id = "wall." + row + ".around";
        String where = "between the " + w.cavity().label() + " and " + name(w.beside(), w);
        if (m.spare() >= -1e-6) {
            return Finding.of(id, Severity.FINE, "Wall " + where + " is " + Quantity.mm(m.value()), "1.6 mm keeps it from bulging or tearing out (common practice).")
                    .measured(m).at(w.piece().id(), w.cavity().feature());
        }
        boolean gone = m.value() <= 0.005;
        return Finding.of(id, Severity.STOP, gone ? sentence(w.cavity().label()) + " breaks into " + name(w.beside(), w) : "Wall " + where + " is only " + Quantity.mm(m.value()),
                "Under 1.6 mm it bulges when the insert goes in or tears out when the screw is tightened (common practice).")
                .measured(m).at(w.piece().id(), w.cavity().feature()).with(widen(w, -m.spare(), c)).about(Subject.LAYOUT);
    }

    private static List<Remedy> widen(Wall w, double byMm, Case c) {
        List<Remedy> all = new ArrayList<>();
        for (Reach r : w.piece().reaches()) {
            if (!w.beside().isEmpty() && w.beside().startsWith(r.feature()) && Math.abs(r.outward().dot(w.cavity().axis().w())) < 0.5
                    && all.stream().noneMatch(x -> x.pull().orElseThrow().lever().param().equals(r.lever().param()))) {
                all.add(Remedy.pull(r.lever(), c.recipe().values(), byMm));
            }
        }
        return all;
    }

    private static Finding behind(String row, Wall w, Case c, List<Screw> screws) {
        boolean insert = w.cavity().purpose() == Cavity.Purpose.INSERT;
        Margin m = new Margin(w.behindMm().getAsDouble(), insert ? LEDGE_MM : UNDER_NUT_MM, Unit.MM, true);
        String id = "wall." + row + ".under";
        String place = (insert ? "Ledge behind the " : w.cavity().purpose() == Cavity.Purpose.NUT ? "Wall under the " : "Wall under the ") + w.cavity().label();
        String why = insert ? "Without a ledge the insert can be pushed through (common practice)." : "2 mm carry the pull of the screw (common practice).";
        if (m.spare() >= -1e-6) {
            return Finding.of(id, Severity.FINE, place + " is " + Quantity.mm(m.value()), why).measured(m).at(w.piece().id(), w.cavity().feature());
        }
        List<Remedy> remedies = new ArrayList<>();
        for (Lever l : w.cavity().under()) {
            remedies.add(Remedy.pull(l, c.recipe().values(), -m.spare()));
        }
        screws.stream().filter(s -> s.id().equals(w.cavity().group())).findFirst().ifPresent(s -> shorter(s, m, c).ifPresent(i ->
                remedies.add(Remedy.of("insert " + i.name(), new Change.Set<>(s.insertParam(), i.lengthMm())))));
        return Finding.of(id, Severity.STOP, place + " is " + (m.value() <= 0.005 ? "gone" : "only " + Quantity.mm(m.value())), why).measured(m)
                .at(w.piece().id(), w.cavity().feature()).with(remedies);
    }

    private static Optional<HeatSetInsert> shorter(Screw s, Margin m, Case c) {
        return s.insert().flatMap(now -> c.hardware().insertsFor(now.thread()).stream().filter(i -> i.lengthMm() <= now.lengthMm() + m.spare() + 1e-9)
                .reduce((a, b) -> b));
    }

    private static Optional<HeatSetInsert> insert(Wall w, List<Screw> screws) {
        return w.cavity().purpose() != Cavity.Purpose.INSERT ? Optional.empty()
                : screws.stream().filter(s -> s.id().equals(w.cavity().group())).findFirst().flatMap(Screw::insert);
    }

    private static Optional<Finding> slim(String row, Wall w, HeatSetInsert insert, Case c) {
        double plastic = 2 * w.aroundMm().getAsDouble() + w.cavity().widthMm();
        Margin m = new Margin(plastic, 2 * insert.outerMm(), Unit.MM, true);
        String id = "boss." + row;
        String why = "Plastic twice as wide as its insert (" + Quantity.mm(insert.outerMm()) + ") does not split when the insert is melted in (common practice).";
        if (w.aroundMm().getAsDouble() < AROUND_MM - 1e-6) {
            // The wall itself stops already; this would say it twice.
            return Optional.empty();
        }
        if (m.spare() >= -0.021) {
            return Optional.of(Finding.of(id, Severity.FINE, "Ø " + Quantity.mm(plastic) + " of plastic carries the " + w.cavity().label(), why).measured(m)
                    .at(w.piece().id(), w.cavity().feature()));
        }
        return Optional.of(Finding.of(id, Severity.LOOK, "Ø " + Quantity.mm(plastic) + " of plastic is slim round the " + w.cavity().label(), why).measured(m)
                .at(w.piece().id(), w.cavity().feature()).with(widen(w, -m.spare() / 2, c)));
    }

    /** What stands at the wall's other end, in words. */
    private static String name(String feature, Wall w) {
        return feature.isEmpty() ? "nothing" : w.piece().cavities().stream().filter(v -> v.feature().equals(feature)).map(v -> "the " + v.label()).findFirst()
                .orElse("the outside of the " + feature);
    }

    private static String sentence(String label) {
        return label.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + label.substring(1);
    }
}
