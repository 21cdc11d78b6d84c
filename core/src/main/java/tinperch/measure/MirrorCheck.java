package tinperch.measure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import tinperch.quantity.Quantity;

/**
 * Whether the patterns of two sides are mirror images of one another, as everyone assumes.
 *
 * @param verdict in a word
 * @param pair the side of the left pattern that differs most from its mirrored one
 * @param differenceMm left less right, mm
 * @param halfWidthMm 95 % half width of the difference
 */
public record MirrorCheck(Verdict verdict, HolePair pair, double differenceMm, double halfWidthMm) {
    /** What came out. */
    public enum Verdict {
        /** Mirror images within what the readings can tell. */
        MIRRORED,
        NOT_MIRRORED,
        /** The very same readings stand on both sheets: one was copied, not measured. */
        SAME_READINGS
    }

    private static final Pattern LEFT = Pattern.compile("\\bleft\\b", Pattern.CASE_INSENSITIVE);
    private static final Pattern RIGHT = Pattern.compile("\\bright\\b", Pattern.CASE_INSENSITIVE);
    private static final Map<HolePair, HolePair> MIRROR = Map.of(HolePair.AB, HolePair.AB, HolePair.DC, HolePair.DC,
            HolePair.AD, HolePair.BC, HolePair.BC, HolePair.AD, HolePair.AC, HolePair.BD, HolePair.BD, HolePair.AC);

    /** Empty until both patterns can be reckoned. */
    public static Optional<MirrorCheck> of(PatternSheet left, PatternSheet right) {
        Optional<MeasuredPattern> l = MeasuredPattern.of(left);
        Optional<MeasuredPattern> r = MeasuredPattern.of(right);
        if (l.isEmpty() || r.isEmpty()) {
            return Optional.empty();
        }
        MirrorCheck worst = null;
        // Until a diagonal was read on both sides nobody knows which way they lean.
        boolean leaning = !l.get().squareAssumed() && !r.get().squareAssumed();
        for (HolePair p : HolePair.values()) {
            if (!leaning && (p == HolePair.AC || p == HolePair.BD)) {
                continue;
            }
            Optional<PatternSheet.Derived> a = left.derived(p);
            Optional<PatternSheet.Derived> b = right.derived(MIRROR.get(p));
            double difference = a.map(PatternSheet.Derived::centreMm).orElse(l.get().distanceMm(p))
                    - b.map(PatternSheet.Derived::centreMm).orElse(r.get().distanceMm(MIRROR.get(p)));
            double half = Math.hypot(a.map(PatternSheet.Derived::halfWidthMm).orElse(l.get().halfWidthMm()),
                    b.map(PatternSheet.Derived::halfWidthMm).orElse(r.get().halfWidthMm()));
            if (worst == null || Math.abs(difference) - half > Math.abs(worst.differenceMm) - worst.halfWidthMm) {
                worst = new MirrorCheck(Math.abs(difference) > half ? Verdict.NOT_MIRRORED : Verdict.MIRRORED, p, difference, half);
            }
        }
        return Optional.of(values(left).equals(values(right))
                ? new MirrorCheck(Verdict.SAME_READINGS, worst.pair, worst.differenceMm, worst.halfWidthMm) : worst);
    }

    private static Map<String, List<Double>> values(PatternSheet s) {
        Map<String, List<Double>> all = new java.util.TreeMap<>();
        s.readings().forEach((cell, list) -> all.put(cell, list.stream().map(Reading::value).toList()));
        return all;
    }

    /** In a sentence. */
    public String words() {
        return switch (verdict) {
            case MIRRORED -> "Left and right are mirror images within what the readings can tell (± "
                    + Quantity.fixed(halfWidthMm, 2) + " mm).";
            case NOT_MIRRORED -> "Not a mirror image: the left side’s " + pair.label() + " is "
                    + Quantity.fixed(Math.abs(differenceMm), 2) + " ± " + Quantity.fixed(halfWidthMm, 2) + " mm "
                    + (differenceMm > 0 ? "longer" : "shorter") + " than the right side’s " + MIRROR.get(pair).label() + ".";
            case SAME_READINGS -> "The same readings stand on the left and the right sheet. Two sides never read alike to the "
                    + "hundredth: measure the other side too before a mirrored part is made.";
        };
    }

    /** The name of the other side, "left upright" for "right upright"; empty when a name tells no side. */
    public static Optional<String> otherSide(String name) {
        // "upright" holds "right": only whole words tell a side.
        boolean left = LEFT.matcher(name).find();
        if (left == RIGHT.matcher(name).find()) {
            return Optional.empty();
        }
        return Optional.of(left ? LEFT.matcher(name).replaceAll("right") : RIGHT.matcher(name).replaceAll("left"));
    }

    /** Whether a name says it is of the left side. */
    public static boolean isLeft(String name) {
        return LEFT.matcher(name).find();
    }
}
