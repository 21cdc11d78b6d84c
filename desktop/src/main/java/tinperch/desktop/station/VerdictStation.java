package tinperch.desktop.station;

import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tinperch.desktop.Desk;
import tinperch.desktop.Station;
import tinperch.desktop.View;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Scroller;
import tinperch.desktop.look.Ui;
import tinperch.files.FileFault;
import tinperch.part.PartForm;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Differences;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.edit.PictureWorker.Picture;
import tinperch.workshop.export.PartExport;

/** The ladder of revisions: each rung as long as it lived, its end marked; what changed stands between the rungs. */
final class VerdictStation extends BorderPane implements View {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double LONGEST_PX = 300;

    private final Desk desk;
    private final String upgradeId;
    private final VBox ladder = new VBox();
    private final VBox detail = new VBox(8);
    private int chosen = -1;

    VerdictStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        Scroller scroll = new Scroller(ladder);
        VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
        VBox left = new VBox(8, Ui.label("Revisions", "section"), scroll);
        left.getStyleClass().add("panel");
        setCenter(left);
        Scroller right = new Scroller(detail);
        right.getStyleClass().add("panel");
        right.setPrefWidth(330);
        right.setMinWidth(300);
        setRight(right);
        BorderPane.setMargin(right, new Insets(0, 0, 0, 14));
    }

    private List<Revision> kept() {
        return desk.state().revisionsOf(upgradeId);
    }

    @Override
    public void refresh() {
        List<Revision> kept = kept();
        ladder.getChildren().clear();
        if (kept.isEmpty()) {
            chosen = -1;
            ladder.getChildren().addAll(Ui.text("Nothing has been kept yet. Once a part goes to the printer, keep it with its "
                    + "reason; what becomes of it is then written here.", "faint"), gap(),
                    Ui.button("Go to Print", "mdi2a-arrow-right", () -> desk.goTo(Station.PRINT)));
            detail.getChildren().clear();
            return;
        }
        if (kept.stream().noneMatch(r -> r.number() == chosen)) {
            chosen = kept.get(kept.size() - 1).number();
        }
        double longest = kept.stream().mapToDouble(r -> r.life().hours()).max().orElse(1);
        Upgrade now = desk.state().upgrade(upgradeId).orElseThrow();
        ladder.getChildren().add(rungOfNow(now));
        ladder.getChildren().add(between(kept.get(kept.size() - 1).state(), now));
        for (int i = kept.size() - 1; i >= 0; i--) {
            ladder.getChildren().add(rung(kept.get(i), Math.max(1, longest)));
            if (i > 0) {
                ladder.getChildren().add(between(kept.get(i - 1).state(), kept.get(i).state()));
            }
        }
        kept.stream().filter(r -> r.number() == chosen).findFirst().ifPresent(this::showDetail);
    }

    private static Region gap() {
        Region r = new Region();
        r.setMinHeight(10);
        return r;
    }

    private Node rungOfNow(Upgrade now) {
        Label mark = Ui.label(desk.state().nextMark(now.id()), "rung-mark");
        mark.setMinWidth(40);
        HBox line = new HBox(8, mark, Ui.label("being shaped now", "faint"));
        line.setAlignment(Pos.CENTER_LEFT);
        line.getStyleClass().add("rung-now");
        return line;
    }

    private Node rung(Revision r, double longestHours) {
        Label mark = Ui.label(r.mark(), "rung-mark");
        mark.setMinWidth(40);
        Region bar = new Region();
        bar.getStyleClass().add("rung-bar");
        double w = Math.max(4, LONGEST_PX * r.life().hours() / longestHours);
        bar.setMinSize(w, 12);
        bar.setMaxSize(w, 12);
        Label end = new Label(Quantity.show(r.life().hours(), Unit.HOURS) + "  " + r.life().end().label(),
                Ui.icon(endIcon(r.life().end())));
        end.getStyleClass().add("rung-end");
        end.setMinWidth(USE_PREF_SIZE);
        HBox line = new HBox(8, mark, bar, end);
        line.setAlignment(Pos.CENTER_LEFT);
        VBox text = new VBox(1, line);
        Label why = Ui.label(r.reason() + (r.life().note().isEmpty() ? "" : " — " + r.life().note()), "rung-reason");
        text.getChildren().add(why);
        Button b = Ui.id(new Button(null, text), "rung-" + r.number());
        b.setAccessibleText(r.mark() + ", " + r.life().end().label());
        b.getStyleClass().add("rung");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAlignment(Pos.CENTER_LEFT);
        b.pseudoClassStateChanged(CHOSEN, r.number() == chosen);
        b.setOnAction(e -> {
            chosen = r.number();
            refresh();
        });
        return b;
    }

    private static String endIcon(Revision.End end) {
        return switch (end) {
            case UNTRIED -> "mdi2c-circle-outline";
            case RUNNING -> "mdi2a-arrow-right-bold";
            case FAILED -> "mdi2c-close-thick";
            case REPLACED -> "mdi2s-swap-horizontal";
        };
    }

    private static Node between(Upgrade before, Upgrade after) {
        List<Differences.Difference> list = Differences.between(before, after);
        Label l = Ui.text(list.isEmpty() ? "nothing changed" : String.join("  ·  ", list.stream().map(Object::toString).toList()),
                "between");
        l.setMaxWidth(Double.MAX_VALUE);
        return l;
    }

    private void showDetail(Revision r) {
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        if (focused != null && Ui.idOf(focused).startsWith("life-")
                && detail.getProperties().get("of") instanceof Revision old && old.number() == r.number()
                && old.state().equals(r.state())) {
            // Somebody is typing here; the fields already show what they set.
            detail.getProperties().put("of", r);
            return;
        }
        detail.getProperties().put("of", r);
        CommitField hours = new CommitField("life-hours", Quantity.show(r.life().hours(), Unit.HOURS), typed -> {
            try {
                double h = Quantity.parse(typed, Unit.HOURS);
                if (!(h >= 0 && h <= 100_000)) {
                    return Optional.of("Hours go from 0 to 100 000; the old number stays.");
                }
                live(r.number(), l -> new Revision.Life(h, l.end(), l.note()));
                return Optional.empty();
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        CommitField note = new CommitField("life-note", r.life().note(), typed -> {
            live(r.number(), l -> new Revision.Life(l.hours(), l.end(), typed.strip()));
            return Optional.empty();
        });
        note.field().setPromptText("what happened, and where");
        ComboBox<String> end = Ui.id(new ComboBox<>(), "life-end");
        for (Revision.End e : Revision.End.values()) {
            end.getItems().add(e.label());
        }
        end.getSelectionModel().select(r.life().end().ordinal());
        end.setMaxWidth(Double.MAX_VALUE);
        end.setOnAction(e -> {
            Revision.End to = Revision.End.values()[end.getSelectionModel().getSelectedIndex()];
            live(r.number(), l -> new Revision.Life(l.hours(), to, l.note()));
        });
        Button back = Ui.id(Ui.button("Shape on from " + r.mark(), "mdi2a-arrow-u-left-top", () -> shapeFrom(r)), "shape-from");
        Ui.tip(back, "Brings this revision's values back to the Shape station; can be undone");
        Button again = Ui.id(Ui.button("Write " + r.mark() + " again", "mdi2f-file-outline", () -> writeAgain(r)), "write-again");
        Ui.tip(again, "Writes the 3MF and STL of this revision, with its own mark, into the export folder");
        detail.getChildren().setAll(Ui.label(r.mark() + ": what became of it", "section"),
                Ui.text("Kept " + r.keptAt().format(DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", java.util.Locale.ENGLISH))
                        + ". " + r.reason() + ".", "faint"),
                Ui.label("Ran for", "field-label"), hours, Ui.label("How it ended", "field-label"), end,
                Ui.label("What happened, where", "field-label"), note, gap(), back, again);
    }

    private void live(int number, java.util.function.UnaryOperator<Revision.Life> change) {
        desk.workshop().edit("what became of " + Revision.mark(number), s -> {
            Revision r = s.revisionsOf(upgradeId).stream().filter(x -> x.number() == number).findFirst().orElseThrow();
            return s.with(r.with(change.apply(r.life())));
        });
    }

    private void shapeFrom(Revision r) {
        Upgrade now = desk.state().upgrade(upgradeId).orElseThrow();
        r.state().part().ifPresent(p -> desk.workshop().edit("shape on from " + r.mark(), s -> s.with(now.with(p))));
        desk.goTo(Station.SHAPE);
    }

    private void writeAgain(Revision r) {
        Path folder = Path.of(desk.workshop().preference("export folder").orElse(System.getProperty("user.home")));
        try {
            PartForm form = Assessor.form(r.state(), desk.workshop().shop(), r.mark());
            Picture p = Picture.of(form);
            for (PartExport.Format f : PartExport.Format.values()) {
                PartExport.write(p.mesh(), r.state(), r.mark(), f, folder.resolve(PartExport.fileName(r.state(), r.mark(), f)));
            }
            desk.say(r.mark() + " was written as STL and 3MF into " + folder + ".");
        } catch (FileFault | RuntimeException e) {
            desk.warn(e.getMessage());
        }
    }
}
