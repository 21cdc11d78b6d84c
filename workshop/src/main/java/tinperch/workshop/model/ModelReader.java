package tinperch.workshop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import tinperch.files.model.Stopped;
import tinperch.workshop.background.Latest;

/** Reads models on its own thread, one at a time; asking for another, or stopping, gives up the one before. */
public final class ModelReader implements AutoCloseable {
    private static final double STEP = 0.01;

    private final Latest latest;

    /** @param deliverOn where answers are handed over, the interface's thread */
    public ModelReader(Executor deliverOn) {
        latest = new Latest("model", deliverOn);
    }

    /** Reads a file; progress is told in steps, then one of the two receivers is called unless it was stopped. */
    public void read(Path file, DoubleConsumer progress, Consumer<List<ReadModel>> done, Consumer<String> failed) {
        double[] told = {-1};
        latest.ask(ticket -> {
            try {
                List<ReadModel> models = ReadModel.of(file, share -> {
                    if (share - told[0] > STEP) {
                        told[0] = share;
                        ticket.deliver(() -> progress.accept(share));
                    }
                    return ticket.counts();
                });
                ticket.deliver(() -> done.accept(models));
            } catch (Stopped e) {
                // Whoever stopped it knows.
            } catch (IOException e) {
                ticket.deliver(() -> failed.accept(e.getMessage()));
            }
        });
    }

    public void stop() {
        latest.cancel();
    }

    @Override
    public void close() {
        latest.close();
    }
}
