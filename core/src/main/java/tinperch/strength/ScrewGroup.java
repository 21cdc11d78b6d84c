package tinperch.strength;

import java.util.List;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * What a force does to screws that hold one thing together, all of one size and in one direction: the elastic screw group of the handbooks, in which each takes its part
 * of the force and, of a moment, as much as it is away from their middle. Each seat resists tipping over its own rim too, so that one screw alone, or some in a line, can be reckoned.
 *
 * @param pullN on the screw that is pulled most, along its axis
 * @param slideN on the screw that is pushed aside most, across it
 */
public record ScrewGroup(double pullN, double slideN) {
    /** What two faces of plastic that are pressed together hold of it by friction (common practice: 0.2 to 0.3). */
    public static final double FRICTION = 0.2;

    /**
     * Of screws and a force.
     *
     * @param at where the screws are, at least one
     * @param axis along all of them
     * @param seatMm diameter of what their heads or nuts bear with
     * @param to where the force acts
     */
    public static ScrewGroup of(List<Vec3> at, Vec3 axis, double seatMm, Vec3 to, Vec3 forceN) {
        int n = at.size();
        Vec3 middle = at.stream().reduce(Vec3.ZERO, Vec3::plus).times(1.0 / n);
        Placement frame = Placement.along(middle, axis, Math.abs(axis.unit().x()) < 0.9 ? Vec3.X : Vec3.Y);
        double own = n * seatMm * seatMm / 8;
        double uu = own;
        double vv = own;
        double uv = 0;
        for (Vec3 p : at) {
            Vec3 q = frame.local(p);
            uu += q.x() * q.x();
            vv += q.y() * q.y();
            uv += q.x() * q.y();
        }
        double along = forceN.dot(frame.w());
        Vec3 moment = to.minus(middle).cross(forceN);
        // Pulls a·u + b·v whose moments are those of the force.
        double mu = moment.dot(frame.u());
        double mv = moment.dot(frame.v());
        double det = uu * vv - uv * uv;
        double a = (-mv * vv - mu * uv) / det;
        double b = (mu * uu + mv * uv) / det;
        Vec3 aside = forceN.minus(frame.w().times(along)).times(1.0 / n);
        double twist = moment.dot(frame.w()) / (uu + vv);
        double most = 0;
        double slides = 0;
        for (Vec3 p : at) {
            Vec3 q = frame.local(p);
            most = Math.max(most, Math.abs(a * q.x() + b * q.y()));
            Vec3 turned = frame.u().times(-q.y() * twist).plus(frame.v().times(q.x() * twist));
            slides = Math.max(slides, aside.plus(turned).length());
        }
        double rim = Math.hypot(a, b) * seatMm / 4;
        return new ScrewGroup(Math.abs(along) / n + most + rim, slides + Math.abs(twist) * seatMm / 4);
    }

    /** How hard each must clamp so that nothing lifts and nothing slides, N. */
    public double clampN() {
        return pullN + slideN / FRICTION;
    }
}
