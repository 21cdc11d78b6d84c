package tinperch.trial;

import java.util.OptionalDouble;

/** How far two channels move together. */
public final class Together {
    private static final int LEAST = 20;
    private static final int MOST = 5000;

    private Together() {}

    /** Pearson's correlation of two channels at the times both are known, −1 to 1; empty with fewer than twenty, or when one of them stands still. */
    public static OptionalDouble correlation(Series a, Series b) {
        double from = Math.max(a.firstS(), b.firstS());
        double to = Math.min(a.lastS(), b.lastS());
        int n = 0;
        double sa = 0;
        double sb = 0;
        double saa = 0;
        double sbb = 0;
        double sab = 0;
        for (int k = 0; k < MOST; k++) {
            double s = from + (to - from) * k / (MOST - 1);
            double x = a.at(s);
            double y = b.at(s);
            if (Double.isNaN(x) || Double.isNaN(y)) {
                continue;
            }
            n++;
            sa += x;
            sb += y;
            saa += x * x;
            sbb += y * y;
            sab += x * y;
        }
        double va = saa - sa * sa / n;
        double vb = sbb - sb * sb / n;
        return n < LEAST || Math.min(a.size(), b.size()) < LEAST || va < 1e-9 * n || vb < 1e-9 * n ? OptionalDouble.empty() : OptionalDouble.of((sab - sa * sb / n) / Math.sqrt(va * vb));
    }
}
