package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.check.Finding;
import tinperch.check.Subject;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.desktop.machine.PartInPlace;
import tinperch.fact.HeatPictureFact;
import tinperch.fact.MotionFact;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** The part among its neighbours before it is printed: the tightest place against each, the axes moved there, the way home played, how warm it gets. */
final class DryFitStation extends BorderPane implements View {
    private final Desk desk;
    private final String upgradeId;
    private final PartTabs parts;
    private final PartInPlace place;
    private final VBox near = new Column(6);
    private final ToggleButton clearance = Ui.id(new ToggleButton("Clearance"), "fit-clearance");
    private final ToggleButton load = Ui.id(new ToggleButton("Load"), "fit-load");
    private final LoadPane loads;
    private final ToggleButton heat = Ui.id(new ToggleButton("Heat"), "fit-heat");
    private final ToggleButton air = Ui.id(new ToggleButton("Air"), "fit-air");
    private final VBox streams = Ui.id(new Column(8), "fit-streams");
    private final ColourLegend legend;
    private final Label touched = Ui.id(Ui.text("", "faint"), "fit-touched");
    private final Label estimate = Ui.id(Ui.text(""), "fit-estimate");
    private final SpotPicker spot;
    private final VBox warmth;
    private final VBox clearances;
    private final List<WayRow> ways = new ArrayList<>();
    private final Label nowhere = Ui.text("Nothing comes nearer than " + Quantity.mm(MotionFact.NEED_MM) + ", wherever the axes stand.", "faint");
    private Case asked;
    private List<Finding> breathed = List.of();
    // Held here and weakly by the desk, which outlives every station.
    private final ChangeListener<Desk.OnMachine> onShown = (o, was, is) -> showFinding();

    DryFitStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        parts = new PartTabs(desk, upgradeId, "fit-part-");
        place = new PartInPlace(desk);
        legend = new ColourLegend(desk.theme(), "heat-legend");
        ToggleGroup group = new ToggleGroup();
        clearance.setToggleGroup(group);
        heat.setToggleGroup(group);
        load.setToggleGroup(group);
        air.setToggleGroup(group);
        air.getStyleClass().add("sheet-tab");
        Ui.tip(air, "The way of the air it leads, and what is said of it");
        load.getStyleClass().add("sheet-tab");
        Ui.tip(load, "What pulls and pushes on it, and where");
        loads = new LoadPane(desk);
        place.onPointed(loads::touch);
        place.onLoaded(loads::colours);
        clearance.setSelected(true);
        clearance.getStyleClass().add("sheet-tab");
        heat.getStyleClass().add("sheet-tab");
        Ui.tip(heat, "How warm it gets for good beside what is hot: an estimate");
        group.selectedToggleProperty().addListener((o, was, is) -> {
            if (is == null) {
                was.setSelected(true);
            } else {
                look();
            }
        });
        spot = new SpotPicker(desk);
        clearances = new VBox(8, Ui.label("Nearest on all ways of the axes", "section"), near, Ui.text("Drag along a strip to move an axis; its bars show the smallest gap between shapes there, hatched where something is run into. Screws, nuts and what it holds count.", "faint"));
        warmth = new VBox(8, Ui.label("How warm it gets", "section"), estimate, legend, touched, spot, Ui.button("Go to the machine's temperatures", "mdi2a-arrow-right",
                () -> desk.settle(new tinperch.check.Settle(tinperch.check.Settle.By.LOG, "", ""))));
        VBox side = new VBox(14, new HBox(6, clearance, heat, load, air), clearances, warmth, loads, streams);
        side.getStyleClass().add("panel");
        Scroller scroll = new Scroller(side);
        scroll.setPrefWidth(318);
        scroll.setMinWidth(318);
        setLeft(scroll);
        setCenter(place);
        BorderPane.setMargin(place, new Insets(0, 0, 0, 12));
        setTop(parts);
        desk.onMachineProperty().addListener(new WeakChangeListener<>(onShown));
        look();
        breathe();
    }

    private void look() {
        Ui.see(warmth, heat.isSelected());
        Ui.see(clearances, clearance.isSelected());
        touched.setText("Reckoning …");
        Ui.see(loads, load.isSelected());
        Ui.see(streams, air.isSelected());
        place.look(heat.isSelected() ? PartInPlace.Look.HEAT : load.isSelected() ? PartInPlace.Look.CLOSE : air.isSelected() ? PartInPlace.Look.AIR : PartInPlace.Look.MACHINE, this::warmed, this::touch);
    }

    private void warmed(Optional<HeatPictureFact.Picture> picture) {
        boolean any = picture.flatMap(HeatPictureFact.Picture::hottest).isPresent();
        Ui.see(legend, any);
        // The picture's grid is finer than that of the judgement; what is said of the hottest place is said once.
        picture.ifPresent(p -> {
            double hottest = heatFinding().flatMap(f -> f.margin()).map(m -> m.value()).orElse(p.hottestC());
            legend.show(p.roomC(), place.limitC(), hottest, new ColourLegend.Words(Math.round(p.roomC()) + " °C around", "stands " + Math.round(place.limitC()), Math.round(hottest) + " hottest"));
        });
        touched.setText(any ? "Click a place on the part to read it." : picture.isPresent() ? "No heat reaches it." : "It has no site yet, so nothing is known of its warmth.");
        judged();
    }

    /** What the finding says, where the colours are. */
    @Override
    public void judged() {
        estimate.setText(heatFinding().map(f -> f.what() + ". " + f.why()).orElse(""));
        Ui.see(estimate, !estimate.getText().isEmpty());
        loads.refresh();
        breathe();
    }

    /** What is said of the air it leads; a part that leads none has no such tab. */
    private void breathe() {
        List<Finding> said = desk.assessmentProperty().get().findings().stream().filter(f -> f.subject() == Subject.AIR).toList();
        // While it is judged anew what was said stays.
        if (said.isEmpty() && !desk.assessmentProperty().get().pending().isEmpty()) {
            return;
        }
        Ui.see(air, !said.isEmpty());
        if (said.isEmpty() && air.isSelected()) {
            clearance.setSelected(true);
        }
        if (said.equals(breathed)) {
            return;
        }
        breathed = said;
        List<Node> rows = new ArrayList<>(List.of(Ui.label("The air it leads", "section")));
        said.forEach(f -> rows.add(new VBox(2, Ui.text(f.severity().label() + ": " + f.what(), "strong"), Ui.text(f.why(), "faint"))));
        streams.getChildren().setAll(rows);
    }

    private Optional<Finding> heatFinding() {
        return desk.assessmentProperty().get().findings().stream().filter(f -> f.subject() == Subject.HEAT).findFirst();
    }

    private void touch(HeatPictureFact.Face f, Vec3 at) {
        spot.touch(f, at);
        touched.setText(f.patch().map(p -> {
            legend.mark(p.tempC());
            String hot = desk.machine().flatMap(m -> m.surroundings().neighbours().stream().filter(n -> n.id().equals(p.nearest())).findFirst()).map(n -> n.name()).orElse("");
            return "About " + Math.round(p.tempC()) + " °C here" + (hot.isEmpty() || !Double.isFinite(p.gapMm()) ? "." : ", " + Quantity.mm(Math.round(p.gapMm() * 10) / 10.0) + " of air to " + hot + ".");
        }).orElse("This piece is too far from anything hot."));
    }

    /** What somebody wanted to see on the machine. */
    private void showFinding() {
        Desk.OnMachine f = desk.onMachineProperty().get();
        if (f == null || desk.upgrade().map(u -> !u.id().equals(upgradeId)).orElse(true)) {
            return;
        }
        desk.onMachineProperty().set(null);
        (f.what() == Desk.Fit.HEAT ? heat : f.what() == Desk.Fit.LOAD ? load : f.what() == Desk.Fit.AIR ? air : clearance).setSelected(true);
        place.put(f.pose());
    }

    @Override
    public void refresh() {
        parts.refresh();
        place.refresh();
        spot.refresh();
        loads.refresh();
        Optional<Case> now = desk.looked();
        if (now.isEmpty()) {
            asked = null;
            say(desk.part().isEmpty() ? "There is no part yet." : "It cannot be shown.");
            return;
        }
        if (now.get().equals(asked)) {
            return;
        }
        asked = now.get();
        if (asked.site().isEmpty()) {
            say("It has no site on " + asked.machine().name() + " yet, so nothing can run into it here. Say at the station Shape where it mounts.");
        } else {
            desk.engine().find(asked, MotionFact.MOTION, found -> {
                if (now.get().equals(asked)) {
                    fill(found.orElse(List.of()));
                }
            });
        }
        touched.setText("Reckoning …");
        showFinding();
    }

    private void say(String sentence) {
        Button shape = Ui.button("Go to Shape", "mdi2a-arrow-right", () -> desk.goTo(Station.SHAPE));
        near.getChildren().setAll(Ui.text(sentence, "faint"), shape);
    }

    private void fill(List<MotionFact.Way> found) {
        List<MotionFact.Way> tightest = found.stream().sorted(Comparator.comparingDouble(w -> w.depthMm() > 0 ? -w.depthMm() : w.gapMm())).toList();
        while (ways.size() < tightest.size()) {
            ways.add(new WayRow(place::put));
        }
        for (int i = 0; i < tightest.size(); i++) {
            ways.get(i).tell(tightest.get(i));
        }
        List<? extends Node> rows = tightest.isEmpty() ? List.of(nowhere) : ways.subList(0, tightest.size());
        if (!near.getChildren().equals(rows)) {
            near.getChildren().setAll(rows);
        }
    }

    @Override
    public void leave() {
        place.leave();
        asked = null;
    }
}
