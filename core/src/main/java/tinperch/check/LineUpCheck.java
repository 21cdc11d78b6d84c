package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Run;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.Reach;
import tinperch.part.form.Track;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Do lines through the part meet their like on the machine: filament the hot end's inlet, a held belt the pulleys it runs to, a probe the offset the machine reckons with? Within 0.5 mm for filament and belts, 0.2 mm
 * for a probe (common practice).
 */
public final class LineUpCheck implements Check {
    private static final double STRAIGHT_MM = 0.5;
    private static final double SAME_MM = 0.2;
    /** What passes farther off is meant for something else. */
    private static final double MEANT_MM = 12;
    /** Steeper than this to a hot end it is bent into it on purpose. */
    private static final double LEANS_DEG = 30;
    /** A clamp never comes nearer to a pulley than this, mm. */
    private static final double NEAREST_MM = 10;

    @Override
    public String about() {
        return "lines";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        RestFact.inMachine(c, facts).ifPresent(here -> {
            for (Track t : facts.get(FormFact.FORM).form().orElseThrow().tracks()) {
                switch (t.kind()) {
                    case FILAMENT -> all.add(filament(t, here, c));
                    case BELT -> all.add(belt(t, here, c));
                    case PROBE -> probe(t, here, c).ifPresent(all::add);
                }
            }
        });
        return all;
    }

    /** From a line to a point, straight across. */
    private static Vec3 across(Placement line, Vec3 to) {
        Vec3 way = to.minus(line.origin());
        return way.minus(line.w().times(way.dot(line.w())));
    }

    private static Finding filament(Track t, Placement here, Case c) {
        Placement line = here.times(t.along());
        Optional<Vec3> inlet = HotRiders.of(c).stream().map(HotRiders::inlet).min(Comparator.comparingDouble(p -> across(line, p).length()));
        double leans = Math.toDegrees(Math.acos(Math.min(1, Math.abs(line.w().z()))));
        if (inlet.isEmpty()) {
            return unknown("filament", "Whether the filament meets a hot end cannot be told", "No hot end is drawn that rides with this part.");
        }
        if (leans > LEANS_DEG) {
            return Finding.of("line.filament", Severity.FINE, "The filament is led to the hot end from the side", "Its path leans by " + Quantity.fixed(leans, 0) + "°; between the two it needs a tube.");
        }
        Vec3 off = across(line, inlet.get());
        boolean good = off.length() <= STRAIGHT_MM;
        return Finding.of("line.filament", good ? Severity.FINE : Severity.LOOK, good ? "The filament meets the hot end's inlet" : "The filament's path ends " + Quantity.mm(round(off.length(), 2)) + " beside the hot end's inlet",
                "The path and the middle of the hot end are " + Quantity.mm(round(off.length(), 2)) + " and " + Quantity.fixed(leans, 1) + "° apart; within " + Quantity.mm(STRAIGHT_MM)
                        + " filament goes in without scraping (common practice).").measured(new Margin(off.length(), STRAIGHT_MM, Unit.MM, false)).with(good ? List.of() : move(t, here, off, c.recipe().values()));
    }

    private static Finding belt(Track t, Placement here, Case c) {
        Surroundings space = c.machine().surroundings();
        Map<String, Double> home = space.home();
        String group = c.site().orElseThrow().group();
        Placement line = here.moved(space.shift(group, home)).times(t.along());
        Vec3 to = null;
        Run its = null;
        for (Run r : space.runs()) {
            List<Vec3> points = r.kind() == Run.Kind.BELT ? r.points(space, home) : List.of();
            for (int i = 0; i < points.size(); i++) {
                if (!r.holds().get(i).group().equals(group) && (to == null || across(line, points.get(i)).length() < across(line, to).length())) {
                    to = points.get(i);
                    its = r;
                }
            }
        }
        if (to == null || across(line, to).length() > MEANT_MM) {
            return unknown("belt", "Whether the belt runs straight cannot be told", to == null ? "No belt with its pulleys is drawn on the machine." : "No pulley of a belt is drawn within " + Quantity.mm(MEANT_MM) + " of the line of its clamps.");
        }
        Vec3 off = across(line, to);
        double free = leastFree(to.minus(line.origin()).dot(line.w()), line.w(), group, space);
        boolean good = off.length() <= STRAIGHT_MM;
        double leans = Math.toDegrees(Math.atan2(off.length(), free));
        return Finding.of("line.belt", good ? Severity.FINE : Severity.LOOK, good ? its.name() + " runs straight from its clamp to its pulley" : "Its clamp holds " + its.name() + " " + Quantity.mm(round(off.length(), 2)) + " off its line",
                "Between clamp and pulley the belt is off by " + Quantity.mm(round(off.length(), 2)) + "; where they are nearest, over " + Quantity.mm(Math.round(free)) + ", that is " + Quantity.fixed(leans, 1) + "°. Within " + Quantity.mm(STRAIGHT_MM)
                        + " it does not climb the pulley's rim or change its tension (common practice).").measured(new Margin(off.length(), STRAIGHT_MM, Unit.MM, false)).with(good ? List.of() : move(t, here, off, c.recipe().values()));
    }

