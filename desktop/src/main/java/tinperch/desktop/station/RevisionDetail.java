package tinperch.desktop.station;

import java.nio.file.Path;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Ui;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.trial.limit.LoggedSpot;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Keeping;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.export.PartFormat;
import tinperch.workshop.export.PartFormats;

/** What became of a kept revision, and what can be done with it. */
final class RevisionDetail extends VBox {
    private final Desk desk;
    private final String upgradeId;
    private Revision shown;

    RevisionDetail(Desk desk, String upgradeId) {
        super(8);
        this.desk = desk;
        this.upgradeId = upgradeId;
    }

    private boolean isInside(Node n) {
        Node at = n;
        while (at != null && at != this) {
            at = at.getParent();
        }
        return at == this;
    }

    private Upgrade upgrade() {
        return desk.state().upgrade(upgradeId).orElseThrow();
    }

    private static Region gap() {
        Region r = new Region();
        r.setMinHeight(10);
        return r;
    }

    /** Shows a revision, or none when it is null. */
    void show(Revision r) {
        if (r == null) {
            shown = null;
            getChildren().clear();
            return;
        }
        Node focused = getScene() == null ? null : getScene().getFocusOwner();
        boolean same = shown != null && shown.number() == r.number() && shown.partId().equals(r.partId());
        shown = r;
        if (same && isInside(focused)) {
            // Somebody is typing here; the fields already show what they set.
            return;
        }
        CommitField hours = new CommitField("life-hours", Quantity.show(r.life().hours(), Unit.HOURS), typed -> {
            try {
                double h = Quantity.parse(typed, Unit.HOURS);
                if (!(h >= 0 && h <= 100_000)) {
                    return Optional.of("Hours go from 0 to 100 000; the old number stays.");
                }
                live(r, l -> new Revision.Life(h, l.end(), l.note()));
                return Optional.empty();
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        CommitField note = new CommitField("life-note", r.life().note(), typed -> {
            live(r, l -> new Revision.Life(l.hours(), l.end(), typed.strip()));
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
            live(r, l -> new Revision.Life(l.hours(), to, l.note()));
        });
        Button back = Ui.id(Ui.button("Shape on from " + r.mark(), "mdi2a-arrow-u-left-top", () -> shapeFrom(r)), "shape-from");
        Ui.tip(back, "Brings this revision's values back to the Shape station; can be undone");
        Button again = Ui.id(Ui.button("Write " + r.mark() + " again", "mdi2f-file-outline", () -> writeAgain(r)), "write-again");
        Ui.tip(again, "Writes the 3MF and STL of this revision, with its own mark, into the export folder");
        getChildren().setAll(Ui.label(r.mark() + ": what became of it", "section"),
                Ui.text("Kept " + r.keptAt().format(DateTimeFormatter.ofPattern("d MMMM uuuu, HH:mm", java.util.Locale.ENGLISH))
                        + ". " + r.reason() + ".", "faint"),
                Ui.label("Ran for", "field-label"), hours, Ui.label("How it ended", "field-label"), end,
                Ui.label("What happened, where", "field-label"), note, logged(r), gap(), back, again);
    }

    /** What was recorded on it: a spot that got too hot is a cause at a click. */
    private VBox logged(Revision r) {
        VBox all = new VBox(4);
        for (LoggedSpot s : desk.state().machine(upgrade().machineId()).map(m -> LoggedSpot.of(r, m)).orElse(List.of())) {
            all.getChildren().add(Ui.text(s.words() + ".", s.isOver() ? "look" : "faint"));
            if (s.isOver()) {
                Button cause = Ui.id(Ui.button("That ended it", null, () -> {
                    getScene().getRoot().requestFocus();
                    live(r, l -> new Revision.Life(l.hours(), Revision.End.FAILED, s.words()));
                }), "cause-" + s.spot().id());
                Ui.tip(cause, "Writes it down as what happened");
                all.getChildren().add(cause);
            }
        }
        return all;
    }

    private void live(Revision of, java.util.function.UnaryOperator<Revision.Life> change) {
        desk.workshop().edit("what became of " + of.mark(), s -> {
            Revision r = s.revisionsOf(upgradeId, of.partId()).stream().filter(x -> x.number() == of.number()).findFirst().orElseThrow();
            return s.with(r.with(change.apply(r.life())));
        });
    }

    private void shapeFrom(Revision r) {
        desk.workshop().edit("shape on from " + r.mark(), s -> s.with(s.upgrade(upgradeId).orElseThrow().with(r.part())));
        desk.show(r.partId());
        desk.goTo(Station.SHAPE);
    }

    /** Its meshes as they were kept; one kept by an earlier version is made again of its recipe. */
    private void writeAgain(Revision r) {
        Path folder = Path.of(desk.workshop().preference("export folder").orElse(System.getProperty("user.home")));
        Case made = desk.caseOf(upgrade().with(r.part()), r.partId()).map(c -> r.recipe().map(c::with).orElse(c)).orElse(null);
        desk.engine().work(() -> {
            try {
                Parcel parcel = Keeping.parcel(desk.workshop(), r, upgrade().name());
                if (parcel.items().isEmpty() && made != null) {
                    parcel = Parcel.of(made, Item.of(new FactsOnce(made).get(MeshesFact.MESHES).pieces(), made), r.mark());
                }
                if (parcel.items().isEmpty()) {
                    return r.mark() + " cannot be made any more: its meshes were not kept.";
                }
                for (PartFormat f : PartFormats.forPrinting()) {
                    PartExport.write(parcel, f, folder);
                }
                return "";
            } catch (FileFault | RuntimeException e) {
                return e.getMessage();
            }
        }, why -> {
            if (why.isEmpty()) {
                desk.say(r.mark() + " was written as STL and 3MF into " + folder + ".");
            } else {
                desk.warn(why);
            }
        });
    }
}
