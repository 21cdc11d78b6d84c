/**
 * Values of solid geometry: points, planes, placements, profiles, leaves and the tree that joins them, and the mesh
 * that comes out. All immutable, all in millimetres, right-handed, angles in degrees at the public edge.
 *
 * <p>The computing lives in {@code tinperch.solid.kernel}; nothing here knows about parts, machines or the interface.
 */
package tinperch.solid;
