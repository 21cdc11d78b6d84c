package tinperch.desktop.machine;

import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.SettingKey;
import tinperch.machine.book.Standing;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** The settings in force on a day, changed where they stand. */
final class BookSettings extends Column {
    private final Desk desk;
    private final GridPane settings = new GridPane();
    private final TextField who = Ui.id(new TextField(), "setting-who");
    private final TextField why = Ui.id(new TextField(), "setting-why");
    private final ComboBox<String> newSetting = Ui.id(new ComboBox<>(), "new-setting");
    private BookDay at;

    BookSettings(Desk desk) {
        super(8);
        this.desk = desk;
        settings.setHgap(10);
        settings.setVgap(3);
        ColumnConstraints wide = new ColumnConstraints();
        wide.setHgrow(Priority.ALWAYS);
        wide.setMinWidth(60);
        settings.getColumnConstraints().addAll(wide, new ColumnConstraints(), new ColumnConstraints());
        who.setPromptText("who");
        who.setPrefColumnCount(7);
        who.setText(BookEdit.writer(desk));
        who.focusedProperty().addListener((o, was, is) -> {
            if (!is && !who.getText().isBlank()) {
                desk.workshop().setPreference("writer", who.getText().strip());
            }
        });
        why.setPromptText("why, for the changes made next");
        HBox.setHgrow(why, Priority.ALWAYS);
        Ui.tip(why, "Written down with every setting changed below; seen when the mouse rests on the setting");
        newSetting.setPromptText("another setting");
        newSetting.setOnAction(e -> addSetting());
        getChildren().addAll(Ui.label("Settings", "column"), new HBox(6, who, why), settings, newSetting);
    }

    void show(BookDay next) {
        at = next;
        Standing then = next.then();
        settings.getChildren().clear();
        int row = 0;
        for (SettingKey k : SettingKey.ALL) {
            SettingChange s = then.settings().get(k.key());
            if (s == null) {
                continue;
            }
            CommitField f = new CommitField("setting-" + k.key(), k.show(s.value()), typed -> set(k, typed));
            f.setMaxWidth(130);
            f.setMinWidth(110);
            Ui.tip(f.field(), "since " + s.on().format(BookDay.DAY) + (s.by().isEmpty() ? "" : ", " + s.by())
                    + (s.why().isEmpty() ? "" : ": " + s.why()));
            settings.addRow(row, Ui.label(k.label(), "faint"), f, Ui.whole(Ui.label(s.on().format(BookDay.DAY), "faint")));
            settings.add(f.complaint(), 0, row + 1, 3, 1);
            row += 2;
        }
        newSetting.getItems().setAll(SettingKey.ALL.stream().filter(k -> !then.settings().containsKey(k.key()))
                .map(k -> k.group() + ": " + k.label()).toList());
    }

    private Optional<String> set(SettingKey k, String typed) {
        String bare = typed.strip();
        if (!k.unit().isEmpty() && bare.endsWith(k.unit())) {
            bare = bare.substring(0, bare.length() - k.unit().length()).strip();
        }
        try {
            double value = Quantity.parse(bare, Unit.COUNT);
            return at.make(k.label() + " " + k.show(value), b -> b.set(new SettingChange(BookEdit.freshId(),
                    k.key(), value, scope(k), at.day(), who.getText().strip(), why.getText().strip())));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }

    /** A setting the loadout has for itself is changed there, others for the machine. */
    private String scope(SettingKey k) {
        SettingChange now = at.then().settings().get(k.key());
        return now == null ? at.loadout() : now.loadout();
    }

    private void addSetting() {
        int i = newSetting.getSelectionModel().getSelectedIndex();
        if (i < 0) {
            return;
        }
        String chosen = newSetting.getValue();
        SettingKey key = SettingKey.ALL.stream().filter(k -> chosen.equals(k.group() + ": " + k.label())).findFirst().orElseThrow();
        at.makeOrWarn("write down " + key.label(), b -> b.set(new SettingChange(BookEdit.freshId(), key.key(),
                0, at.loadout(), at.day(), BookEdit.writer(desk), "")));
    }
}
