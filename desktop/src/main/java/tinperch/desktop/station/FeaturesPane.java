package tinperch.desktop.station;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.Turntable;
import tinperch.fact.DrawingFact;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.FeatureKinds;
import tinperch.upgrade.PartDesign;

/** Features the person placed: a face is picked on the turntable, a kind chosen; each has its place and sizes, can be switched off and taken away. */
final class FeaturesPane extends VBox {
    private final Desk desk;
    private final String upgradeId;
    private final String partId;
    private final MenuButton add = Ui.id(new MenuButton("Add here"), "add-feature");
    private final Label where = Ui.text("", "faint");
    private final VBox rows = new VBox(8);
    private String open = "";
    private List<Feature> shown;
    private Turntable.Picked picked = new Turntable.Picked("", Vec3.ZERO);

    FeaturesPane(Desk desk, String upgradeId, String partId) {
        super(8);
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.partId = partId;
        getStyleClass().add("panel");
        Ui.id(this, "features");
        for (FeatureKind k : FeatureKinds.ALL) {
            MenuItem item = new MenuItem(k.title());
            item.setOnAction(e -> add(k));
            add.getItems().add(item);
        }
        HBox head = new HBox(8, Ui.label("Added by you", "section"), Ui.spring(), add);
        head.setAlignment(Pos.BASELINE_LEFT);
        getChildren().addAll(head, where, rows);
        pick(picked);
    }

    private Optional<PartDesign> part() {
        return desk.state().part(upgradeId, partId);
    }

    /** Told the face clicked on. */
    void pick(Turntable.Picked face) {
        picked = face;
        boolean any = !face.feature().isEmpty();
        add.setDisable(!any);
        where.setText(any ? "On the picked face of the " + plain(face.feature()) + "." : "Click a flat face on the turntable, then add a hole, a slot, a boss …");
    }

    private static String plain(String feature) {
        int of = feature.indexOf(DrawingFact.OF);
        return of < 0 ? feature : feature.substring(of + DrawingFact.OF.length());
    }

    private void add(FeatureKind kind) {
        PartDesign part = part().orElseThrow();
        DrawingFact.Drawing d = desk.drawingProperty().get();
        int of = picked.feature().indexOf(DrawingFact.OF);
        String pieceId = of < 0 ? d.form().pieces().get(0).id() : picked.feature().substring(0, of);
        Vec3 outward = d.form().piece(pieceId).map(p -> p.place().inverse().turned(picked.normal())).orElse(picked.normal());
        int n = 1;
        while (part.feature("f" + n).isPresent()) {
            n++;
        }
        Anchor anchor = new Anchor(pieceId, plain(picked.feature()), outward, Anchor.From.MIDDLE, 0, Anchor.From.MIDDLE, 0);
        Feature f = new Feature("f" + n, kind.id(), kind.title() + " " + n, anchor, Values.START, false);
        open = f.id();
        make(part.with(f), "add a " + kind.title().toLowerCase(java.util.Locale.ROOT)).ifPresent(desk::warn);
    }

    private Optional<String> make(PartDesign next, String label) {
        return desk.edits().make(upgradeId, next, label);
    }

    void refresh() {
        List<Feature> now = part().map(PartDesign::features).orElse(List.of());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        rows.getChildren().setAll(now.stream().map(this::row).toList());
    }

    void leave() {
        shown = null;
    }

