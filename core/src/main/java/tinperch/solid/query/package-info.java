/**
 * Questions about meshes: mass, sections, layers, rays, inside, walls, overhangs, distance to another solid. One class a
 * question, all pure; {@code TriangleTree} is what the near-and-far ones share. Nothing here knows how a mesh was made.
 */
package tinperch.solid.query;
