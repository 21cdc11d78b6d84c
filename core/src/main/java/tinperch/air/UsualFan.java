package tinperch.air;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/**
 * A fan as they are sold, one row of {@code fans.csv} (values from memory). Its curve is taken as straight from no flow to free flow.
 *
 * @param spacingMm of its holes, 0 for a radial one
 * @param freeM3h flow against nothing, m³/h; {@code stallPa} pressure at no flow, Pa
 */
public record UsualFan(String name, double frameMm, double depthMm, double spacingMm, boolean radial, double freeM3h, double stallPa) {
    public static final List<UsualFan> ALL = Table.read(UsualFan.class, "fans.csv", UsualFan.class);
    /** One farther off in size is another fan. */
    private static final double ALIKE = 0.12;

    /** The one nearest in size; empty where none is like it. */
    public static Optional<UsualFan> of(double frameMm, double depthMm, boolean radial) {
        return ALL.stream().filter(f -> f.radial == radial && Math.abs(f.frameMm - frameMm) <= ALIKE * frameMm)
                .min(Comparator.comparingDouble(f -> Math.abs(f.frameMm - frameMm) / frameMm + 0.3 * Math.abs(f.depthMm - depthMm) / Math.max(1, depthMm)));
    }

    /** The axial one whose holes are so far apart; empty where none's are. */
    public static Optional<UsualFan> spaced(double mm) {
        return ALL.stream().filter(f -> f.spacingMm > 0 && Math.abs(f.spacingMm - mm) <= 0.04 * mm).min(Comparator.comparingDouble(f -> Math.abs(f.spacingMm - mm)));
    }
}
