package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import tinperch.part.PartInputs;
import tinperch.part.form.Joint;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Unit;
import tinperch.solid.Solid;

/** A brace too large for a bed: divided across bar and arms, its pieces joined by tapered dovetails, each slid onto the one before it along z. */
public final class BraceJoint {
    public final SwitchParam split;
    public final NumberParam pieces;
    public final NumberParam at;
    public final Dovetails dovetails;

    public BraceJoint(Card card) {
        split = new SwitchParam("joint.split", card, "In pieces", false, "For a bed it is too large for; joined by tapered dovetails");
        pieces = NumberParam.count("joint.pieces", card, "Pieces", 2, 4, 2, "Divided along the reach, where it is in pieces");
        at = new NumberParam("joint.at", card, "Joint at", Unit.PERCENT, 20, 80, 55, "Share of the reach where two pieces are divided; more are moved alike");
        dovetails = new Dovetails(card);
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        List<Param<?>> all = new ArrayList<>(List.of(split, pieces, at));
        all.addAll(dovetails.params());
        return all;
    }

    /** The joint in a few words. */
    public String summary(Values v) {
        return split.of(v) ? pieces.show(v) + ", dovetails " + dovetails.depth.show(v) + " deep, " + dovetails.taper.show(v) : "no, one";
    }

    /**
     * An arm from the wall down to the bar.
     *
     * @param name of its features, {@code fromY} middle of its root on the wall, {@code toX} where its foot ends
     */
    public record Arm(String name, double fromY, double toX, double wallMm, double widthMm, double barMm) {
        /** Its lower and upper edge at an x between wall and foot. */
        public double[] at(double x) {
            double half = widthMm / 2;
            double low = fromY - half + (barMm / 4 - fromY + half) * (x - wallMm / 2) / (toX - 2 * half - wallMm / 2);
            return new double[] {low, fromY + half + (barMm / 2 - fromY - half) * (x - wallMm) / (toX - wallMm)};
        }
    }

    /** The pieces from the wall outwards; how they meet goes into {@code joints}. */
    public List<Solid> divided(PartInputs in, Solid whole, double reachMm, Dovetails.Bar bar, List<Arm> arms, double thickMm, UnaryOperator<Solid> hand, List<Joint> joints) {
        int n = (int) Math.rint(in.get(pieces));
        double deep = in.get(dovetails.depth);
        Solid left = whole;
        List<Solid> all = new ArrayList<>();
        for (int k = 1; k < n; k++) {
            double x = Math.min(reachMm * k / n * in.get(at) / 50, reachMm - arms.get(0).widthMm - deep - 1);
            List<Dovetails.Bar> bars = new ArrayList<>(List.of(bar));
            for (Arm a : arms) {
                if (x > a.wallMm + 1 && x + deep < a.toX - a.widthMm) {
                    bars.add(new Dovetails.Bar(a.name, a.at(x)[0], a.at(x + deep)[1], thickMm));
                }
            }
            Dovetails.Halves halves = dovetails.divide(in, left, bars, x, hand);
            all.add(halves.near());
            left = halves.far();
            joints.addAll(halves.joints());
        }
        all.add(left);
        return all;
    }
}
