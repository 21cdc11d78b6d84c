package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.bind.BodyRef;
import tinperch.part.feature.AvoidingKind;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * Takes away where a neighbour is at rest, and some clearance around it. A rod is taken away round, everything else as its box; corners
 * of the cut are square, so that a gap to them is never less than the clearance. Where it has to be drawn out past the part, its way out is taken away
 * with it.
 */
public final class AvoidFeature extends NamedKind implements AvoidingKind {
    private static final Card CARD = new Card("avoid", "Cut around");
    public static final NumberParam CLEARANCE = NumberParam.length("clearance", CARD, "Clearance", 0, 50, 1, "Left free on all its sides; hot things want 3 mm (common practice)");
    public static final ChoiceParam<Out> OUT = ChoiceParam.of("out", CARD, "Way out", Out.NONE, o -> o.words, "Cut free too, as long as it is itself, seen as its piece is drawn by itself");
    private static final int SIDES = 64;
    private static final double SQUARE = 1 - 1e-6;

    /** The way by which the neighbour is drawn out, in the piece's coordinates. */
    public enum Out {
        NONE("stays", Vec3.ZERO), UP("upwards", Vec3.Z), DOWN("downwards", Vec3.Z.times(-1)), RIGHT("to the right", Vec3.X), LEFT("to the left", Vec3.X.times(-1)), BACK("to the back", Vec3.Y), FRONT("to the front", Vec3.Y.times(-1));

        private final String words;
        private final Vec3 way;

        Out(String words, Vec3 way) {
            this.words = words;
            this.way = way;
        }

        private static Optional<Out> of(Vec3 way) {
            return Arrays.stream(values()).filter(o -> o.way.dot(way) > SQUARE).findFirst();
        }
    }

    public AvoidFeature() {
        super("avoid", "Cut around", CLEARANCE, OUT);
    }

    @Override
    public String summary(Values v) {
        return "with " + CLEARANCE.show(v) + " free" + (OUT.of(v) == Out.NONE ? "" : ", and its way out " + OUT.of(v).words);
    }

    @Override
    public Optional<Values> leaving(Values before, double clearanceMm) {
        return clearanceMm < CLEARANCE.min() || clearanceMm > CLEARANCE.max() ? Optional.empty() : Optional.of(before.with(CLEARANCE, clearanceMm));
    }

    @Override
    public Optional<Values> freeing(Values before, double clearanceMm, Vec3 way) {
        return leaving(before, Math.max(clearanceMm, CLEARANCE.of(before))).flatMap(v -> Out.of(way).map(o -> v.with(OUT, o)));
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        BodyRef body = in.refs().ofFeature(feature.id(), BodyRef.KIND);
        Placement p = on.site().orElseThrow(() -> new PartProblem("This kind of part mounts on no site, so where " + body.name() + " is cannot be told.")).times(body.place());
        double free = in.get(CLEARANCE);
        Vec3 half = body.sizeMm().times(0.5).plus(new Vec3(free, free, free));
        Vec3 out = out(in.get(OUT).way, body.name(), p, half.times(2));
        List<Solid> cuts = new ArrayList<>();
        if (body.rod()) {
            cuts.add(Leaf.extrusion(feature.id(), Profile.hole(0, 0, 2 * Math.max(half.x(), half.y()), SIDES), p, -half.z() + Math.min(0, out.z()), half.z() + Math.max(0, out.z())));
        }
        if (!body.rod() || Math.abs(out.x()) + Math.abs(out.y()) > 0) {
            double[] x = reach(half.x(), out.x(), body.rod());
            double[] y = reach(half.y(), out.y(), body.rod());
            cuts.add(Leaf.extrusion(feature.id(), Profile.rectangle((x[0] + x[1]) / 2, (y[0] + y[1]) / 2, x[1] - x[0], y[1] - y[0]), p, -half.z() + Math.min(0, out.z()), half.z() + Math.max(0, out.z())));
        }
        return new Made(List.of(), List.copyOf(cuts), List.of());
    }

    /** From where to where along one axis; where a rod goes out sideways its slot begins in its middle. */
    private static double[] reach(double half, double out, boolean rod) {
        double from = rod && out != 0 ? 0 : half;
        return new double[] {out < 0 ? out - half : -from, out > 0 ? out + half : from};
    }

    /** How far it goes on its way out along its own axes: its own length. */
    private static Vec3 out(Vec3 way, String name, Placement p, Vec3 size) {
        Vec3 along = new Vec3(plain(p.u().dot(way)), plain(p.v().dot(way)), plain(p.w().dot(way)));
        if (way.length() > 0.5 && Math.abs(along.x()) + Math.abs(along.y()) + Math.abs(along.z()) != 1) {
            throw new PartProblem("The way out of " + name + " goes askew to it: it can only be cut along its own sides.");
        }
        return new Vec3(along.x() * size.x(), along.y() * size.y(), along.z() * size.z());
    }

    /** What is square to rounding is square. */
    private static double plain(double cos) {
        return Math.abs(cos) > SQUARE ? Math.signum(cos) : Math.abs(cos) < Math.sqrt(2 * (1 - SQUARE)) ? 0 : cos;
    }
}
