package tinperch.desktop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import tinperch.check.Remedy;
import tinperch.desktop.look.Theme;
import tinperch.machine.Machine;
import tinperch.part.PartForm;
import tinperch.upgrade.Assessment;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.Workshop;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.edit.PictureWorker;

/**
 * What the window is looking at: the workshop, the place in it, the judgement and the picture of the upgrade shown there.
 * Views read from here and are told when something changed; none of them keeps state of its own that matters.
 */
public final class Desk implements AutoCloseable {
    /** Where the window is. */
    public sealed interface Place {
        /** A machine's standing sheet. */
        record AtMachine(String machineId) implements Place {}

        /** A station of an upgrade. */
        record AtUpgrade(String upgradeId, Station station) implements Place {}

        /** The screw drawer. */
        record AtDrawer() implements Place {}

        /** An empty workshop. */
        record Nowhere() implements Place {}
    }

    /** A sentence for the owner that stays until it is put away. */
    public record Notice(String text, boolean bad) {}

    private final Workshop workshop;
    private final Theme theme = new Theme();
    private final PictureWorker worker = new PictureWorker(Platform::runLater);
    private final ObjectProperty<Place> place = new SimpleObjectProperty<>(new Place.Nowhere());
    private final ObjectProperty<Notice> notice = new SimpleObjectProperty<>();
    private final ReadOnlyObjectWrapper<Assessment> assessment =
            new ReadOnlyObjectWrapper<>(new Assessment(Optional.empty(), List.of()));
    private final ReadOnlyObjectWrapper<PictureWorker.Picture> picture = new ReadOnlyObjectWrapper<>();
    private final ObjectProperty<Assessment> preview = new SimpleObjectProperty<>();
    private final StringProperty lit = new SimpleStringProperty("");
    private final List<Runnable> listeners = new ArrayList<>();
    private Upgrade assessed;
    private WorkshopState assessedIn;

    public Desk(Workshop workshop) {
        this.workshop = workshop;
        workshop.onChange(this::changed);
        place.addListener((o, was, is) -> {
            lit.set("");
            changed();
        });
        theme.setDark(workshop.preference("theme").map("dark"::equals).orElse(false));
        theme.setTypeSize(workshop.preference("type size").map(Integer::parseInt).orElse(13));
        workshop.notice().ifPresent(n -> notice.set(new Notice(n, true)));
        goHome();
    }

    private void goHome() {
        List<Machine> machines = workshop.state().machines();
        place.set(machines.isEmpty() ? new Place.Nowhere() : new Place.AtMachine(machines.get(0).id()));
    }

    public Workshop workshop() {
        return workshop;
    }

    public WorkshopState state() {
        return workshop.state();
    }

    public Theme theme() {
        return theme;
    }

    public ObjectProperty<Place> placeProperty() {
        return place;
    }

    public Place place() {
        return place.get();
    }

    public ObjectProperty<Notice> noticeProperty() {
        return notice;
    }

    public void say(String text) {
        notice.set(new Notice(text, false));
    }

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

    /** The newest picture of the part that could be computed; the last good one stays while another is on its way. */
    public ReadOnlyObjectProperty<PictureWorker.Picture> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    /** Beginning of the feature names to light up. */
    public StringProperty litProperty() {
        return lit;
    }

    /** Called after every change of state or place. */
    public void onChange(Runnable listener) {
        listeners.add(listener);
    }

    public Optional<Upgrade> upgrade() {
        return place.get() instanceof Place.AtUpgrade at ? state().upgrade(at.upgradeId()) : Optional.empty();
    }

    public Optional<Machine> machine() {
        if (place.get() instanceof Place.AtMachine at) {
            return state().machine(at.machineId());
        }
        return upgrade().flatMap(u -> state().machine(u.machineId()));
    }

    public void goTo(Machine machine) {
        place.set(new Place.AtMachine(machine.id()));
    }

    public void goTo(Upgrade upgrade, Station station) {
        place.set(new Place.AtUpgrade(upgrade.id(), station));
    }

    public void goTo(Station station) {
        upgrade().ifPresent(u -> goTo(u, station));
    }

    /** Makes a remedy an undoable step. */
    public void apply(Remedy remedy) {
        preview.set(null);
        upgrade().ifPresent(u -> workshop.edit(remedy.label(), s -> s.with(Assessor.apply(u, remedy))));
    }

    /** Shows what a remedy would do to every margin, without doing it. */
    public void previewRemedy(Remedy remedy) {
        upgrade().ifPresent(u -> preview.set(remedy == null ? null
                : Assessor.assess(Assessor.apply(u, remedy), workshop.shop(), state().nextMark(u.id()))));
    }

    private void changed() {
        stepBackFromWhatIsGone();
        Optional<Upgrade> now = upgrade();
        if (now.isEmpty()) {
            assessed = null;
            picture.set(null);
            worker.cancel();
            assessment.set(new Assessment(Optional.empty(), List.of()));
        } else if (now.get() != assessed || assessedIn != state()) {
            boolean other = assessed == null || !assessed.id().equals(now.get().id());
            assessed = now.get();
            assessedIn = state();
            Assessment next = Assessor.assess(assessed, workshop.shop(), state().nextMark(assessed.id()));
            assessment.set(next);
            if (other) {
                picture.set(null);
            }
            next.form().ifPresentOrElse(this::draw, worker::cancel);
        }
        List.copyOf(listeners).forEach(Runnable::run);
    }

    /** Undo may take away the machine or upgrade being looked at. */
    private void stepBackFromWhatIsGone() {
        if (place.get() instanceof Place.AtUpgrade at && state().upgrade(at.upgradeId()).isEmpty()
                || place.get() instanceof Place.AtMachine m && state().machine(m.machineId()).isEmpty()
                || place.get() instanceof Place.Nowhere && !state().machines().isEmpty()) {
            goHome();
        }
    }

    private void draw(PartForm form) {
        worker.request(form, picture::set, this::warn);
    }

    @Override
    public void close() {
        worker.close();
        workshop.close();
    }
}
