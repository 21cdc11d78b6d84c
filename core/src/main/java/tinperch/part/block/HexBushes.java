package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.form.Cavity;
import tinperch.part.form.Joint;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * Six-sided bushes in a wall, a screw through each: centred, or with its hole off the middle by one step or two, so that each can be turned to six positions
 * and the holes meet what they have to although that is not where it should be. Each is printed standing on its flange.
 */
public final class HexBushes {
    public final SwitchParam on;
    public final NumberParam flats;
    public final NumberParam flange;
    public final NumberParam step;
    public final NumberParam misfitX;
    public final NumberParam misfitY;
    /** Play of a bush in its socket across flats, beside what the printer needs. */
    private static final double PLAY_MM = 0.1;
    /** A bush ends before the wall does, so that its flange clamps the wall. */
    private static final double SHORT_MM = 0.2;
    private static final double RIM_MM = 2;
    private static final double BEYOND_MM = 1;
    private static final int SIDES = 48;

    public HexBushes(Card card) {
        on = new SwitchParam("bush.on", card, "Bushes", false, "Six-sided bushes in the wall take the screws; with holes off their middle they make up for what does not meet");
        flats = NumberParam.length("bush.flats", card, "Across flats", 6, 40, 12, "Of the bush; the socket has the play the printer needs");
        flange = NumberParam.length("bush.flange", card, "Flange", 1, 10, 2, "Thickness; it lies on the wall under the screw's head");
        step = NumberParam.length("bush.step", card, "Step", 0.1, 3, 0.5, "How far off the middle the first one's hole is; the second one's is twice as far");
        misfitX = NumberParam.length("bush.x", card, "Misfit across", -10, 10, 0, "From where the holes should be to where they are, across the post");
        misfitY = NumberParam.length("bush.y", card, "Misfit upwards", -10, 10, 0, "From where the holes should be to where they are, up the post");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(on, flats, flange, step, misfitX, misfitY);
    }

    /** The bushes in a few words. */
    public String summary(Values v) {
        if (!on.of(v)) {
            return "none";
        }
        Choice c = Choice.of(misfitX.of(v), misfitY.of(v), step.of(v));
        return c.offMm == 0 ? "centred" : "off by " + Quantity.mm(c.offMm) + ", at " + Quantity.show(c.turnDeg, Unit.DEG);
    }

    /**
     * Which bush at which position comes nearest to a misfit.
     *
     * @param offMm 0, one step or two
     * @param turnDeg multiple of 60 from the first direction to the second
     * @param missedMm what is left
     */
    public record Choice(double offMm, double turnDeg, double missedMm) {
        /** The least |misfit − e·(cos 60k°, sin 60k°)| over the six positions and three bushes. */
        public static Choice of(double xMm, double yMm, double stepMm) {
            Choice best = new Choice(0, 0, Math.hypot(xMm, yMm));
            for (double off : new double[] {stepMm, 2 * stepMm}) {
                for (int deg = 0; deg < 360; deg += 60) {
                    double missed = Math.hypot(xMm - off * Math.cos(Math.toRadians(deg)), yMm - off * Math.sin(Math.toRadians(deg)));
                    best = missed < best.missedMm - 1e-9 ? new Choice(off, deg, missed) : best;
                }
            }
            return best;
        }
    }

    /** What becomes of them. */
    public record Made(List<Solid> cuts, List<Cavity> cavities, List<Piece> pieces, List<Screw> screws, List<Joint> joints) {}

    /**
     * Bushes instead of a row's holes.
     *
     * @param row its heads bear on the part
     * @param throughMm wall and bosses together
     */
    public Made of(PartInputs in, StandingRow row, ScrewBlock block, double throughMm) {
        if (in.get(block.seat) != SeatKind.LOOSE_NUT && in.get(block.seat) != SeatKind.TAPPED || in.get(block.recess) > 0 || row.row().slotMm() > 0) {
            throw new PartProblem(block.seat, "In a bush the screw's head lies on its flange; take a loose nut or a thread of what it holds, without recess and slot.");
        }
        Choice choice = Choice.of(in.get(misfitX), in.get(misfitY), in.get(step));
        double socket = in.get(flats) + PLAY_MM + in.fits().slotMm();
        double f = in.get(flange);
        double end = f + throughMm - SHORT_MM;
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        List<Piece> pieces = new ArrayList<>();
        List<Screw> screws = new ArrayList<>();
        double bore = 0;
        for (Screw s : row.screws()) {
            bore = s.boreMm();
            String of = s.id().substring(s.id().indexOf('.') + 1);
            // Seen from the head the row's y is −x and its x is −y; a corner of the socket looks across, the bed's upwards.
            Placement wall = s.axis();
            String name = "bush's socket " + of;
            cuts.add(Leaf.extrusion(name, Profile.hexagon(0, 0, socket, 30), wall, -BEYOND_MM, throughMm + BEYOND_MM));
            cavities.add(new Cavity(name, name, name, Cavity.Purpose.POCKET, wall.turnedDeg(30), socket, 6, throughMm, true, 0, List.of()));
            double a = Math.toRadians(choice.turnDeg);
            Placement place = wall.times(Placement.at(0, 0, -f)).turnedDeg(Math.toDegrees(Math.atan2(-Math.cos(a), -Math.sin(a))));
            String id = "bush-" + of;
            Solid body = new Solid.Union(List.of(Leaf.extrusion("flange", Profile.disc(0, 0, in.get(flats) / Math.cos(Math.PI / 6) + 2 * RIM_MM, SIDES), Placement.HERE, 0, f),
                    Leaf.extrusion("bush", Profile.hexagon(0, 0, in.get(flats), 0), Placement.HERE, f / 2, end)));
            Solid hole = Leaf.extrusion("bush's hole", Profile.hole(choice.offMm, 0, bore, SIDES), Placement.HERE, -BEYOND_MM, end + BEYOND_MM);
            Cavity inside = Cavity.hole("bush's hole", id, "hole of the bush " + of, Placement.at(choice.offMm, 0, 0), bore, end);
            pieces.add(new Piece(id, "bush " + of, new Solid.Difference(body, List.of(hole)), List.of(inside), place, 1, wall.w().times(-30), List.of(new Reach("bush", Vec3.ZERO, new Lever(flats, 0.5, "across flats")))));
            screws.add(s.in(id, Placement.at(choice.offMm, 0, 0), end));
        }
        double play = (bore - in.hardware().thread(in.get(block.thread)).diameterMm()) / 2;
        Joint joint = new Joint.Bush("bushes of the " + block.label + " screws", Math.hypot(in.get(misfitX), in.get(misfitY)), choice.offMm, choice.turnDeg, choice.missedMm, play,
                List.of(new Lever(step, 1, "step")));
        return new Made(cuts, cavities, pieces, screws, List.of(joint));
    }
}
