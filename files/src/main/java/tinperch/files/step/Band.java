package tinperch.files.step;

import tinperch.solid.Vec3;

/**
 * The flat faces of a mesh that stand for one round wall.
 *
 * @param round what they stand for
 * @param faces their numbers
 * @param low the ring of points at the end the axis comes from, anticlockwise about the axis; {@code high} the other
 * @param from middle of the low end, {@code to} of the high one
 */
record Band(Round round, int[] faces, int[] low, int[] high, Vec3 from, Vec3 to) {}
