package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tinperch.desktop.look.Palette;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;

/** Names on the three views, where they have room and no other name stands. */
final class SpaceLabels {
    private static final double LETTER_PX = 3.1;
    private static final double LINE_PX = 13;

    private SpaceLabels() {}

    /** @param tags numbers no name may cover */
    static void draw(GraphicsContext g, Palette p, ThreeViews.View v, Surroundings space, Map<String, Double> pose, List<SpaceTag> tags) {
        double[] area = v.area();
        g.setFont(Font.font("Lato", 11));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFill(p.faintColour());
        g.fillText(v.title, area[0], area[1] - 4);
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.setFill(p.inkColour());
        List<double[]> taken = new ArrayList<>();
        tags.forEach(t -> taken.add(new double[] {t.x(), t.y(), t.half()}));
        for (Neighbour n : space.neighbours()) {
            double[] b = v.box(space.bounds(n, pose));
            double half = LETTER_PX * n.name().length();
            double x = b[0] + b[2] / 2;
            double y = b[1] + b[3] / 2;
            boolean room = b[2] > 2 * half && b[3] > LINE_PX + 1 && x - half > area[0] && x + half < area[0] + area[2] && y > area[1] && y < area[1] + area[3];
            if (room && taken.stream().noneMatch(l -> Math.abs(l[1] - y) < LINE_PX && Math.abs(l[0] - x) < l[2] + half)) {
                taken.add(new double[] {x, y, half});
                g.fillText(n.name(), x, y);
            }
        }
    }

    /** What is said of a thing being moved, above where it would stand. */
    static void of(GraphicsContext g, Palette p, ThreeViews.View v, SpaceDrag drag, Surroundings space, Map<String, Double> pose) {
        double[] b = v.box(space.bounds(drag.thing().at(drag.thing().corner().plus(drag.by())), pose));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.BOTTOM);
        g.setFill(p.accentColour());
        g.fillText(drag.words(), b[0], b[1] - 4);
    }
}
