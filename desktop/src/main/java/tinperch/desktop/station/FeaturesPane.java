package tinperch.desktop.station;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.Picked;
import tinperch.desktop.sheet.Placing;
import tinperch.fact.DrawingFact;
import tinperch.machine.space.Neighbour;
import tinperch.part.bind.Binding;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.Spot;
import tinperch.part.form.Piece;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;
import tinperch.upgrade.Copying;
import tinperch.upgrade.FeatureKinds;
import tinperch.upgrade.PartDesign;

/**
 * Features the person placed: a face is picked in a view or on the turntable, a kind chosen, and it is put where one clicked; each has its
 * place and sizes, can be dragged on the drawing, put on another face, switched off and taken away.
 */
final class FeaturesPane extends VBox implements Placing, FeatureRow.Owner {
    /** A click this near to a line of holes or the middle means it, mm. */
    private static final double CATCH_MM = 1.5;

    private final Desk desk;
    private final String upgradeId;
    private final String partId;
    private final Runnable onChosen;
    private final MenuButton add = Ui.id(new MenuButton("Add here"), "add-feature");
    private final MenuButton around = Ui.id(new MenuButton("Cut around"), "add-around");
    private final Label where = Ui.text("", "faint");
    private final VBox rows = new VBox(8);
    private String open = "";
    private Map<String, FeatureRow> shown = Map.of();
    private Picked picked = Picked.NOTHING;

    /** @param onChosen told when another feature is chosen */
    FeaturesPane(Desk desk, String upgradeId, String partId, Runnable onChosen) {
        super(8);
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.partId = partId;
        this.onChosen = onChosen;
        getStyleClass().add("panel");
        Ui.id(this, "features");
        for (FeatureKind k : FeatureKinds.ALL) {
            if (k.around().isEmpty()) {
                MenuItem item = new MenuItem(k.title());
                item.setOnAction(e -> add(k));
                add.getItems().add(item);
            }
        }
        Ui.tip(around, "Takes away where a neighbour of the machine is, and some clearance");
        TakeOver copy = new TakeOver(desk, "copy-features", "Copy", "Features of another part, placed here as they are there",
                (u, p) -> p.features().isEmpty() || u.id().equals(upgradeId) && p.id().equals(partId) ? Optional.empty() : Optional.of(p.features().size() == 1 ? "1 feature" : p.features().size() + " features"),
                (u, p) -> part().flatMap(mine -> make(Copying.features(p, mine, pieces()), "copy features of " + p.name())));
        FlowPane buttons = new FlowPane(8, 8, Ui.whole(add), Ui.whole(around), Ui.whole(copy));
        getChildren().addAll(Ui.label("Added by you", "section"), where, buttons, rows);
        pick(picked);
    }

    private Optional<PartDesign> part() {
        return desk.state().part(upgradeId, partId);
    }

    /** Told the face clicked on. */
    void pick(Picked face) {
        picked = face;
        boolean any = !face.feature().isEmpty();
        add.setDisable(!any);
        where.setText(any ? "On the picked face of the " + plain(face.feature()) + "." : "Click a flat face in a view or on the turntable, then add a hole, a slot, a boss …");
        if (!open.isEmpty()) {
            refresh();
        }
    }

    private static String plain(String feature) {
        int of = feature.indexOf(DrawingFact.OF);
        return of < 0 ? feature : feature.substring(of + DrawingFact.OF.length());
    }

    /** The picked place, counted from the middle of its face or caught by a line of holes; empty when nothing flat is picked. */
    private Optional<Anchor> here() {
        DrawingFact.Drawing d = desk.drawingProperty().get();
        if (d == null || picked.feature().isEmpty()) {
            return Optional.empty();
        }
        int of = picked.feature().indexOf(DrawingFact.OF);
        Piece piece = of < 0 ? d.form().pieces().get(0) : d.form().piece(picked.feature().substring(0, of)).orElse(d.form().pieces().get(0));
        Vec3 outward = piece.place().inverse().turned(picked.normal());
        Anchor middle = Anchor.middle(piece.id(), plain(picked.feature()), outward);
        try {
            Spot spot = Spot.of(piece, middle);
            Vec3 at = spot.face().frame().local(piece.place().local(picked.at()));
            return Optional.of(spot.dragged(middle, at.x(), at.y(), CATCH_MM));
        } catch (PartProblem e) {
            // A face cut into the part: it is said with the feature once that is made.
            return Optional.of(middle);
        }
    }

