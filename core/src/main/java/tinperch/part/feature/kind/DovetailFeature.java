package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.block.Dovetails;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Ground;
import tinperch.part.feature.Made;
import tinperch.part.form.Joint;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Loft;

/** One half of a tapered dovetail: a tail that stands out of a face, or the socket another piece's tail is slid into along the face. */
public final class DovetailFeature extends NamedKind {
    private static final Card CARD = new Card("dovetail", "Dovetail");
    public static final ChoiceParam<Half> HALF = ChoiceParam.of("half", CARD, "Half", Half.TAIL, Half::label, "One piece has the tail, the other the socket, with the same numbers");
    public static final NumberParam LENGTH = NumberParam.length("length", CARD, "Length", 4, 300, 20, "The way it is slid, upwards along the face");
    public static final NumberParam MOUTH = NumberParam.length("mouth", CARD, "Mouth", 2, 200, 8, "Width at the face, where it is slid in last");
    public static final NumberParam DEPTH = NumberParam.length("depth", CARD, "Depth", 1, 60, 4, "How far the tail stands out");
    public static final NumberParam TAPER = NumberParam.angle("taper", CARD, "Taper", 0, 10, 2, "1 to 3° slide in freely and are tight at the end (common practice)");
    public static final NumberParam CLEARANCE = NumberParam.length("clearance", CARD, "Clearance when home", -0.1, 1, 0.05, "Each flank of the socket, beside half of the printer's slot fit");
    public static final NumberParam TURN = NumberParam.angle("turn", CARD, "Turned", -180, 180, 0, "Anticlockwise on the face");
    private static final double BEYOND_MM = 1;
    /** Left behind a socket at least. */
    private static final double WALL_MM = 1;

    /** Which of the two it is. */
    public enum Half {
        TAIL("tail"), SOCKET("socket");

        private final String label;

        Half(String label) {
            this.label = label;
        }

        String label() {
            return label;
        }
    }

    public DovetailFeature() {
        super("dovetail", "Dovetail", HALF, LENGTH, MOUTH, DEPTH, TAPER, CLEARANCE, TURN);
    }

    @Override
    public String summary(Values v) {
        return HALF.of(v).label() + ", " + LENGTH.show(v) + " long, " + DEPTH.show(v) + " deep";
    }

    @Override
    public Made make(Feature feature, PartInputs in, Ground on) {
        Placement p = on.turnedDeg(in.get(TURN)).at();
        double deep = in.get(DEPTH);
        if (in.get(HALF) == Half.TAIL) {
            return Made.added(leaf(feature.id(), in, p, in.get(LENGTH) / 2, 0, -on.rootMm(), deep));
        }
        double play = in.get(CLEARANCE) + in.fits().slotMm() / 2;
        if (deep + play > on.depthMm() - WALL_MM) {
            throw new PartProblem(DEPTH, "A socket " + Quantity.mm(deep) + " deep goes through the wall of " + Quantity.mm(on.depthMm()) + "; make it shallower, or the wall thicker.");
        }
        return new Made(List.of(), List.of(leaf(feature.id(), in, p, in.get(LENGTH) / 2 + BEYOND_MM, play, BEYOND_MM, -deep - play)), List.of(),
                List.of(new Joint.Dovetail(feature.name(), in.get(TAPER), in.get(CLEARANCE), in.get(LENGTH), List.of())));
    }

    /** A solid that widens away from the face and along the way it is slid. */
    private static Leaf leaf(String id, PartInputs in, Placement p, double halfLongMm, double playMm, double rootZ, double endZ) {
        double slope = Math.tan(Math.toRadians(in.get(TAPER)));
        List<Vec3[]> rings = new ArrayList<>();
        for (double y : new double[] {-halfLongMm, halfLongMm}) {
            double half = in.get(MOUTH) / 2 + (y + in.get(LENGTH) / 2) * slope + playMm;
            // Flanks lean away from the face, whichever side of it the solid is on; what is beyond the face goes on straight.
            double root = half + (rootZ > 0 == endZ > 0 ? 1 : -1) * Math.abs(rootZ) * Dovetails.FLANK;
            double end = half + Math.abs(endZ) * Dovetails.FLANK;
            double low = Math.min(rootZ, endZ);
            double high = Math.max(rootZ, endZ);
            double below = rootZ < endZ ? root : end;
            double above = rootZ < endZ ? end : root;
            rings.add(new Vec3[] {p.point(-below, y, low), p.point(-above, y, high), p.point(above, y, high), p.point(below, y, low)});
        }
        return Loft.leaf(id, rings);
    }
}
