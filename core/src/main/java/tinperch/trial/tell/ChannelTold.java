package tinperch.trial.tell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import tinperch.trial.Above;
import tinperch.quantity.Quantity;
import tinperch.trial.Channel;
import tinperch.trial.Comparison;
import tinperch.trial.Ripple;
import tinperch.trial.Rise;
import tinperch.trial.RiseShare;
import tinperch.trial.Series;
import tinperch.trial.Shaking;
import tinperch.trial.Steady;
import tinperch.trial.StepFit;
import tinperch.trial.Together;
import tinperch.trial.limit.LimitLine;

/** What there is to say of one channel over the stretch that is looked at. */
public final class ChannelTold {
    private static final int FEW = 12;
    /** A correlation that is worth a sentence. */
    private static final double MOVES_TOGETHER = 0.6;

    private ChannelTold() {}

    /**
     * What belongs to a channel.
     *
     * @param seen its samples over the stretch
     * @param limits it should stay below
     * @param duties of the heaters recorded with it
     * @param pushHz what a push test says it sways with, Hz; empty without one
     * @param target what it is controlled to, {@code block} what heats it, {@code room} around it; empty where they were not recorded
     */
    public record Seen(Channel channel, Series seen, List<LimitLine> limits, Optional<Series> target, Optional<Series> block, Optional<Series> room, OptionalDouble pushHz, List<Duty> duties) {}

    /**
     * A heater that was on while it was recorded.
     *
     * @param heatsIt whether it heats the channel that is told of
     * @param name of its channel, {@code percent} how much of the time it was on
     * @param powerW what it takes when it is on, W; 0 where it is not known
     */
    public record Duty(String name, Series percent, double powerW, boolean heatsIt) {}

    /** Everything, what matters most first. */
    public static List<Told> of(Seen of) {
        List<Told> all = new ArrayList<>();
        if (of.seen.size() == 0) {
            all.add(Told.of("Samples", "There are none in this stretch."));
            return all;
        }
        if (of.channel.kind() == Channel.Kind.ACCELERATION) {
            return shaken(of);
        }
        Rise rise = Rise.of(of.seen);
        Optional<Steady> stood = rise.steady().or(() -> Steady.longest(of.seen));
        all.add(of.seen.size() < FEW ? Told.of("Readings", of.seen.size() + (of.seen.size() == 1 ? " reading" : " readings") + " in this stretch: too few to say whether it stands still.") : end(rise, stood, of.seen));
        Above peak = Above.of(of.seen, Double.POSITIVE_INFINITY);
        all.add(Told.of("Peak", Words.celsius(peak.peak()) + " after " + Words.time(peak.peakS()) + "."));
        of.limits.forEach(l -> all.add(limit(l, of.seen, rise)));
        controlled(of, stood, all);
        share(of, stood, all);
        duties(of, stood, all);
        double fastest = Rise.fastestKPerMin(of.seen);
        if (fastest >= 0.5) {
            all.add(Told.of("Heating", "At most " + Words.kelvin(fastest) + " a minute."));
        }
        if (peak.knownS() < (of.seen.lastS() - of.seen.firstS()) * 0.999) {
            all.add(Told.of("Gaps", "Nothing is known of " + Words.time(of.seen.lastS() - of.seen.firstS() - peak.knownS()) + " in it."));
        }
        return all;
    }

    private static List<Told> shaken(Seen of) {
        Optional<Shaking> k = Shaking.of(of.seen);
        if (k.isEmpty()) {
            return List.of(Told.of("Shaking", "Nothing shakes in this stretch, or too little of it was recorded."));
        }
        List<Told> all = new ArrayList<>();
        all.add(Told.of("Shakes at", Quantity.fixed(k.get().hz(), 1) + " Hz most of all; by " + Quantity.fixed(k.get().peak(), 2) + " at most, in what was recorded."));
        all.add(k.get().damping().isPresent() ? Told.of("Damping", Quantity.fixed(100 * k.get().damping().getAsDouble(), 1) + " % of what would just not swing: after "
                + Math.round(Math.log(2) * Math.sqrt(1 - Math.pow(k.get().damping().getAsDouble(), 2)) / (2 * Math.PI * k.get().damping().getAsDouble()) * 10) / 10.0 + " swings it is half as much.")
                : Told.of("Damping", "It does not die away in this stretch; look at one that begins with a push and ends when it is still."));
        of.pushHz.ifPresentOrElse(hz -> {
            double share = k.get().hz() / hz;
            all.add(Told.of("Push test", "It says " + Quantity.fixed(hz, 1) + " Hz, so this is " + Math.round(100 * Math.abs(share - 1)) + " % " + (share < 1 ? "slower: more mass sways than was weighed, or it gives elsewhere too."
                    : "faster: less mass sways than was weighed.") + " Mass goes with the square: " + Quantity.fixed(1 / (share * share), 2) + " times what was weighed."));
        }, () -> all.add(Told.of("Push test", "None was read on this machine; with its stiffness k what sways follows: m = k / (2π f)².")));
        return all;
    }

