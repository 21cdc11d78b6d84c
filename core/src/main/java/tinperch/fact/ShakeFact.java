package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Surroundings;
import tinperch.material.Material;
import tinperch.part.form.PartForm;
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
    private static final double MPA_PER_GPA = 1000;
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

    /** The axes that speed a part up while something is made: those it rides on of which the book knows an acceleration, or could (x and y; z moves seldom). */
    private static List<Axis> axes(Case c) {
        Surroundings space = c.machine().surroundings();
        List<String> rides = c.site().flatMap(s -> space.group(s.group())).map(Group::axes).orElse(List.of());
        return space.axes().stream().filter(a -> rides.contains(a.name()) && (a.name().matches("[xy]") || c.machine().book().newest(accelOf(a)).isPresent())).toList();
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(StrengthFact.STRENGTH.inputs(c, facts), c.machine().surroundings(), c.part().siteId(), axes(c).stream().map(a -> c.machine().book().newest(accelOf(a))).toList());
    }

    @Override
    public List<Shaken> compute(Case c, Facts facts) {
        Optional<PartForm.Mount> mount = facts.get(FormFact.FORM).form().flatMap(PartForm::mount);
        Optional<Placement> place = RestFact.inMachine(c, facts);
        Optional<Material> material = Material.find(c.part().material());
        List<Shaken> all = new ArrayList<>();
        if (mount.isEmpty() || place.isEmpty() || material.isEmpty() || axes(c).isEmpty() || c.part().loads().isEmpty()) {
            return all;
        }
        for (Load l : c.part().loads()) {
            facts.get(MeshesFact.BARE).pieces().stream().filter(m -> m.piece().id().equals(l.pieceId())).findFirst().ifPresent(m -> {
                Placement there = place.get().times(m.piece().place());
                if (l.lasting() == Load.Lasting.STEADY && l.forceN().length() > 0 && -there.turned(l.forceN().unit()).z() > DOWN_COS) {
                    double kg = l.forceN().length() / GRAVITY;
                    axes(c).forEach(a -> all.add(shaken(l, m, there, a, kg, c, mount.get(), material.get(), facts)));
                }
            });
        }
        return all;
    }

    private static Shaken shaken(Load l, MeshesFact.Made m, Placement there, Axis a, double kg, Case c, PartForm.Mount mount, Material material, Facts facts) {
        Optional<Double> accel = c.machine().book().newest(accelOf(a)).filter(v -> v > 0);
        Vec3 force = there.inverse().turned(a.direction()).times(kg * accel.orElse(0.0) / MM_PER_M);
        StrengthFact.Borne borne = accel.isEmpty() ? null
                : StrengthFact.borne(new Load(l.id(), l.name(), l.pieceId(), l.at(), force, l.lasting()), m, m.piece().place().inverse().times(mount.frame()), material.modulusGPa() * MPA_PER_GPA, facts);
        Optional<SectionWalk> walk = borne == null ? Optional.empty() : borne.walk();
        return new Shaken(l, m.piece(), a, kg, accel, walk.map(w -> Math.abs(w.deflectionMm())).orElse(0.0), walk);
    }
}
