package tinperch.desktop.desk;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.Settle;
import tinperch.check.Subject;
import tinperch.desktop.look.Theme;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.judge.Assessment;
import tinperch.machine.Machine;
import tinperch.part.param.PartProblem;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.device.Recordings;
import tinperch.workshop.edit.PartEdits;
import tinperch.workshop.engine.FactEngine;
import tinperch.workshop.engine.FactMemory;

/**
 * What the window is looking at: the workshop, the place in it, the judgement and the picture of the upgrade shown there.
 * Views read from here and are told when something changed; none of them keeps state of its own that matters.
 */
public final class Desk implements AutoCloseable {
    /** Where the window is. */
    public sealed interface Place {
        /** A page of a machine. */
        record AtMachine(String machineId, Page page) implements Place {}

        /** A station of an upgrade. */
        record AtUpgrade(String upgradeId, Station station) implements Place {}

        /** The screw drawer. */
        record AtDrawer() implements Place {}

        /** The workshop's backups. */
        record AtBackups() implements Place {}

        /** An empty workshop. */
        record Nowhere() implements Place {}
    }

    /** A sentence for the owner that stays until it is put away. */
    public record Notice(String text, boolean bad) {}

    private final Workshop workshop;
    private final Theme theme = new Theme();
    private final FactEngine engine;
    private final PartEdits edits;
    private final Recordings recordings;
    private final ObjectProperty<Place> place = new SimpleObjectProperty<>(new Place.Nowhere());
    private final ObjectProperty<Notice> notice = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<Assessment> assessment = new ReadOnlyObjectWrapper<>(Assessment.NONE);
    private final ReadOnlyObjectWrapper<Drawing> drawing = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<Assessment> preview = new SimpleObjectProperty<>();
    private final StringProperty lit = new SimpleStringProperty("");
    private final List<Runnable> listeners = new ArrayList<>();
    private final Map<String, String> shownParts = new HashMap<>();
    private final ObjectProperty<OnMachine> onMachine = new SimpleObjectProperty<>();
    private final ReadOnlyBooleanWrapper settled = new ReadOnlyBooleanWrapper(true);
    private Case looked;
    private Settle wanted;
    private boolean closed;

    public Desk(Workshop workshop) {
        this(workshop, new FactMemory());
    }

    /** @param memory of what was found out of parts before */
    public Desk(Workshop workshop, FactMemory memory) {
        this.workshop = workshop;
        engine = new FactEngine(Platform::runLater, memory);
        edits = new PartEdits(workshop, engine);
        recordings = new Recordings(workshop, Platform::runLater);
        workshop.onChange(this::changed);
        place.addListener((o, was, is) -> {
            lit.set("");
            changed();
        });
        theme.setDark(workshop.preference("theme").map("dark"::equals).orElse(false));
        theme.setTypeSize(workshop.preference("type size").filter(s -> s.matches("[1-9]\\d?")).map(Integer::parseInt).orElse(13));
        workshop.notice().ifPresent(n -> notice.set(new Notice(n, true)));
        goHome();
    }

    private void goHome() {
        List<Machine> machines = workshop.state().machines();
        place.set(machines.isEmpty() ? new Place.Nowhere() : new Place.AtMachine(machines.get(0).id(), Page.SHEET));
    }

    /** The workshop that is open. */
    public Workshop workshop() {
        return workshop;
    }

    /** Everything in it as it is now. */
    public WorkshopState state() {
        return workshop.state();
    }

    /** Colours and type size of the window. */
    public Theme theme() {
        return theme;
    }

    /** Where the window is; set to go elsewhere. */
    public ObjectProperty<Place> placeProperty() {
        return place;
    }

    /** Where the window is. */
    public Place place() {
        return place.get();
    }

    /** The sentence shown above the page; null for none. */
    public ObjectProperty<Notice> noticeProperty() {
        return notice;
    }

    /** Tells the owner something that went well. */
    public void say(String text) {
        notice.set(new Notice(text, false));
    }

    /** Tells the owner something that went wrong, or will. */
    public void warn(String text) {
        notice.set(new Notice(text, true));
    }

    /** The judgement of the upgrade looked at. */
    public ReadOnlyObjectProperty<Assessment> assessmentProperty() {
        return assessment.getReadOnlyProperty();
    }

    /** The judgement a remedy under the mouse would lead to; null when there is none. */
    public ObjectProperty<Assessment> previewProperty() {
        return preview;
    }

    /** The newest drawing of the part that could be computed; the last good one stays while another is on its way. */
    public ReadOnlyObjectProperty<Drawing> drawingProperty() {
        return drawing.getReadOnlyProperty();
    }

