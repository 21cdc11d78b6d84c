package tinperch.workshop.device;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.workshop.Workshop;

/** The recordings that go on, one a machine at most. A run is put into its machine's record as soon as its channels are known. Used on the interface's thread. */
public final class Recordings implements AutoCloseable {
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private final Workshop workshop;
    private final Executor deliverOn;
    private final Map<String, Recorder> going = new HashMap<>();
    private final Map<String, Recorder.Status> statuses = new HashMap<>();
    private final Set<String> put = new HashSet<>();
    private boolean closed;
    private final List<Consumer<String>> listeners = new ArrayList<>();

    public Recordings(Workshop workshop, Executor deliverOn) {
        this.workshop = workshop;
        this.deliverOn = deliverOn;
    }

    /** Told the machine's id whenever a recording has something new, about once a second. */
    public void onChange(Consumer<String> listener) {
        listeners.add(listener);
    }

    public Optional<Recorder> of(String machineId) {
        return Optional.ofNullable(going.get(machineId));
    }

    /** What the machine's recording said last, one that is over too. */
    public Optional<Recorder.Status> status(String machineId) {
        return Optional.ofNullable(statuses.get(machineId));
    }

    /** Begins to record a machine, unless that is done already; answers why not, or empty. */
    public Optional<String> begin(String machineId, LinePort port, double askEveryS) {
        if (going.containsKey(machineId)) {
            return Optional.of("This machine is being recorded already; stop that first.");
        }
        if (going.values().stream().anyMatch(r -> !r.isSimulated() && r.portName().equals(port.name()))) {
            return Optional.of("The port " + port.name() + " is recorded for another machine.");
        }
        String id = "run-" + UUID.randomUUID();
        LocalDateTime start = LocalDateTime.now().withNano(0);
        Recorder r = new Recorder(port, workshop::logs, id, askEveryS, System::nanoTime, deliverOn, s -> told(machineId, id, start, port, s));
        statuses.remove(machineId);
        going.put(machineId, r);
        r.begin();
        return Optional.empty();
    }

    private void told(String machineId, String id, LocalDateTime start, LinePort port, Recorder.Status s) {
        if (closed) {
            return;
        }
        statuses.put(machineId, s);
        if (s.rows() > 0 && put.add(id)) {
            Run run = new Run(id, "Recorded " + NAME.format(start), start, s.seconds(), Channel.allNamed(s.channels()), port.name(), port.isSimulated(), "");
            workshop.edit("record", w -> w.machine(machineId).map(m -> w.with(m.with(run))).orElse(w));
        }
        if (s.ended()) {
            going.remove(machineId);
            lasted(machineId, id, s);
        }
        listeners.forEach(l -> l.accept(machineId));
    }

    private void lasted(String machineId, String id, Recorder.Status s) {
        workshop.edit("end the recording", w -> w.machine(machineId).flatMap(m -> m.run(id).map(r -> w.with(m.with(r.lasting(s.seconds(), s.kept()))))).orElse(w));
    }

    /** Ends a machine's recording. */
    public void stop(String machineId) {
        of(machineId).ifPresent(Recorder::stop);
    }

    @Override
    public void close() {
        closed = true;
        new HashMap<>(going).forEach((machineId, r) -> {
            r.close();
            status(machineId).ifPresent(s -> lasted(machineId, r.runId(), s));
        });
    }
}
