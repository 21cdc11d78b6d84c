package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
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
import tinperch.solid.shape.Revolution;

/** Balls on necks and cups of four fingers that press on them; outlines turn about z and print without support: a ball stands on a cone of 45°, a cup's ceiling is one. */
public final class BallCup {
    private static final int SIDES = 48;
    /** Corners of an outline lie on its equator, where ball and cup meet. */
    private static final int STEP_DEG = 15;
    private static final int FINGERS = 4;
    private static final double BEYOND_MM = 1;
    private static final double HALF = Math.sqrt(0.5);
    /** A finger is bent from so far above the ball's middle, in radii. */
    private static final double ROOT = 0.9;

    public final NumberParam ball;
    public final NumberParam neck;
    public final NumberParam wall;
    public final NumberParam press;
    public final NumberParam embrace;
    public final NumberParam slit;

    /** Its parameters stand under a card. */
    public BallCup(Card card) {
        ball = NumberParam.length("ball.diameter", card, "Ball Ø", 6, 60, 18, "A larger one holds more: friction has a longer lever");
        neck = NumberParam.length("ball.neck", card, "Neck Ø", 2, 40, 9, "Under the ball; a thick one lets the joint tilt less");
        wall = NumberParam.length("cup.wall", card, "Cup's wall", 0.8, 10, 2.4, "Thickness of its fingers");
        press = NumberParam.length("cup.press", card, "Cup smaller by", 0, 2, 0.5, "Than the ball, in diameter: its fingers press on it for as long as they do not creep");
        embrace = NumberParam.angle("cup.embrace", card, "Reaches past the middle", 5, 45, 12, "How far the fingers go round the ball beyond its middle");
        slit = NumberParam.length("cup.slit", card, "Slits", 0.4, 10, 1.6, "Between the fingers");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(ball, neck, wall, press, embrace, slit);
    }

    private double radius(PartInputs in) {
        return in.get(ball) / 2;
    }

    private double inside(PartInputs in) {
        return (in.get(ball) - in.get(press)) / 2;
    }

    /** From a cup's mouth to the middle of its ball. */
    public double mouthMm(PartInputs in) {
        return inside(in) * Math.sin(Math.toRadians(in.get(embrace)));
    }

    /** Radius of a cup outside, mm. */
    public double outerMm(PartInputs in) {
        return inside(in) + in.get(wall);
    }

    /** From the middle of the ball in a cup that opens downwards to where its neck begins. */
    public double crownMm(PartInputs in) {
        return 2 * inside(in) + in.get(wall) - in.get(neck) / 2;
    }

    /** From a ball's middle down to where its neck ends. */
    public double underMm(PartInputs in) {
        return 2 * HALF * radius(in) - in.get(neck) / 2;
    }

    /** A ball on its neck, up to its top; both ends of the outline lie on the axis. */
    public Leaf post(PartInputs in, String feature, double fromMm, double middleMm) {
        double rn = in.get(neck) / 2;
        if (rn > HALF * radius(in) - 0.2) {
            throw new PartProblem(neck, "A neck of Ø " + Quantity.mm(2 * rn) + " leaves nothing of the ball's underside; make it at most " + Quantity.mm(Math.floor(10 * (2 * HALF * radius(in) - 0.4)) / 10) + ".");
        }
        List<Double> rz = new ArrayList<>(List.of(0.0, fromMm, rn, fromMm));
        ball(in, rz, rn, middleMm);
        return turned(feature, rz, Placement.HERE);
    }

    private void ball(PartInputs in, List<Double> rz, double rn, double middle) {
        double r = radius(in);
        add(rz, rn, middle - underMm(in));
        for (int deg = -45; deg <= 90; deg += STEP_DEG) {
            double a = Math.toRadians(deg);
            add(rz, deg == 90 ? 0 : r * Math.cos(a), middle + r * Math.sin(a));
        }
    }

