package tinperch.desktop.machine;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import tinperch.check.Settle;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Ui;
import tinperch.desktop.temperature.TemperaturesPage;
import tinperch.desktop.reading.ReadingsPane;

/**
 * A machine: its name and state, its pages, and the page one is at. Pages stay as they were left. Made for no machine yet, so that one
 * can lie ready; {@link #aim} says whose it is. Pages nobody has come to are made while nothing else happens.
 */
public final class MachineView extends VBox implements View {
    /** A page made takes a moment in which nothing else happens: never two at once. */
    private static final Duration BETWEEN = Duration.millis(400);

    private final Desk desk;
    private final MachineForm form;
    private final PageTabs tabs;
    private final StackPane stack = new StackPane();
    private final StandingSheet sheet;
    private final Map<Page, Node> pages = new EnumMap<>(Page.class);
    private final Deque<Page> later = new ArrayDeque<>();
    private final PauseTransition next = new PauseTransition(BETWEEN);
    private SurroundingsPanel space;
    private ModelsPanel models;

    public MachineView(Desk desk) {
        this.desk = desk;
        form = new MachineForm(desk);
        tabs = new PageTabs(desk);
        sheet = new StandingSheet(desk, form);
        getStyleClass().add("machine-view");
        setMinSize(0, 0);
        stack.setMinSize(0, 0);
        VBox.setVgrow(stack, Priority.ALWAYS);
        VBox head = new VBox(2, new MachineHeading(form), tabs);
        head.getStyleClass().add("machine-head");
        getChildren().addAll(head, stack);
        put(Page.SHEET, sheet);
        next.setOnFinished(e -> {
            if (desk.isClosed() || getScene() == null || getScene().getWindow() == null || !getScene().getWindow().isShowing()) {
                return;
            }
            if (Ui.isSeen(this)) {
                makeNext();
            }
            if (!isReady()) {
                next.playFromStart();
            }
        });
    }

    /** Says whose it is; to be called once. */
    public void aim(String machineId) {
        form.aim(machineId);
        sheet.aim(machineId);
        later.addAll(List.of(Page.SURROUNDINGS, Page.READINGS, Page.BOOK, Page.MODELS, Page.TEMPERATURES));
    }

    /** Fills the sheet in before anybody comes to it. */
    public void prepare() {
        tabs.refresh(form.machine(), Page.SHEET);
        catchUp();
    }

    /** Says on the sheet what the machine's record says now. */
    public void catchUp() {
        form.refresh();
        sheet.refresh();
    }

    private void put(Page page, Node node) {
        pages.put(page, node);
        stack.getChildren().add(node);
    }

    /** The node of a page, made when it is not there yet. */
    private Node made(Page page) {
        if (!pages.containsKey(page)) {
            later.remove(page);
            String id = form.machineId();
            switch (page) {
                case SURROUNDINGS -> put(page, space = new SurroundingsPanel(desk, id));
                case READINGS -> {
                    ReadingsPane readings = new ReadingsPane(desk, id, () -> desk.state().machine(id).map(m -> ReadingsPane.ofMachine(desk, m)).orElse(List.of()));
                    readings.getStyleClass().add("page");
                    put(page, Ui.id(readings, "readings"));
                }
                case MODELS -> {
                    models = new ModelsPanel(desk, id, neighbour -> {
                        desk.goTo(Page.SURROUNDINGS);
                        space.show(neighbour);
                    });
                    put(page, MachinePage.scrolling(models));
                }
                case TEMPERATURES -> put(page, new TemperaturesPage(desk, id));
                case BOOK -> put(page, MachinePage.scrolling(new BookPanel(desk, id)));
                default -> throw new IllegalStateException(page.name());
            }
        }
        Node node = pages.get(page);
        if (!stack.getChildren().contains(node)) {
            stack.getChildren().add(node);
        }
        return node;
    }

    /** Makes a page nobody has come to yet, so that it opens at once. */
    private void makeNext() {
        Optional<Node> out = pages.values().stream().filter(n -> !stack.getChildren().contains(n)).findFirst();
        if (out.isPresent()) {
            stack.getChildren().add(out.get());
            layOut(out.get());
            return;
        }
        if (space != null && space.makeNext()) {
            return;
        }
        Page page = later.poll();
        if (page != null && !pages.containsKey(page)) {
            Node node = made(page);
            refresh(node);
            layOut(node);
        }
    }

    /** Styles and lays out a page nobody looks at. */
    private void layOut(Node page) {
        Ui.putAway(page, false);
        page.applyCss();
        page.resize(stack.getWidth(), stack.getHeight());
        if (page instanceof javafx.scene.Parent p) {
            p.layout();
        }
        Ui.putAway(page, true);
    }

    private static void refresh(Node page) {
        if (page instanceof View v) {
            v.refresh();
        }
    }

    private boolean isMade() {
        return later.isEmpty() && (space == null || space.isMade());
    }

    /** Whether all pages are made and back in the window. */
    private boolean isReady() {
        return isMade() && stack.getChildren().containsAll(pages.values());
    }

    /** Whether it is some machine's and all of its pages are there. */
    public boolean isComplete() {
        return !form.machineId().isEmpty() && isMade() && sheet.isComplete();
    }

    /** Whose it is; empty while it lies ready for any. */
    public String machineId() {
        return form.machineId();
    }

    /** The sheet. */
    public StandingSheet sheet() {
        return sheet;
    }

    /** Brings a downloaded model in, as if its file had been dropped here. */
    public void bringIn(Path file) {
        desk.goTo(Page.MODELS);
        models.bringIn(file);
    }

    /** What somebody was led here for. */
    private void showWanted() {
        desk.wanted(Settle.By.SITE, Settle.By.NEIGHBOURS, Settle.By.MODEL).ifPresent(s -> Platform.runLater(() -> {
            // What scrolls takes its content in only when it is styled; before that it cannot have the keyboard.
            applyCss();
            layout();
            if (s.by() != Settle.By.MODEL) {
                space.begin(s.by());
            }
        }));
    }

    @Override
    public void leave() {
        next.stop();
        if (space != null) {
            space.leave();
        }
        // Coming back, the page one sees is styled at once, the others in the pauses after.
        stack.getChildren().removeIf(n -> !n.isVisible());
    }

    @Override
    public void refresh() {
        Page here = desk.page();
        Node shown = made(here);
        for (Node n : stack.getChildren()) {
            Ui.putAway(n, n != shown);
        }
        form.refresh();
        tabs.refresh(form.machine(), here);
        refresh(shown);
        if (!isReady()) {
            next.playFromStart();
        }
        showWanted();
    }
}