    /** Whether all that can be told of what is looked at has been told. */
    public ReadOnlyBooleanProperty settledProperty() {
        return settled.getReadOnlyProperty();
    }

    /** Finds out facts in the background. */
    public FactEngine engine() {
        return engine;
    }

    /** The recordings that go on. */
    public Recordings recordings() {
        return recordings;
    }

    /** Changes to parts, tried before they are made. */
    public PartEdits edits() {
        return edits;
    }

    /** The case looked at; empty when there is no part. */
    public Optional<Case> looked() {
        return Optional.ofNullable(looked);
    }

    /** Beginning of the feature names to light up. */
    public StringProperty litProperty() {
        return lit;
    }

    /** Called after every change of state or place. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    /** The upgrade looked at; empty elsewhere. */
    public Optional<Upgrade> upgrade() {
        return place.get() instanceof Place.AtUpgrade at ? state().upgrade(at.upgradeId()) : Optional.empty();
    }

    /** The machine looked at, or that of the upgrade; empty elsewhere. */
    public Optional<Machine> machine() {
        if (place.get() instanceof Place.AtMachine at) {
            return state().machine(at.machineId());
        }
        return upgrade().flatMap(u -> state().machine(u.machineId()));
    }

    /** Goes to a machine's sheet. */
    public void goTo(Machine machine) {
        goTo(machine, Page.SHEET);
    }

    /** Goes to a page of a machine. */
    public void goTo(Machine machine, Page page) {
        place.set(new Place.AtMachine(machine.id(), page));
    }

    /** Goes to another page of the machine looked at. */
    public void goTo(Page page) {
        machine().ifPresent(m -> goTo(m, page));
    }

    /** The page of the machine looked at; the sheet elsewhere. */
    public Page page() {
        return place.get() instanceof Place.AtMachine at ? at.page() : Page.SHEET;
    }

    /** Goes to a station of an upgrade. */
    public void goTo(Upgrade upgrade, Station station) {
        place.set(new Place.AtUpgrade(upgrade.id(), station));
    }

    /** Goes to another station of the upgrade looked at. */
    public void goTo(Station station) {
        upgrade().ifPresent(u -> goTo(u, station));
    }

    /** The part of the upgrade that is shown: the one chosen, or its first. */
    public Optional<PartDesign> part() {
        return upgrade().flatMap(u -> u.part(shownParts.getOrDefault(u.id(), "")).or(() -> u.parts().stream().findFirst()));
    }

    /** Shows another part of the upgrade. */
    public void show(String partId) {
        upgrade().ifPresent(u -> {
            shownParts.put(u.id(), partId);
            changed();
        });
    }

    /** Changes the part shown, as one step that can be undone. */
    public void editPart(String label, UnaryOperator<PartDesign> how) {
        upgrade().ifPresent(u -> part().ifPresent(p -> workshop.edit(label, s -> s.upgrade(u.id()).flatMap(now -> now.part(p.id()).map(q -> s.with(now.with(how.apply(q))))).orElse(s))));
    }

    /** The mark the part shown will carry; empty when there is no part. */
    public String mark() {
        return upgrade().flatMap(u -> part().map(p -> state().nextMark(u.id(), p.id()))).orElse("");
    }

    /** Whether there is a part that can be kept and written: it was drawn, and nothing says that it cannot be built. */
    public boolean hasPart() {
        return drawing.get() != null && looked != null && assessment.get().findings().stream().noneMatch(f -> f.subject() == Subject.NO_PART);
    }

    /** Leads to where something can be settled; the view there asks what was wanted. */
    public void settle(Settle settle) {
        wanted = settle;
        switch (settle.by()) {
            case MEASURE -> goTo(Station.MEASURE);
            case MATERIAL -> goTo(Station.PRINT);
            case SITE, NEIGHBOURS, MODEL -> machine().ifPresent(m -> {
                goTo(m, settle.by() == Settle.By.MODEL ? Page.MODELS : Page.SURROUNDINGS);
                if (wanted != null) {
                    // It was there already.
                    changed();
                }
            });
            case BOOK -> machine().ifPresent(m -> goTo(m, Page.BOOK));
            case LOAD -> {
                goTo(Station.DRY_FIT);
                onMachine.set(new OnMachine(Fit.LOAD, Map.of()));
            }
            case LOG -> machine().ifPresent(m -> goTo(m, Page.TEMPERATURES));
            case READINGS -> machine().ifPresent(m -> goTo(m, Page.READINGS));
            case AGAIN -> {
                looked = null;
                changed();
            }
        }
    }

