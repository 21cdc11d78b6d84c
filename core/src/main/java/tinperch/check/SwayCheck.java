package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.material.Material;
import tinperch.measure.sheet.Outcome;
import tinperch.part.form.Joint;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * What a brace does to the sway of what it braces. The post counts as a beam held at its foot that gives by as much as the newest push test says, at the height of the usable room; the arm is a spring
 * E·A/L·cos²θ against it farther down (beam tables: a cantilever on a spring). From that the frequency √(k/m)/2π, with what swayed then and with a full spool on top. Joints give too, so it is at most that.
 */
public final class SwayCheck implements Check {
    /** Less than this is not felt in prints (common practice). */
    private static final double LEAST_PERCENT = 20;
    private static final double SPOOL_KG = 1.2;
    private static final double MPA_PER_GPA = 1000;
    private static final double PER_M = 1000;

    @Override
    public String about() {
        return "sway";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        Optional<Material> m = Material.find(c.part().material());
        facts.get(FormFact.FORM).form().ifPresent(f -> f.joints().forEach(j -> {
            if (j instanceof Joint.Brace b && m.isPresent()) {
                all.add(finding(b, "sway." + all.size(), m.get(), c));
            }
        }));
        return all;
    }

    /** What the newest sheet that tells both says, N/mm and Hz. */
    private static Optional<double[]> pushed(Case c) {
        return c.machine().sheets().stream().map(s -> new double[] {of(s.outcomes(), Outcome.Of.STIFFNESS), of(s.outcomes(), Outcome.Of.SWAY)}).filter(v -> v[0] > 0 && v[1] > 0).reduce((a, b) -> b);
    }

    /**
     * Stiffness at the top of a post on a spring.
     *
     * @param k at the top without it, {@code spring} of it, N/mm
     * @param share of the post's height the spring is at, to 1
     */
    static double propped(double k, double spring, double share) {
        // Flexibilities of a cantilever of height 1 with k = 3·E·I: top by top, place by place, top by place.
        double place = share * share * share / k;
        double both = share * share * (3 - share) / 2 / k;
        return 1 / (1 / k - both * both / (1 / spring + place));
    }

    private static double of(List<Outcome> all, Outcome.Of of) {
        return all.stream().filter(o -> o.of() == of).mapToDouble(Outcome::value).findFirst().orElse(0);
    }

    private static Finding finding(Joint.Brace b, String id, Material m, Case c) {
        double cos = Math.cos(Math.toRadians(b.angleDeg()));
        double own = m.modulusGPa() * MPA_PER_GPA * b.sectionMm2() / b.lengthMm() * cos * cos;
        String how = "The brace's own " + Quantity.fixed(own, 0) + " N/mm (E·A/L·cos²θ: " + Quantity.fixed(m.modulusGPa(), 1) + " GPa, " + Math.round(b.sectionMm2()) + " mm², " + Quantity.mm(Math.round(b.lengthMm())) + ", " + Quantity.fixed(b.angleDeg(), 0) + "°)";
        Optional<double[]> pushed = pushed(c);
        if (pushed.isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "How much stiffer it makes the frame cannot be told", how + " props a frame that nobody has pushed: a push test with a spring scale tells.").settledBy(Settle.By.READINGS, "", "push the frame");
        }
        double k = pushed.get()[0];
        double hz = pushed.get()[1];
        double massKg = k * PER_M / Math.pow(2 * Math.PI * hz, 2);
        double high = Math.max(b.heightMm(), c.machine().usableMm().z());
        double stiff = propped(k, own, b.heightMm() / high);
        double then = hz * Math.sqrt(stiff / k);
        double spool = Math.sqrt(stiff * PER_M / (massKg + SPOOL_KG)) / (2 * Math.PI);
        double gain = 100 * (then / hz - 1);
        boolean good = gain >= LEAST_PERCENT;
        return Finding.of(id, good ? Severity.FINE : Severity.LOOK, good ? "It raises the frame's frequency from " + hertz(hz) + " to at most " + hertz(then) : "It hardly stiffens the frame: " + hertz(hz) + " become " + hertz(then) + " at most",
                how + ", " + Quantity.mm(Math.round(b.heightMm())) + " up, props a post that gives by 1 mm for " + Quantity.fixed(k, 0) + " N (push test) at " + Quantity.mm(Math.round(high)) + ": then " + Quantity.fixed(stiff, 0) + " N/mm. With a full spool of " + Quantity.fixed(SPOOL_KG, 1) + " kg more on top it would be " + hertz(spool) + ". Screws and printed layers give too: shake it after, and compare.")
                .measured(new Margin(gain, LEAST_PERCENT, Unit.PERCENT, true));
    }

    private static String hertz(double hz) {
        return Quantity.fixed(hz, 1) + " Hz";
    }
}
