package tinperch.workshop.edit;

import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import tinperch.part.PartForm;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.HiddenLines;

/**
 * Computes meshes and drawings on its own thread. Asking again makes every earlier answer stale; stale answers are not
 * delivered and work not begun is skipped.
 */
public final class PictureWorker implements AutoCloseable {
    /**
     * Everything needed to show a part.
     *
     * @param top drawn lines seen from the tool side, {@code front} along +y, {@code side} from +x
     */
    public record Picture(PartForm form, Mesh mesh, List<FeatureEdges.Edge> edges, List<HiddenLines.Piece> top,
            List<HiddenLines.Piece> front, List<HiddenLines.Piece> side) {

        /** Computes it all on the calling thread. */
        public static Picture of(PartForm form) {
            Mesh mesh = SolidKernel.evaluate(form.solid(), Tolerances.USUAL);
            List<FeatureEdges.Edge> edges = FeatureEdges.of(mesh);
            return new Picture(form, mesh, edges, HiddenLines.of(mesh, edges, Vec3.X, Vec3.Y),
                    HiddenLines.of(mesh, edges, Vec3.X, Vec3.Z), HiddenLines.of(mesh, edges, Vec3.Y, Vec3.Z));
        }
    }

    private final ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "picture");
        t.setDaemon(true);
        return t;
    });
    private final AtomicLong newest = new AtomicLong();
    private final Executor deliverOn;

    /** @param deliverOn where answers are handed over, the interface's thread */
    public PictureWorker(Executor deliverOn) {
        this.deliverOn = deliverOn;
    }

    /** Computes the picture of a form; one of the two receivers is called unless a newer request comes first. */
    public void request(PartForm form, Consumer<Picture> done, Consumer<String> failed) {
        long ticket = newest.incrementAndGet();
        thread.execute(() -> {
            if (ticket != newest.get()) {
                return;
            }
            try {
                Picture picture = Picture.of(form);
                deliver(ticket, () -> done.accept(picture));
            } catch (SolidException e) {
                deliver(ticket, () -> failed.accept(e.getMessage()));
            }
        });
    }

    /** Makes every answer still to come stale. */
    public void cancel() {
        newest.incrementAndGet();
    }

    private void deliver(long ticket, Runnable answer) {
        deliverOn.execute(() -> {
            if (ticket == newest.get()) {
                answer.run();
            }
        });
    }

    @Override
    public void close() {
        thread.shutdownNow();
    }
}
