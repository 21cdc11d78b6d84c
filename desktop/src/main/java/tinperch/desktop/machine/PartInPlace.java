package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.Turntable;
import tinperch.fact.PlacedFact;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** The part looked at in its place on the machine: among its neighbours in three views and on a turntable, moved along the axes. */
public final class PartInPlace extends BorderPane implements View {
    private static final String PART = "the part itself";
    private static final double AROUND_MM = 30;
    private static final int PLACES = 60;

    private final Desk desk;
    private final SpaceViews views;
    private final Turntable table;
    private final VBox strips = new Column(4);
    private final Label tightest = Ui.id(Ui.label("", "strong"), "in-place-gap");
    private final Map<String, Double> pose = new HashMap<>();
    private final Map<String, TravelStrip> byAxis = new LinkedHashMap<>();
    private final Map<String, Label> positions = new HashMap<>();
    private Case asked;
    private Surroundings space = Surroundings.NONE;
    private Map<String, Shape> shapes = Map.of();
    private Gaps gaps = new Gaps(Surroundings.NONE);
    private Shape part;
    private String group = "";

    public PartInPlace(Desk desk) {
        this.desk = desk;
        views = new SpaceViews(desk.theme(), id -> { });
        table = new Turntable(desk.theme(), "neighbours", face -> { });
        table.setPrefWidth(300);
        // A low window makes the views small; they never reach over what stands above.
        views.setMinSize(0, 90);
        Ui.id(this, "in-place-view");
        VBox below = new VBox(6, tightest, strips);
        setCenter(views);
        setRight(table);
        setBottom(below);
        setMinSize(0, 0);
        getStyleClass().add("fitting-sheet");
        setPadding(new javafx.geometry.Insets(6, 12, 10, 12));
    }

    @Override
    public void refresh() {
        Optional<Case> now = desk.looked();
        if (now.isEmpty() || now.get().equals(asked)) {
            return;
        }
        asked = now.get();
        desk.engine().find(asked, PlacedFact.PLACED, placed -> {
            if (now.get().equals(asked)) {
                placed.ifPresent(p -> take(now.get(), p));
            }
        });
    }

    private void take(Case c, PlacedFact.Placed placed) {
        part = placed.part();
        group = placed.group();
        Surroundings own = c.machine().surroundings();
        Bounds b = part.bounds();
        List<Neighbour> all = new ArrayList<>(own.neighbours());
        all.add(new Neighbour(PART, c.part().name(), group, Neighbour.Kind.SOLID, Neighbour.Form.MODEL, b.min(), b.size(), "z", 0, 0));
        boolean axesChanged = !own.axes().equals(space.axes());
        space = new Surroundings(own.axes(), own.groups(), all, own.sites(), List.of(), "", List.of(), own.runs());
        shapes = new HashMap<>(placed.neighbours());
        shapes.put(PART, part);
        gaps = new Gaps(space, shapes, PART);
        if (axesChanged) {
            own.home().forEach(pose::putIfAbsent);
            makeStrips();
        }
        move();
    }

    private void makeStrips() {
        strips.getChildren().clear();
        byAxis.clear();
        for (Axis a : space.axes()) {
            TravelStrip strip = new TravelStrip(desk.theme(), a, mm -> {
                pose.put(a.name(), mm);
                move();
            });
            HBox.setHgrow(strip, Priority.ALWAYS);
            Label position = Ui.label("", "faint");
            position.setMinWidth(66);
            Label name = Ui.label(a.name(), "strong");
            name.setMinWidth(14);
            byAxis.put(a.name(), strip);
            positions.put(a.name(), position);
            HBox row = new HBox(8, name, position, strip);
            row.setAlignment(Pos.CENTER_LEFT);
            strips.getChildren().add(row);
        }
    }

    private double at(Axis a) {
        return a.within(pose.getOrDefault(a.name(), a.homeMm()));
    }

    private void move() {
        Vec3 shift = space.shift(group, pose);
        Bounds b = part.bounds();
        Vec3 room = new Vec3(AROUND_MM, AROUND_MM, AROUND_MM);
        Bounds near = new Bounds(b.min().plus(shift).minus(room), b.max().plus(shift).plus(room));
        views.show(space, shapes, Map.of(), pose, PART, near);
        List<Mesh> around = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            Shape s = shapes.get(n.id());
            Vec3 by = space.shift(n.group(), pose);
            if (s != part && s != null && n.isMatter() && space.bounds(n, pose).overlaps(near, 0)) {
                around.add(Mesh.gathered(List.of(s.drawn()), List.of(by), List.of(n.id())));
            }
        }
        Mesh moved = Mesh.gathered(List.of(part.drawn()), List.of(shift), (i, feature) -> feature);
        table.showMoving(moved, part.edges(), around, near);
        for (Axis a : space.axes()) {
            byAxis.get(a.name()).show(a, at(a), gaps.boxesAlong(a.name(), pose, PLACES));
            positions.get(a.name()).setText(Quantity.mm(Math.round(at(a) * 10) / 10.0));
        }
        tightest.setText(gaps.betweenBoxes(pose).map(g -> (g.mm() > 0 ? "Smallest gap of its box to what moves otherwise: " + Quantity.mm(g.mm()) + " to "
                : "Its box runs " + Quantity.mm(-g.mm()) + " into ") + (g.a().id().equals(PART) ? g.b() : g.a()).name()).orElse("Nothing here moves against it."));
    }

    @Override
    public void leave() {
        asked = null;
    }
}
