/**
 * Makers of leaves: extrusions with draft and finished edges, revolutions, lofts, convex hulls, half spaces, imported
 * meshes; and of many placements from one. Each checks what it is given and refuses in words; none knows the kernel.
 */
package tinperch.solid.shape;
