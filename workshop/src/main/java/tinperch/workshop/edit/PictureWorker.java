package tinperch.workshop.edit;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import tinperch.part.PartForm;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.PlaneMemory;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.HiddenLines;

/** Computes meshes and drawings of a part on its own thread; only the newest request counts. */
public final class PictureWorker implements AutoCloseable {
    /**
     * Everything needed to show a part.
     *
     * @param held meshes of what stands against the part
     * @param top drawn lines seen from the tool side, {@code front} along +y, {@code side} from +x
     */
    public record Picture(PartForm form, Mesh mesh, List<FeatureEdges.Edge> edges, List<Mesh> held,
            List<HiddenLines.Piece> top, List<HiddenLines.Piece> front, List<HiddenLines.Piece> side) {

        /** Computes it all on the calling thread. */
        public static Picture of(PartForm form) {
            return of(form, new PlaneMemory());
        }

        /** The same, with what the picture before left. */
        static Picture of(PartForm form, PlaneMemory memory) {
            Mesh mesh = SolidKernel.evaluate(form.solid(), Tolerances.USUAL, HELPERS, memory);
            List<FeatureEdges.Edge> edges = FeatureEdges.of(mesh);
            List<Mesh> held = form.held().stream().map(s -> SolidKernel.evaluate(s, Tolerances.USUAL)).toList();
            List<List<HiddenLines.Piece>> views = new ArrayList<>(Collections.nCopies(VIEWS.length, null));
            HELPERS.each(VIEWS.length, i -> views.set(i, HiddenLines.of(mesh, edges, VIEWS[i][0], VIEWS[i][1])));
            return new Picture(form, mesh, edges, held, views.get(0), views.get(1), views.get(2));
        }
    }

    /** Right and up of the three drawn views. */
    private static final Vec3[][] VIEWS = {{Vec3.X, Vec3.Y}, {Vec3.X, Vec3.Z}, {Vec3.Y, Vec3.Z}};

    /** All the processor's cores, each taking a few pieces at a time, so that heavy ones do not wait in one pair of hands. */
    public static final Hands HELPERS = (count, work) -> {
        AtomicInteger next = new AtomicInteger();
        int few = Math.max(1, Math.min(8, count / 64));
        IntStream.range(0, Math.min(count, Runtime.getRuntime().availableProcessors())).parallel().forEach(hand -> {
            for (int i = next.getAndAdd(few); i < count; i = next.getAndAdd(few)) {
                for (int k = i; k < Math.min(count, i + few); k++) {
                    work.accept(k);
                }
            }
        });
    };

    private final PlaneMemory memory = new PlaneMemory();
    private final Latest latest;

    /** @param deliverOn where answers are handed over, the interface's thread */
    public PictureWorker(Executor deliverOn) {
        latest = new Latest("picture", deliverOn);
    }

    /** Computes the picture of a form; one of the two receivers is called unless a newer request comes first. */
    public void request(PartForm form, Consumer<Picture> done, Consumer<String> failed) {
        latest.ask(ticket -> {
            try {
                Picture picture = Picture.of(form, memory);
                ticket.deliver(() -> done.accept(picture));
            } catch (SolidException e) {
                ticket.deliver(() -> failed.accept(e.getMessage()));
            }
        });
    }

    /** Makes every answer still to come stale. */
    public void cancel() {
        latest.cancel();
    }

    @Override
    public void close() {
        latest.close();
    }
}
