package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.machine.space.Site;
import tinperch.measure.RigidFit;
import tinperch.measure.sheet.HolePattern;
import tinperch.part.bind.Binding;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Role;
import tinperch.part.block.Hand;
import tinperch.part.form.PartForm;
import tinperch.part.form.Screw;
import tinperch.part.param.Param;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Do the screws meet the holes of the site the part goes to, or is it the other side's, its mirror image, or another pattern? The part may be shifted and turned a little as it is mounted. A hole may miss by what is left round
 * the screw; readings and printing take their part of that, at worst and as it is likely (root sum of squares).
 */
public final class SiteHolesCheck implements Check {
    /** Holes are printed this well placed (common practice). */
    private static final double PRINTED_MM = 0.1;
    /** A part that has to be turned by more than this does not stand as it is drawn. */
    private static final double TURNED_DEG = 2;
    private static final double CROSSES_MM = 0.5;

    @Override
    public String about() {
        return "site's holes";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Optional<Site> site = c.site();
        Optional<PartForm> form = facts.get(FormFact.FORM).form();
        Optional<PartForm.Mount> mount = form.flatMap(PartForm::mount);
        Optional<HolePattern> holes = site.flatMap(s -> c.machine().sheet(s.sheetId()).flatMap(HolePattern::of).or(() -> Optional.ofNullable(s.drawn())));
        if (mount.isEmpty() || holes.isEmpty() || holes.get().holes().size() < 2) {
            return List.of();
        }
        Map<String, List<Screw>> rows = new LinkedHashMap<>();
        Map<String, List<double[]>> at = new LinkedHashMap<>();
        for (Screw s : form.get().screws()) {
            Placement here = mount.get().frame().inverse().times(form.get().piece(s.pieceId()).orElseThrow().place()).times(s.axis());
            if (goesIn(s, here)) {
                rows.computeIfAbsent(s.row(), k -> new ArrayList<>()).add(s);
                at.computeIfAbsent(s.row(), k -> new ArrayList<>()).add(new double[] {here.origin().x(), here.origin().y()});
            }
        }
        List<double[]> there = holes.get().holes().stream().map(h -> new double[] {h.xMm(), h.yMm()}).toList();
        return at.entrySet().stream().filter(e -> e.getValue().size() == there.size()).min(Comparator.comparingDouble(e -> laid(e.getValue(), there).worstMm()))
                .map(e -> List.of(finding(rows.get(e.getKey()).get(0), e.getValue(), there, holes.get(), site.get(), c))).orElse(List.of());
    }

    /** Whether a screw goes through the plane the part mounts on. */
    private static boolean goesIn(Screw s, Placement here) {
        double from = here.origin().z() + here.w().z() * (s.headMm() - (s.onPart() ? 0 : s.heldMm()) - s.washerMm());
        double to = from + here.w().z() * s.lengthMm();
        return Math.abs(here.w().z()) > 0.99 && Math.min(from, to) < -CROSSES_MM && Math.max(from, to) > CROSSES_MM;
    }

    private static List<double[]> mirrored(List<double[]> points) {
        return points.stream().map(p -> new double[] {-p[0], p[1]}).toList();
    }

    /** Which hole of one belongs to which of the other follows from their order round the middle: the turn that leaves least. */
    private static RigidFit laid(List<double[]> part, List<double[]> there) {
        List<double[]> mine = round(part);
        List<double[]> its = round(there);
        RigidFit best = null;
        for (int k = 0; k < mine.size(); k++) {
            List<double[]> turned = new ArrayList<>(mine.subList(k, mine.size()));
            turned.addAll(mine.subList(0, k));
            RigidFit f = RigidFit.of(turned, its);
            // Of turns that do alike the smallest is meant.
            if (best == null || f.worstMm() + 1e-3 * Math.abs(f.angleDeg()) < best.worstMm() + 1e-3 * Math.abs(best.angleDeg())) {
                best = f;
            }
        }
        return best;
    }

    private static List<double[]> round(List<double[]> points) {
        double x = points.stream().mapToDouble(p -> p[0]).average().orElseThrow();
        double y = points.stream().mapToDouble(p -> p[1]).average().orElseThrow();
        return points.stream().sorted(Comparator.comparingDouble(p -> Math.atan2(p[1] - y, p[0] - x))).toList();
    }

