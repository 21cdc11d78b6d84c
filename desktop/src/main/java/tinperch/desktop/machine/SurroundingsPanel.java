package tinperch.desktop.machine;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tinperch.check.Settle;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.StillLabel;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.place.Place;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.sheet.Sheet;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/** What stands around a machine's axes: drawn to scale, moved along its travels, and written down in a short form. */
final class SurroundingsPanel extends StackPane implements View {
    private static final double BESIDE = 420;

    private final Desk desk;
    private final String machineId;
    private final SpaceViews views;
    private final TravelStrips strips;
    private final SceneTable table;
    private final ShapeShelf shelf;
    private Map<String, Shape> shapes = Map.of();
    private final GapWatch watch;
    private final PoseBar poses;
    private final Map<String, List<Vec3>> holes = new HashMap<>();
    private final Label tightest = Ui.id(Ui.label("", "strong"), "space-tightest");
    private final ThingList list = new ThingList(this::choose);
    private final NeighbourForm form = new NeighbourForm(this::machine, this::edit, () -> chosen = "");
    private final SitesPanel sites = new SitesPanel(this::edit, this::choose);
    private final AxesEditor axes = new AxesEditor(this::edit);
    private final DistancesPanel distances;
    private final SideTabs side = new SideTabs();
    private final Column things;
    private final HBox columns = new HBox(14);
    private final FramePanel start;
    private Surroundings shown;
    private String chosen = "";

    SurroundingsPanel(Desk desk, String machineId) {
        this.desk = desk;
        this.machineId = machineId;
        getStyleClass().add("page");
        setMinSize(0, 0);
        setAlignment(Pos.TOP_LEFT);
        start = new FramePanel(desk.theme(), this::machine, this::edit);
        views = new SpaceViews(desk.theme(), this::choose);
        shelf = new ShapeShelf(desk, this::reshape);
        table = new SceneTable(desk.theme(), this::pickedFace);
        strips = new TravelStrips(desk.theme(), this::edit, this::move);
        watch = new GapWatch(tightest, strips);
        distances = new DistancesPanel(this::edit, strips::pose);
        // The turntable stands where the three views leave room.
        Pane drawn = new Pane(views, table.node());
        drawn.setMinSize(0, 200);
        views.onMoved(this::moved);
        views.onCorner(free -> table.node().resizeRelocate(free.getMinX(), free.getMinY(), free.getWidth(), free.getHeight()));
        views.prefWidthProperty().bind(drawn.widthProperty());
        views.prefHeightProperty().bind(drawn.heightProperty());
        table.node().setManaged(false);
        Button all = Ui.id(Ui.button("Show all", null, views::fit), "space-fit");
        Button near = Ui.id(Ui.button("Close-up", null, this::closeUp), "space-near");
        Ui.tip(all, "Everything at both ends of its travel (double click)");
        Ui.tip(near, "What was clicked on, and what moves with it (the wheel brings any place nearer)");
        StillLabel said = new StillLabel(tightest, 1);
        HBox.setHgrow(said, Priority.ALWAYS);
        HBox tools = new HBox(8, said, Ui.whole(near), Ui.whole(all));
        tools.setAlignment(Pos.CENTER_LEFT);
        poses = new PoseBar(this::edit, strips::pose, strips::put);
        VBox left = new VBox(6, drawn, tools, strips, poses);
        VBox.setVgrow(drawn, Priority.ALWAYS);
        left.getStyleClass().add("panel");
        left.setMinSize(0, 0);
        HBox.setHgrow(left, Priority.ALWAYS);
        things = new Column(8, form, list);
        side.add("side-things", "Things", things);
        side.add("side-distances", "Distances", distances);
        side.add("side-sites", "Sites", sites);
        side.add("side-axes", "Axes and groups", axes);
        side.getStyleClass().add("panel");
        Scroller beside = new Scroller(side);
        beside.setFitToHeight(true);
        beside.setMinWidth(BESIDE);
        beside.setPrefWidth(BESIDE);
        columns.getChildren().addAll(left, beside);
    }

    private Machine machine() {
        return desk.state().machine(machineId).orElseThrow();
    }

