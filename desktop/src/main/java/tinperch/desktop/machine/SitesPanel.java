package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.space.HoledFace;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.SpaceProblem;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.HolePattern;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/** Where parts mount: a list, and a few fields for a new site or the one chosen. */
final class SitesPanel extends Column {
    private static final String STILL = "stands still";
    private static final String NO_SHEET = "holes not read";

    private final BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit;
    private final Consumer<String> picked;
    private final VBox list = new Column(2);
    private final TextField name = Ui.id(new TextField(), "site-name");
    private final ComboBox<Choice<String>> group = Ui.id(new ComboBox<>(), "site-group");
    private final ComboBox<Choice<Vec3>> facing = Ui.id(new ComboBox<>(), "site-facing");
    private final ComboBox<Choice<String>> sheet = Ui.id(new ComboBox<>(), "site-sheet");
    private final TextField[] at = {field("site-at-x", "x"), field("site-at-y", "y"), field("site-at-z", "z")};
    private final TextField known = field("site-known", "± mm");
    private final TextField alsoHeld = Ui.id(new TextField(), "site-also-held");
    private final CheckBox blown = Ui.id(new CheckBox("a fan blows there"), "site-blown");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "site-complaint");
    private final Button put = Ui.id(Ui.button("Add it", "mdi2p-plus", this::put), "site-put");
    private final Button remove = Ui.id(Ui.button("Remove", null, this::remove), "site-remove");
    private final VBox offers = new Column(2);
    private final Function<String, List<HoledFace>> faces;
    private Machine machine;
    private Site editing;
    /** What a new one that was pointed at lies on. */
    private Site pointed;

    /**
     * @param edit makes an edit of the surroundings or answers why not
     * @param picked told the id of the site clicked on
     * @param faces faces with holes of a neighbour, by its id
     */
    SitesPanel(BiFunction<String, UnaryOperator<Surroundings>, Optional<String>> edit, Consumer<String> picked, Function<String, List<HoledFace>> faces) {
        super(5);
        this.faces = faces;
        this.edit = edit;
        this.picked = picked;
        name.setPromptText("where a part mounts, such as carriage front");
        HBox.setHgrow(name, Priority.ALWAYS);
        facing.getItems().setAll(Ways.ALL);
        facing.setValue(Ways.of(Vec3.Y.times(-1)));
        alsoHeld.setPromptText("what the old part held besides: probe cable, shield …");
        Ui.tip(alsoHeld, "Written down at teardown; asked for at every part that mounts here");
        Ui.tip(blown, "Air that always moves over what stands there takes more heat off it than still air");
        sheet.setMaxWidth(180);
        put.getStyleClass().add("accent");
        Label middle = Ui.label("middle of its holes", "faint");
        middle.setMinWidth(110);
        HBox place = new HBox(6, middle, at[0], at[1], at[2], known);
        place.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(list, offers, new HBox(6, name, group), new HBox(6, facing, sheet), place, alsoHeld, blown,
                new HBox(6, put, remove), complaint);
        for (TextField f : new TextField[] {name, at[2], known, alsoHeld}) {
            f.setOnAction(e -> put());
        }
        complain("");
    }

    private static TextField field(String id, String prompt) {
        TextField f = Ui.id(new TextField(), id);
        f.setPromptText(prompt);
        f.setPrefColumnCount(5);
        return f;
    }

    void refresh(Machine m) {
        machine = m;
        list.getChildren().clear();
        for (Site s : m.surroundings().sites()) {
            list.getChildren().add(row(s));
        }
        if (m.surroundings().sites().isEmpty()) {
            list.getChildren().add(Ui.text("Faces with holes that parts are screwed to. Click one in the drawing and it begins here.", "faint"));
        }
        offer();
        List<Choice<String>> groups = new ArrayList<>(List.of(new Choice<>("", STILL)));
        m.surroundings().groups().forEach(g -> groups.add(new Choice<>(g.name(), g.name())));
        Choice.fill(group, groups, Choice.in(group, ""));
        List<Choice<String>> sheets = new ArrayList<>(List.of(new Choice<>("", NO_SHEET)));
        m.sheets().stream().filter(x -> HolePattern.KINDS.contains(x.kind())).forEach(x -> sheets.add(new Choice<>(x.id(), x.name())));
        Choice.fill(sheet, sheets, Choice.in(sheet, ""));
        take(editing == null ? null : m.surroundings().sites().stream().filter(s -> s.id().equals(editing.id())).findFirst().orElse(null));
    }

    /** Faces of downloaded models with holes in them, where no site lies yet. */
    private void offer() {
        offers.getChildren().clear();
        for (Neighbour n : machine.surroundings().neighbours()) {
            for (HoledFace f : faces.apply(n.id())) {
                if (machine.surroundings().sites().stream().noneMatch(s -> s.onId().equals(n.id()) && s.at().minus(f.at()).length() < 0.1 && s.facing().dot(f.facing()) > 0.9)) {
                    Button b = Ui.id(Ui.button(n.name() + ", " + f.words(n), "mdi2p-plus", () -> begin(f.site(BookEdit.freshId(), n))), "site-offer-" + n.id() + "-" + offers.getChildren().size());
                    b.getStyleClass().add("offer");
                    offers.getChildren().add(b);
                }
            }
        }
    }

    private Button row(Site s) {
        Optional<HolePattern> pattern = machine.sheet(s.sheetId()).flatMap(HolePattern::of).or(() -> Optional.ofNullable(s.drawn()));
        Label what = Ui.label(s.name());
        what.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(what, Priority.ALWAYS);
        Label where = Ui.whole(Ui.label(pattern.map(p -> p.holes().size() + " holes Ø " + Quantity.plain(p.diameterMm(), Unit.MM) + " · ").orElse("") + "± "
                + Quantity.mm(s.holeHalfWidthMm(pattern)) + " · " + (s.group().isEmpty() ? STILL : s.group()), "faint"));
        Button b = Ui.id(new Button(null, new HBox(8, what, where)), "site-" + s.id());
        b.getStyleClass().addAll("upgrade-row", "neighbour-row");
        b.setMaxWidth(Double.MAX_VALUE);
        b.setAccessibleText(s.name());
        Ui.tip(b, s.name() + " faces " + Ways.of(s.facing()).label() + "; the places of its holes are known to ± "
                + Quantity.mm(s.holeHalfWidthMm(pattern)) + " (95 %)");
        b.setOnAction(e -> {
            take(s);
            picked.accept(s.id());
        });
        return b;
    }

    private void take(Site s) {
        boolean same = editing != null && s != null && editing.equals(s);
        editing = s;
        put.setText(s == null ? "Add it" : "Change it");
        remove.setVisible(s != null);
        if (s == null || same) {
            return;
        }
        pointed = null;
        complain("");
        fill(s);
    }

    private void fill(Site s) {
        name.setText(s.name());
        Choice.fill(group, List.copyOf(group.getItems()), s.group());
        facing.setValue(Ways.of(s.facing()));
        Choice.fill(sheet, List.copyOf(sheet.getItems()), machine.sheet(s.sheetId()).isPresent() ? s.sheetId() : "");
        double[] p = {s.at().x(), s.at().y(), s.at().z()};
        for (int i = 0; i < 3; i++) {
            at[i].setText(Quantity.plain(p[i], Unit.MM));
        }
        known.setText(Quantity.mm(s.halfWidthMm()));
        alsoHeld.setText(String.join(", ", s.alsoHeld()));
        blown.setSelected(s.blown());
    }

    /** A new one in the middle of a face. */
    void begin(Neighbour n, Vec3 outward) {
        try {
            begin(Site.onFace(BookEdit.freshId(), n, outward));
        } catch (SpaceProblem e) {
            complain(e.getMessage());
        }
    }

    private void begin(Site there) {
        take(null);
        fill(there);
        pointed = there;
        complain("");
        name.requestFocus();
        name.selectAll();
    }

    /** A new one, from its name on. */
    void begin() {
        name.requestFocus();
    }

    private void put() {
        try {
            Vec3 place = new Vec3(Quantity.parse(at[0].getText(), Unit.MM), Quantity.parse(at[1].getText(), Unit.MM),
                    Quantity.parse(at[2].getText(), Unit.MM));
            double half = known.getText().isBlank() ? 0.5 : Quantity.parse(known.getText(), Unit.MM);
            Vec3 way = Choice.in(facing, Vec3.Y.times(-1));
            Site like = editing != null ? editing : pointed;
            Site s = new Site(editing == null ? BookEdit.freshId() : editing.id(), name.getText().strip(), Choice.in(group, ""), place, way, editing == null ? 0 : editing.turnDeg(), half,
                    Choice.in(sheet, ""), like == null ? "" : like.onId(), like == null ? null : like.drawn(), List.of(alsoHeld.getText().split("[,;]")), blown.isSelected());
            boolean fresh = editing == null;
            Optional<String> why = edit.apply((fresh ? "add site " : "change site ") + s.name(), x -> x.with(s));
            complain(why.orElse(""));
            if (why.isEmpty() && fresh) {
                pointed = null;
                for (TextField f : List.of(name, at[0], at[1], at[2], known, alsoHeld)) {
                    f.clear();
                }
                blown.setSelected(false);
                name.requestFocus();
            }
        } catch (QuantityException e) {
            complain(e.getMessage());
        }
    }

    private void remove() {
        Site s = editing;
        editing = null;
        edit.apply("remove site " + s.name(), x -> x.withoutSite(s.id()));
    }

    private void complain(String why) {
        complaint.setText(why);
        complaint.setManaged(!why.isEmpty());
    }
}
