package tinperch.desktop.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Vec3;

/** Something that rides on axes pulled with the mouse: the axes that run in the view follow, as far as they go. */
final class AxisDrag {
    private final ThreeViews.View view;
    private final List<Axis> axes;
    private final Map<String, Double> from = new HashMap<>();

    private AxisDrag(ThreeViews.View view, List<Axis> axes, Map<String, Double> pose) {
        this.view = view;
        this.axes = axes;
        axes.forEach(a -> from.put(a.name(), a.within(pose.getOrDefault(a.name(), a.homeMm()))));
    }

    /** Of a thing in a view; empty when no axis it rides on runs there. */
    static Optional<AxisDrag> of(Neighbour n, ThreeViews.View view, Surroundings space, Map<String, Double> pose) {
        List<Axis> axes = space.group(n.group()).map(Group::axes).orElse(List.of()).stream().flatMap(name -> space.axis(name).stream())
                .filter(a -> Math.hypot(a.direction().dot(view.right), a.direction().dot(view.up)) > 0.5).toList();
        return axes.isEmpty() ? Optional.empty() : Optional.of(new AxisDrag(view, axes, pose));
    }

    /** Where the axes stand when it is pulled so far over the canvas, mm by name, to the tenth. */
    Map<String, Double> to(double dx, double dy) {
        Vec3 way = view.way(dx, dy);
        Map<String, Double> pose = new HashMap<>();
        // Two axes of one direction would go twice as far: only the first follows.
        for (Axis a : axes) {
            boolean first = axes.stream().filter(o -> Math.abs(o.direction().dot(a.direction())) > 0.5).findFirst().orElseThrow() == a;
            pose.put(a.name(), a.within(from.get(a.name()) + (first ? Math.rint(a.direction().dot(way) * 10) / 10 : 0)));
        }
        return pose;
    }
}
