package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact;
import tinperch.machine.space.Site;
import tinperch.part.form.Piece;
import tinperch.upgrade.PartDesign;

/** The parts of an upgrade side by side, and how the one shown is looked at. */
final class PartBar extends FlowPane {
    private static final String NOWHERE = "no site yet";

    private final Desk desk;
    private final String upgradeId;
    private final PartTabs parts;
    private final HBox pieces = new HBox(6);
    private final Slider pull = Ui.id(new Slider(0, 1, 0), "pull-apart");
    private final ComboBox<String> alone = Ui.id(new ComboBox<>(), "piece-alone");
    private final ToggleButton inPlace = Ui.id(new ToggleButton("On the machine"), "in-place");
    private final ComboBox<String> site = Ui.id(new ComboBox<>(), "part-site");
    private final Runnable look;
    private List<Piece> shownPieces = List.of();
    // Held here and weakly by the desk, which outlives every station.
    private final ChangeListener<DrawingFact.Drawing> onDrawing = (o, a, b) -> showPieces();

    /**
     * @param add chooses another kind of part
     * @param look told that the same part is to be looked at otherwise
     */
    PartBar(Desk desk, String upgradeId, Runnable add, Runnable look) {
        super(14, 6);
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.look = look;
        Button more = Ui.id(Ui.button("Another part", "mdi2p-plus", add), "add-part");
        parts = new PartTabs(desk, upgradeId, "part-");
        pull.setPrefWidth(90);
        Ui.tip(pull, "Pull the pieces apart on the turntable");
        pull.valueProperty().addListener((o, a, b) -> look.run());
        alone.setOnAction(e -> look.run());
        pieces.getChildren().addAll(Ui.label("pulled apart", "faint"), pull, alone);
        pieces.setAlignment(Pos.CENTER_LEFT);
        Ui.tip(inPlace, "See it where it mounts, among its neighbours, and move the axes");
        inPlace.setOnAction(e -> look.run());
        site.setOnAction(e -> mount());
        HBox where = new HBox(6, Ui.label("mounts on", "faint"), site, inPlace);
        where.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(parts, more, where, pieces);
        setRowValignment(javafx.geometry.VPos.CENTER);
        desk.drawingProperty().addListener(new WeakChangeListener<>(onDrawing));
    }

    double pull() {
        return pieces.isVisible() ? pull.getValue() : 0;
    }

    /** Id of the piece to be seen alone, empty for all. */
    String alone() {
        int at = alone.getSelectionModel().getSelectedIndex();
        return pieces.isVisible() && at > 0 && at <= shownPieces.size() ? shownPieces.get(at - 1).id() : "";
    }

    boolean isInPlace() {
        return inPlace.isSelected() && !inPlace.isDisabled();
    }

    private List<Site> sites() {
        return desk.machine().map(m -> m.surroundings().sites()).orElse(List.of());
    }

    private void mount() {
        Optional<PartDesign> part = desk.part();
        int at = site.getSelectionModel().getSelectedIndex();
        if (part.isEmpty() || at < 0) {
            return;
        }
        String id = at == 0 ? "" : sites().get(at - 1).id();
        if (!id.equals(part.get().siteId())) {
            desk.workshop().edit(at == 0 ? "takes the part off its site" : "mounts on " + sites().get(at - 1).name(),
                    s -> s.with(s.upgrade(upgradeId).orElseThrow().with(part.get().atSite(id))));
        }
    }

    void refresh() {
        parts.refresh();
        List<String> names = new ArrayList<>(List.of(NOWHERE));
        sites().forEach(s -> names.add(s.name()));
        if (!site.getItems().equals(names)) {
            site.getItems().setAll(names);
        }
        String id = desk.part().map(PartDesign::siteId).orElse("");
        int at = sites().stream().map(Site::id).toList().indexOf(id);
        site.getSelectionModel().select(at + 1);
        site.setDisable(names.size() == 1);
        Ui.tip(site, names.size() == 1 ? "This machine has no site yet; add one on its sheet, under Surroundings" : "The place on the machine it is mounted on");
        inPlace.setDisable(at < 0);
        if (inPlace.isDisabled() && inPlace.isSelected()) {
            inPlace.setSelected(false);
            look.run();
        }
        showPieces();
    }

    private void showPieces() {
        DrawingFact.Drawing d = desk.drawingProperty().get();
        List<Piece> now = d == null ? List.of() : d.form().pieces();
        boolean several = now.size() > 1;
        pieces.setVisible(several);
        pieces.setManaged(several);
        if (several && !now.stream().map(Piece::name).toList().equals(shownPieces.stream().map(Piece::name).toList())) {
            shownPieces = now;
            alone.getItems().setAll("all pieces");
            now.forEach(p -> alone.getItems().add(p.name() + (p.count() > 1 ? " × " + p.count() : "") + " alone"));
            alone.getSelectionModel().select(0);
        }
        shownPieces = now;
    }
}
