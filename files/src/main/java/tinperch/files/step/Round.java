package tinperch.files.step;

import tinperch.solid.Placement;

/**
 * A round hole as it was designed. It is never guessed from a mesh, whose polygon has another radius.
 *
 * @param axis z along the hole
 * @param radiusMm above 0
 */
public record Round(Placement axis, double radiusMm) {}