    private static Finding finding(Screw s, List<double[]> part, List<double[]> there, HolePattern holes, Site site, Case c) {
        double d = s.thread().diameterMm();
        double allowed = (s.boreMm() - d) / 2 + Math.max(0, holes.diameterMm() - d) / 2;
        RigidFit as = laid(part, there);
        RigidFit other = laid(mirrored(part), there);
        double miss = as.worstMm();
        double likely = miss + Math.hypot(PRINTED_MM, holes.halfWidthMm());
        String id = "site-holes";
        String words = "The worst of " + part.size() + " misses by " + Quantity.mm(hundredths(miss)) + " as they lie best; " + Quantity.mm(hundredths(allowed)) + " are left round an " + s.thread().name() + ". Readings (± " + Quantity.mm(hundredths(holes.halfWidthMm()))
                + ") and printing (± " + Quantity.mm(PRINTED_MM) + ") add " + Quantity.mm(hundredths(likely - miss)) + " as is likely, " + Quantity.mm(hundredths(PRINTED_MM + holes.halfWidthMm())) + " at worst.";
        Margin m = new Margin(likely, allowed, Unit.MM, false);
        if (miss > allowed && other.worstMm() <= allowed) {
            return Finding.of(id, Severity.STOP, "It fits " + site.name() + " only turned over: it is the mirror image", words + " Its mirror image would miss by " + Quantity.mm(hundredths(other.worstMm())) + ".").measured(m).at(s.pieceId(), s.row()).with(remedies(site, c));
        }
        if (miss > allowed) {
            return Finding.of(id, Severity.STOP, "The " + s.rowLabel() + " do not meet the holes of " + site.name(), words + " Was it made from the readings of another place, as of the other side?").measured(m).at(s.pieceId(), s.row()).with(remedies(site, c));
        }
        double turned = Math.abs(as.angleDeg());
        if (turned > TURNED_DEG) {
            return Finding.of(id, Severity.LOOK, "It fits " + site.name() + " only turned by " + Quantity.fixed(turned, 0) + "°", words + " Drawn on the machine it stands as the site says: turn the site or the part's pattern, or what is said of its surroundings is not true.")
                    .at(s.pieceId(), s.row()).with(remedies(site, c));
        }
        return likely > allowed ? Finding.of(id, Severity.LOOK, "The " + s.rowLabel() + " may not meet the holes of " + site.name(), words + " Measure the holes better, or take larger ones.").measured(m).at(s.pieceId(), s.row()).with(remedies(site, c))
                : Finding.of(id, Severity.FINE, "The " + s.rowLabel() + " meet the holes of " + site.name(), words).measured(m).at(s.pieceId(), s.row());
    }

    /** The other hand; the site's own readings. */
    private static List<Remedy> remedies(Site site, Case c) {
        List<Remedy> all = new ArrayList<>();
        c.family().ifPresent(f -> {
            for (Param<?> p : f.params()) {
                if (p.of(c.recipe().values()) instanceof Hand h) {
                    all.add(Remedy.of("make it the " + other(h).word() + " one", handed(p, other(h))));
                }
            }
            for (Role<?> r : f.roles()) {
                boolean own = c.part().bindings().get(r.id()) instanceof Binding.OnSheet b && b.sheetId().equals(site.sheetId());
                if (r.kind() == HolesRef.KIND && !site.sheetId().isEmpty() && !own) {
                    all.add(Remedy.of(r.label() + " from the readings of " + site.name(), new Change.Bind(r.id(), new Binding.OnSheet(site.sheetId(), r.usual()))));
                }
            }
        });
        return all;
    }

    private static Hand other(Hand h) {
        return h == Hand.RIGHT ? Hand.LEFT : Hand.RIGHT;
    }

    @SuppressWarnings("unchecked")
    private static Change handed(Param<?> p, Hand h) {
        return new Change.Set<>((Param<Hand>) p, h);
    }

    private static double hundredths(double mm) {
        return Math.round(mm * 100) / 100.0;
    }
}
