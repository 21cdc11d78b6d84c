package tinperch.desktop.sheet;

import tinperch.solid.Vec3;

/**
 * A face that was clicked on.
 *
 * @param feature empty when the click met nothing
 * @param normal the way it looks
 * @param at the point clicked on, in the assembly's coordinates
 */
public record Picked(String feature, Vec3 normal, Vec3 at) {
    public static final Picked NOTHING = new Picked("", Vec3.ZERO, Vec3.ZERO);
}
