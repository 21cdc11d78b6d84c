/**
 * The solid kernel: a tree of leaves in, a closed triangle mesh out, in six rooms walked in this order:
 * {@code PlaneGroups} (which faces share a plane), {@code PlaneSection} (what each leaf looks like just below and just
 * above it), {@code Arrangement} (all those segments cut at their crossings), {@code FaceTracer} (which pieces bound the
 * result), {@code EdgeMending} (weld, T-vertices, touching edges), {@code Triangulator}. {@code SolidKernel} is the door.
 *
 * <p>See docs/KERNEL.md. The door takes lent {@code Hands} and a {@code PlaneMemory}; everything else is package-private and
 * free to change.
 */
package tinperch.solid.kernel;
