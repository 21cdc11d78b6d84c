package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.fact.HeatPictureFact;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.solid.Vec3;
import tinperch.trial.SpotAt;

/** Says of a recorded spot of this part where on it it was: at the place clicked on. */
final class SpotPicker extends VBox {
    private record Spot(String runId, String channelId) {}

    private final Desk desk;
    private final ComboBox<Choice<Spot>> which;
    private final Button here;
    private final CheckBox blown = Ui.id(new CheckBox("a fan blew on the part"), "spot-blown");
    private final Label said = Ui.id(Ui.text("", "faint"), "spot-said");
    private HeatPictureFact.Face at;
    private Vec3 point = Vec3.ZERO;

    SpotPicker(Desk desk) {
        super(6);
        this.desk = desk;
        which = Form.choice("spot-which", List.<Choice<Spot>>of(), null, c -> tell());
        which.setMaxWidth(Double.MAX_VALUE);
        here = Ui.id(Ui.button("It was logged at this place", "mdi2t-target", this::put), "spot-put");
        getChildren().addAll(Ui.label("A recorded spot", "section"), which, said, blown, here);
        refresh();
    }

    /** Spots that were recorded of the part looked at. */
    void refresh() {
        String me = desk.upgrade().flatMap(u -> desk.part().map(p -> u.id() + "/" + p.id())).orElse("");
        List<Choice<Spot>> all = new ArrayList<>();
        for (Run r : desk.machine().map(Machine::runs).orElse(List.of())) {
            for (Channel c : r.channels()) {
                if (c.kind() == Channel.Kind.SPOT && c.of().equals(me)) {
                    all.add(new Choice<>(new Spot(r.id(), c.id()), c.name() + ", " + r.name()));
                }
            }
        }
        if (!which.getItems().equals(all)) {
            Choice.fill(which, all, all.isEmpty() ? null : all.get(all.size() - 1).value());
        }
        Ui.see(this, !all.isEmpty());
        tell();
    }

    /** The place clicked on. */
    void touch(HeatPictureFact.Face face, Vec3 where) {
        at = face;
        point = face.toPiece().point(where.x(), where.y(), where.z());
        tell();
    }

    private Optional<Channel> channel() {
        Spot s = Choice.in(which, null);
        return s == null ? Optional.empty() : desk.machine().flatMap(m -> m.run(s.runId)).flatMap(r -> r.channels().stream().filter(c -> c.id().equals(s.channelId)).findFirst());
    }

    private void tell() {
        here.setDisable(at == null);
        said.setText(at == null ? "Click the place on the part where the sensor was." : channel().flatMap(Channel::spot).isPresent() ? "Its place is known; another may be said." : "Its place on the part is not known yet.");
    }

    private void put() {
        Spot s = Choice.in(which, null);
        if (s == null || at == null) {
            return;
        }
        HeatPictureFact.Face f = at;
        desk.machine().ifPresent(m -> {
            Optional<Neighbour> hot = f.patch().flatMap(p -> m.surroundings().neighbours().stream().filter(n -> n.id().equals(p.nearest())).findFirst());
            SpotAt spot = new SpotAt(f.pieceId(), point, hot.isPresent() ? f.patch().orElseThrow().gapMm() : 0, hot.map(Neighbour::id).orElse(""), hot.map(Neighbour::sock).orElse(false), blown.isSelected());
            desk.workshop().edit("say where a spot is", w -> w.machine(m.id()).flatMap(now -> now.run(s.runId).map(r -> w.with(now.with(r.channels().stream().filter(c -> c.id().equals(s.channelId)).findFirst()
                    .map(c -> r.with(c.at(spot))).orElse(r))))).orElse(w));
        });
    }
}