    /** A cup that opens downwards, its mouth at z = 0, with a neck and a ball on top so far above its own ball's middle. */
    public Solid link(PartInputs in, String feature, double pitchMm) {
        double c = mouthMm(in);
        double ri = inside(in);
        double ro = outerMm(in);
        double rn = in.get(neck) / 2;
        List<Double> rz = new ArrayList<>();
        add(rz, 0, c + 2 * HALF * ri);
        for (double deg : new double[] {45, 30, 15, 0, -in.get(embrace) / 2}) {
            add(rz, ri * Math.cos(Math.toRadians(deg)), c + ri * Math.sin(Math.toRadians(deg)));
        }
        add(rz, ri * Math.cos(Math.toRadians(in.get(embrace))), 0);
        add(rz, ro, 0);
        add(rz, ro, c + ri);
        add(rz, rn, c + crownMm(in));
        ball(in, rz, rn, c + pitchMm);
        return new Solid.Difference(turned(feature, rz, Placement.HERE), slits(in, Placement.HERE, c));
    }

    /** A cup that opens upwards from a floor, the middle of its ball so high; its foot reaches down to a height. */
    public Solid cup(PartInputs in, String feature, double footMm, double middleMm) {
        double c = mouthMm(in);
        double ri = inside(in);
        double ro = outerMm(in);
        List<Double> rz = new ArrayList<>(List.of(0.0, footMm, ro, footMm, ro, middleMm + c));
        add(rz, ri * Math.cos(Math.toRadians(in.get(embrace))), middleMm + c);
        add(rz, ri * Math.cos(Math.toRadians(in.get(embrace) / 2)), middleMm + ri * Math.sin(Math.toRadians(in.get(embrace) / 2)));
        for (int deg = 0; deg >= -90; deg -= STEP_DEG) {
            add(rz, deg == -90 ? 0 : ri * Math.cos(Math.toRadians(deg)), middleMm + ri * Math.sin(Math.toRadians(deg)));
        }
        Placement over = new Placement(new Vec3(0, 0, middleMm + c), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1));
        return new Solid.Difference(turned(feature, rz, Placement.HERE), slits(in, over, c));
    }

    /** Two slits across: from the mouth to the fingers' roots. */
    private List<Solid> slits(PartInputs in, Placement mouth, double middleMm) {
        double wide = 2 * outerMm(in) + 2 * BEYOND_MM;
        double deep = middleMm + ROOT * inside(in);
        return List.of(Leaf.extrusion("slit A", Profile.rectangle(0, 0, wide, in.get(slit)), mouth, -BEYOND_MM, deep), Leaf.extrusion("slit B", Profile.rectangle(0, 0, in.get(slit), wide), mouth, -BEYOND_MM, deep));
    }

    /** How the fingers press. */
    public List<Joint> joints(PartInputs in, String label, double armMm, List<Lever> shorter) {
        double ri = inside(in);
        double wide = Math.PI * (ri + in.get(wall) / 2) / 2 - in.get(slit);
        double length = mouthMm(in) + ROOT * ri;
        if (wide < 1) {
            throw new PartProblem(slit, "Slits of " + Quantity.mm(in.get(slit)) + " leave no fingers on a ball of Ø " + Quantity.mm(in.get(ball)) + "; make them narrower.");
        }
        double mouth = ri * Math.cos(Math.toRadians(in.get(embrace)));
        double undercut = radius(in) - mouth;
        // Where the mouth's edge first meets the ball, its flank leans so much.
        double lead = Math.toDegrees(Math.acos(mouth / radius(in)));
        return List.of(new Joint.Ball(label, in.get(ball), in.get(press) / 2, FINGERS, in.get(wall), length, wide, armMm, List.of(new Lever(press, 2, "cup smaller by"), new Lever(wall, 1, "cup's wall")), shorter),
                new Joint.CantileverSnap("cup's fingers", in.get(wall), length, undercut, wide, lead, List.of(new Lever(press, 0.5, "cup smaller by"))));
    }

    private static void add(List<Double> rz, double r, double z) {
        rz.add(r);
        rz.add(z);
    }

    private static Leaf turned(String feature, List<Double> rz, Placement at) {
        return Revolution.leaf(feature, Profile.of(rz.stream().mapToDouble(Double::doubleValue).toArray()), at, SIDES, Revolution.Fit.WITHIN);
    }
}