    /** What is to be shown on Dry fit: where the axes stand, or the heat. */
    public record OnMachine(Fit what, Map<String, Double> pose) {}

    /** What Dry fit shows. */
    public enum Fit { CLEARANCE, HEAT, LOAD, AIR }

    /** Shows a finding on the machine: the axes where it happens, or the heat. */
    public void showOnMachine(Finding f) {
        goTo(Station.DRY_FIT);
        onMachine.set(new OnMachine(f.subject() == Subject.HEAT ? Fit.HEAT : f.subject() == Subject.AIR ? Fit.AIR : Fit.CLEARANCE, f.pose()));
    }

    /** Shows how warm a part gets. */
    public void showHeat(Upgrade u, String partId) {
        goTo(u, Station.DRY_FIT);
        show(partId);
        onMachine.set(new OnMachine(Fit.HEAT, Map.of()));
    }

    /** What is to be shown on Dry fit, once; null for nothing. */
    public ObjectProperty<OnMachine> onMachineProperty() {
        return onMachine;
    }

    /** What the person was led here for, once; empty when it is none of these. */
    public Optional<Settle> wanted(Settle.By... any) {
        Settle now = wanted;
        if (now == null || !List.of(any).contains(now.by())) {
            return Optional.empty();
        }
        wanted = null;
        return Optional.of(now);
    }

    /** Makes a remedy an undoable step. */
    public void apply(Remedy remedy) {
        preview.set(null);
        looked().ifPresent(c -> edits.apply(remedy.label(), c, remedy.changes()));
    }

    /** Shows what a remedy would do to every margin, without doing it: it was tried out before it was offered. */
    public void previewRemedy(Remedy remedy) {
        preview.set(remedy == null ? null : engine.after(remedy).orElse(null));
    }

    private void changed() {
        stepBackFromWhatIsGone();
        Runnable asked = () -> { };
        Optional<Case> now = upgrade().flatMap(u -> part().flatMap(p -> caseOf(u, p.id())));
        if (now.isEmpty()) {
            looked = null;
            engine.lookAway();
            drawing.set(null);
            assessment.set(Assessment.NONE);
            settled.set(true);
        } else if (!now.get().equals(looked)) {
            boolean other = looked == null || !looked.part().id().equals(now.get().part().id()) || !looked.upgrade().id().equals(now.get().upgrade().id());
            Case c = now.get();
            looked = c;
            preview.set(null);
            if (other) {
                drawing.set(null);
                assessment.set(new Assessment(List.of(), List.of("part")));
            }
            settled.set(false);
            asked = () -> look(c);
        }
        List.copyOf(listeners).forEach(Runnable::run);
        // Last, so that the views need not share the cores with it.
        asked.run();
    }

    private void look(Case c) {
        // A view may have gone elsewhere meanwhile.
        if (looked == c) {
            engine.look(c, new FactEngine.Listener() {
                @Override
                public void drawn(Drawing next) {
                    // What cannot be built leaves the last good drawing standing.
                    if (next != null) {
                        drawing.set(next);
                    }
                }

                @Override
                public void judged(Assessment next) {
                    assessment.set(next);
                }

                @Override
                public void done() {
                    settled.set(true);
                }
            });
        }
    }

    /** Goes through an edit of a part nobody is looking at, so that the first one a person makes does not wait for the compiler. */
    public void warmUp() {
        state().upgrades().stream().filter(u -> !u.parts().isEmpty()).findFirst().flatMap(u -> caseOf(u, u.parts().get(0).id())).ifPresent(engine::warmUp);
    }

    /** The case of a part of an upgrade; empty when its machine is gone. */
    public Optional<Case> caseOf(Upgrade u, String partId) {
        try {
            return Optional.of(Case.of(u, partId, workshop.shop(), state().nextMark(u.id(), partId)));
        } catch (PartProblem e) {
            return Optional.empty();
        }
    }

    /** Undo may take away the machine or upgrade being looked at. */
    private void stepBackFromWhatIsGone() {
        if (place.get() instanceof Place.AtUpgrade at && state().upgrade(at.upgradeId()).isEmpty()
                || place.get() instanceof Place.AtMachine m && state().machine(m.machineId()).isEmpty()
                || place.get() instanceof Place.Nowhere && !state().machines().isEmpty()) {
            goHome();
        }
    }

    /** Whether the workshop is closed: nothing may be asked of it any more. */
    public boolean isClosed() {
        return closed;
    }

    @Override
    public void close() {
        closed = true;
        recordings.close();
        engine.close();
        workshop.close();
    }
}
