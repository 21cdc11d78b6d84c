package tinperch.workshop;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.files.model.MeshBlob;
import tinperch.part.Models;
import tinperch.upgrade.Shop;
import tinperch.workshop.background.Crew;
import tinperch.workshop.log.LogStore;
import tinperch.workshop.store.Backups;
import tinperch.workshop.store.StoreFault;
import tinperch.workshop.store.WorkshopStore;

/**
 * The open workshop: its state, its edits, undo and redo. Every edit goes to disk at once: before {@link #edit} returns, or, where an
 * interface must not wait for it, on a thread of its own some milliseconds later; closing waits for what is on its way. When the
 * disk refuses, the edit stays in memory, {@link #unsaved} says why, and the next edit or {@link #retrySave} tries
 * again. Used from one thread (the interface's).
 */
public final class Workshop implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Workshop.class);
    private static final int MOST_STEPS = 500;

    private final WorkshopStore store;
    private final Deque<Step> undo = new ArrayDeque<>();
    private final Deque<Step> redo = new ArrayDeque<>();
    private final List<Runnable> listeners = new ArrayList<>();
    private final Map<String, byte[]> unkept = new ConcurrentHashMap<>();
    private final Models models = new KeptModels(this::meshBytes);
    private final Map<String, String> preferences;
    private final Crew writers;
    private final Saving saving;
    private WorkshopState state;
    private final Object logLock = new Object();
    private Consumer<LogStore> onLogs = l -> { };
    private LogStore logs;

    private record Step(String label, WorkshopState before, WorkshopState after) {}

    /** One whose edits are on disk when they are made. */
    public Workshop(WorkshopStore store) {
        this(store, Crew.atOnce());
    }

    /** @param writers who writes its edits; what they have to say is handed over where they deliver */
    public Workshop(WorkshopStore store, Crew writers) {
        this.store = store;
        this.writers = writers;
        this.state = store.load();
        this.preferences = preferences(store);
        this.saving = new Saving(store, state, writers, this::tellChange);
    }

    private static Map<String, String> preferences(WorkshopStore store) {
        try {
            return new ConcurrentHashMap<>(store.preferences());
        } catch (StoreFault e) {
            LOG.warn("Preferences could not be read", e);
            return new ConcurrentHashMap<>();
        }
    }

    /** Everything in it as it is now. */
    public WorkshopState state() {
        return state;
    }

    /** The workshop as the judgement needs it. */
    public Shop shop() {
        return state.shop(models);
    }

    /** What the owner must know about the file, for example that it is damaged and shown read-only. */
    public Optional<String> notice() {
        return store.notice();
    }

    /** Whether edits are kept in memory only, because the file is damaged or newer. */
    public boolean isReadOnly() {
        return store.isReadOnly();
    }

    /** Backups of its file. */
    public Backups backups() {
        return store.backups();
    }

    /** Why the newest edits are not on disk; empty when they are. */
    public Optional<String> unsaved() {
        return saving.unsaved();
    }

    /** Called after every change of state. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    /**
     * Makes an edit that can be undone.
     *
     * @param label what it is called in the undo menu
     */
    public void edit(String label, UnaryOperator<WorkshopState> change) {
        WorkshopState next = change.apply(state);
        if (next.equals(state)) {
            return;
        }
        undo.push(new Step(label, state, next));
        if (undo.size() > MOST_STEPS) {
            undo.removeLast();
        }
        redo.clear();
        become(next);
    }

    /** What would be undone, in words; empty when nothing can be. */
    public Optional<String> undoLabel() {
        return Optional.ofNullable(undo.peek()).map(Step::label);
    }

    /** What would be done again, in words; empty when nothing can be. */
    public Optional<String> redoLabel() {
        return Optional.ofNullable(redo.peek()).map(Step::label);
    }

    /** Takes back the last edit, if there is one. */
    public void undo() {
        if (!undo.isEmpty()) {
            Step step = undo.pop();
            redo.push(step);
            become(step.before);
        }
    }

    /** Makes the edit last taken back again, if there is one. */
    public void redo() {
        if (!redo.isEmpty()) {
            Step step = redo.pop();
            undo.push(step);
            become(step.after);
        }
    }

    /** Tries to write once more what the disk refused. */
    public void retrySave() {
        become(state);
    }

    private void become(WorkshopState next) {
        state = next;
        saving.want(next);
        tellChange();
    }

    private void tellChange() {
        List.copyOf(listeners).forEach(Runnable::run);
    }

    /**
     * Keeps the mesh of a downloaded model, before the edit that names it.
     *
     * @throws StoreFault when the disk refuses; in a read-only workshop it stays in memory
     */
    public void keep(MeshBlob blob) {
        if (store.isReadOnly()) {
            unkept.put(blob.id(), blob.bytes());
        } else {
            store.keepMesh(blob);
        }
    }

    /** The bytes of a kept mesh, to be read off the interface's thread; empty when it is lost. */
    public Optional<byte[]> meshBytes(String id) {
        return unkept.containsKey(id) ? Optional.of(unkept.get(id)) : store.mesh(id);
    }

    /** A remembered preference of the interface, such as the theme. */
    public Optional<String> preference(String key) {
        return Optional.ofNullable(preferences.get(key));
    }

    /** Remembers a preference of the person; it is no edit. */
    public void setPreference(String key, String value) {
        if (!value.equals(preferences.put(key, value)) && !store.isReadOnly()) {
            writers.give(() -> {
                try {
                    store.setPreference(key, value);
                } catch (StoreFault e) {
                    LOG.warn("A preference could not be written", e);
                }
                return key;
            }, written -> { });
        }
    }

    /**
     * The samples of its machines' runs, opened when first asked for. On any thread.
     *
     * @throws tinperch.workshop.log.LogFault when they cannot be opened
     */
    public LogStore logs() {
        synchronized (logLock) {
            if (logs == null) {
                logs = LogStore.open(store.logsFile());
                onLogs.accept(logs);
            }
            return logs;
        }
    }

    /** What is done with the samples' file when it is opened. */
    public void onLogs(Consumer<LogStore> then) {
        onLogs = then;
    }

    @Override
    public void close() {
        writers.finish();
        saving.finish();
        synchronized (logLock) {
            if (logs != null) {
                logs.close();
            }
        }
        store.close();
    }
}
