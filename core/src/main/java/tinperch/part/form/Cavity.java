package tinperch.part.form;

import java.util.List;
import tinperch.part.param.Lever;
import tinperch.solid.Placement;

/**
 * Something hollow in a piece that has a purpose. What is around and behind it is measured, never declared.
 *
 * @param feature name of the leaf that cuts it
 * @param group cavities of one group belong together (a hole and the recess of its head) and are no wall to each other
 * @param label what a finding calls it, "tool-side insert C"
 * @param axis origin in the middle of its mouth, z into the material
 * @param widthMm diameter of a round one, across the flats of a six-sided one
 * @param sides 0 for a round one, else how many sides it has; a corner looks along the axis' x
 * @param depthMm from the mouth to the floor, or all the way through
 * @param through whether it has no floor
 * @param boreMm diameter of the hole that goes on behind its floor; 0 for none
 * @param under what thickens the wall behind it
 * @param slotMm how far a round one is drawn out along the axis' x, from end's middle to end's middle; 0 for none
 */
public record Cavity(String feature, String group, String label, Purpose purpose, Placement axis, double widthMm, int sides, double depthMm,
        boolean through, double boreMm, List<Lever> under, double slotMm) {
    public Cavity {
        under = List.copyOf(under);
    }

    /** One that is not drawn out. */
    public Cavity(String feature, String group, String label, Purpose purpose, Placement axis, double widthMm, int sides, double depthMm, boolean through, double boreMm, List<Lever> under) {
        this(feature, group, label, purpose, axis, widthMm, sides, depthMm, through, boreMm, under, 0);
    }

    /** The same for something else. */
    public Cavity of(Purpose next) {
        return new Cavity(feature, group, label, next, axis, widthMm, sides, depthMm, through, boreMm, under, slotMm);
    }

    /** The same drawn out to a slot. */
    public Cavity slotted(double mm) {
        return new Cavity(feature, group, label, purpose, axis, widthMm, sides, depthMm, through, boreMm, under, mm);
    }

    /** The same under another label. */
    public Cavity labelled(String next) {
        return new Cavity(feature, group, next, purpose, axis, widthMm, sides, depthMm, through, boreMm, under, slotMm);
    }

    /** The same somewhere else. */
    public Cavity at(Placement to) {
        return new Cavity(feature, group, label, purpose, to, widthMm, sides, depthMm, through, boreMm, under, slotMm);
    }

    /** Whether it is a plain round hole, as a drill makes. */
    public boolean isRound() {
        return sides == 0 && slotMm == 0 && widthMm > 0;
    }

    /** What it is for. */
    public enum Purpose {
        /** A screw passes through. */
        CLEARANCE,
        /** A heat-set insert sits in it. */
        INSERT,
        /** A screw cuts its thread into it. */
        THREAD,
        /** A nut sits in it. */
        NUT,
        /** A screw's head sits in it. */
        HEAD,
        /** As somebody else drew it: nothing was added for the printer, and it is for whatever goes through. */
        DRAWN,
        /** Anything else that is hollow on purpose. */
        POCKET
    }

    /** A round hole right through. */
    public static Cavity hole(String feature, String group, String label, Placement axis, double diameterMm, double depthMm) {
        return new Cavity(feature, group, label, Purpose.CLEARANCE, axis, diameterMm, 0, depthMm, true, 0, List.of());
    }

    /** Radius of the circle around its section, mm. */
    public double reachMm() {
        return sides == 0 ? widthMm / 2 : widthMm / 2 / Math.cos(Math.PI / sides);
    }
}
