package tinperch.machine.space;

import tinperch.solid.Vec3;

/**
 * One axis and its travel.
 *
 * @param direction way of positive travel, unit
 * @param fromMm lowest position, {@code toMm} highest
 * @param homeAtTop whether it homes at the high end
 * @param homingOrder 1 for the axis homed first
 */
public record Axis(String name, Vec3 direction, double fromMm, double toMm, boolean homeAtTop, int homingOrder) {

    public double homeMm() {
        return homeAtTop ? toMm : fromMm;
    }

    /** The nearest position within travel. */
    public double within(double mm) {
        return Math.max(fromMm, Math.min(toMm, mm));
    }
}