    private void add(FeatureKind kind) {
        PartDesign part = part().orElseThrow();
        String id = part.nextFeatureId();
        here().ifPresent(a -> add(kind, new Feature(id, kind.id(), kind.title() + " " + id.substring(1), a, Values.START, false)));
    }

    private void add(FeatureKind kind, Feature f) {
        open = f.id();
        make(part().orElseThrow().with(f), "add a " + kind.title().toLowerCase(Locale.ROOT)).ifPresent(desk::warn);
    }

    private void addAround(FeatureKind kind, Neighbour n) {
        DrawingFact.Drawing d = desk.drawingProperty().get();
        if (d != null) {
            String piece = here().map(Anchor::pieceId).orElse(d.form().pieces().get(0).id());
            add(kind, new Feature(part().orElseThrow().nextFeatureId(), kind.id(), "around " + n.name(), Anchor.piece(piece), new Binding.OfNeighbour(n.id()), Values.START, false));
        }
    }

    private List<String> pieces() {
        return Optional.ofNullable(desk.drawingProperty().get()).map(d -> d.form().pieces().stream().map(Piece::id).toList()).orElse(List.of());
    }

    private Optional<String> make(PartDesign next, String label) {
        return desk.edits().make(upgradeId, next, label);
    }

    @Override
    public Optional<Feature> chosen() {
        return part().flatMap(p -> p.feature(open)).filter(f -> !f.off());
    }

    @Override
    public Optional<String> put(Feature feature, Anchor next) {
        return part().flatMap(p -> make(p.with(feature.with(next)), "place of " + feature.name()));
    }

    void refresh() {
        List<Feature> now = part().map(PartDesign::features).orElse(List.of());
        Map<String, FeatureRow> next = new LinkedHashMap<>();
        for (Feature f : now) {
            FeatureRow row = shown.getOrDefault(f.id(), new FeatureRow(desk, f, this));
            row.refresh(f, f.id().equals(open), !picked.feature().isEmpty());
            next.put(f.id(), row);
        }
        shown = next;
        List<FeatureRow> wanted = List.copyOf(next.values());
        if (!rows.getChildren().equals(wanted)) {
            rows.getChildren().setAll(wanted);
        }
        neighbours();
    }

    @Override
    public void unfold(Feature f) {
        open = f.id().equals(open) ? "" : f.id();
        refresh();
        onChosen.run();
    }

    @Override
    public void takeAway(Feature f) {
        part().flatMap(p -> make(p.withoutFeature(f.id()), "take away " + f.name())).ifPresent(desk::warn);
    }

    @Override
    public void putHere(Feature f) {
        here().flatMap(a -> put(f, a)).ifPresent(desk::warn);
    }

    private void neighbours() {
        List<Neighbour> near = desk.machine().map(m -> m.surroundings().neighbours()).orElse(List.of());
        FeatureKind kind = FeatureKinds.avoiding();
        around.setDisable(near.isEmpty());
        if (around.getItems().size() != near.size() || !near.stream().map(Neighbour::name).toList().equals(around.getItems().stream().map(MenuItem::getText).toList())) {
            around.getItems().setAll(near.stream().map(n -> {
                MenuItem item = new MenuItem(n.name());
                item.setOnAction(e -> addAround(kind, n));
                return item;
            }).toList());
        }
    }

    @Override
    public Optional<String> edit(Feature next, String label) {
        return part().flatMap(p -> make(p.with(next), label));
    }
}
