package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import tinperch.part.PartInputs;
import tinperch.part.form.Joint;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Loft;

/**
 * Tapered dovetails across bars that lie on the bed: they stand out along x, are as high as their bar is thick and widen upwards, so that two
 * pieces divided there slide together along z and are tight when home.
 */
public final class Dovetails {
    /** Flanks lean by 15° (common practice). */
    public static final double FLANK = Math.tan(Math.toRadians(15));
    private static final double LEFT_BESIDE_MM = 2;
    private static final double LEAST_MOUTH_MM = 2;
    private static final double BEYOND_MM = 1;
    private static final double FAR_MM = 2000;

    public final NumberParam depth;
    public final NumberParam taper;
    public final NumberParam clearance;

    public Dovetails(Card card) {
        depth = NumberParam.length("joint.depth", card, "Dovetail's depth", 2, 30, 4, "How far it reaches into the other piece");
        taper = NumberParam.angle("joint.taper", card, "Taper", 0, 10, 2, "1 to 3° slide in freely and are tight at the end (common practice)");
        clearance = NumberParam.length("joint.clearance", card, "Clearance when home", -0.1, 1, 0.05, "What each flank has when pushed in all the way, beside half of the printer's slot fit");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(depth, taper, clearance);
    }

    /**
     * A bar to be divided.
     *
     * @param name what sentences call it, "arm"
     * @param lowMm its lower edge in y all along the joint, {@code highMm} its upper one
     * @param thickMm along z, from the bed
     */
    public record Bar(String name, double lowMm, double highMm, double thickMm) {}

    /**
     * A solid divided upright at an x; both halves slide together along z.
     *
     * @param near the half at lower x, with the tails; {@code far} the other, with the sockets
     */
    public record Halves(Solid near, Solid far, List<Joint> joints) {}

    /** @param hand turns what is cut and added to the hand of the solid */
    public Halves divide(PartInputs in, Solid whole, List<Bar> bars, double x, UnaryOperator<Solid> hand) {
        List<Solid> near = new ArrayList<>(List.of(new Solid.Difference(whole, List.of(hand.apply(beyond(x, FAR_MM))))));
        List<Solid> cuts = new ArrayList<>(List.of(hand.apply(beyond(-FAR_MM, x))));
        List<Joint> joints = new ArrayList<>();
        for (Bar b : bars) {
            near.add(hand.apply(tail(in, b, x)));
            cuts.add(hand.apply(socket(in, b, x)));
            joints.add(joint(in, b));
        }
        return new Halves(new Solid.Union(near), new Solid.Difference(whole, cuts), joints);
    }

    private static Leaf beyond(double from, double to) {
        return Leaf.extrusion("joint", Profile.rectangle((from + to) / 2, 0, to - from, 2 * FAR_MM), Placement.HERE, -FAR_MM, FAR_MM);
    }

    /** What the one piece has. */
    public Leaf tail(PartInputs in, Bar bar, double x) {
        return leaf("dovetail of the " + bar.name, in, bar, x, 0, 0);
    }

    /** What is cut out of the other. */
    public Leaf socket(PartInputs in, Bar bar, double x) {
        return leaf("socket of the " + bar.name, in, bar, x, in.get(clearance) + in.fits().slotMm() / 2, BEYOND_MM);
    }

    /** @param beyond how far it goes on above and below its bar */
    private Leaf leaf(String feature, PartInputs in, Bar bar, double x, double play, double beyond) {
        double slope = Math.tan(Math.toRadians(in.get(taper)));
        double mouth = bar.highMm - bar.lowMm - 2 * (in.get(depth) * FLANK + bar.thickMm * slope + LEFT_BESIDE_MM);
        if (mouth < LEAST_MOUTH_MM) {
            throw new PartProblem(depth, "A dovetail " + Quantity.mm(in.get(depth)) + " deep does not fit into the " + bar.name + ", " + Quantity.mm(bar.highMm - bar.lowMm)
                    + " high there; make it shallower, the taper less, or the " + bar.name + " higher.");
        }
        double y = (bar.lowMm + bar.highMm) / 2;
        double end = x + in.get(depth) + play;
        List<Vec3[]> rings = new ArrayList<>();
        for (double z : new double[] {-beyond, bar.thickMm + beyond}) {
            double half = mouth / 2 + z * slope + play;
            double wide = half + (end - x) * FLANK;
            // It begins a millimetre inside its own piece.
            rings.add(new Vec3[] {new Vec3(x - 1, y - half + FLANK, z), new Vec3(end, y - wide, z), new Vec3(end, y + wide, z), new Vec3(x - 1, y + half - FLANK, z)});
        }
        return Loft.leaf(feature, rings);
    }

    /** How it meets. */
    public Joint joint(PartInputs in, Bar bar) {
        return new Joint.Dovetail("dovetail of the " + bar.name, in.get(taper), in.get(clearance), bar.thickMm, List.of(new Lever(clearance, 1, "clearance when home")));
    }
}
