package tinperch.measure;

import java.util.List;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Stiffness from pushing with a spring scale and reading an indicator: a straight line through the readings, whose offset
 * takes up slack.
 *
 * @param stiffnessNPerMm force for a millimetre
 * @param halfWidthNPerMm 95 % half width, infinite from two readings
 * @param slackMm deflection at no force that the line leaves; negative where it resists before it gives, which is no slack
 */
public record PushTest(double stiffnessNPerMm, double halfWidthNPerMm, double slackMm) {
    /** One push. */
    public record Push(double forceN, double deflectionMm) {}

    /**
     * The line through two or more different pushes. Its interval holds what the readings scatter by (Student) and, as squares, what the
     * instruments can be off by: few readings that happen to lie well on a line do not make a scale better than it is.
     *
     * @param forceN what the scale can be off by, 95 % half width
     * @param giveMm what the indicator can be off by, 95 % half width
     * @throws IllegalArgumentException when there are fewer, or nothing gave way
     */
    public static PushTest of(List<Push> pushes, double forceN, double giveMm) {
        SimpleRegression line = new SimpleRegression();
        pushes.forEach(p -> line.addData(p.forceN(), p.deflectionMm()));
        if (pushes.stream().mapToDouble(Push::forceN).distinct().count() < 2) {
            throw new IllegalArgumentException("Push with at least two different forces, 5 and 10 N for example.");
        }
        double give = line.getSlope();
        if (!(give > 0)) {
            throw new IllegalArgumentException("It gave way less the harder it was pushed; check which reading belongs to which force.");
        }
        double instruments = Math.hypot(giveMm, give * forceN) / Math.sqrt(line.getXSumSquares());
        double half = pushes.size() > 2 ? Math.hypot(Spread.studentT(pushes.size() - 2) * line.getSlopeStdErr(), instruments) : Double.POSITIVE_INFINITY;
        return new PushTest(1 / give, half / (give * give), line.getIntercept());
    }

    /**
     * Natural frequency of a mass on this spring: {@code √(k/m) / 2π}.
     *
     * @param massKg what sways, larger than zero
     */
    public double naturalHz(double massKg) {
        if (!(massKg > 0)) {
            throw new IllegalArgumentException("The mass must be larger than zero.");
        }
        return Math.sqrt(stiffnessNPerMm * 1000 / massKg) / (2 * Math.PI);
    }
}
