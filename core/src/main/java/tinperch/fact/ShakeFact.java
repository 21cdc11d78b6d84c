package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.book.SettingKey;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Surroundings;
import tinperch.material.Material;
import tinperch.part.form.Piece;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.strength.SectionWalk;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/**
 * How far what a part carries is left behind when the axes it rides on speed up: its weight is known from the loads that hang on it, its acceleration from the machine's book. Steady forces that point down
 * count as weights.
 */
public final class ShakeFact implements Fact<List<ShakeFact.Shaken>> {
    public static final ShakeFact SHAKE = new ShakeFact();
    /** Standard gravity (ISO 80000-3), m/s². */
    private static final double GRAVITY = 9.80665;
    private static final double DOWN_COS = 0.9;
    private static final double LEVEL_SIN = 0.5;
    private static final double MM_PER_M = 1000;

    private ShakeFact() {}

    /**
     * A weight on an axis.
     *
     * @param accelMmS2 of the axis; empty where the book does not say
     * @param swingMm how far it is left behind at that; 0 where it hangs right over its fixing
     */
    public record Shaken(Load load, Piece piece, Axis axis, double massKg, Optional<Double> accelMmS2, double swingMm, Optional<SectionWalk> walk) {
        /** What it swings with, Hz: a mass on the spring the part is, √(k/m)/2π = √(a/s)/2π. */
        public double hertz() {
            return swingMm > 0 ? Math.sqrt(accelMmS2.orElse(0.0) / swingMm) / 2 / Math.PI : Double.POSITIVE_INFINITY;
        }
    }

    /** The setting that says how hard an axis speeds up. */
    public static String accelOf(Axis a) {
        return "accel." + a.name();
    }

    /** The axes that speed a part up while something is made: those it rides on that lie level, or of which the book knows an acceleration; upright ones move seldom. One the book has no word for is not asked for. */
    private static List<Axis> axes(Case c) {
        Surroundings space = c.machine().surroundings();
        List<String> rides = c.site().flatMap(s -> space.group(s.group())).map(Group::axes).orElse(List.of());
        return space.axes().stream().filter(a -> rides.contains(a.name()) && (c.machine().book().newest(accelOf(a)).isPresent() || Math.abs(a.direction().z()) < LEVEL_SIN && SettingKey.of(accelOf(a)).isPresent())).toList();
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(StrengthFact.STRENGTH.inputs(c, facts), c.machine().surroundings(), c.part().siteId(), axes(c).stream().map(a -> c.machine().book().newest(accelOf(a))).toList());
    }

    @Override
    public List<Shaken> compute(Case c, Facts facts) {
        Optional<Placement> place = RestFact.inMachine(c, facts);
        Optional<Material> material = Material.find(c.part().material());
        List<Axis> axes = axes(c);
        List<Shaken> all = new ArrayList<>();
        if (place.isEmpty() || material.isEmpty() || axes.isEmpty()) {
            return all;
        }
        for (StrengthFact.Borne b : facts.get(StrengthFact.STRENGTH)) {
            Load l = b.load();
            Placement there = place.get().times(b.piece().place());
            if (l.lasting() == Load.Lasting.STEADY && l.forceN().length() > 0 && -there.turned(l.forceN().unit()).z() > DOWN_COS && b.how() != StrengthFact.How.HELD_BY_ANOTHER && b.handedBy().isEmpty()) {
                axes.forEach(a -> all.add(shaken(b, there, a, c.machine().book().newest(accelOf(a)).filter(v -> v > 0), material.get())));
            }
        }
        return all;
    }

    private static Shaken shaken(StrengthFact.Borne b, Placement there, Axis a, Optional<Double> accel, Material m) {
        double kg = b.load().forceN().length() / GRAVITY;
        Vec3 force = there.inverse().turned(a.direction()).times(kg * accel.orElse(0.0) / MM_PER_M);
        Optional<SectionWalk> walk = accel.isEmpty() ? Optional.empty() : b.sections().map(s -> s.under(force, m.modulusGPa() * StrengthFact.MPA_PER_GPA));
        return new Shaken(b.load(), b.piece(), a, kg, accel, walk.map(w -> Math.abs(w.deflectionMm())).orElse(0.0), walk);
    }
}