    private Optional<String> edit(String label, java.util.function.UnaryOperator<Surroundings> change) {
        try {
            Surroundings next = change.apply(machine().surroundings());
            desk.workshop().edit(label, s -> s.with(s.machine(machineId).orElseThrow().withSurroundings(next)));
            return Optional.empty();
        } catch (SpaceProblem e) {
            return Optional.of(e.getMessage());
        }
    }

    @Override
    public void refresh() {
        Surroundings now = machine().surroundings();
        Map<String, Shape> made = shelf.of(machine());
        if (now == shown && made.equals(shapes)) {
            form.refresh(machine());
            distances.refresh(machine());
            sites.refresh(machine());
            return;
        }
        shapes = made;
        shown = now;
        if (now.axes().isEmpty()) {
            start.refresh();
        }
        getChildren().setAll(now.axes().isEmpty() ? start : columns);
        list.refresh(machine());
        axes.refresh(now);
        sites.refresh(machine());
        holes.clear();
        now.sites().forEach(x -> holes.put(x.id(), x.holes(machine().sheet(x.sheetId()).map(Sheet::pattern)
                .flatMap(MeasuredPattern::of))));
        form.refresh(machine());
        take();
        distances.refresh(machine());
    }

    /** A downloaded model has been unpacked. */
    private void reshape() {
        shapes = shelf.of(machine());
        take();
    }

    private void take() {
        Gaps gaps = new Gaps(shown, shapes);
        table.take(shown, shapes);
        strips.take(shown, gaps);
        poses.take(shown);
        watch.take(gaps);
        move();
    }

    private void move() {
        Map<String, Double> pose = strips.pose();
        views.show(shown, shapes, holes, pose, chosen);
        table.show(pose);
        strips.show();
        watch.moved(pose);
    }

    /** Brings what is chosen near, or all that moves with it. */
    private void closeUp() {
        Optional<Neighbour> n = shown.neighbour(chosen);
        if (n.isEmpty()) {
            tightest.setText("Click on something first; then this brings it near.");
            return;
        }
        List<Neighbour> with = n.get().group().isEmpty() ? List.of(n.get()) : shown.neighbours().stream().filter(o -> o.group().equals(n.get().group())).toList();
        views.closeUp(with.stream().map(o -> shown.bounds(o, strips.pose())).reduce(Bounds::with).orElseThrow());
    }

    /** What was dragged stays there, unless readings say where it is. */
    private void moved(Neighbour n, Vec3 by) {
        Places places = machine().places();
        Optional<Along> read = Arrays.stream(Along.values()).filter(a -> Math.abs(a.of(by)) > 0.005 && places.of(n.id(), a).how() == Place.How.MEASURED).findFirst();
        if (read.isPresent()) {
            tightest.setText("Readings say where the " + n.name() + " is along " + read.get().name().toLowerCase(Locale.ROOT) + "; change those under Distances.");
            return;
        }
        edit("move " + n.name(), s -> s.with(n.at(n.corner().plus(by)))).ifPresent(tightest::setText);
    }

    /** Chooses a neighbour and shows it in the form. */
    void show(String neighbourId) {
        side.show(things);
        choose(neighbourId);
    }

    /** Begins what somebody was led here for: a site, a neighbour, or axes first where there are none. */
    void begin(Settle.By what) {
        if (shown.axes().isEmpty()) {
            start.begin();
        } else if (what == Settle.By.SITE) {
            side.show(sites);
            sites.begin();
        } else {
            side.show(things);
            form.begin();
        }
    }

    @Override
    public void leave() {
        watch.stop();
        poses.stop();
    }

    /** A face clicked on the turntable: where sites are in view, one begins there. */
    private void pickedFace(String id, Vec3 outward) {
        choose(id);
        if (sites.isVisible()) {
            shown.neighbour(id).ifPresent(n -> sites.begin(n, outward));
        }
    }

    private void choose(String id) {
        chosen = id;
        form.take(shown.neighbours().stream().filter(n -> n.id().equals(id)).findFirst().orElse(null));
        views.show(shown, shapes, holes, strips.pose(), chosen);
        distances.aim(id);
        table.light(id);
    }
}
