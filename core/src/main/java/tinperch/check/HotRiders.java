package tinperch.check;

import java.util.List;
import tinperch.machine.space.Neighbour;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** Hot things that ride with the part: with all axes at zero they stand to it as they always do. */
final class HotRiders {
    private HotRiders() {}

    /** All of them; none where the part has no site. */
    static List<Neighbour> of(Case c) {
        return c.site().map(s -> c.machine().surroundings().neighbours().stream().filter(n -> n.kind() == Neighbour.Kind.HOT && n.group().equals(s.group())).toList()).orElse(List.of());
    }

    /** The middle of its lower side: a nozzle's tip. */
    static Vec3 tip(Neighbour n) {
        Bounds b = n.bounds(Vec3.ZERO);
        return new Vec3((b.min().x() + b.max().x()) / 2, (b.min().y() + b.max().y()) / 2, b.min().z());
    }

    /** The middle of its upper side: where filament goes in. */
    static Vec3 inlet(Neighbour n) {
        Vec3 t = tip(n);
        return new Vec3(t.x(), t.y(), n.bounds(Vec3.ZERO).max().z());
    }
}
