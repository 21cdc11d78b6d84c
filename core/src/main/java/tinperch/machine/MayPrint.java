package tinperch.machine;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.machine.book.Standing;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** Why a machine should not print a material, from what is fitted on it. */
public final class MayPrint {
    /** A contact is loaded with at most this share of its rating when it sits in warmth (common practice). */
    static final double CONTACT_SHARE = 0.8;
    /** From this bed temperature on a bed heats nearly all the time and its contacts never cool, °C (common practice). */
    static final double HOT_BED_C = 90;

    private MayPrint() {}

    /**
     * A reason.
     *
     * @param obstacle what stands against it, "Hot end with inner tube stands 240 °C"
     * @param wants what the material asks for, "270 °C"
     */
    public record Reason(String obstacle, String wants) {}

    /** Empty when nothing known speaks against it on that day with that loadout. */
    public static List<Reason> reasonsAgainst(Machine m, Material material, LocalDate day, String loadout) {
        List<Reason> all = new ArrayList<>();
        if (!m.prints()) {
            all.add(new Reason(m.name() + " does not print", "a nozzle"));
            return all;
        }
        if (material.needsHeatedBed() && !m.heatedBed()) {
            all.add(new Reason("The bed is not heated", "a warm bed to hold (common practice)"));
        }
        Standing standing = m.book().at(day, loadout);
        of(standing, ComponentKind.HOT_END).ifPresent(c -> stands(c, material.nozzleC(), all));
        if (m.heatedBed()) {
            Optional<Component> bed = of(standing, ComponentKind.BED);
            bed.ifPresent(c -> stands(c, material.bedC(), all));
            if (material.bedC() >= HOT_BED_C) {
                bedAmperes(bed, m).ifPresent(a -> bedContacts(standing).stream().filter(c -> a > CONTACT_SHARE * c.ratings().currentA() && !ShownCool.is(m, c, material.bedC(), day)).forEach(c -> {
                    String rated = "“" + c.name() + "”, rated " + Quantity.show(c.ratings().currentA(), Unit.AMPERE);
                    all.add(new Reason(c.feeds() == null ? "Nobody has said what " + rated + ", feeds: if the bed's " + Quantity.show(a, Unit.AMPERE)
                            + " go through it, it overheats on a hot bed and can burn; say it in the book"
                            : "The bed draws " + Quantity.show(a, Unit.AMPERE) + " through " + rated + ": on a hot bed it overheats and can burn; fit a separate switching module",
                            Quantity.show(material.bedC(), Unit.CELSIUS)));
                }));
            }
        }
        return all;
    }

    /**
     * With whichever loadout is best for it: empty when one of them may print it, else what stands against the first. A machine
     * without loadouts is judged as it is.
     */
    public static List<Reason> reasonsAgainst(Machine m, Material material, LocalDate day) {
        if (m.book().loadouts().isEmpty()) {
            return reasonsAgainst(m, material, day, "");
        }
        List<List<Reason>> all = m.book().loadouts().stream().map(l -> reasonsAgainst(m, material, day, l.id())).toList();
        return all.stream().filter(List::isEmpty).findFirst().orElse(all.get(0));
    }

    private static void stands(Component c, double wantedC, List<Reason> all) {
        if (c.ratings().limitC() > 0 && c.ratings().limitC() < wantedC) {
            all.add(new Reason(c.name() + " stands " + Quantity.show(c.ratings().limitC(), Unit.CELSIUS),
                    Quantity.show(wantedC, Unit.CELSIUS)));
        }
    }

    /** All of them in sentences. */
    public static String words(List<Reason> reasons, Material material) {
        return String.join(" ", reasons.stream().map(r -> r.obstacle() + "; " + material.name() + " wants " + r.wants() + ".").toList());
    }

    private static Optional<Component> of(Standing s, ComponentKind kind) {
        return s.components().stream().filter(c -> c.kind() == kind).findFirst();
    }

    /** Contacts that feed the bed, and those of which nobody has said what they feed: it may be the bed. */
    private static List<Component> bedContacts(Standing s) {
        return s.components().stream().filter(c -> c.kind() == ComponentKind.CONTACT && c.ratings().currentA() > 0 && (c.feeds() == ComponentKind.BED || c.feeds() == null)).toList();
    }

    /** As rated, or from its power: I = P / V. */
    private static OptionalDouble bedAmperes(Optional<Component> bed, Machine m) {
        Ratings r = bed.map(Component::ratings).orElse(Ratings.NONE);
        double volts = r.voltageV() > 0 ? r.voltageV() : m.supplyV();
        return r.currentA() > 0 ? OptionalDouble.of(r.currentA())
                : r.powerW() > 0 && volts > 0 ? OptionalDouble.of(r.powerW() / volts) : OptionalDouble.empty();
    }
}