    private static Told end(Rise rise, Optional<Steady> stood, Series s) {
        if (rise.steady().isPresent()) {
            Steady at = rise.steady().get();
            return Told.of("Stands at", Words.celsius(at.mean()) + " ± " + Words.kelvin(Math.max(0.1, at.halfWidth())) + " over the last " + Words.time(at.toS() - at.fromS()) + "; single samples ± "
                    + Words.kelvin(at.deviation()) + ".");
        }
        if (rise.fit().isEmpty()) {
            String changed = "At its end it neither stands still nor rises or falls as after one step";
            return Told.of("Stood at", stood.map(t -> Words.celsius(t.mean()) + " ± " + Words.kelvin(Math.max(0.1, t.halfWidth())) + " from " + Words.time(t.fromS()) + " to " + Words.time(t.toS()) + " after the start; single samples ± "
                    + Words.kelvin(t.deviation()) + ". " + changed + ".").orElse(changed + "; look at a stretch in which nothing was changed."));
        }
        StepFit f = rise.fit().get();
        if (!f.isTold()) {
            return Told.of("Ends at", "Still on its way; too little of it is seen to tell where it ends.");
        }
        return Told.of("Will settle", "At " + Words.celsius(f.end()) + " ± " + Words.kelvin(Math.max(0.1, f.halfWidth())) + ", to within 1 K " + (f.settledS(1) <= s.lastS() ? "by now" : "in " + Words.time(f.settledS(1) - s.lastS()))
                + "; time constant " + Words.time(f.tauS()) + ".");
    }

    private static Told limit(LimitLine l, Series s, Rise rise) {
        Above a = Above.of(s, l.tempC());
        String name = l.name() + ", " + Words.celsius(l.tempC());
        if (a.firstS().isPresent()) {
            return new Told("Above", name + ": for " + Words.time(a.aboveS()) + ", first after " + Words.time(a.firstS().getAsDouble()) + ", by " + Words.kelvin(a.peak() - l.tempC()) + " at most, " + Math.round(a.area() / 360) / 10.0 + " K·h in all.", true);
        }
        String below = name + ": it stays " + Words.kelvin(l.tempC() - a.peak()) + " below";
        Optional<StepFit> f = rise.fit().filter(StepFit::isTold);
        if (f.isPresent() && f.get().high() > l.tempC()) {
            boolean sure = f.get().low() > l.tempC();
            return new Told("Limit", below + " so far, and " + (sure ? "will end above it." : "may end above it."), true);
        }
        return Told.of("Limit", below + ".");
    }

    private static void controlled(Seen of, Optional<Steady> stood, List<Told> all) {
        if (of.channel.kind().isEndangered() || stood.isEmpty()) {
            return;
        }
        Steady at = stood.get();
        Ripple.of(of.seen.between(at.fromS(), at.toS())).filter(r -> r.amplitude() > 0.2)
                .ifPresent(r -> all.add(Told.of("Swings", "By ± " + Words.kelvin(r.amplitude()) + ", once in " + Words.time(r.periodS()) + ".")));
        of.target.map(t -> t.at(at.toS())).filter(t -> t > 0).ifPresent(t -> {
            double over = Ripple.overshoot(of.seen, t);
            all.add(Told.of("Control", "It stands " + Words.kelvin(Math.abs(at.mean() - t)) + (at.mean() < t ? " below" : " above") + " its target of " + Words.celsius(t) + "; it went " + Words.kelvin(over) + " beyond it at most."));
        });
    }

