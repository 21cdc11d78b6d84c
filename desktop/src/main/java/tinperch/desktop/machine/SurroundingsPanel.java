package tinperch.desktop.machine;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import tinperch.check.Settle;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.reading.Instruments;
import tinperch.machine.Machine;
import tinperch.machine.place.Place;
import tinperch.machine.place.Places;
import tinperch.machine.space.Along;
import tinperch.machine.space.Face;
import tinperch.machine.space.HoledFace;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.HolePattern;
import tinperch.solid.Vec3;

/** What stands around a machine's axes: drawn to scale, moved along its travels, and written down in a short form. */
final class SurroundingsPanel extends StackPane implements View {
    private static final double BESIDE = 420;

    private final Desk desk;
    private final String machineId;
    private final SpaceStage stage;
    private final ShapeShelf shelf;
    private Map<String, Shape> shapes = Map.of();
    private final Map<String, List<Vec3>> holes = new HashMap<>();
    private final ThingList list = new ThingList(this::choose);
    private final NeighbourForm form = new NeighbourForm(this::machine, this::edit, () -> chosen = "");
    private final SitesPanel sites = new SitesPanel(this::edit, this::choose, id -> faces(id));
    private final LinesPanel lines = new LinesPanel(this::edit, this::choose);
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
        stage = new SpaceStage(desk.theme(), this::edit, this::choose);
        shelf = new ShapeShelf(desk, this::reshape);
        distances = new DistancesPanel(this::edit, stage::pose, new Instruments(desk.workshop()));
        stage.onMoved(this::moved);
        HBox.setHgrow(stage, Priority.ALWAYS);
        things = new Column(8, form, list);
        side.add("side-things", "Things", things);
        side.add("side-distances", "Distances", distances);
        side.add("side-sites", "Sites", sites);
        side.add("side-lines", "Lines", lines);
        side.add("side-axes", "Axes", axes);
        side.onShown(this::pointing);
        side.getStyleClass().add("panel");
        Scroller beside = new Scroller(side);
        beside.setFitToHeight(true);
        beside.setMinWidth(BESIDE);
        beside.setPrefWidth(BESIDE);
        columns.getChildren().addAll(stage, beside);
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
            lines.refresh(machine());
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
        lines.refresh(machine());
        holes.clear();
        now.sites().forEach(x -> holes.put(x.id(), x.holes(machine().sheet(x.sheetId()).flatMap(HolePattern::of))));
        form.refresh(machine());
        take();
        distances.refresh(machine());
    }

    private List<HoledFace> faces(String id) {
        return shelf.faces(id);
    }

    /** A downloaded model has been unpacked. */
    private void reshape() {
        // What changed while nobody looked is taken when somebody does; until then shapes and what is shown would not be of the same things.
        if (desk.state().machine(machineId).filter(m -> m.surroundings() == shown).isEmpty()) {
            return;
        }
        shapes = shelf.of(machine());
        sites.refresh(machine());
        take();
    }

    private void take() {
        stage.take(shown, shapes, holes);
    }

    /** What a click on a face means in the tab that is in view. */
    private void pointing(Node tab) {
        stage.onPointed(tab == distances ? distances::point : tab == lines ? lines::point : tab == sites ? this::siteOn : null);
    }

    private void siteOn(Face face) {
        shown.neighbour(face.neighbourId()).ifPresent(n -> sites.begin(n, face.outward()));
    }

    /** What was dragged stays there, unless readings say where it is. */
    private void moved(Neighbour n, Vec3 by) {
        Places places = machine().places();
        Optional<Along> read = Arrays.stream(Along.values()).filter(a -> Math.abs(a.of(by)) > 0.005 && places.of(n.id(), a).how() == Place.How.MEASURED).findFirst();
        if (read.isPresent()) {
            stage.say("Readings say where the " + n.name() + " is along " + read.get().name().toLowerCase(Locale.ROOT) + "; change those under Distances.");
            return;
        }
        edit("move " + n.name(), s -> s.with(n.at(n.corner().plus(by)))).ifPresent(stage::say);
    }

    /** Makes one more tab that nobody has asked for yet; answers whether there was one. */
    boolean makeNext() {
        return side.makeNext();
    }

    /** Whether all of it is there. */
    boolean isMade() {
        return side.isMade();
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
        stage.stop();
    }

    private void choose(String id) {
        if (form.isPointing()) {
            shown.neighbour(id).ifPresent(form::movesWith);
            return;
        }
        chosen = id;
        form.take(shown.neighbour(id).orElse(null));
        stage.choose(id);
    }
}
