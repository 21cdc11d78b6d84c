package tinperch.heat;

import java.util.List;
import tinperch.solid.Vec3;

/**
 * Steady temperatures of a solid's surface.
 *
 * @param patches its surface in small pieces
 * @param pieces those pieces as they were cut, to be drawn; none where nobody draws it
 * @param cellMm edge of the grid's cells, {@code cells} how many it had
 * @param converged whether the reckoning came to its end
 * @param lostW heat that goes in less heat that goes out, W: how well the system was solved, nothing more
 */
public record HeatMap(List<Patch> patches, List<Piece> pieces, double cellMm, int cells, boolean converged, double lostW) {
    public HeatMap {
        patches = List.copyOf(patches);
        pieces = List.copyOf(pieces);
    }

    /**
     * A small piece of the surface.
     *
     * @param gapMm along the air to the nearest hot thing it sees; infinite where there is none
     * @param nearest id of that thing; empty where there is none
     */
    public record Patch(Vec3 middle, Vec3 normal, double areaMm2, double tempC, double gapMm, String nearest) {}

    /** A flat polygon of the surface and the patch it is of. */
    public record Piece(List<Vec3> corners, int patch) {
        public Piece {
            corners = List.copyOf(corners);
        }
    }

    /** The hottest patch. */
    public Patch hottest() {
        return patches.stream().max(java.util.Comparator.comparingDouble(Patch::tempC)).orElseThrow();
    }

    /** The patch whose middle is nearest to a point. */
    public Patch at(Vec3 p) {
        return patches.stream().min(java.util.Comparator.comparingDouble(q -> q.middle().minus(p).length())).orElseThrow();
    }
}
