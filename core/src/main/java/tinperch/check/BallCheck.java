package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.material.Material;
import tinperch.part.form.Joint;
import tinperch.part.param.Lever;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.strength.BallHold;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.Load;

/**
 * Does an arm of ball links stay where it is put? What hangs on it, with the arm stretched out level, against the friction of its worst ball; the fingers that press creep, so for good they press only as hard as the plastic bears all
 * the time (common practice).
 */
public final class BallCheck implements Check {
    private static final double MPA_PER_GPA = 1000;
    private static final double MOST_TIMES = 10;
    private static final double LEAST_PRESS_MM = 0.05;

    @Override
    public String about() {
        return "ball joints";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        List<Joint.Ball> balls = facts.get(FormFact.FORM).form().stream().flatMap(f -> f.joints().stream()).filter(Joint.Ball.class::isInstance).map(Joint.Ball.class::cast).toList();
        Optional<Material> m = Material.find(c.part().material());
        if (m.isPresent()) {
            balls.forEach(b -> all.add(of(b, "ball." + all.size(), c, m.get())));
        }
        return all;
    }

    private static double holdsNmm(Joint.Ball b, Material m) {
        return BallHold.momentNmm(b.fingers() * BallHold.fingerN(m.modulusGPa() * MPA_PER_GPA, b.wideMm(), b.thickMm(), b.longMm(), b.pressMm()), b.ballMm());
    }

    private static Finding of(Joint.Ball b, String id, Case c, Material m) {
        double now = holdsNmm(b, m);
        double good = now * m.steadyPercent() / 100;
        double hangs = c.part().loads().stream().filter(l -> l.lasting() == Load.Lasting.STEADY).mapToDouble(l -> l.forceN().length()).sum();
        String holds = "Its " + b.fingers() + " fingers turn only under " + nmm(now) + " at first, and " + nmm(good) + " for good (" + Quantity.fixed(m.steadyPercent(), 0) + " %: they creep); friction " + BallHold.FRICTION + " (value from memory). ";
        if (hangs <= 0) {
            return Finding.of(id, Severity.CANT_TELL, "Whether the " + b.label() + " holds what hangs on the arm cannot be told", holds + "Stretched out level, that is " + Quantity.show(Math.round(100 * good / b.armMm()) / 100.0, Unit.NEWTON)
                    + " at its end. Say what it bears all the time.").settledBy(Settle.By.LOAD, "", "say what it bears");
        }
        double asks = hangs * b.armMm();
        Severity severity = asks > now ? Severity.STOP : asks > good ? Severity.LOOK : Severity.FINE;
        String what = switch (severity) {
            case STOP -> "The arm sinks at once: the " + b.label() + " does not hold";
            case LOOK -> "The arm sinks over weeks: the " + b.label() + " does not hold for good";
            default -> "The " + b.label() + " holds what hangs on the arm";
        };
        Finding f = Finding.of(id, severity, what, holds + Quantity.show(hangs, Unit.NEWTON) + " over " + Quantity.mm(b.armMm()) + ", stretched out level, ask for " + nmm(asks) + "." + (severity == Severity.FINE ? "" : " Fewer or shorter links, larger balls, or glue once it stands right."))
                .measured(new Margin(Math.round(asks), Math.round(good), Unit.NEWTON_MM, false));
        if (severity == Severity.FINE) {
            return f;
        }
        // Fingers that press on nothing hold nothing: how much harder they must be follows from no number then.
        double times = good > 0 ? Math.min(MOST_TIMES, asks / good) : MOST_TIMES;
        List<Remedy> all = new ArrayList<>();
        b.shorter().forEach(l -> all.add(l.param().unit() == Unit.COUNT ? fewer(l, b.armMm() * (1 - good / asks), c) : Remedy.pull(l, c.recipe().values(), b.armMm() * (good / asks - 1))));
        b.harder().forEach(l -> all.add(Remedy.pull(l, c.recipe().values(), l.gain() > 1 ? Math.max(LEAST_PRESS_MM, b.pressMm()) * (times - 1) : b.thickMm() * (Math.cbrt(times) - 1))));
        return f.with(all);
    }

    private static Remedy fewer(Lever l, double byMm, Case c) {
        double to = Math.floor(l.param().of(c.recipe().values()) - byMm / l.gain() + 1e-9);
        return Remedy.of(l.word() + " " + l.param().show(c.recipe().values()) + " → " + l.param().words(to), new Change.Set<>(l.param(), to));
    }

    private static String nmm(double v) {
        return Quantity.fixed(v, 0) + " N·mm";
    }
}
