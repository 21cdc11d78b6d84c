package tinperch.trial.simulated;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Random;
import java.util.Set;

/** A printer that is none: bed, hot end and chamber with noise and faults on demand, reporting as boards do. Its time passes as it is told. */
public final class SimulatedPrinter implements Simulated {
    private static final double STEP_S = 0.1;
    private static final double ROOM_C = 21;

    /** What may be wrong with it. */
    public enum Fault {
        DRIFT("the hot end's sensor drifts"), DROPPED_LINES("lines get lost"), GARBAGE("lines are garbled"), SENSOR_OPEN("the bed's sensor opens after three minutes"), RUNAWAY("the hot end's heater stays on");

        private final String label;

        Fault(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private final Random dice;
    private final Set<Fault> faults;
    private final Heated block = new Heated(40, 9, 14, 4.5, 0.125, 12, ROOM_C);
    private final Heated bed = new Heated(270, 180, 900, 40, 2.2, 20, ROOM_C);
    private final Heated chamber = new Heated(0, 50, 4000, 5, 6, 1, ROOM_C);
    private final Controller blockBy;
    private final Controller bedBy = Controller.pid(0.08, 0.0006, 0.2);
    private double blockTargetC;
    private double bedTargetC;
    private double blockDuty;
    private double bedDuty;
    private double nowS;

    /** @param relay whether its hot end is switched on and off instead of controlled */
    public SimulatedPrinter(long seed, boolean relay, Set<Fault> faults) {
        dice = new Random(seed);
        this.faults = faults.isEmpty() ? Set.of() : EnumSet.copyOf(faults);
        blockBy = relay ? Controller.relay() : Controller.pid(0.045, 0.0012, 0.25);
    }

    /** What it is to reach, °C; 0 for off. */
    public void targets(double blockC, double bedC) {
        blockTargetC = blockC;
        bedTargetC = bedC;
    }

    @Override
    public String name() {
        return "simulated printer";
    }

    @Override
    public void pass(double seconds) {
        double end = nowS + seconds;
        while (nowS < end - 1e-9) {
            double chamberC = chamber.bodyC();
            blockDuty = faults.contains(Fault.RUNAWAY) && nowS > 120 ? 1 : blockBy.duty(block.bodyC(), blockTargetC, STEP_S);
            bedDuty = bedBy.duty(bed.bodyC(), bedTargetC, STEP_S);
            block.step(STEP_S, blockDuty, chamberC);
            bed.step(STEP_S, bedDuty, chamberC);
            // The bed warms the chamber, the room cools it.
            chamber.step(STEP_S, 0, ROOM_C + 0.22 * (bed.bodyC() - ROOM_C));
            nowS += STEP_S;
        }
    }

    /** How hot its block is, °C. */
    public double blockC() {
        return block.bodyC();
    }

    /** How hot its bed is, °C. */
    public double bedC() {
        return bed.bodyC();
    }

    /** As it would come over the wire; empty when it gets lost. */
    @Override
    public String report() {
        if (faults.contains(Fault.DROPPED_LINES) && dice.nextInt(4) == 0) {
            return "";
        }
        double seen = block.bodyC() + 0.15 * dice.nextGaussian() + (faults.contains(Fault.DRIFT) ? nowS / 300 : 0);
        double bedSeen = faults.contains(Fault.SENSOR_OPEN) && nowS > 180 ? -14 - 30 : bed.bodyC() + 0.08 * dice.nextGaussian();
        String line = String.format(Locale.ROOT, "ok T:%.2f /%.2f B:%.2f /%.2f C:%.2f @:%d B@:%d", seen, blockTargetC, bedSeen, bedTargetC, chamber.bodyC() + 0.05 * dice.nextGaussian(),
                Math.round(127 * blockDuty), Math.round(127 * bedDuty));
        if (faults.contains(Fault.GARBAGE) && dice.nextInt(4) == 0) {
            StringBuilder b = new StringBuilder(line);
            for (int k = 0; k < 6; k++) {
                b.setCharAt(dice.nextInt(b.length()), (char) dice.nextInt(256));
            }
            return b.toString().replace('\n', ' ');
        }
        return line;
    }
}
