package tinperch.desktop.station;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import tinperch.catalogue.UsualThing;
import tinperch.check.Severity;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.SeverityBadge;
import tinperch.desktop.look.Ui;
import tinperch.fact.FormFact;
import tinperch.machine.Machine;
import tinperch.machine.book.Component;
import tinperch.machine.model.Model;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.measure.sheet.Sheet;
import tinperch.measure.sheet.SheetKind;
import tinperch.part.bind.AccessRef;
import tinperch.part.bind.Binding;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.NearRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Ref;
import tinperch.part.bind.Refs;
import tinperch.part.bind.RodRef;
import tinperch.part.bind.Role;
import tinperch.part.bind.TipRef;
import tinperch.part.form.Port;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** What the part shown asks for, how each is known, and what it can be bound to instead. */
final class RolesPane extends GridPane {
    private final Desk desk;
    private final String upgradeId;
    private final Consumer<String> open;
    private final TakeOver asIn;
    private List<Object> shown;

    /** One thing a role can be bound to. */
    private record Option(String label, Binding binding) {
        @Override
        public String toString() {
            return label;
        }
    }

    /** @param open told the id of a sheet that is to be read */
    RolesPane(Desk desk, String upgradeId, Consumer<String> open) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        this.open = open;
        asIn = BindAsIn.menu(desk, upgradeId);
        getStyleClass().add("panel");
        Ui.id(this, "roles");
        setHgap(14);
        setVgap(6);
        ColumnConstraints known = new ColumnConstraints();
        known.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(new ColumnConstraints(), new ColumnConstraints(150), known, new ColumnConstraints(250), new ColumnConstraints());
    }

    private Machine machine() {
        return desk.machine().orElseThrow();
    }

    void refresh() {
        Optional<Case> c = desk.looked();
        List<Object> now = List.of(c.map(Case::recipe), c.map(Case::part), c.map(x -> x.machine().sheets()), c.map(x -> x.machine().surroundings()),
                c.map(x -> x.machine().models()), c.map(x -> x.machine().book()), c.map(Case::upgrade));
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Node focus = getScene() == null ? null : getScene().getFocusOwner();
        String had = focus == null || Ui.find(this, Ui.idOf(focus)) != focus ? "" : Ui.idOf(focus);
        fill(c);
        if (!had.isEmpty()) {
            Optional.ofNullable(Ui.find(this, had)).ifPresent(Node::requestFocus);
        }
    }

    private void fill(Optional<Case> c) {
        getChildren().clear();
        if (c.isEmpty()) {
            add(Ui.text("Nothing is asked for yet. Choose a kind of part first: it is made from usual sizes and then lists here exactly what it wants to be read. Or read "
                    + "what lies before you.", "faint"), 0, 0, 5, 1);
            return;
        }
        int row = 0;
        for (Role<?> role : c.get().family().map(f -> f.roles()).orElse(List.of())) {
            row(row++, role, c.get());
        }
        if (row > 0 && (!isFirst(c.get().part()) || !isMeasured(c.get()))) {
            add(asIn, 3, row);
        }
    }

    private static boolean isMeasured(Case c) {
        return c.family().stream().flatMap(f -> f.roles().stream()).allMatch(r -> Optional.ofNullable(c.recipe().refs().byRole().get(r.id())).map(x -> x.known().isMeasured()).orElse(false));
    }

    private void row(int row, Role<?> role, Case c) {
        Refs refs = c.recipe().refs();
        Ref ref = refs.byRole().get(role.id());
        boolean good = ref != null && ref.known().isMeasured();
        SeverityBadge badge = new SeverityBadge(ref == null ? role.optional() ? Severity.CANT_TELL : Severity.STOP : good ? Severity.FINE : Severity.LOOK);
        badge.setText(ref == null ? "open" : good ? "known" : "usual");
        Label says = Ui.id(Ui.text(ref == null ? refs.problems().getOrDefault(role.id(), "not bound; the part does without") : ref.says() + ", " + ref.known().words(), "faint"),
                "known-" + role.id());
        ComboBox<Option> to = Ui.id(new ComboBox<>(), "bind-" + role.id());
        List<Option> options = options(role, c);
        to.getItems().setAll(options);
        Binding now = c.part().bindings().get(role.id());
        options.stream().filter(o -> o.binding.equals(now) || now instanceof Binding.OnSheet s && o.binding instanceof Binding.OnSheet t && s.sheetId().equals(t.sheetId()))
                .findFirst().ifPresent(to::setValue);
        to.setMaxWidth(Double.MAX_VALUE);
        to.setOnAction(e -> {
            if (to.getValue() != null && !to.getValue().binding.equals(now)) {
                bind(c.part(), role, to.getValue().binding, role.label() + ": " + to.getValue().label);
            }
        });
        Label what = Ui.tip(Ui.label(role.label(), "strong"), role.ask());
        addRow(row, badge, what, says, to, button(role, c.part(), now));
        getChildren().forEach(n -> GridPane.setValignment(n, VPos.CENTER));
    }

    /** Opens the sheet of a role, or where there is none takes the keyboard to what it can be bound to. */
    void open(String roleId) {
        Node measure = Ui.find(this, "measure-" + roleId);
        if (measure instanceof Button b && !b.isDisabled()) {
            b.fire();
        } else {
            Optional.ofNullable(Ui.find(this, "bind-" + roleId)).ifPresent(Node::requestFocus);
        }
    }

    private Button button(Role<?> role, PartDesign part, Binding now) {
        boolean sheet = now instanceof Binding.OnSheet;
        Button b = Ui.id(Ui.button(sheet ? "Read it" : "Measure it", "mdi2r-ruler", () -> {
            if (now instanceof Binding.OnSheet s) {
                open.accept(s.sheetId());
            } else {
                measure(part, role, now);
            }
        }), "measure-" + role.id());
        b.setMinWidth(USE_PREF_SIZE);
        b.setDisable(role.kind().sheetKinds().isEmpty());
        return b;
    }

    /** A sheet of the machine for the role; what is not read yet stays usual. One edit. */
    private void measure(PartDesign part, Role<?> role, Binding now) {
        String usual = now instanceof Binding.Usual u ? u.usualId() : role.usual();
        String kind = UsualThing.byId(usual).map(UsualThing::kind).orElse(role.kind().sheetKinds().get(0));
        String id = upgradeId + "." + (isFirst(part) ? "" : part.id() + ".") + role.id();
        Sheet sheet = machine().sheet(id).filter(s -> role.kind().sheetKinds().contains(s.kind()))
                .orElseGet(() -> Sheet.empty(id, SheetKind.of(kind).orElseThrow()).named(role.label()));
        desk.workshop().edit("measure the " + role.label(), s -> {
            Upgrade u = s.upgrade(upgradeId).orElseThrow();
            return s.with(s.machine(u.machineId()).orElseThrow().with(sheet)).with(u.with(part.bound(role.id(), new Binding.OnSheet(id, usual))));
        });
        open.accept(id);
    }

    /** The upgrade's first part has the sheets that were read before there was any. */
    private boolean isFirst(PartDesign part) {
        return desk.state().upgrade(upgradeId).filter(u -> u.parts().get(0).id().equals(part.id())).isPresent();
    }

    private void bind(PartDesign part, Role<?> role, Binding binding, String label) {
        desk.edits().make(upgradeId, part.bound(role.id(), binding), label).ifPresent(why -> {
            desk.warn(why);
            shown = null;
            refresh();
        });
    }

    private List<Option> options(Role<?> role, Case c) {
        List<Option> all = new ArrayList<>();
        String usual = c.part().bindings().get(role.id()) instanceof Binding.Usual u ? u.usualId() : role.usual();
        for (Sheet s : machine().sheets()) {
            if (role.kind().sheetKinds().contains(s.kind())) {
                all.add(new Option("readings: " + s.name(), new Binding.OnSheet(s.id(), usual)));
            }
        }
        if (role.kind().equals(HolesRef.KIND)) {
            for (Site s : machine().surroundings().sites()) {
                if (!s.sheetId().isEmpty()) {
                    all.add(new Option("site: " + s.name(), new Binding.AtSite(s.id())));
                }
            }
        }
        if (role.kind().equals(AccessRef.KIND) || role.kind().equals(NearRef.KIND)) {
            return List.of();
        }
        if (role.kind().equals(MeshRef.KIND)) {
            for (Model m : machine().models()) {
                all.add(new Option("model: " + m.name(), new Binding.OfModel(m.id())));
            }
        }
        for (Component b : machine().book().at(LocalDate.now(), "").components()) {
            UsualThing.byId(b.usual()).filter(u -> role.kind().sheetKinds().contains(u.kind()))
                    .ifPresent(u -> all.add(new Option("fitted: " + b.name(), new Binding.OfComponent(b.id()))));
        }
        for (Neighbour n : machine().surroundings().neighbours()) {
            if (role.kind().equals(RodRef.KIND) && n.form() == Neighbour.Form.CYLINDER || role.kind().equals(TipRef.KIND) && n.kind() == Neighbour.Kind.HOT
                    || role.kind().equals(ProfileRef.KIND) && n.form() == Neighbour.Form.PROFILE) {
                all.add(new Option("neighbour: " + n.name(), new Binding.OfNeighbour(n.id())));
            }
        }
        for (PartDesign p : c.upgrade().parts()) {
            if (!p.id().equals(c.part().id())) {
                for (Port port : ports(p)) {
                    if (role.kind().type().isInstance(port.ref())) {
                        all.add(new Option(p.name() + ": " + port.label(), new Binding.OfPort(p.id(), port.id())));
                    }
                }
            }
        }
        role.kind().usual().forEach(u -> all.add(new Option("usual: " + u.name(), new Binding.Usual(u.id()))));
        return all;
    }

    private List<Port> ports(PartDesign p) {
        return desk.upgrade().flatMap(u -> desk.caseOf(u, p.id())).flatMap(c -> desk.engine().now(c).get(FormFact.FORM).form()).map(f -> f.ports()).orElse(List.of());
    }
}
