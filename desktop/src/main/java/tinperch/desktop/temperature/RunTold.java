package tinperch.desktop.temperature;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import tinperch.machine.Machine;
import tinperch.machine.book.ComponentKind;
import tinperch.measure.sheet.Outcome;
import tinperch.solid.Stop;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.trial.Series;
import tinperch.trial.limit.LimitLine;
import tinperch.trial.tell.ChannelTold;
import tinperch.trial.tell.Told;
import tinperch.workshop.log.LogFault;
import tinperch.workshop.log.RunReader;

/**
 * What there is to say of a channel of a run over a stretch, with what belongs to it of the machine; takes a moment and so is asked in the background.
 *
 * @param samples of the run
 * @param stop asked now and then whether anybody still waits
 */
record RunTold(Machine machine, Run run, RunReader samples, Channel channel, List<LimitLine> limits, Stretch seen, Stop stop) {
    /** @param before the run that is laid under, {@code beforeSamples} its samples; null for none */
    List<Told> all(Run before, RunReader beforeSamples) {
        List<Told> all = new ArrayList<>();
        try {
            Series s = series(samples, run, channel);
            all.addAll(ChannelTold.of(new ChannelTold.Seen(channel, s, limits, run.channels().stream().filter(k -> k.kind() == Channel.Kind.TARGET && k.of().equals(channel.id())).findFirst().map(this::series),
                    run.first(Channel.Kind.HOT_END).or(() -> run.first(Channel.Kind.BED)).map(this::series), run.first(Channel.Kind.ROOM).map(this::series), pushHz(), duties())));
            if (beforeSamples != null) {
                before.channels().stream().filter(k -> k.kind() == channel.kind() && (k.of().equals(channel.of()) || k.name().equals(channel.name()))).findFirst()
                        .ifPresent(k -> all.add(0, ChannelTold.against(channel, series(beforeSamples, before, k), s, before.name())));
            }
        } catch (LogFault e) {
            all.add(new Told("Samples", e.getMessage(), true));
        }
        return all;
    }

    /** What the newest push test says it sways with. */
    private OptionalDouble pushHz() {
        return machine.sheets().stream().flatMap(x -> x.outcomes().stream()).filter(o -> o.of() == Outcome.Of.SWAY).mapToDouble(o -> o.value()).reduce((a, b) -> b);
    }

    private List<ChannelTold.Duty> duties() {
        double bedW = machine.book().at(run.start().toLocalDate(), "").components().stream().filter(x -> x.kind() == ComponentKind.BED).mapToDouble(x -> x.ratings().powerW()).findFirst().orElse(0);
        return run.channels().stream().filter(k -> k.kind() == Channel.Kind.DUTY).map(k -> new ChannelTold.Duty(k.name(), series(k), run.first(Channel.Kind.BED).filter(b -> b.id().equals(k.of())).isPresent() ? bedW : 0, k.of().equals(channel.id()))).toList();
    }

    private Series series(Channel c) {
        return series(samples, run, c);
    }

    private Series series(RunReader reader, Run of, Channel c) {
        return reader.series(of.channels().indexOf(c), seen.fromS(), seen.toS(), stop);
    }
}
