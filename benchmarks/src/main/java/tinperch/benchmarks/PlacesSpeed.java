package tinperch.benchmarks;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Distance;
import tinperch.machine.space.End;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.measure.Reading;
import tinperch.measure.Spread;
import tinperch.solid.Vec3;

/** Solving where 200 things stand from 600 distances. */
@State(Scope.Thread)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
@Fork(value = 1, jvmArgs = "-XX:+UseParallelGC")
public class PlacesSpeed {
    private final Surroundings space = space(200, 600);

    private static Surroundings space(int things, int distances) {
        Random r = new Random(1);
        List<Neighbour> all = new ArrayList<>();
        for (int i = 0; i < things; i++) {
            all.add(new Neighbour("n" + i, "n" + i, "", Neighbour.Kind.SOLID, Neighbour.Form.BOX, new Vec3(20 * i, 5 * i, 3 * i), new Vec3(10, 10, 10), "z", 2, 0));
        }
        List<Distance> read = new ArrayList<>();
        for (int k = 0; k < distances; k++) {
            Along along = Along.values()[k % 3];
            int b = 1 + k / 3 % (things - 1);
            int a = r.nextInt(b);
            double mm = along.of(all.get(b).corner().minus(all.get(a).corner())) + 0.01 * r.nextGaussian();
            read.add(new Distance("d" + k, along, new End("n" + a, End.Where.LOW), new End("n" + b, End.Where.LOW),
                    List.of(new Reading(mm, Instant.EPOCH, "calipers")), Spread.CALIPER_MM, Map.of(), ""));
        }
        return new Surroundings(List.of(), List.of(), all, List.of(), read, "n0", List.of(), List.of());
    }

    @Benchmark
    public Surroundings settled() {
        return Places.of(space, End.Holes.NONE).settled();
    }
}