    /** With which heaters it moves together, and what they take to hold it. */
    private static void duties(Seen of, Optional<Steady> stood, List<Told> all) {
        for (Duty d : of.duties) {
            // While something heats up its duty falls as it warms: only what moves about where it stands is told.
            stood.flatMap(at -> optional(Together.correlation(of.seen.between(at.fromS(), at.toS()), d.percent))).ifPresent(r -> {
                if (Math.abs(r) > MOVES_TOGETHER) {
                    all.add(Told.of("Together", "It moves " + (r > 0 ? "with" : "against") + " “" + d.name + "” (correlation " + Quantity.fixed(r, 2) + ")."));
                }
            });
            stood.flatMap(at -> Steady.of(d.percent.between(at.fromS(), at.toS()))).filter(m -> m.mean() > 0 && d.heatsIt)
                    .ifPresent(m -> all.add(Told.of("Power", "It is on for " + Math.round(m.mean()) + " % of the time to hold that" + (d.powerW > 0 ? ", about " + Math.round(m.mean() / 100 * d.powerW) + " of " + Math.round(d.powerW) + " W." : "."))));
        }
    }

    private static Optional<Double> optional(OptionalDouble d) {
        return d.isPresent() ? Optional.of(d.getAsDouble()) : Optional.empty();
    }

    /** Where block, spot and room stand at the same time, the spot's share of the rise and what it would be hotter. */
    private static void share(Seen of, Optional<Steady> stood, List<Told> all) {
        if (of.channel.kind() != Channel.Kind.SPOT || stood.isEmpty() || of.block.isEmpty() || of.room.isEmpty()) {
            return;
        }
        Steady at = stood.get();
        Optional<Steady> block = Steady.of(of.block.get().between(at.fromS(), at.toS()));
        Optional<Steady> room = Steady.of(of.room.get().between(at.fromS(), at.toS()));
        block.flatMap(b -> room.flatMap(r -> RiseShare.of(at.mean(), b.mean(), r.mean()).map(s -> Told.of("Share", Math.round(1000 * s.share()) / 10.0 + " % of the rise from the room's " + Words.celsius(r.mean())
                + " to " + Words.celsius(b.mean()) + "; at 30 K more there it would stand at " + Words.celsius(s.spotC(b.mean() + 30, r.mean())) + ", air and gap unchanged.")))).ifPresent(all::add);
    }

    private static Told shakenAgainst(Optional<Shaking> a, Optional<Shaking> b, String nameBefore) {
        if (a.isEmpty() || b.isEmpty()) {
            return Told.of("Against", "“" + nameBefore + "”: nothing shakes in " + (a.isEmpty() ? "that run" : "this run") + "; they cannot be compared.");
        }
        double share = b.get().hz() / a.get().hz();
        String damping = a.get().damping().isPresent() && b.get().damping().isPresent()
                ? "; damping " + Quantity.fixed(100 * b.get().damping().getAsDouble(), 1) + " % against " + Quantity.fixed(100 * a.get().damping().getAsDouble(), 1) + " %" : "";
        return Told.of("Against", "“" + nameBefore + "”: " + Quantity.fixed(b.get().hz(), 1) + " against " + Quantity.fixed(a.get().hz(), 1) + " Hz" + damping + ". With the same mass it is "
                + Quantity.fixed(share * share, 2) + " times as stiff; with the same stiffness " + Quantity.fixed(1 / (share * share), 2) + " times the mass sways.");
    }

    /** A channel of a run against the same of an earlier one; what it says of who decides. */
    public static Told against(Channel channel, Series before, Series after, String nameBefore) {
        if (channel.kind() == Channel.Kind.ACCELERATION) {
            return shakenAgainst(Shaking.of(before), Shaking.of(after), nameBefore);
        }
        Optional<Steady> a = Steady.end(before);
        Optional<Steady> b = Steady.end(after);
        if (a.isEmpty() || b.isEmpty()) {
            return Told.of("Against", "“" + nameBefore + "”: " + (a.isEmpty() ? "that run" : "this run") + " does not stand still at its end; they cannot be compared.");
        }
        Comparison c = Comparison.of(a.get(), b.get(), Comparison.PUT_BACK_K);
        String by = Words.kelvin(Math.abs(c.difference())) + (c.difference() < 0 ? " cooler" : " hotter") + " ± " + Words.kelvin(c.halfWidth());
        Comparison.Says says = c.says(true);
        return new Told("Against", "“" + nameBefore + "”: " + (says == Comparison.Says.CANNOT_TELL ? "no difference that could be told from noise (" + by + ")." : by + (channel.kind().isEndangered() ? ": " + says.label() + "." : ".")),
                channel.kind().isEndangered() && says == Comparison.Says.WORSE);
    }
}
