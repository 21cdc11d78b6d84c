package tinperch.solid.shape;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.SolidException;
import tinperch.solid.Vec3;

/** A profile turned once round the placement's z axis; the profile's x is the radius, its y the height. */
public final class Revolution {
    /** Which side of the true circle the polygon keeps to. */
    public enum Fit {
        /** Corners on the circle: never larger than meant. For bosses, pins. */
        WITHIN,
        /** Flats on the circle: never smaller than meant. For bores. */
        AROUND
    }

    private static final double ON_AXIS_MM = 1e-9;

    private Revolution() {}

    /**
     * The leaf.
     *
     * @param sides facets round the axis, 3 or more
     * @throws SolidException when the profile crosses the axis or touches it in a lone corner
     */
    public static Leaf leaf(String feature, Profile profile, Placement place, int sides, Fit fit) {
        if (sides < 3) {
            throw refuse(feature, "needs at least three facets");
        }
        double grow = fit == Fit.AROUND ? 1 / Math.cos(Math.PI / sides) : 1;
        List<Vec3> points = new ArrayList<>();
        List<int[][]> faces = new ArrayList<>();
        for (int r = 0; r < profile.ringCount(); r++) {
            double[] xy = profile.ring(r);
            int n = xy.length / 2;
            int[] first = new int[n];
            for (int i = 0; i < n; i++) {
                double radius = xy[2 * i];
                if (!(radius >= -ON_AXIS_MM)) {
                    throw refuse(feature, "would be turned through its own axis; keep its profile on one side");
                }
                boolean onAxis = radius <= ON_AXIS_MM;
                int before = (i + n - 1) % n;
                int after = (i + 1) % n;
                if (onAxis && xy[2 * before] > ON_AXIS_MM && xy[2 * after] > ON_AXIS_MM) {
                    throw refuse(feature, "touches its axis in a single corner; move that corner off it");
                }
                first[i] = points.size();
                for (int s = 0; s < (onAxis ? 1 : sides); s++) {
                    double a = 2 * Math.PI * (s + (fit == Fit.AROUND ? 0.5 : 0)) / sides;
                    points.add(place.point(radius * grow * Math.cos(a), radius * grow * Math.sin(a), xy[2 * i + 1]));
                }
                if (onAxis) {
                    first[i] = -1 - first[i];
                }
            }
            for (int i = 0; i < n; i++) {
                int j = (i + 1) % n;
                for (int s = 0; s < sides && !(first[i] < 0 && first[j] < 0); s++) {
                    int t = (s + 1) % sides;
                    int a = first[i] < 0 ? -1 - first[i] : first[i] + s;
                    int b = first[i] < 0 ? a : first[i] + t;
                    int c = first[j] < 0 ? -1 - first[j] : first[j] + t;
                    int d = first[j] < 0 ? c : first[j] + s;
                    // The profile has its inside on the left going from i to j, so a-b-c-d looks outwards.
                    int[] ring = a == b ? new int[] {a, c, d} : c == d ? new int[] {a, b, c} : new int[] {a, b, c, d};
                    faces.add(new int[][] {ring});
                }
            }
        }
        if (place.isMirror()) {
            faces.forEach(Tube::reverse);
        }
        double[] xyz = new double[3 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            xyz[3 * i] = points.get(i).x();
            xyz[3 * i + 1] = points.get(i).y();
            xyz[3 * i + 2] = points.get(i).z();
        }
        return Leaf.of(feature, xyz, faces);
    }

    private static SolidException refuse(String feature, String why) {
        return new SolidException("“" + feature + "” " + why + ".", List.of(feature));
    }
}
