package tinperch.machine.frame;

import tinperch.machine.space.SpaceProblem;
import tinperch.quantity.Quantity;

/**
 * The few numbers a frame is put up from, mm.
 *
 * @param xMm travel from left to right, {@code yMm} from front to back, {@code zMm} upwards
 * @param barMm side of its profiles or diameter of its rods
 */
public record FrameNumbers(double xMm, double yMm, double zMm, double barMm) {
    private static final double LEAST_MM = 40;
    private static final double MOST_MM = 3000;

    /** @throws SpaceProblem when no such machine can be built */
    public FrameNumbers {
        for (double t : new double[] {xMm, yMm, zMm}) {
            if (!(t >= LEAST_MM && t <= MOST_MM)) {
                throw new SpaceProblem("A frame has travels from " + Quantity.mm(LEAST_MM) + " to " + Quantity.mm(MOST_MM) + "; " + Quantity.mm(t) + " is none. Nothing was changed.");
            }
        }
        if (!(barMm >= 0 && barMm <= 120)) {
            throw new SpaceProblem("Bars go up to 120 mm; " + Quantity.mm(barMm) + " is none. Nothing was changed.");
        }
    }
}
