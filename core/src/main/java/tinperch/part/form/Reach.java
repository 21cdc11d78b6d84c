package tinperch.part.form;

import tinperch.part.param.Lever;
import tinperch.solid.Vec3;

/**
 * A number that moves faces of a piece.
 *
 * @param feature beginning of the names of the features whose faces it moves
 * @param outward the way those faces look in the piece's own coordinates, unit; zero for all of the feature's faces
 * @param lever how far they move outwards for each mm of the number
 */
public record Reach(String feature, Vec3 outward, Lever lever) {}
