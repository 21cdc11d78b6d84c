package tinperch.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.apache.commons.geometry.euclidean.threed.ConvexPolygon3D;
import org.apache.commons.geometry.euclidean.threed.Planes;
import org.apache.commons.geometry.euclidean.threed.RegionBSPTree3D;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.apache.commons.numbers.core.Precision;
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
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.Hands;
import tinperch.solid.kernel.PlaneMemory;
import tinperch.solid.kernel.ReferencePart;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.Slicer;
import tinperch.solid.query.TriangleTree;
import tinperch.solid.shape.Revolution;
import tinperch.solid.view.Camera;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;
import tinperch.workshop.background.Helpers;

/** What docs/KERNEL.md says about speed; {@code ./tinperch bench KernelSpeed}. */
public class KernelSpeed {
    private static final Hands TWO = Helpers.ALL;

    /** The reference part; its leaves are made beforehand, which takes {@link #leaves} more. */
    @State(Scope.Thread)
    @BenchmarkMode(Mode.SampleTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    @Warmup(iterations = 5, time = 2)
    @Measurement(iterations = 5, time = 2)
    @Fork(value = 1, jvmArgs = {"-XX:+UseParallelGC", "-Xmx2g"})
    public static class Reference {
        private final PlaneMemory memory = new PlaneMemory();
        private final Precision.DoubleEquivalence eps = Precision.doubleEquivalenceOfEpsilon(1e-9);
        private final Solid part = ReferencePart.of(8, 10, 24, 48);
        private final Solid[] moved = IntStream.range(0, 200).mapToObj(i -> ReferencePart.of(8, 10 + 0.01 * i, 24, 48))
                .toArray(Solid[]::new);
        private final Solid[] thicker = IntStream.range(0, 200).mapToObj(i -> ReferencePart.of(8 + 0.01 * i, 10, 24, 48))
                .toArray(Solid[]::new);
        private int step;

        /** Making the leaves. */
        @Benchmark
        public Solid leaves() {
            return ReferencePart.of(8, 10, 24, 48);
        }

        /** From nothing, two threads. */
        @Benchmark
        public Mesh fromNothing() {
            return SolidKernel.evaluate(part, Tolerances.USUAL, TWO, new PlaneMemory());
        }

        /** From nothing, one thread. */
        @Benchmark
        public Mesh fromNothingAlone() {
            return SolidKernel.evaluate(part, Tolerances.USUAL);
        }

        /** One hole moved. */
        @Benchmark
        public Mesh movedHole() {
            return SolidKernel.evaluate(moved[step++ % 200], Tolerances.USUAL, TWO, memory);
        }

        /** Another plate thickness: every leaf but the pockets changes. */
        @Benchmark
        public Mesh thicker() {
            return SolidKernel.evaluate(thicker[step++ % 200], Tolerances.USUAL, TWO, memory);
        }

        /** The same part by commons-geometry, an independent library. */
        @Benchmark
        @Warmup(iterations = 1, time = 5)
        @Measurement(iterations = 2, time = 10)
        public double independentLibrary() {
            return tree(part).getSize();
        }

        private RegionBSPTree3D tree(Solid s) {
            if (s instanceof Leaf leaf) {
                List<ConvexPolygon3D> faces = new ArrayList<>();
                for (Leaf.Face f : leaf.faces()) {
                    List<Vector3D> ring = new ArrayList<>();
                    for (int i : f.rings()[0]) {
                        ring.add(Vector3D.of(leaf.corner(i, 0), leaf.corner(i, 1), leaf.corner(i, 2)));
                    }
                    faces.add(Planes.convexPolygonFromVertices(ring, eps));
                }
                RegionBSPTree3D t = RegionBSPTree3D.empty();
                t.insert(faces);
                return t;
            }
            List<Solid> parts = s instanceof Solid.Union u ? u.parts() : ((Solid.Difference) s).cuts();
            RegionBSPTree3D t = s instanceof Solid.Difference d ? tree(d.body()) : RegionBSPTree3D.empty();
            for (Solid p : parts) {
                if (s instanceof Solid.Union) {
                    t.union(tree(p));
                } else {
                    t.difference(tree(p));
                }
            }
            return t;
        }
    }

    /** Cost against the number of holes. */
    @State(Scope.Thread)
    @BenchmarkMode(Mode.SampleTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    @Warmup(iterations = 5, time = 2)
    @Measurement(iterations = 5, time = 2)
    @Fork(value = 1, jvmArgs = {"-XX:+UseParallelGC", "-Xmx2g"})
    public static class Holes {
        @Param({"25", "50", "100", "200"})
        private int holes;

        @Benchmark
        public Mesh evaluate() {
            return SolidKernel.evaluate(ReferencePart.of(8, 10, holes, 48), Tolerances.USUAL, TWO, new PlaneMemory());
        }
    }

    /** Layers and distances of large meshes. */
    @State(Scope.Thread)
    @BenchmarkMode(Mode.SampleTime)
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    @Warmup(iterations = 5, time = 2)
    @Measurement(iterations = 5, time = 2)
    @Fork(value = 1, jvmArgs = {"-XX:+UseParallelGC", "-Xmx2g"})
    public static class Large {
        private Mesh large;
        private double[] heights;
        private Mesh passing;
        private Scene shown;
        private int step;
        private final Rasteriser rasteriser = new Rasteriser(TWO);
        private TriangleTree a;
        private TriangleTree b;

        @Setup
        public void make() {
            large = ball(50, 500, 200);
            heights = IntStream.range(0, 300).mapToDouble(i -> -49.9 + i * 99.8 / 299).toArray();
            passing = ball(20, 160, 63);
            Mesh fine = SolidKernel.evaluate(leaf(50, 250, 100), Tolerances.USUAL);
            shown = Scene.of(fine, FeatureEdges.of(fine));
            a = TriangleTree.of(passing);
            b = TriangleTree.of(ball(12, 160, 63));
        }

        private static Leaf leaf(double r, int steps, int sides) {
            double[] xy = new double[2 * (steps + 1)];
            for (int i = 0; i <= steps; i++) {
                double t = -Math.PI / 2 + Math.PI * i / steps;
                xy[2 * i] = i == 0 || i == steps ? 0 : r * Math.cos(t);
                xy[2 * i + 1] = r * Math.sin(t);
            }
            return Revolution.leaf("ball", Profile.of(xy), Placement.HERE, sides, Revolution.Fit.WITHIN);
        }

        private static Mesh ball(double r, int steps, int sides) {
            Leaf leaf = leaf(r, steps, sides);
            double[] xyz = new double[3 * leaf.cornerCount()];
            for (int i = 0; i < xyz.length; i++) {
                xyz[i] = leaf.corner(i / 3, i % 3);
            }
            List<int[]> t = new ArrayList<>();
            for (Leaf.Face f : leaf.faces()) {
                int[] ring = f.rings()[0];
                for (int k = 1; k + 1 < ring.length; k++) {
                    t.add(new int[] {ring[0], ring[k], ring[k + 1]});
                }
            }
            int[] corners = t.stream().flatMapToInt(java.util.Arrays::stream).toArray();
            return new Mesh(xyz, corners, new int[t.size()],
                    List.of(new Mesh.Face("ball", tinperch.solid.Vec3.Z, 0, List.of())));
        }

        /** 200,000 triangles into 300 layers. */
        @Benchmark
        public int layers() {
            return Slicer.layers(large, Placement.HERE, heights).size();
        }

        /** 20,000 against 20,000 triangles in 200 poses of a passing part, each helped by the one before. */
        @Benchmark
        public double passingGap() {
            double least = Double.POSITIVE_INFINITY;
            Clearance before = Clearance.between(a, b, pose(0));
            for (int i = 1; i < 200; i++) {
                before = Clearance.between(a, b, pose(i), before, 0.5);
                least = Math.min(least, before.gapMm());
            }
            return least;
        }

        /** The same poses: is it ever closer than 2 mm? */
        @Benchmark
        public int passingCloserThan() {
            int near = 0;
            for (int i = 0; i < 200; i++) {
                near += Clearance.closerThan(a, b, pose(i), 2) ? 1 : 0;
            }
            return near;
        }

        private static Placement pose(int i) {
            return Placement.at(-50 + 0.5 * i, 35, 0.3);
        }

        /** One frame of 50,000 triangles at 900 × 600. */
        @Benchmark
        public int frame() {
            rasteriser.draw(shown, new Camera(step++, 30, tinperch.solid.Vec3.ZERO, 5.5), 900, 600,
                    new Rasteriser.Paint(0xCFC8B6, 0x3F9C93, 0x2E302C, 0, 0, 0, 1));
            return rasteriser.argb()[0];
        }

        /** Building the tree of 20,000 triangles. */
        @Benchmark
        public TriangleTree treeBuild() {
            return TriangleTree.of(passing);
        }
    }
}
