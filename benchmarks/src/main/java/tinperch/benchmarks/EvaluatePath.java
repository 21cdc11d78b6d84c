package tinperch.benchmarks;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import tinperch.part.Bases;
import tinperch.part.PartForm;
import tinperch.solid.Mesh;
import tinperch.solid.Tolerances;
import tinperch.solid.Vec3;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.view.Camera;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;
import tinperch.upgrade.Assessment;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.edit.PictureWorker;
import tinperch.workshop.edit.PictureWorker.Picture;

/** What happens between a key press and the new part on the screen. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(1)
public class EvaluatePath {
    private final WorkshopState state = DemoWorkshop.state();
    private final Upgrade blower = state.upgrade("avocet-blower").orElseThrow();
    private final Rasteriser rasteriser = new Rasteriser(PictureWorker.HELPERS);
    private Picture picture;
    private int step;

    @Setup
    public void draw() {
        picture = Picture.of(form(8));
    }

    private PartForm form(double thickness) {
        return Assessor.form(edited(thickness), state.shop(Bases.NONE), "R5");
    }

    private Upgrade edited(double thickness) {
        return blower.with(blower.part().orElseThrow().with(
                blower.part().get().values().with("plate.thickness", thickness)));
    }

    private double next() {
        return 6 + 0.01 * (step++ % 300);
    }

    /** Findings only: what a hovered remedy costs. */
    @Benchmark
    public Assessment assess() {
        return Assessor.assess(edited(next()), state.shop(Bases.NONE), "R5");
    }

    /** The closed mesh of the edited part. */
    @Benchmark
    public Mesh mesh() {
        return SolidKernel.evaluate(form(next()).solid(), Tolerances.USUAL);
    }

    /** Mesh, feature edges and three drawn views. */
    @Benchmark
    public Picture pictureOfAnEdit() {
        return Picture.of(form(next()));
    }

    /** One frame of the turntable at the size it has in a window of 1280 × 800, drawn twice as large. */
    @Benchmark
    public int turntable() {
        Vec3 c = picture.mesh().bounds().centre();
        rasteriser.draw(Scene.of(picture.mesh(), picture.edges()), new Camera(step++, 38, c, 8), 800, 560,
                new Rasteriser.Paint(0xCFC8B6, 0x3F9C93, 0x2E302C, 0, 0, 0, 2));
        return rasteriser.argb()[0];
    }
}
