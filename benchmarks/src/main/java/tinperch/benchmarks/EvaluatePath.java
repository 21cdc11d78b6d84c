package tinperch.benchmarks;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import tinperch.check.Finding;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.DrawingFact;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.judge.Assessment;
import tinperch.judge.Judge;
import tinperch.part.family.BoardMount;
import tinperch.part.family.HoseAdapter;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.part.param.NumberParam;
import tinperch.solid.Vec3;
import tinperch.solid.view.Camera;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.KeptModels;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.background.Helpers;
import tinperch.workshop.demo.DemoWorkshop;
import tinperch.workshop.engine.FactEngine;

/** What happens between a key press and the new part on the screen, for one part of each family. Every call edits a number. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(value = 1, jvmArgs = "-XX:+UseParallelGC")
public class EvaluatePath {
    @Param({"plate", "board", "hose"})
    private String family;

    private final WorkshopState state = DemoWorkshop.state();
    private final Rasteriser rasteriser = new Rasteriser(Helpers.ALL);
    private final FactEngine engine = new FactEngine(Runnable::run);
    private Upgrade upgrade;
    private NumberParam number;
    private double from;
    private Drawing drawing;
    private Case current;
    private int step;

    @Setup
    public void draw() {
        number = switch (family) {
            case "plate" -> ToolCarriagePlate.THICKNESS;
            case "board" -> BoardMount.FLOOR;
            default -> HoseAdapter.FLANGE;
        };
        String id = switch (family) {
            case "plate" -> "tool-carriage-plate";
            case "board" -> "board-mount";
            default -> "hose-adapter";
        };
        upgrade = state.upgrades().stream().filter(u -> u.parts().stream().anyMatch(p -> p.familyId().equals(id))).findFirst().orElseThrow();
        from = number.of(part().values());
        current = edited();
        drawing = facts(current).get(DrawingFact.DRAWING);
    }

    private PartDesign part() {
        return upgrade.parts().get(0);
    }

    private Case edited() {
        double to = from + 0.01 * (step++ % 100);
        return Case.of(upgrade.with(part().with(part().values().with(number, to))), part().id(), state.shop(new KeptModels(x -> java.util.Optional.empty())), "R5");
    }

    /** As the window asks: planes met before are remembered. */
    private Facts facts(Case c) {
        return engine.now(c);
    }

    /** The closed, marked meshes of the edited part. */
    @Benchmark
    public List<MeshesFact.Made> meshes() {
        return facts(edited()).get(MeshesFact.MESHES).pieces();
    }

    /** The same and every check. */
    @Benchmark
    public Assessment judged() {
        Case c = edited();
        return Judge.judge(c, facts(c));
    }

    /** The meshes, feature edges and three drawn views. */
    @Benchmark
    public Drawing drawing() {
        return facts(edited()).get(DrawingFact.DRAWING);
    }

    /** Judged, with every remedy tried out: after it, hovering costs nothing. */
    @Benchmark
    public List<Finding> thorough() {
        return Judge.thorough(edited()).findings();
    }

    /** One frame of the turntable at the size it has in a window of 1280 × 800, drawn twice as large. */
    @Benchmark
    public int turntable() {
        Vec3 c = drawing.mesh().bounds().centre();
        rasteriser.draw(Scene.of(drawing.mesh(), drawing.edges()), new Camera(step++, 38, c, 8), 800, 560,
                new Rasteriser.Paint(0xCFC8B6, 0x3F9C93, 0x2E302C, 0, 0, 0, 2));
        return rasteriser.argb()[0];
    }
}
