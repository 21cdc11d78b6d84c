package tinperch.desktop;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.desktop.action.Action;
import tinperch.desktop.reading.SimulatedCalipers;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.model.Model;
import tinperch.part.PartDesign;
import tinperch.part.PartFamily;
import tinperch.upgrade.Families;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.edit.PartEdits;

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
        all.add(Action.of("machine", "Go to the machine's standing sheet", "Shortcut+Home",
                () -> desk.machine().isPresent(), () -> desk.machine().ifPresent(desk::goTo)));
        all.add(Action.of("next-machine", "Go to the next machine", "Shortcut+Down", () -> machines().size() > 1, () -> step(1)));
        all.add(Action.of("previous-machine", "Go to the machine before", "Shortcut+Up", () -> machines().size() > 1,
                () -> step(-1)));
        all.add(Action.of("drawer", "Open the screw drawer", "Shortcut+D", () -> true,
                () -> desk.placeProperty().set(new Desk.Place.AtDrawer())));
        all.add(Action.of("add-machine", "Add a machine", "Shortcut+M", () -> true, () -> addMachine(desk)));
        all.add(Action.of("add-upgrade", "Start an upgrade of this machine", "Shortcut+N", () -> desk.machine().isPresent(),
                () -> desk.machine().ifPresent(m -> addUpgrade(desk, m))));
        all.add(Action.of("calipers", "Read with the simulated calipers", "Shortcut+J", () -> true, this::readSimulated));
        all.add(Action.of("dark", "Change between light and dark", "Shortcut+L", () -> true, this::toggleDark));
        all.add(Action.of("larger", "Larger type", "Shortcut+Equals", () -> true, () -> resize(1)));
        all.add(Action.of("smaller", "Smaller type", "Shortcut+Minus", () -> true, () -> resize(-1)));
        return all;
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

    private void toggleDark() {
        boolean dark = !desk.theme().palette().dark();
        desk.theme().setDark(dark);
        desk.workshop().setPreference("theme", dark ? "dark" : "light");
    }

    private void resize(int by) {
        desk.theme().setTypeSize(desk.theme().typeSize() + by);
        desk.workshop().setPreference("type size", String.valueOf(desk.theme().typeSize()));
    }

    /** Adds a machine with everyday values and opens its sheet. */
    public static void addMachine(Desk desk) {
        String id = freshId("machine", i -> desk.state().machine(i).isPresent());
        Machine m = new Machine(id, "New machine", Machine.Kind.MOVING_BED, "", new Machine.Space(220, 220, 240), 0.4, true,
                24, 0.2, List.of("PLA", "PETG"), Machine.State.FIT, "", Book.begun(LocalDate.now()));
        desk.workshop().edit("add a machine", s -> s.with(m));
        desk.goTo(m);
    }

    /** Starts an upgrade and opens its first station. */
    public static void addUpgrade(Desk desk, Machine machine) {
        Upgrade u = fresh(desk, machine, "New upgrade", Optional.empty());
        desk.workshop().edit("start an upgrade", s -> s.with(u));
        desk.goTo(u, Station.TROUBLE);
    }

    /** Starts an upgrade whose part is made from a downloaded model, when one can be made from it. */
    public static void addUpgrade(Desk desk, Machine machine, Model base) {
        PartFamily family = Families.ALL.stream().filter(PartFamily::wantsBase).findFirst().orElseThrow();
        Upgrade u = fresh(desk, machine, base.name(), Optional.of(new PartDesign(family.id(), base.name(), family.start(),
                PartDesign.FIRST_MATERIAL, base.id())));
        PartEdits.problem(desk.workshop(), u).ifPresentOrElse(desk::warn, () -> {
            desk.workshop().edit("make a part from " + base.name(), s -> s.with(u));
            desk.goTo(u, Station.SHAPE);
        });
    }

    private static Upgrade fresh(Desk desk, Machine machine, String name, Optional<PartDesign> part) {
        String id = freshId("upgrade", i -> desk.state().upgrade(i).isPresent());
        Optional<Machine> host = desk.state().machines().stream()
                .filter(m -> m.prints() && !m.id().equals(machine.id()) && m.state() == Machine.State.FIT)
                .min(Comparator.comparing(m -> !m.materials().contains(PartDesign.FIRST_MATERIAL)));
        Upgrade u = new Upgrade(id, machine.id(), name, LocalDate.now(), Trouble.NONE, Map.of(), Optional.empty(),
                host.orElse(machine).id());
        return part.map(u::with).orElse(u);
    }

    private static String freshId(String stem, java.util.function.Predicate<String> taken) {
        int n = 1;
        while (taken.test(stem + "-" + n)) {
            n++;
        }
        return stem + "-" + n;
    }
}
