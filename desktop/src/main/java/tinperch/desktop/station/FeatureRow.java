package tinperch.desktop.station;

import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Ui;
import tinperch.part.feature.Copies;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.param.PartProblem;
import tinperch.upgrade.FeatureKinds;

/** One feature in the list: switched on or off, taken away, and unfolded its fields. */
final class FeatureRow extends VBox {
    /** What a row asks of the list it is in. */
    interface Owner {
        Optional<String> edit(Feature next, String label);

        void takeAway(Feature f);

        void unfold(Feature f);

        void putHere(Feature f);
    }

    private final Desk desk;
    private final Owner owner;
    private final CheckBox on;
    private final Button name;
    private final Label summary = Ui.text("", "faint");
    private final Button here;
    private final HBox head;
    private FeatureFields fields;
    private Feature feature;

    FeatureRow(Desk desk, Feature f, Owner owner) {
        super(4);
        this.desk = desk;
        this.owner = owner;
        feature = f;
        on = Ui.id(new CheckBox(), "feature-on-" + f.id());
        on.setOnAction(e -> owner.edit(feature.switchedOff(!on.isSelected()), (on.isSelected() ? "switch on " : "switch off ") + feature.name()).ifPresent(desk::warn));
        name = Ui.id(new Button(), "feature-" + f.id());
        name.getStyleClass().add("fold");
        name.setOnAction(e -> owner.unfold(feature));
        Button drop = Ui.id(Ui.button("Take away", null, () -> owner.takeAway(feature)), "feature-drop-" + f.id());
        here = Ui.id(Ui.button("Put it on the picked place", "mdi2c-crosshairs-gps", () -> owner.putHere(feature)), "feature-put-here");
        head = new HBox(6, on, name, Ui.spring(), Ui.whole(drop));
        head.setAlignment(Pos.CENTER_LEFT);
    }

    /** Shows the feature as it is now. */
    void refresh(Feature f, boolean open, boolean picked) {
        feature = f;
        on.setSelected(!f.off());
        on.setAccessibleText(f.name() + " is made");
        name.setText(f.name());
        name.setGraphic(Ui.icon(open ? "mdi2c-chevron-down" : "mdi2c-chevron-right"));
        Optional<FeatureKind> kind = FeatureKinds.byId(f.kindId());
        if (!open || kind.isEmpty()) {
            fields = null;
            summary.setText(kind.map(k -> summary(k, f)).orElse("a kind this version does not know"));
            getChildren().setAll(head, summary);
            return;
        }
        if (fields == null || !fields.fits(f)) {
            fields = new FeatureFields(desk, f, kind.get(), owner::edit);
            getChildren().setAll(head, fields.form());
        } else {
            fields.refresh(f);
        }
        boolean can = picked && kind.get().around().isEmpty();
        if (can != getChildren().contains(here)) {
            if (can) {
                getChildren().add(here);
            } else {
                getChildren().remove(here);
            }
        }
    }

    private static String summary(FeatureKind k, Feature f) {
        try {
            return k.title() + " " + k.summary(f.values()) + Copies.summary(f.values());
        } catch (PartProblem e) {
            return e.getMessage();
        }
    }
}