    /** The shortest way along a belt that is left between a clamp and its pulley while the clamp's axes go from end to end, mm. */
    private static double leastFree(double alongHome, Vec3 direction, String group, Surroundings space) {
        double low = alongHome;
        double high = alongHome;
        for (String name : space.group(group).map(Group::axes).orElse(List.of())) {
            Axis a = space.axis(name).orElseThrow();
            double one = -a.direction().dot(direction) * (a.fromMm() - a.homeMm());
            double other = -a.direction().dot(direction) * (a.toMm() - a.homeMm());
            low += Math.min(one, other);
            high += Math.max(one, other);
        }
        return Math.max(NEAREST_MM, low <= 0 && high >= 0 ? 0 : Math.min(Math.abs(low), Math.abs(high)));
    }

    private static Optional<Finding> probe(Track t, Placement here, Case c) {
        Vec3 at = here.times(t.along()).origin();
        return HotRiders.of(c).stream().map(HotRiders::tip).min(Comparator.comparingDouble(p -> p.minus(at).length())).map(tip -> {
            Vec3 now = at.minus(tip);
            String is = offset(now.x(), now.y());
            Optional<Double> x = c.machine().book().newest("probe.x");
            Optional<Double> y = c.machine().book().newest("probe.y");
            String lost = " Where the nozzle can go the probe cannot: that much at the bed's rim stays unprobed.";
            if (x.isEmpty() || y.isEmpty()) {
                return Finding.of("line.probe", Severity.FINE, "The probe stands " + is + " from the nozzle", "The book holds no probe offset; write this one in when the part is on, and measure the height anew." + lost);
            }
            double moved = Math.hypot(now.x() - x.get(), now.y() - y.get());
            Margin m = new Margin(moved, SAME_MM, Unit.MM, false);
            return moved <= SAME_MM ? Finding.of("line.probe", Severity.FINE, "The probe stands where the machine reckons with it", is + " from the nozzle; its height has to be measured anew after mounting." + lost).measured(m)
                    : Finding.of("line.probe", Severity.LOOK, "The probe offset becomes " + is + "; the machine still has " + offset(x.get(), y.get()), "Drawn, it is " + Quantity.mm(round(moved, 1)) + " from where the machine reckons with it. Once the part is on, set the "
                            + "new offset and measure its height before the first print: with the old one the bed is levelled at the wrong places and the nozzle may hit it." + lost).measured(m).with(move(t, here, new Vec3(x.get() - now.x(), y.get() - now.y(), 0), c.recipe().values()));
        });
    }

    private static String offset(double x, double y) {
        return "x " + Quantity.mm(round(x, 1)) + ", y " + Quantity.mm(round(y, 1));
    }

    /** Moves the line by what it is off, with one number or several together. */
    private static List<Remedy> move(Track t, Placement here, Vec3 off, Values values) {
        List<Change> changes = new ArrayList<>();
        List<String> words = new ArrayList<>();
        for (Reach r : t.moved()) {
            double by = round(off.dot(here.turned(r.outward())) / r.lever().gain(), 2);
            if (Math.abs(by) > 0.05) {
                double to = round(r.lever().param().of(values) + by, 2);
                changes.add(new Change.Set<>(r.lever().param(), to));
                words.add(r.lever().word() + " " + r.lever().param().show(values) + " → " + r.lever().param().words(to));
            }
        }
        return changes.isEmpty() ? List.of() : List.of(Remedy.of(String.join(", ", words), changes.toArray(Change[]::new)));
    }

    private static Finding unknown(String id, String what, String why) {
        return Finding.of("line." + id, Severity.CANT_TELL, what, why).settledBy(Settle.By.NEIGHBOURS, "", "draw it on Surroundings");
    }

    private static double round(double v, int decimals) {
        double k = Math.pow(10, decimals);
        return Math.round(v * k) / k;
    }
}
