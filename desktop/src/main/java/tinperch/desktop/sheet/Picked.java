package tinperch.desktop.sheet;

import tinperch.solid.Vec3;

/**
 * A face that was clicked on.
 *
 * @param feature empty when the click met nothing
 * @param normal the way it looks
 * @param at the point clicked on, in the assembly's coordinates
 * @param face its number in the mesh shown; -1 for none
 */
public record Picked(String feature, Vec3 normal, Vec3 at, int face) {
    public static final Picked NOTHING = new Picked("", Vec3.ZERO, Vec3.ZERO, -1);
}
