package tinperch.solid.kernel;

import java.util.Arrays;
import org.locationtech.jts.algorithm.CGAlgorithmsDD;

/**
 * Counts, for a point on an edge, how each leaf's lower and upper section winds about the point, leaving out the edge
 * itself. Rays run along whichever axis lies more across the edge; edges are kept in bins across the ray.
 */
final class RayBins {
    /** For so few edges looking at all of them is quicker than sorting them into bins; so it is for the first rays. */
    private static final int FEW = 50;
    private static final int FIRST_RAYS = 3;

    private final Arrangement in;
    private final boolean vertical;
    private final int[] all;
    private int[] start;
    private int[] inBin;
    private double lowest;
    private double perMm;
    private int rays;

    /** @param vertical rays run towards larger y; otherwise towards larger x */
    RayBins(Arrangement in, boolean vertical) {
        this.in = in;
        this.vertical = vertical;
        int[] list = new int[in.edgeCount()];
        int n = 0;
        for (int e = 0; e < list.length; e++) {
            if (in.counts(e)) {
                list[n++] = e;
            }
        }
        all = Arrays.copyOf(list, n);
    }

    private double across(int v) {
        return vertical ? in.x(v) : in.y(v);
    }

    private double ahead(int v) {
        return vertical ? in.y(v) : in.x(v);
    }

    private void fillBins() {
        int bins = all.length / 2;
        double lo = Double.POSITIVE_INFINITY;
        double hi = Double.NEGATIVE_INFINITY;
        for (int e : all) {
            lo = Math.min(lo, Math.min(across(in.from(e)), across(in.to(e))));
            hi = Math.max(hi, Math.max(across(in.from(e)), across(in.to(e))));
        }
        lowest = lo;
        perMm = bins / Math.max(hi - lo, 1e-9);
        start = new int[bins + 1];
        for (int pass = 0; pass < 2; pass++) {
            int[] fill = pass == 0 ? null : start.clone();
            for (int e : all) {
                double a = across(in.from(e));
                double b = across(in.to(e));
                int last = bin(Math.max(a, b), bins);
                for (int k = bin(Math.min(a, b), bins); k <= last; k++) {
                    if (pass == 0) {
                        start[k + 1]++;
                    } else {
                        inBin[fill[k]++] = e;
                    }
                }
            }
            if (pass == 0) {
                for (int k = 0; k < bins; k++) {
                    start[k + 1] += start[k];
                }
                inBin = new int[start[bins]];
            }
        }
    }

    private int bin(double across, int bins) {
        return Math.max(0, Math.min(bins - 1, (int) ((across - lowest) * perMm)));
    }

    /** Adds the windings of all edges hit by the ray from the middle of {@code own}, without {@code own}. */
    void count(int own, Windings to) {
        double mx = in.midX(own);
        double my = in.midY(own);
        double m = vertical ? mx : my;
        if (start == null && ++rays > FIRST_RAYS && all.length > FEW) {
            fillBins();
        }
        if (start == null) {
            for (int e : all) {
                hit(own, e, m, mx, my, to);
            }
            return;
        }
        int b = bin(m, start.length - 1);
        for (int i = start[b]; i < start[b + 1]; i++) {
            hit(own, inBin[i], m, mx, my, to);
        }
    }

    private void hit(int own, int e, double m, double mx, double my, Windings to) {
        int a = in.from(e);
        int b = in.to(e);
        double ca = across(a);
        double cb = across(b);
        if (ca <= m == cb <= m || e == own) {
            return;
        }
        double here = vertical ? my : mx;
        double ra = ahead(a);
        double rb = ahead(b);
        if (ra <= here && rb <= here) {
            return;
        }
        if (!(ra > here && rb > here)) {
            int side = CGAlgorithmsDD.orientationIndex(in.x(a), in.y(a), in.x(b), in.y(b), mx, my);
            // Going up (or to the left, for vertical rays) the ray's start must lie on the left to hit ahead of it.
            boolean forward = vertical ? cb < ca : cb > ca;
            if (side == 0 || side > 0 != forward) {
                return;
            }
        }
        int sign = (vertical ? cb < ca : cb > ca) ? 1 : -1;
        for (int u = in.firstUse(e); u >= 0; u = in.nextUse(u)) {
            to.add(in.useLeaf(u), sign * in.useMinus(u), sign * in.usePlus(u));
        }
    }
}
