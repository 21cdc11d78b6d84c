package tinperch.workshop;

import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.workshop.background.Crew;
import tinperch.workshop.store.StoreFault;
import tinperch.workshop.store.WorkshopStore;

/**
 * Brings a workshop's states to the disk, one after the other and each whole. A state that was overtaken by a newer one before its turn
 * came is not written for itself: what differs from the last one on disk is.
 */
final class Saving {
    private static final Logger LOG = LoggerFactory.getLogger(Saving.class);

    private final WorkshopStore store;
    private final Crew crew;
    private final Runnable told;
    private final Object turn = new Object();
    private WorkshopState onDisk;
    private volatile WorkshopState wanted;
    private volatile String unsaved;

    /**
     * @param onDisk what the file holds now
     * @param crew who writes
     * @param told called by the crew's deliverer when {@link #unsaved} has changed
     */
    Saving(WorkshopStore store, WorkshopState onDisk, Crew crew, Runnable told) {
        this.store = store;
        this.onDisk = onDisk;
        this.wanted = onDisk;
        this.crew = crew;
        this.told = told;
    }

    /** Why the newest states are not on disk; empty when they are, or are on their way. */
    Optional<String> unsaved() {
        return Optional.ofNullable(unsaved);
    }

    /** Has a state written, soon and off this thread, unless the file is not written to at all. */
    void want(WorkshopState next) {
        wanted = next;
        if (!store.isReadOnly()) {
            crew.give(this::write, changed -> {
                if (changed) {
                    told.run();
                }
            });
        }
    }

    /** Writes what is still on its way, on this thread. */
    void finish() {
        if (!store.isReadOnly()) {
            write();
        }
    }

    /** @return whether there is another word about it now */
    private boolean write() {
        synchronized (turn) {
            WorkshopState next = wanted;
            if (next == onDisk && unsaved == null) {
                return false;
            }
            String before = unsaved;
            try {
                store.save(onDisk, next);
                onDisk = next;
                unsaved = null;
            } catch (StoreFault e) {
                LOG.warn("An edit could not be written", e);
                unsaved = e.getMessage();
            } catch (RuntimeException e) {
                LOG.error("An edit could not be written", e);
                unsaved = "The edit is not on disk: " + e.getMessage() + ". It stays in this window; try again, or pack the workshop into a file.";
            }
            return !Optional.ofNullable(before).equals(unsaved());
        }
    }
}
