package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.fact.ShakeFact;
import tinperch.fact.ShakeFact.Shaken;
import tinperch.machine.book.SettingKey;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * Does what the part carries swing when the machine speeds up? A mass on the spring the part is: it is left behind by m·a/k and rings with √(k/m)/2π, k from the walk through the part's sections (as for strength).
 */
public final class ShakeCheck implements Check {
    /** Ripples this deep are seen on a wall (common practice). */
    private static final double SEEN_MM = 0.05;

    @Override
    public String about() {
        return "shake";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(ShakeFact.SHAKE).stream().collect(Collectors.groupingBy(s -> s.load().id())).values().forEach(axes -> {
            List<Shaken> unsaid = axes.stream().filter(s -> s.accelMmS2().isEmpty()).toList();
            Shaken worst = axes.stream().max(Comparator.comparingDouble(Shaken::swingMm)).orElseThrow();
            // What is known to swing is said, whatever else is not known.
            all.add(unsaid.isEmpty() || worst.swingMm() > SEEN_MM ? of(worst, c) : unsaid(unsaid));
        });
        return all;
    }

    private static String name(Shaken s) {
        return s.load().name().isBlank() ? "what hangs on it" : "“" + s.load().name() + "”";
    }

    private static Finding unsaid(List<Shaken> axes) {
        Shaken s = axes.get(0);
        String settings = axes.stream().map(x -> SettingKey.of(ShakeFact.accelOf(x.axis())).map(SettingKey::label).orElse("acceleration of " + x.axis().name())).collect(Collectors.joining(", "));
        return Finding.of("shake." + s.load().id(), Severity.CANT_TELL, "Whether " + name(s) + " swings as the machine moves cannot be told", "The machine's book does not say: " + settings + ".").at(s.piece().id(), "")
                .settledBy(Settle.By.BOOK, "", "say how fast it speeds up");
    }

    private static Finding of(Shaken s, Case c) {
        String id = "shake." + s.load().id();
        String grams = Quantity.show((double) Math.round(s.massKg() * 1000), Unit.GRAM);
        String speeds = "At " + Math.round(s.accelMmS2().orElseThrow()) + " mm/s² along " + s.axis().name() + " its " + grams + " ";
        if (s.walk().isEmpty()) {
            return Finding.of(id, Severity.FINE, name(s) + " does not swing", "It hangs right over the part's fixing.").at(s.piece().id(), "");
        }
        Margin m = new Margin(s.swingMm(), SEEN_MM, Unit.MM, false);
        String why = speeds + (s.swingMm() < 0.005 ? "stay where they are" : "are left behind by " + Quantity.mm(Math.round(s.swingMm() * 100) / 100.0)) + " and ring at about " + Math.round(s.hertz()) + " Hz; ripples of "
                + Quantity.mm(SEEN_MM) + " are seen where the tool hangs on it (common practice). Estimate: printed solid, screws and guides as if they gave nothing.";
        return m.spare() >= 0 ? Finding.of(id, Severity.FINE, name(s) + " does not swing as the machine moves", why).measured(m).at(s.piece().id(), "")
                : Finding.of(id, Severity.LOOK, name(s) + " swings as the machine moves", why).measured(m).at(s.piece().id(), "").with(remedies(s, c));
    }

    /** Bending goes with the third power of what is thickened. */
    private static List<Remedy> remedies(Shaken s, Case c) {
        return s.walk().flatMap(w -> w.weakest(x -> 1)).map(x -> Thicker.of(s.piece(), x, Math.sqrt(x.areaMm2()) * (Math.cbrt(s.swingMm() / SEEN_MM) - 1) + 0.5, c)).orElse(List.of());
    }
}
