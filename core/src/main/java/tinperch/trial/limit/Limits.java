package tinperch.trial.limit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.AirAround;
import tinperch.machine.Machine;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.material.Material;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** The limit lines of channels, from what is known of the machine: they come by themselves. */
public final class Limits {
    private Limits() {}

    /** Lines of a channel, the lowest first. */
    public static List<LimitLine> of(Channel channel, Run run, Machine machine, List<Upgrade> upgrades) {
        List<LimitLine> all = new ArrayList<>();
        if (channel.limitC() > 0) {
            all.add(new LimitLine("own limit", channel.limitC(), "Said for this channel."));
        }
        switch (channel.kind()) {
            case SPOT -> part(channel.of(), upgrades).flatMap(p -> Material.find(p.material())).ifPresent(m -> {
                all.add(new LimitLine(m.name() + "'s use limit", m.useLimitC(), "Loaded parts of " + m.name() + " creep above it (value from memory)."));
                all.add(new LimitLine(m.name() + " softens", m.glassTransitionC(), "Its glass transition (value from memory)."));
            });
            case CONTACT -> component(machine, channel.of()).ifPresent(c -> rated(c, all));
            case HOT_END -> fitted(machine, run, ComponentKind.HOT_END).ifPresent(c -> rated(c, all));
            case BED -> fitted(machine, run, ComponentKind.BED).ifPresent(c -> rated(c, all));
            case CHAMBER -> run.channels().stream().filter(t -> t.kind() == Channel.Kind.TARGET && t.of().equals(channel.id())).findFirst().flatMap(Channel::kept)
                    .map(k -> new LimitLine("chamber's target", k.peakC(), "What the board was told in this run.")).or(() -> Optional.of(AirAround.tempC(machine)).filter(c -> c > AirAround.ROOM_C)
                            .map(c -> new LimitLine("usual chamber", c, "Said in the machine's book."))).ifPresent(all::add);
            default -> { }
        }
        all.sort(java.util.Comparator.comparingDouble(LimitLine::tempC));
        return all;
    }

    private static void rated(Component c, List<LimitLine> all) {
        if (c.ratings().limitC() > 0) {
            all.add(new LimitLine(c.name(), c.ratings().limitC(), "Rated so in the machine's book."));
        }
    }

    private static Optional<Component> fitted(Machine m, Run run, ComponentKind kind) {
        return m.book().at(run.start().toLocalDate(), "").components().stream().filter(c -> c.kind() == kind).findFirst();
    }

    private static Optional<Component> component(Machine m, String id) {
        return m.book().components().stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** The part of "upgrade/part"; empty when it is gone. */
    public static Optional<PartDesign> part(String of, List<Upgrade> upgrades) {
        int slash = of.indexOf('/');
        return slash < 0 ? Optional.empty() : upgrades.stream().filter(u -> u.id().equals(of.substring(0, slash))).findFirst().flatMap(u -> u.part(of.substring(slash + 1)));
    }
}
