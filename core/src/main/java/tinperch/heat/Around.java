package tinperch.heat;

import java.util.List;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Sight;
import tinperch.solid.query.TriangleTree;

/**
 * What a solid stands in, in its own coordinates.
 *
 * @param roomC air and walls around, °C
 * @param filmWm2K to the air, W/m²K: 8…12 still, 25…60 blown (common practice)
 * @param screens what stands between it and the hot ones and takes their heat off
 * @param bridges metal that leads heat from a hot one into it
 */
public record Around(double roomC, double filmWm2K, List<HotBody> hot, List<Screen> screens, List<Bridge> bridges) {
    public Around {
        hot = List.copyOf(hot);
        bridges = List.copyOf(bridges);
        screens = List.copyOf(screens);
    }

    /** No metal leads into it. */
    public Around(double roomC, double filmWm2K, List<HotBody> hot, List<Screen> screens) {
        this(roomC, filmWm2K, hot, screens, List.of());
    }

    /**
     * Something that stands between.
     *
     * @param place of the tree's solid in the coordinates of what is around
     */
    public record Screen(TriangleTree tree, Placement place) {
        Bounds bounds() {
            return tree.mesh().bounds().placed(place);
        }

        boolean blocks(Vec3 from, Vec3 to) {
            return Sight.blocked(tree, place.local(from), place.local(to));
        }
    }
}