    private Node row(Feature f) {
        Optional<FeatureKind> kind = FeatureKinds.byId(f.kindId());
        CheckBox on = Ui.id(new CheckBox(), "feature-on-" + f.id());
        on.setSelected(!f.off());
        on.setAccessibleText(f.name() + " is made");
        on.setOnAction(e -> part().ifPresent(p -> make(p.with(f.switchedOff(!on.isSelected())), (on.isSelected() ? "switch on " : "switch off ") + f.name()).ifPresent(desk::warn)));
        Button name = Ui.id(new Button(f.name(), Ui.icon(f.id().equals(open) ? "mdi2c-chevron-down" : "mdi2c-chevron-right")), "feature-" + f.id());
        name.getStyleClass().add("fold");
        name.setOnAction(e -> {
            open = f.id().equals(open) ? "" : f.id();
            shown = null;
            refresh();
        });
        Button drop = Ui.id(Ui.button("Take away", null, () -> part().ifPresent(p -> make(p.withoutFeature(f.id()), "take away " + f.name()).ifPresent(desk::warn))), "feature-drop-" + f.id());
        HBox head = new HBox(6, on, name, Ui.spring(), drop);
        head.setAlignment(Pos.CENTER_LEFT);
        if (!f.id().equals(open) || kind.isEmpty()) {
            return new VBox(2, head, Ui.text(kind.map(k -> summary(k, f)).orElse("a kind this version does not know"), "faint"));
        }
        return new VBox(4, head, fields(f, kind.get()));
    }

    private static String summary(FeatureKind k, Feature f) {
        try {
            return k.title() + " " + k.summary(f.values());
        } catch (PartProblem e) {
            return e.getMessage();
        }
    }

    private GridPane fields(Feature f, FeatureKind kind) {
        GridPane g = new GridPane();
        g.setHgap(8);
        g.setVgap(4);
        int row = 0;
        CommitField called = new CommitField("feature-name", f.name(), typed -> typed.isBlank() ? Optional.of("It needs a name; the old one stays.")
                : part().flatMap(p -> make(p.with(f.named(typed.strip())), "name of a feature")));
        g.addRow(row++, Ui.label("Called", "field-label"), called);
        row = place(g, row, f, true);
        row = place(g, row, f, false);
        for (Param<?> p : kind.params()) {
            Node editor = p instanceof NumberParam ? new CommitField("feature-" + p.key(), p.show(f.values()), typed -> set(f, p, typed)) : choice(f, p);
            g.addRow(row++, Ui.tip(Ui.label(p.label(), "field-label"), p.hint()), editor);
        }
        return g;
    }

    private Node choice(Feature f, Param<?> p) {
        ComboBox<String> c = Ui.id(new ComboBox<>(), "feature-" + p.key());
        c.getItems().setAll(p instanceof ChoiceParam<?> k ? k.options().stream().map(ChoiceParam.Option::label).toList() : List.of("yes", "no"));
        c.setValue(p.show(f.values()));
        c.setOnAction(e -> set(f, p, c.getValue()).ifPresent(desk::warn));
        return c;
    }

    private Optional<String> set(Feature f, Param<?> p, String typed) {
        try {
            Values next = p.typed(f.values(), typed);
            return part().flatMap(x -> make(x.with(f.with(next)), f.name() + ": " + Quantity.inSentence(p.label()) + " " + p.show(next)));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** One of the two dimensions of its place: how far, and from where. */
    private int place(GridPane g, int row, Feature f, boolean across) {
        Anchor a = f.anchor();
        CommitField mm = new CommitField(across ? "feature-across" : "feature-upwards", Quantity.mm(across ? a.acrossMm() : a.upwardsMm()), typed -> {
            try {
                double v = Quantity.parse(typed, Unit.MM);
                return part().flatMap(p -> make(p.with(f.with(across ? a.at(v, a.upwardsMm()) : a.at(a.acrossMm(), v))), "place of " + f.name()));
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        ComboBox<String> from = Ui.id(new ComboBox<>(), across ? "feature-from-across" : "feature-from-upwards");
        from.getItems().setAll(Arrays.stream(Anchor.From.values()).map(Anchor.From::label).toList());
        from.getSelectionModel().select((across ? a.across() : a.upwards()).ordinal());
        from.setOnAction(e -> {
            Anchor.From to = Anchor.From.values()[from.getSelectionModel().getSelectedIndex()];
            part().flatMap(p -> make(p.with(f.with(across ? a.from(to, a.upwards()) : a.from(a.across(), to))), "place of " + f.name())).ifPresent(desk::warn);
        });
        g.addRow(row, Ui.label(across ? "Across" : "Upwards", "field-label"), mm);
        g.addRow(row + 1, Ui.label("from the", "faint"), from);
        return row + 2;
    }
}
