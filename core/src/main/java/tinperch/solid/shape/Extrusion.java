package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;

/**
 * A profile pushed along z with draft and finished edges. Every corner of the outline keeps its number through all levels
 * and moves along its bisector, so all side faces are flat. Where an edge of the outline would vanish on the way the
 * extrusion is refused.
 *
 * @param profile at {@code fromMm}
 * @param draftDeg how much the sides lean inwards going up, −60 to 60 degrees; negative leans outwards
 */
public record Extrusion(Profile profile, Placement place, double fromMm, double toMm, double draftDeg, Finish bottom, Finish top) {

    /** A profile drawn out between two heights of its placement, mm. */
    public static Extrusion of(Profile profile, Placement place, double fromMm, double toMm) {
        return new Extrusion(profile, place, fromMm, toMm, 0, Finish.SHARP, Finish.SHARP);
    }

    /** With sides that lean outwards by so many degrees. */
    public Extrusion draft(double deg) {
        return new Extrusion(profile, place, fromMm, toMm, deg, bottom, top);
    }

    /** With its two edges finished. */
    public Extrusion finish(Finish atBottom, Finish atTop) {
        return new Extrusion(profile, place, fromMm, toMm, draftDeg, atBottom, atTop);
    }

    /**
     * The leaf.
     *
     * @throws SolidException when there is no height left between the finishes or the outline closes up
     */
    public Leaf leaf(String feature) {
        if (draftDeg == 0 && bottom.sizeMm() == 0 && top.sizeMm() == 0) {
            return Leaf.extrusion(feature, profile, place, fromMm, toMm);
        }
        if (!(toMm - fromMm > 0)) {
            throw new SolidException("“" + feature + "” has no thickness (" + (toMm - fromMm)
                    + " mm); make it larger than zero.", List.of(feature));
        }
        if (!(Math.abs(draftDeg) <= 60)) {
            throw new SolidException("A draft of " + draftDeg + "° cannot be made for “" + feature
                    + "”; use −60° to 60°.", List.of(feature));
        }
        if (!(bottom.sizeMm() >= 0 && top.sizeMm() >= 0 && bottom.sizeMm() + top.sizeMm() < toMm - fromMm)) {
            throw new SolidException("The finished edges of “" + feature + "” (" + bottom.sizeMm() + " and " + top.sizeMm()
                    + " mm) leave nothing of its " + (toMm - fromMm) + " mm; make them smaller.", List.of(feature));
        }
        List<double[]> levels = levels();
        List<List<Vec3[]>> rings = new ArrayList<>();
        for (int r = 0; r < profile.ringCount(); r++) {
            List<Vec3[]> one = new ArrayList<>(levels.size());
            for (double[] level : levels) {
                double[] xy = Insets.inset(profile.ring(r), level[1]);
                if (xy == null) {
                    throw new SolidException(String.format(java.util.Locale.ROOT,
                            "An edge of the outline of “%s” vanishes %.2f mm inwards; use less draft or a smaller finish.",
                            feature, level[1]), List.of(feature));
                }
                Vec3[] points = new Vec3[xy.length / 2];
                for (int i = 0; i < points.length; i++) {
                    points[i] = place.point(xy[2 * i], xy[2 * i + 1], level[0]);
                }
                one.add(points);
            }
            rings.add(one);
        }
        checkApart(feature, levels);
        return Tube.closed(feature, rings, place.isMirror());
    }

    /** Rings must not run into one another on the way in. */
    private void checkApart(String feature, List<double[]> levels) {
        for (double[] level : levels) {
            double[][] all = new double[profile.ringCount()][];
            for (int r = 0; r < all.length; r++) {
                all[r] = Insets.inset(profile.ring(r), level[1]);
            }
            try {
                Profile.of(all);
            } catch (SolidException e) {
                throw new SolidException("The outline of “" + feature + "” runs into itself with this draft or finish; "
                        + "use less.", List.of(feature));
            }
        }
    }

    /** Heights and insets from bottom to top, mm. */
    private List<double[]> levels() {
        double lean = Math.tan(Math.toRadians(draftDeg));
        List<double[]> levels = new ArrayList<>();
        addFinish(levels, bottom, lean, true);
        addFinish(levels, top, lean, false);
        return levels;
    }

    private void addFinish(List<double[]> levels, Finish f, double lean, boolean atBottom) {
        if (f.sizeMm() == 0) {
            double z = atBottom ? fromMm : toMm;
            levels.add(new double[] {z, (z - fromMm) * lean});
            return;
        }
        for (int s = 0; s <= f.steps(); s++) {
            double a = Math.PI / 2 * s / f.steps();
            double in = f.sizeMm() * (1 - (atBottom ? Math.sin(a) : Math.cos(a)));
            double up = f.sizeMm() * (atBottom ? 1 - Math.cos(a) : Math.sin(a));
            double z = atBottom ? fromMm + up : toMm - f.sizeMm() + up;
            levels.add(new double[] {z, in + (z - fromMm) * lean});
        }
    }
}
