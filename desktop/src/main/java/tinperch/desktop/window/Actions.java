package tinperch.desktop.window;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import tinperch.check.Settle;
import tinperch.check.Severity;
import tinperch.desktop.action.Action;
import tinperch.desktop.desk.Begin;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.Station;
import tinperch.desktop.look.Ui;
import tinperch.desktop.reading.SimulatedCalipers;
import tinperch.machine.Machine;
import tinperch.workshop.share.Sharing;

/** All actions of the window, with their names and keys. */
public final class Actions {
    private final Desk desk;
    private final Runnable finder;

    Actions(Desk desk, Runnable finder) {
        this.desk = desk;
        this.finder = finder;
    }

    private final SimulatedCalipers calipers = new SimulatedCalipers(System.nanoTime());

    List<Action> all() {
        List<Action> all = new ArrayList<>();
        all.add(Action.of("find", "Find an action", "Shortcut+K", () -> true, finder));
        all.add(Action.of("undo", "Undo the last edit", "Shortcut+Z", () -> desk.workshop().undoLabel().isPresent(),
                () -> desk.workshop().undo()));
        all.add(Action.of("redo", "Do it again", "Shortcut+Y", () -> desk.workshop().redoLabel().isPresent(),
                () -> desk.workshop().redo()));
        for (Station s : Station.values()) {
            all.add(Action.of("station-" + s.name().toLowerCase(java.util.Locale.ROOT), "Go to station " + s.title(),
                    "F" + (s.ordinal() + 1), () -> desk.upgrade().isPresent(), () -> desk.goTo(s)));
        }
        for (Page p : Page.values()) {
            all.add(Action.of("page-" + p.name().toLowerCase(java.util.Locale.ROOT), "Go to page " + p.title(), "F" + (p.ordinal() + 1),
                    () -> desk.place() instanceof Desk.Place.AtMachine, () -> desk.goTo(p)));
        }
        all.add(Action.of("machine", "Go to the machine's standing sheet", "Shortcut+Home",
                () -> desk.machine().isPresent(), () -> desk.machine().ifPresent(desk::goTo)));
        all.add(Action.of("next-machine", "Go to the next machine", "Shortcut+Down", () -> machines().size() > 1, () -> step(1)));
        all.add(Action.of("previous-machine", "Go to the machine before", "Shortcut+Up", () -> machines().size() > 1,
                () -> step(-1)));
        all.add(Action.of("drawer", "Open the screw drawer", "Shortcut+D", () -> true,
                () -> desk.placeProperty().set(new Desk.Place.AtDrawer())));
        all.add(Action.of("add-machine", "Add a machine", "Shortcut+M", () -> true, () -> Begin.machine(desk)));
        all.add(Action.of("add-upgrade", "Start an upgrade of this machine", "Shortcut+N", () -> desk.machine().isPresent(),
                () -> desk.machine().ifPresent(m -> Begin.upgrade(desk, m))));
        all.add(Action.of("add-thing", "Draw a thing around this machine", "Shortcut+T", () -> desk.machine().isPresent(),
                () -> desk.settle(new Settle(Settle.By.NEIGHBOURS, "", ""))));
        all.add(Action.of("heat", "See how warm the part gets", "", () -> desk.part().isPresent(), () -> desk.upgrade().ifPresent(u -> desk.part().ifPresent(part -> desk.showHeat(u, part.id())))));
        all.add(Action.of("load", "Say what the part bears", "", () -> desk.part().isPresent(), () -> desk.settle(new Settle(Settle.By.LOAD, "", ""))));
        all.add(Action.of("settle", "Settle what stops the part", "", () -> desk.assessmentProperty().get().count(Severity.STOP) > 0, this::settle));
        all.addAll(packing());
        all.add(Action.of("backups", "Go back to a backup", "", () -> true, () -> desk.placeProperty().set(new Desk.Place.AtBackups())));
        all.add(Action.of("calipers", "Read with the simulated calipers", "Shortcut+J", () -> true, this::readSimulated));
        all.add(Action.of("dark", "Change between light and dark", "Shortcut+L", () -> true, this::toggleDark));
        all.add(Action.of("larger", "Larger type", "Shortcut+Equals", () -> true, () -> resize(1)));
        all.add(Action.of("smaller", "Smaller type", "Shortcut+Minus", () -> true, () -> resize(-1)));
        return all;
    }

    private List<Action> packing() {
        Packing p = new Packing(desk);
        return List.of(
                Action.of("pack", "Pack the whole workshop into a file", "", () -> !machines().isEmpty(), () -> p.pack(desk.state(), "Workshop")),
                Action.of("pack-machine", "Pack this machine into a file", "", () -> desk.machine().isPresent(),
                        () -> desk.machine().ifPresent(m -> p.pack(Sharing.ofMachine(desk.state(), m.id()), m.name()))),
                Action.of("pack-upgrade", "Pack this upgrade into a file", "", () -> desk.upgrade().isPresent(),
                        () -> desk.upgrade().ifPresent(u -> p.pack(Sharing.ofUpgrade(desk.state(), u.id()), u.name()))),
                Action.of("unpack", "Unpack a file beside what is here", "", () -> true, () -> p.unpack(Optional.empty())),
                Action.of("unpack-onto", "Unpack a file's upgrades onto this machine", "", () -> desk.machine().isPresent(), () -> p.unpack(desk.machine())));
    }

    private List<Machine> machines() {
        return desk.state().machines();
    }

    private void step(int by) {
        int at = desk.machine().map(machines()::indexOf).orElse(-1);
        desk.goTo(machines().get(Math.floorMod(at + by, machines().size())));
    }

    private void readSimulated() {
        javafx.stage.Window window = javafx.stage.Window.getWindows().stream().filter(javafx.stage.Window::isFocused).findFirst()
                .orElse(null);
        if (window == null || !calipers.read(window.getScene())) {
            desk.warn("Simulated calipers type into the reading cell with the focus: click into one on the Measure station or "
                    + "under Readings first. Nothing was changed.");
        }
    }

    private void settle() {
        javafx.stage.Window.getWindows().stream().filter(javafx.stage.Window::isFocused).map(w -> Ui.find(w.getScene().getRoot(), "settle-all")).filter(Button.class::isInstance).map(Button.class::cast)
                .findFirst().ifPresent(Button::fire);
    }

    private void toggleDark() {
        boolean dark = !desk.theme().palette().dark();
        desk.theme().setDark(dark);
        desk.workshop().setPreference("theme", dark ? "dark" : "light");
    }

    private void resize(int by) {
        desk.theme().setTypeSize(desk.theme().typeSize() + by);
        desk.workshop().setPreference("type size", String.valueOf(desk.theme().typeSize()));
    }
}
