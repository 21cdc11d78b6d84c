package tinperch.hardware;

/**
 * What a printer adds to nominal sizes by the kind of what is printed, beside the offset of its holes; read off a ladder of coupons. All in mm, on
 * the whole width or diameter.
 *
 * @param slotMm between flat walls: slots, nut pockets, eyes for ties
 * @param pegMm on the diameter of pegs, mostly below 0
 * @param pressMm on the diameter of a hole something is pressed into, after the hole's offset
 * @param runningMm on the diameter of a hole something slides or turns in, after the hole's offset
 */
public record Fits(double slotMm, double pegMm, double pressMm, double runningMm) {
    /** Where no coupon was printed: common practice, values from memory; press seats −0.05…+0.1, sliding ones +0.2. */
    public static final Fits USUAL = new Fits(0.2, -0.1, -0.05, 0.2);
    /** More than this no printer needs: what a file says beyond it is not believed. */
    private static final double MOST_MM = 3;

    public Fits {
        slotMm = Math.abs(slotMm) <= MOST_MM ? slotMm : 0.2;
        pegMm = Math.abs(pegMm) <= MOST_MM ? pegMm : -0.1;
        pressMm = Math.abs(pressMm) <= MOST_MM ? pressMm : -0.05;
        runningMm = Math.abs(runningMm) <= MOST_MM ? runningMm : 0.2;
    }

    /** With another slot. */
    public Fits withSlot(double mm) {
        return new Fits(mm, pegMm, pressMm, runningMm);
    }

    /** With another peg. */
    public Fits withPeg(double mm) {
        return new Fits(slotMm, mm, pressMm, runningMm);
    }

    /** With another press fit. */
    public Fits withPress(double mm) {
        return new Fits(slotMm, pegMm, mm, runningMm);
    }

    /** With another running fit. */
    public Fits withRunning(double mm) {
        return new Fits(slotMm, pegMm, pressMm, mm);
    }
}
